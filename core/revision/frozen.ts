import { arraysOf, idOfFrozen, type Job, type PlanContext, type Site, type Wall } from '../job'
import { holeIdsOf, type AsBuilt } from '../log'
import type { WallPlan } from '../plan'
import { PROGRAM } from '../program'
import { idsAtIssue } from './issueNames'

/** What of a plan is of the moment only: no sheet, template or step of the work is made from it. */
type OfTheMoment = 'runs' | 'unexplained' | 'shared' | 'uncheckedReferences' | 'nextProbe' | 'change'

/** What of a wall's plan is frozen: all that sheets, templates and the run of work are made from. */
export type FrozenPlan = Omit<WallPlan, OfTheMoment>

/** What stood by the log when it was frozen. */
export type FrozenBuilt = Pick<AsBuilt, 'holes' | 'dead' | 'hung' | 'overrides'>
  & Partial<Pick<AsBuilt, 'disputed' | 'checked'>>

/**
 * What is frozen when a mark-out is issued: wall, catalogue, rules, what stood then, the plan, and the program's
 * version.
 */
export interface Frozen extends PlanContext {
  /** SHA-256 of the canonical JSON (RFC 8785) of all else in it. */
  id: string
  program: string
  /** The revision before it, from which as little as could be was changed. */
  after?: string
  /** What the names of its new holes end in, which no other device makes. */
  tag?: string
  /** Names that holes had in earlier revisions and not in this one: none of them is used again. */
  names?: string[]
  site: Pick<Site, 'id' | 'name' | 'units' | 'zone' | 'electricalRules'>
  wall: Wall
  built: FrozenBuilt
  plan: FrozenPlan
}

function planOf(plan: WallPlan): FrozenPlan {
  const { runs: _runs, unexplained: _unexplained, shared: _shared, uncheckedReferences: _unchecked, ...rest } = plan
  const { nextProbe: _probe, change: _change, ...frozen } = rest
  return frozen
}

/** A wall as it is drawn and planned, without other alternatives and earlier revisions. */
function wallOf({ revisions: _, ...wall }: Wall): Wall {
  return { ...wall, arrays: arraysOf(wall) }
}

/**
 * Freezes a wall with all that its plan follows from, as plain JSON.
 *
 * @param plan the plan of this very wall
 * @param after the revision before it
 * @param tag what names of new holes end in; without it they are as the plan has them
 */
export function freeze(
  wall: Wall,
  { catalogue, rules, site }: Pick<Job, 'catalogue' | 'rules' | 'site'>,
  { holes, dead, disputed, checked, hung, overrides, issued }: AsBuilt,
  plan: WallPlan,
  { after, tag }: Pick<Frozen, 'after' | 'tag'> = {},
): Frozen {
  const names = idsAtIssue(plan, { issued, holes, dead, disputed }, tag)
  const planned = new Set(holeIdsOf(plan))
  const earlier = (issued?.names ?? []).filter(name => !planned.has(name))
  const told = JSON.parse(
    JSON.stringify({
      program: PROGRAM,
      ...(after !== undefined && { after }),
      ...(tag !== undefined && { tag }),
      ...(earlier.length > 0 && { names: earlier }),
      site: {
        id: site.id,
        name: site.name,
        units: site.units,
        ...(site.electricalRules !== undefined && { electricalRules: site.electricalRules }),
        ...(site.zone !== undefined && { zone: site.zone }),
      },
      wall: wallOf(wall),
      catalogue,
      rules,
      built: {
        holes,
        dead,
        ...(disputed.length > 0 && { disputed }),
        ...(checked.length > 0 && { checked }),
        hung,
        overrides,
      },
      plan: planOf(plan),
    }),
    // A hole is named in marks, steps and findings too.
    (_, value: unknown) => typeof value === 'string' ? names.get(value) ?? value : value,
  ) as Omit<Frozen, 'id'>
  return { id: idOfFrozen(told), ...told }
}
