import { zonesOf } from '../core/mount/holes/zones'
import { signsOf, survey, type Member } from '../core/survey'
import {
  hiddenWall, READING_GROUPS, readWall, WORLDS, type HiddenMember, type ReadingGroup, type WorldName,
} from '../core/survey/simulatedReadings'

interface Tally {
  truths: number
  found: number
  inside: number
  errors: number[]
  doubles: number
  told: number
  invented: number
  guessed: number
  passed: number
  wrongly: number
  walls: number
}

/** Two centres farther apart than this are not of one member, mm. */
const SAME = 30
/** Edge distance of a 3/8 in lag, mm. */
const EDGE = 1.5 * 9.525

/** How far a hole is from the nearest edge of the piece that it is in, mm; negative outside all of them. */
function inside(x: number, members: HiddenMember[]): number {
  return Math.max(...members.flatMap(({ centre, width, plies = 1 }) => Array.from({ length: plies }, (_, n) => {
    const middle = centre + (n + 0.5 - plies / 2) * width / plies
    return width / plies / 2 - Math.abs(x - middle)
  })))
}

/** Counts one hidden member that was read: whether it was found, how far off, and whether a double was told as one. */
function tallyTruth(tally: Tally, truth: HiddenMember, observed: Member[], signs: ReturnType<typeof signsOf>): void {
  const offOf = ({ centre }: Member) => Math.abs(centre - truth.centre)
  const nearest = observed.reduce<Member | undefined>(
    (best, member) => (!best || offOf(member) < offOf(best) ? member : best), undefined,
  )
  tally.truths++
  const off = nearest ? offOf(nearest) : Infinity
  if (!nearest || off > SAME) return
  tally.found++
  tally.errors.push(off)
  if (off <= 1.96 * nearest.sd) tally.inside++
  // Of a doubled member both of whose outer edges were read, and not by a false reading.
  const edgeRead = (edge: 'left' | 'right') =>
    signs.some(
      ({ reading, x }) =>
        reading.edge === edge && Math.abs(x - truth.centre - ((edge === 'left' ? -1 : 1) * truth.width) / 2) < 14,
    )
  if (truth.plies !== 2 || !edgeRead('left') || !edgeRead('right')) return
  tally.doubles++
  if (nearest.kind === 'double') tally.told++
}

function study(world: WorldName, group: ReadingGroup, walls: number, seed: number): Tally {
  const tally: Tally = {
    truths: 0,
    found: 0,
    inside: 0,
    errors: [],
    doubles: 0,
    told: 0,
    invented: 0,
    guessed: 0,
    passed: 0,
    wrongly: 0,
    walls,
  }
  for (let n = 0; n < walls; n++) {
    const hidden = hiddenWall(seed + n, world)
    const { wall, read } = readWall(hidden, group, seed + 7919 * (n + 1))
    const { members } = survey(wall)
    const signs = signsOf(wall)
    const observed = members.filter(({ source }) => source === 'observed')
    for (const truth of read) tallyTruth(tally, truth, observed, signs)
    // A member is passed for a lag where the plan would put one: in the middle of any piece that can take it.
    for (const { index, centre, usable } of zonesOf(members, EDGE)) {
      if (usable < 0 || members[index]!.source !== 'observed' || !members[index]!.proved) continue
      tally.passed++
      if (inside(centre, hidden.members) < EDGE) tally.wrongly++
    }
    for (const { centre, source } of members) {
      if (hidden.members.some(truth => Math.abs(truth.centre - centre) <= SAME)) continue
      if (source === 'observed') tally.invented++
      else tally.guessed++
    }
  }
  return tally
}

const percent = (part: number, whole: number) => whole === 0 ? '–' : `${(100 * part / whole).toFixed(1)} %`

function rowOf({
  truths,
  found,
  inside,
  errors,
  doubles,
  told,
  invented,
  guessed,
  passed,
  wrongly,
  walls,
}: Tally): Record<string, string | number> {
  errors.sort((a, b) => a - b)
  return {
    'members': truths,
    'found': percent(found, truths),
    'in the 95 % interval': percent(inside, found),
    'median error, mm': errors[Math.floor(errors.length / 2)]!.toFixed(2),
    'doubles told by both edges': percent(told, doubles),
    'passed for a 3/8 lag': percent(passed, found),
    'of these wrongly': percent(wrongly, passed),
    'invented a wall': (invented / walls).toFixed(3),
    'wrongly inferred a wall': (guessed / walls).toFixed(3),
  }
}

/**
 * How honest and how complete the framing map is over simulated walls as the error model has them, a line for each way
 * of reading.
 */
export function framingStudy(walls: number, seed = 1): Record<string, Record<string, string | number>> {
  return Object.fromEntries(READING_GROUPS.map(group => [group, rowOf(study('as modelled', group, walls, seed))]))
}

/**
 * The same where the error model is wrong, a line for each way; every member read by two kinds, or by a detector alone.
 */
export function worldsStudy(
  walls: number,
  group: ReadingGroup = 'two kinds',
  seed = 1,
): Record<string, Record<string, string | number>> {
  return Object.fromEntries(
    (Object.keys(WORLDS) as WorldName[]).map(world => [world, rowOf(study(world, group, walls, seed))]),
  )
}
