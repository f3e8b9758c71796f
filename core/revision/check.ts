import { idOfFrozen, rulesFaults, schemaFaults, revisionSchema, wallFaults, type Fault } from '../job'
import { issuedOf, NOTHING_BUILT, type AsBuilt } from '../log'
import { planWall } from '../plan'
import { PROGRAM } from '../program'
import { textToString } from '../units'
import type { Frozen } from './frozen'
import { idsAtIssue } from './issueNames'
import { storedOf } from './stored'

/** Two figures of one plan, calculated here and there: the last bits of a double may differ, mm. */
const SAME = 0.01

/** Where what was frozen has another hole than its own wall gives. */
function unlike({ plan, tag }: Frozen, planned: ReturnType<typeof planWall>, built: AsBuilt): Fault[] {
  const names = idsAtIssue(planned, built, tag)
  const holesOf = (arrays: Frozen['plan']['arrays']) =>
    arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
  const given = new Map(holesOf(plan.arrays).map(hole => [hole.id, hole]))
  const found = new Map(holesOf(planned.arrays).map(hole => [names.get(hole.id) ?? hole.id, hole]))
  const differs = given.size !== found.size || [...given].some(([id, { x, y }]) => {
    const other = found.get(id)
    return !other || Math.hypot(other.x - x, other.y - y) > SAME
  })
  return differs
    ? [
        {
          path: '$.plan',
          message: 'does not match what this server calculates for this wall; reopen the wall and issue it again',
        },
      ]
    : []
}

/**
 * What speaks against issuing what was frozen: it is not whole, its plan is not that of its wall, or a stop stands
 * against it that nobody has overridden. What another version of the program planned is not planned again.
 *
 * @param previous the revision that it comes after, where there is one
 */
export function frozenFaults(given: unknown, previous?: Frozen): Fault[] {
  const faults = schemaFaults(revisionSchema, given, '$')
  if (faults.length > 0) return faults
  const frozen = given as Frozen
  if (idOfFrozen(frozen) !== frozen.id) return [{ path: '$.id', message: 'is not the SHA-256 of its content' }]
  if (frozen.after !== undefined && frozen.after !== previous?.id)
    return [{ path: '$.after', message: 'is a revision that is not on this server: send that one first' }]
  const wrong = [...rulesFaults(frozen.rules), ...wallFaults(frozen.wall, frozen.catalogue, '$.wall')]
  // By another version's rules it may be right: it is never planned anew, and a planner decides about it.
  if (wrong.length > 0 || frozen.program !== PROGRAM) return wrong
  const built = { ...NOTHING_BUILT, ...frozen.built, ...previous && { issued: issuedOf('', storedOf(previous)) } }
  const planned = planWall(frozen.wall, frozen, built)
  const stops = planned.findings.filter(({ severity }) => severity === 'stop')
  return [
    ...stops.map(({ message }) => ({
      path: '$.plan',
      message: `has a stop: ${textToString(message, frozen.site.units)}`,
    })),
    ...unlike(frozen, planned, built),
  ]
}
