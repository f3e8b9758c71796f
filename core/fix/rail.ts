import type { Carrier } from '../job'
import type { Strip } from '../mount'
import { figure, quantity, words, type Figure } from '../units'
import type { BoltLoad } from './stripLoads'
import { shearOf, type FastenerLoad } from './group'

/**
 * How far a rail is bent between the members that it is fixed to: the worst loaded bolt leans on it with its
 * shear and tension together, as on simple beam from stud to stud; in N·m, and as a share of what the rail's
 * maker allows, where that is given.
 */
export function railUse(
  { moment }: Carrier,
  strips: Strip[],
  bolts: BoltLoad[],
): { figure: Figure, utilisation?: number } {
  const force = Math.max(0, ...bolts.map(bolt => Math.hypot(bolt.tension, shearOf(bolt).shear)))
  const lever = Math.max(0, ...strips.map(({ bending }) => bending))
  const bent = (force * lever) / 1000
  return {
    figure: figure([
      {
        label: 'Load from one bolt',
        expression: words`shear and tension combined in the worst case`,
        value: force,
        unit: 'N',
      },
      {
        label: 'Bending moment in the rail',
        expression: words`${quantity(force, 'N')} × ${quantity(lever, 'mm')} (a × b ÷ span, for the bolts of one span)`,
        value: bent,
        unit: 'N·m',
        source: 'simple beam from stud to stud',
      },
    ]),
    ...(moment !== undefined && { utilisation: bent / moment }),
  }
}

/** What comes to one fastener of a rail or a board, as it is shown. */
export function carriedFigures(load: FastenerLoad): { tension: Figure, shear: Figure } {
  const { shear } = shearOf(load)
  return {
    tension: figure([
      {
        label: 'Tension',
        expression: words`from the bolts beside it, each shared by the two nearest studs; inner studs take 1.25 × the
          simple-span share`,
        value: load.tension,
        unit: 'N',
      },
    ]),
    shear: figure([
      {
        label: 'Shear',
        expression: words`√((${quantity(load.down, 'N')})² + (${quantity(load.across, 'N')})²), from the same bolts`,
        value: shear,
        unit: 'N',
      },
    ]),
  }
}

/**
 * How far the worst bolt between plate and rail or board is used: tension and shear, each over what its maker allows,
 * added. Undefined where that is not given.
 */
export function boltUse(
  { bolt }: Carrier,
  bolts: BoltLoad[],
): { utilisation: number, tension: number, shear: number } | undefined {
  const [tensionAllowed, shearAllowed] = [bolt?.tension, bolt?.shear]
  if (tensionAllowed === undefined || shearAllowed === undefined || bolts.length === 0) return undefined
  return bolts
    .map((load) => {
      const { shear } = shearOf(load)
      return { utilisation: load.tension / tensionAllowed + shear / shearAllowed, tension: load.tension, shear }
    })
    .reduce((a, b) => (b.utilisation > a.utilisation ? b : a))
}
