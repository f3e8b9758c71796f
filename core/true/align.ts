import type { Catalogue, PlanContext, ScreenArray, Wall } from '../job'
import { ofKind, standing, type EntryOf, type LogEntry } from '../log'
import { mountModels, type ArrayPlan } from '../mount'
import { chosenFigure } from '../rules'
import { words, type Text } from '../units'
import { bindingOf, type Binding } from './binding'
import { fused } from './rounds'
import { alikeInMirror, type Read } from './mirror'
import { solveExactly, type LinearSolver, type Solved } from './program'
import { roundedTo, stepOf } from './rounding'
import { ADJUSTER_NAMES, movedBy, trueScreens, type Adjuster, type Travel, type TrueScreen } from './screen'
import { readAgain, toRead, type SecondLook } from './secondLook'
import { sequenceOf, type TurnStep } from './sequence'
import { after, deviation, readingFault, readingsOf, seamFault, type Reading } from './seam'
import { unreadGaps } from './unread'
import { mountKindOf } from '../mount/kinds'

/**
 * What one adjuster is to be moved: by turns, clockwise or not as seen by the person who turns it, or by millimetres
 * where it has no screw; with why, where that is not the step nearest to the exact answer.
 */
export interface Move { screen: string, adjuster: Adjuster, mm: number, turns?: number, words: Text, why?: Text }

/** The worst of gaps and of steps off their targets, mm. */
export interface Worst { gap: number, step: number }

/** How an array is trued: what is to be moved, what then remains, and what binds where that is too much. */
export interface Alignment {
  array: string
  name: string
  target: { x: number, y: number, tolerance: number }
  closes: boolean
  before: Worst
  after: Worst
  /** In the order in which they are made. */
  moves: Move[]
  /** The rows in the order in which they are turned, and in each its screens. */
  sequence: TurnStep[]
  predicted: { reading: Reading, before: number, after: number }[]
  binding: Binding[]
  round: number
  /** Readings of a seam that there is not, or that cannot be, each with why. */
  leftOut: { between: string[], end: string, why: Text }[]
  /** Readings to take again before anything is turned. */
  again: SecondLook[]
}

const label = (screen: string) => screen.toUpperCase().replace('C', ' C')

/** Eighths as they are said: 3/8, 1 1/2, 2. */
function eighths(turns: number): string {
  const count = Math.round(Math.abs(turns) * 8)
  const [whole, rest] = [Math.floor(count / 8), count % 8]
  const divisor = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1
  const part = rest === 0 ? '' : `${rest / divisor}/${8 / divisor}`
  return [whole > 0 || part === '' ? String(whole) : '', part].filter(Boolean).join(' ')
}

/** A move in words for anyone who makes it. */
export function moveWords(screen: string, adjuster: Adjuster, mm: number, turns?: number): Text {
  const of = words`${ADJUSTER_NAMES[adjuster]} of ${label(screen)}`
  if (adjuster === 'lateral') return words`${of}: ${Math.abs(mm)} to the ${mm > 0 ? 'right' : 'left'}`
  if (turns === undefined)
    return words`${of}: ${Math.abs(mm)}
      ${adjuster.startsWith('height') ? (mm > 0 ? 'up' : 'down') : mm > 0 ? 'out' : 'in'}`
  const way = adjuster.startsWith('height')
    ? mm > 0
      ? 'clockwise seen from below: up'
      : 'anticlockwise seen from below: down'
    : mm > 0
      ? 'anticlockwise seen from the front: out'
      : 'clockwise seen from the front: in'
  return words`${of}: ${eighths(turns)} turn${Math.abs(turns) > 1 ? 's' : ''} ${way} ${Math.abs(mm)}`
}

/** What was turned of an array, mm, by screen and adjuster; of all rounds or of those after an entry. */
export function turnedOf(
  entries: LogEntry[],
  array: string,
  perTurn: (screen: string, adjuster: Adjuster) => number | undefined,
  afterEntry?: string,
): Map<string, number> {
  const from = afterEntry === undefined ? 0 : entries.findIndex(({ id }) => id === afterEntry) + 1
  const moved = new Map<string, number>()
  for (const entry of ofKind(entries.slice(from), 'turned').filter(each => each.array === array)) {
    for (const { screen, adjuster, turns, mm } of entry.moves) {
      const by = mm ?? (turns ?? 0) * (perTurn(screen, adjuster) ?? 0)
      moved.set(`${screen} ${adjuster}`, (moved.get(`${screen} ${adjuster}`) ?? 0) + by)
    }
  }
  return moved
}

