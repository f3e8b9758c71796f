import { hangingOrders } from '../hang'
import { LIMITS, type Catalogue, type PlanContext, type Rules, type Site, type Wall } from '../job'
import { withDrilled, type AsBuilt } from '../log'
import { mark } from '../mark'
import { remember, steady } from '../memo'
import { usingSlots } from '../mount'
import { carryingWall, survey } from '../survey'
import type { UnitSystem } from '../units'
import { wire } from '../wire'
import { fixMounted, layOut, mountLaidOut, platesOf } from './arrays'
import { probeFor } from './probe'
import { asFirstPlanned, type Standing } from './standing'

const NONE: Wall['arrays'] = []

/**
 * What of a wall the stages from Survey to Fix look at, beside the array that is planned: no edit of anything else
 * makes them anew.
 */
const GROUND = [
  'id', 'name', 'formerId', 'width', 'height', 'structure', 'covering', 'references', 'evidence', 'features',
  'blocking', 'blockingRuledOut', 'surface', 'insulation', 'fireRating', 'linedIn', 'walkway', 'wet', 'windSpeed',
  'wind', 'handForce', 'handForceReason', 'bearing', 'rules',
] as const satisfies (keyof Wall)[]

/** A wall without what is arranged on it; the stages that take it in look at nothing else. */
const groundOf = (wall: Wall): Wall => ({
  ...Object.fromEntries(GROUND.flatMap(field => field in wall ? [[field, wall[field]]] : [])) as Wall,
  arrays: NONE,
})

const EVERY_ARRAY = LIMITS.arrays

/**
 * The stages of a wall in a row: each is calculated from what it takes in, and again only when that has
 * changed. What is remembered lives as long as the pipeline; every answer is what it would be without it.
 */
export function pipeline() {
  const steadyWall = steady<Wall>(2)
  const drilled = remember(2, (wall: Wall, holes: AsBuilt['holes']) => withDrilled(wall, { holes }))
  const carrying = remember(2, carryingWall)
  const ruling = remember(2, (chosen: Rules, own: Wall['rules']): Rules => (own ? { ...chosen, ...own } : chosen))
  const context = remember(4, (
    catalogue: Catalogue, rules: Rules, units: UnitSystem, electricalRules: Site['electricalRules'],
  ): PlanContext => ({ catalogue, rules, site: { units, ...electricalRules && { electricalRules } } }))
  return {
    /** What a wall is planned with, its own rules among it: the same object for the same parts. */
    contextFor: ({ catalogue, rules, site }: PlanContext, { rules: own }: Pick<Wall, 'rules'>) =>
      context(catalogue, ruling(rules, own), site?.units ?? 'metric', site?.electricalRules),
    slotUse: remember(EVERY_ARRAY, usingSlots),
    /** The wall as it carries, with what drilling told of it. */
    wallOf: (document: Wall, holes: AsBuilt['holes'], rules: Parameters<typeof carryingWall>[1]) =>
      carrying(drilled(steadyWall(groundOf(document)), holes), rules),
    survey: remember(2, survey),
    layOut: remember(EVERY_ARRAY, layOut),
    mount: remember(EVERY_ARRAY, mountLaidOut),
    plates: remember(EVERY_ARRAY, (...args: Parameters<typeof platesOf>): Standing => ({
      laidOut: args[0],
      cells: platesOf(...args),
    })),
    asFirstPlanned: remember(2, asFirstPlanned),
    fix: remember(EVERY_ARRAY, fixMounted),
    mark: remember(2, mark),
    hang: remember(2, hangingOrders),
    wire: remember(2, wire),
    probe: remember(2, probeFor),
    /** The same list for one with the very same things in it. */
    steadyList: steady<object[]>(4),
  }
}
export type Pipeline = ReturnType<typeof pipeline>
