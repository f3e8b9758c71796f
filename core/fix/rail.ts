import type { Carrier, Mount } from '../job'
import type { Strip } from '../mount'
import { figure, words, type Figure } from '../units'
import { fastenerLoad, rowsOf, type PlateLoad } from './loads'

/**
 * How far a rail is bent between the members that it is fixed to: each plate's bolt leans on it with
 * its shear and tension together, as on a beam from member to member; in N·m, and as a share of what
 * the rail's maker allows, where that is given.
 */
export function railUse({ moment }: Carrier, strips: Strip[], loads: PlateLoad[], mount: Mount): { figure: Figure, utilisation?: number } {
  const bolts = loads.map(load => fastenerLoad(load, rowsOf(mount)))
  const force = Math.max(...bolts.map(({ shear, tension }) => Math.hypot(shear, tension)))
  const lever = Math.max(0, ...strips.map(({ bending }) => bending))
  const bent = force * lever / 1000
  return {
    figure: figure([
      { label: 'From one bolt', expression: words`shear and tension together in the worst case`, value: force, unit: 'N' },
      { label: 'Bending of the rail', expression: words`${force.toFixed(0)} N × ${lever} (a × b ÷ span, for the bolts of one span)`, value: bent, unit: 'N·m', source: 'a beam from member to member' },
    ]),
    ...moment !== undefined && { utilisation: bent / moment },
  }
}