/** Readings that are left out, each with why. */
function leftOutOf(
  { gaps = [], steps = [] }: EntryOf<'seams'>,
  screens: TrueScreen[],
  target: { x: number, y: number },
): Alignment['leftOut'] {
  return [
    ...gaps.map(gap => ({ ...gap, kind: 'gap' as const })),
    ...steps.map(step => ({ ...step, kind: 'step' as const })),
  ].flatMap(({ kind, between, end, mm }) => {
    const no = seamFault(screens, between, end)
    const why
      = no === undefined
        ? readingFault(kind, mm, screens, kind === 'step' ? 0 : end === 'top' || end === 'bottom' ? target.x : target.y)
        : words`${no}`
    return why ? [{ between, end, why }] : []
  })
}

const worstOf = (readings: Reading[], values: number[]): Worst => {
  const of = (kind: Reading['kind']) =>
    Math.max(0, ...readings.map((reading, n) => (reading.kind === kind ? Math.abs(deviation(reading, values[n]!)) : 0)))
  return { gap: of('gap'), step: of('step') }
}

/** Of a screen its height is set first, then its slide, then its depth. */
const ORDER: Adjuster[] = [
  'height',
  'height-left',
  'height-right',
  'lateral',
  'depth-top-left',
  'depth-top-right',
  'depth-bottom-left',
  'depth-bottom-right',
]

type MovedBy = (screen: string, adjuster: Adjuster) => number

/** Why an adjuster is moved farther from the exact answer than the nearest step that can be set. */
function whyFarther(travel: Travel, mm: number, exact: number): Text | undefined {
  const step = stepOf(travel)
  if (Math.abs(mm - exact) <= step / 2 + 1e-6) return undefined
  return words`${Math.abs(mm - exact)} from the exact answer: the nearest steps alone would use up too much of the
    tolerance`
}

/** What is moved of the screens, in their order. */
function movesOf(screens: TrueScreen[], by: MovedBy, best: MovedBy, exact: boolean): Move[] {
  return screens.flatMap(({ name, travels }) => ORDER.flatMap((adjuster): Move[] => {
    const travel = travels.find(each => each.adjuster === adjuster)
    if (!travel) return []
    const mm = by(name, adjuster)
    if (Math.abs(mm) < 1e-6) return []
    const exactly = travel.perTurn === undefined ? undefined : mm / travel.perTurn
    const turns = exact || exactly === undefined ? exactly : Math.round(8 * exactly) / 8
    const why = exact ? undefined : whyFarther(travel, mm, best(name, adjuster))
    return [{
      screen: name,
      adjuster,
      mm,
      ...(turns !== undefined && { turns }),
      words: moveWords(name, adjuster, mm, turns),
      ...(why && { why }),
    }]
  }))
}

/** What was read of an array, as it is now: in the last round, in those before, and where nothing was read. */
interface RoundsRead { seams: EntryOf<'seams'>, readings: Reading[], earlier: Reading[][], unread: Reading[] }

function roundsRead(
  array: ScreenArray, entries: LogEntry[], screens: TrueScreen[],
  perTurn: (screen: string, adjuster: Adjuster) => number | undefined,
): RoundsRead | undefined {
  const all = ofKind(entries, 'seams').filter(each => each.array === array.id)
  const seams = all.at(-1)
  if (!seams) return undefined
  const carried = (of: EntryOf<'seams'>): Reading[] => {
    const since = turnedOf(entries, array.id, perTurn, of.id)
    const by = (screen: string, adjuster: Adjuster) => since.get(`${screen} ${adjuster}`) ?? 0
    return readingsOf(of, screens, array.gap).map(reading => ({ ...reading, value: after(reading, by) }))
  }
  const [readings, earlier] = [carried(seams), all.slice(0, -1).map(carried)]
  return { seams, readings, earlier, unread: unreadGaps(readings, earlier, screens, array.gap) }
}

/** Turns, exact and as they can be made, by screen and adjuster, mm. */
interface Turning { exact: Map<string, number>, made: Map<string, number> }

/**
 * The turns that bring the readings to their targets: by what all rounds tell together where that brings the last
 * readings within tolerance too, else by the last readings alone.
 */
function turningOf(
  { readings, earlier, unread }: RoundsRead, screens: TrueScreen[], targets: { x: number, y: number },
  { tolerance, solve, exact }: { tolerance: number, solve: LinearSolver, exact: boolean },
): Turning {
  const turn = (read: Reading[]): Turning => {
    const [best, made] = alikeInMirror(screens, { readings: read, unread }, targets, (read, screens) => {
      const { solved, unread } = solvedWith(read, screens, tolerance, solve)
      return [solved.moved, exact ? solved.moved : roundedTo(read.readings, unread, screens, solved, tolerance)]
    })
    return { exact: best!, made: made! }
  }
  if (exact) return turn(readings)
  const known = turn(fused(readings, earlier, screens))
  return earlier.length === 0 || fits(readings, known.made, tolerance) ? known : turn(readings)
}

