import type { Finding } from '../finding'
import { choiceName, type Fastener, type PlanContext, type ScreenArray, type Wall } from '../job'
import type { Position, Strip } from '../mount'
import { wallFor, type Member } from '../survey'
import { textToString, type UnitSystem } from '../units'
import { fix, type LoadCase } from './index'
import { MUCH } from './findings'

/**
 * How a fastener would do in an array: how far it is used at most, what stops it, whether there are
 * enough in stock, where that is known, and whether the site uses it already.
 */
export interface Ranked {
  fastener: Fastener
  utilisation?: number
  stop?: string
  inStock?: boolean
  onSite: boolean
  cases: { case: LoadCase, utilisation: number }[]
}

const worse = (a: Ranked, b: Ranked, is: (ranked: Ranked) => boolean) => Number(is(a)) - Number(is(b))

/** A fastener for something else than the plates were placed on: what it would do is known once it is chosen. */
const elsewhere = (fastener: Fastener, onSite: string[]): Ranked => ({
  fastener,
  cases: [],
  stop: `It goes into the ${choiceName(fastener.base)}: choosing it places the plates anew.`,
  onSite: onSite.includes(fastener.id),
})

/** The order of two fasteners, the better first. */
const byUse = (a: Ranked, b: Ranked): number =>
  worse(a, b, ({ stop }) => stop !== undefined)
  || worse(a, b, ({ utilisation = Infinity }) => utilisation > MUCH)
  || worse(a, b, ({ inStock }) => inStock === false)
  || worse(a, b, ({ onSite }) => !onSite)
  || (a.utilisation ?? Infinity) - (b.utilisation ?? Infinity)

/**
 * Fasteners from the one that would do best: those that nothing stops first; of these those not much
 * used; then those in stock; then those the site uses already, so that few kinds are carried; then
 * the least used.
 *
 * @param onSite ids of fasteners that the site has already
 * @param stock how many there are, by id, where that is known
 */
export function rankFasteners(
  fasteners: Fastener[],
  { array, positions, wall, job }: { array: ScreenArray, positions: Position[], wall: Wall, job: PlanContext },
  units: UnitSystem,
  {
    strips = [],
    onSite = [],
    stock = {},
    members = [],
    everyHole,
  }: {
    strips?: Strip[]
    onSite?: string[]
    stock?: Record<string, number>
    members?: Member[]
    everyHole?: { x: number, y: number }[]
  } = {},
): Ranked[] {
  const fixedBy = (own: Partial<ScreenArray>, catalogue: PlanContext['catalogue']) =>
    fix(
      { ...array, ...own },
      positions,
      wall,
      { ...job, catalogue },
      { strips, members, ...(everyHole && { everyHole }) },
    )
  const told = ({ message }: Finding) => textToString(message, units)
  // What is said of the array without any fastener is no fault of one.
  const { fastener: _, ...bare } = array
  const anyway = new Set(fix(bare, positions, wall, job, { strips, members }).findings.map(told))
  const groundOf = (fastener: Fastener | undefined) => wallFor(wall, fastener?.base).structure.kind
  const placed = groundOf(job.catalogue.fasteners.find(({ id }) => id === array.fastener))
  return fasteners
    .map((fastener): Ranked => {
      // Holes that were placed for a backing say nothing of studs, and the other way round.
      if (groundOf(fastener) !== placed) return elsewhere(fastener, onSite)
      const { fixings, findings } = fixedBy({ fastener: fastener.id }, { ...job.catalogue, fasteners: [fastener] })
      // Of unlike pairs the one that is used most is reported.
      const used = fixings.map(({ cases }) =>
        cases.flatMap(load =>
          load.utilisation === undefined ? [] : [{ case: load.case, utilisation: load.utilisation }],
        ),
      )
      const most = (loads: Ranked['cases']) => Math.max(0, ...loads.map(({ utilisation }) => utilisation))
      const cases = used.reduce<Ranked['cases']>((a, b) => (most(b) > most(a) ? b : a), [])
      const wanted = positions.reduce((sum, { holes = [] }) => sum + holes.length, 0)
      const stop = findings.find(finding => finding.severity === 'stop' && !anyway.has(told(finding)))
      return {
        fastener,
        cases,
        ...(cases.length > 0 && { utilisation: most(cases) }),
        ...(stop && { stop: told(stop) }),
        ...(stock[fastener.id] !== undefined && { inStock: stock[fastener.id]! >= wanted }),
        onSite: onSite.includes(fastener.id),
      }
    })
    .sort(byUse)
}