/**
 * The exact answer that drives no unread gap below nothing. Where only that keeps what was read out of tolerance, the
 * readings themselves say that the unread gaps are not as planned: then nothing is taken of these, and they are to be
 * read before anything is turned.
 */
function solvedWith(
  { readings, unread }: Read, screens: TrueScreen[], tolerance: number, solve: LinearSolver,
): { solved: Solved, unread: Reading[] } {
  const solved = solveExactly(readings, unread, screens, solve)
  if (unread.length === 0 || solved.largest <= tolerance) return { solved, unread }
  const free = solveExactly(readings, [], screens, solve)
  return free.largest <= tolerance ? { solved: free, unread: [] } : { solved, unread }
}

/** Whether all that was read is within tolerance once adjusters have moved. */
function fits(readings: Reading[], made: Map<string, number>, tolerance: number): boolean {
  const by = movedBy(made)
  return readings.every(reading => Math.abs(deviation(reading, after(reading, by))) <= tolerance + 1e-6)
}

/** The array whose seams were read, as planned and as its wall's log tells. */
export interface Trued {
  array: ScreenArray
  plan: ArrayPlan
  wall: Pick<Wall, 'id' | 'formerId'>
  log: LogEntry[]
  context: PlanContext
}

/** Whether a mount comes out of its row, so that its screen is turned in front of the others. */
function pullsOutIn(array: ScreenArray, plan: ArrayPlan, screens: TrueScreen[], catalogue: Catalogue) {
  const mountOf = mountModels(array, catalogue)
  return (name: string): boolean => {
    const screen = screens.find(screen => screen.name === name)
    const mount = mountOf(plan.positions.find(({ id }) => id === screen?.id) ?? {})
    return mount !== undefined && mountKindOf(mount).pullsOut
  }
}

/**
 * How an array is trued from its last readings, less what was turned after them: the smallest largest deviation within
 * the travel that is left, then the least movement, then the least roll; to the eighths of a turn that are nearest to
 * that. A gap that was not read is taken to be as it was read last or planned, and is not driven below nothing. Where
 * a reading is to be taken again, nothing is to be turned before it was, and nothing is said to close.
 *
 * @param solve solves the linear programs
 * @param exact whether the answer is left as it is before rounding; it is then of the last readings alone
 * @returns undefined where nothing was read of it
 */
export function align(
  { array, plan, wall, log, context: { catalogue, rules } }: Trued, solve: LinearSolver, exact = false,
): Alignment | undefined {
  const entries = standing(log, wall)
  const fresh = trueScreens(array, plan, catalogue, new Map())
  const perTurn = (screen: string, adjuster: Adjuster) =>
    fresh.find(({ name }) => name === screen)?.travels.find(travel => travel.adjuster === adjuster)?.perTurn
  const screens = trueScreens(array, plan, catalogue, turnedOf(entries, array.id, perTurn))
  const rounds = roundsRead(array, entries, screens, perTurn)
  if (!rounds) return undefined
  const { seams, readings, earlier } = rounds
  const tolerance = chosenFigure('seamTolerance', rules, 'metric')
  const turning = turningOf(rounds, screens, array.gap, { tolerance, solve, exact })
  const by = movedBy(turning.made)
  const again = [...readAgain(readings, earlier.at(-1) ?? [], fresh), ...toRead(rounds.unread, by)]
  const values = readings.map(reading => after(reading, by))
  const closes = again.length === 0 && fits(readings, turning.made, tolerance)
  const sequence = sequenceOf(screens, readings, by, pullsOutIn(array, plan, screens, catalogue))
  const inOrder = sequence.flatMap(step => step.screens.map(name => screens.find(screen => screen.name === name)!))
  return {
    array: array.id,
    name: array.name,
    target: { ...array.gap, tolerance },
    closes,
    round: seams.round,
    leftOut: leftOutOf(seams, screens, array.gap),
    before: worstOf(
      readings,
      readings.map(({ value }) => value),
    ),
    after: worstOf(readings, values),
    moves: movesOf(inOrder, by, movedBy(turning.exact), exact),
    sequence,
    again,
    predicted: readings.map((reading, n) => ({ reading, before: reading.value, after: values[n]! })),
    binding: closes ? [] : bindingOf(readings, values, screens, turning.exact, tolerance),
  }
}

/** The last readings of an array. */
export const lastSeams = (
  log: LogEntry[],
  wall: Pick<Wall, 'id' | 'formerId'>,
  array: string,
): EntryOf<'seams'> | undefined => ofKind(standing(log, wall), 'seams').findLast(each => each.array === array)
