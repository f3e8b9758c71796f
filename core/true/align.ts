import type { Catalogue, Rules, ScreenArray, Wall } from '../job'
import { ofKind, standing, type EntryOf, type LogEntry } from '../log'
import { mountModels, type ArrayPlan } from '../mount'
import { chosenFigure } from '../rules'
import { words, type Text } from '../units'
import { bindingOf, type Binding } from './binding'
import { fused } from './rounds'
import { alikeInMirror } from './mirror'
import { solveExactly, type LinearSolver } from './program'
import { roundedTo } from './rounding'
import { ADJUSTER_NAMES, movedBy, trueScreens, type Adjuster, type TrueScreen } from './screen'
import { sequenceOf, type TurnStep } from './sequence'
import { after, deviation, readingFault, readingsOf, seamFault, type Reading } from './seam'
import { mountKindOf } from '../mount/kinds'

/**
 * What one adjuster is to be moved: by turns, clockwise or not as seen by the person who turns it, or by millimetres
 * where it has no screw.
 */
export interface Move { screen: string, adjuster: Adjuster, mm: number, turns?: number, words: Text }

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
  if (turns === undefined) return words`${of}: ${Math.abs(mm)} ${adjuster.startsWith('height') ? mm > 0 ? 'up' : 'down' : mm > 0 ? 'out' : 'in'}`
  const way = adjuster.startsWith('height') ? mm > 0 ? 'clockwise seen from below: up' : 'anticlockwise seen from below: down' : mm > 0 ? 'anticlockwise seen from the front: out' : 'clockwise seen from the front: in'
  return words`${of}: ${eighths(turns)} turn${Math.abs(turns) > 1 ? 's' : ''} ${way} ${Math.abs(mm)}`
}

/** What was turned of an array, mm, by screen and adjuster; of all rounds or of those after an entry. */
export function turnedOf(entries: LogEntry[], array: string, perTurn: (screen: string, adjuster: Adjuster) => number | undefined, afterEntry?: string): Map<string, number> {
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
function leftOutOf({ gaps = [], steps = [] }: EntryOf<'seams'>, screens: TrueScreen[], target: { x: number, y: number }): Alignment['leftOut'] {
  return [...gaps.map(gap => ({ ...gap, kind: 'gap' as const })), ...steps.map(step => ({ ...step, kind: 'step' as const }))].flatMap(({ kind, between, end, mm }) => {
    const no = seamFault(screens, between, end)
    const why = no === undefined ? readingFault(kind, mm, screens, kind === 'step' ? 0 : end === 'top' || end === 'bottom' ? target.x : target.y) : words`${no}`
    return why ? [{ between, end, why }] : []
  })
}

const worstOf = (readings: Reading[], values: number[]): Worst => {
  const of = (kind: Reading['kind']) => Math.max(0, ...readings.map((reading, n) => reading.kind === kind ? Math.abs(deviation(reading, values[n]!)) : 0))
  return { gap: of('gap'), step: of('step') }
}

/** Of a screen its height is set first, then its slide, then its depth. */
const ORDER: Adjuster[] = ['height', 'height-left', 'height-right', 'lateral', 'depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right']

/** What is moved of the screens, in their order. */
function movesOf(screens: TrueScreen[], by: (screen: string, adjuster: Adjuster) => number, exact: boolean): Move[] {
  return screens.flatMap(({ name, travels }) => ORDER.flatMap((adjuster): Move[] => {
    const travel = travels.find(each => each.adjuster === adjuster)
    if (!travel) return []
    const mm = by(name, adjuster)
    if (Math.abs(mm) < 1e-6) return []
    const turns = travel.perTurn === undefined ? undefined : exact ? mm / travel.perTurn : Math.round(8 * mm / travel.perTurn) / 8
    return [{ screen: name, adjuster, mm, ...turns !== undefined && { turns }, words: moveWords(name, adjuster, mm, turns) }]
  }))
}

/**
 * How an array is trued from its last readings, less what was turned after them: the smallest largest deviation within
 * the travel that is left, then the least movement, then the least roll, to the nearest eighth of a turn.
 *
 * @param solve solves the linear programs
 * @param exact whether the answer is left as it is before rounding; it is then of the last readings alone
 * @returns undefined where nothing was read of it
 */
export function align(array: ScreenArray, plan: ArrayPlan, wall: Pick<Wall, 'id' | 'formerId'>, log: LogEntry[], { catalogue, rules }: { catalogue: Catalogue, rules: Rules }, solve: LinearSolver, exact = false): Alignment | undefined {
  const entries = standing(log, wall)
  const seams = ofKind(entries, 'seams').findLast(each => each.array === array.id)
  if (!seams) return undefined
  const fresh = trueScreens(array, plan, catalogue, new Map())
  const perTurn = (screen: string, adjuster: Adjuster) => fresh.find(({ name }) => name === screen)?.travels.find(travel => travel.adjuster === adjuster)?.perTurn
  const screens = trueScreens(array, plan, catalogue, turnedOf(entries, array.id, perTurn))
  const carried = (of: EntryOf<'seams'>): Reading[] => {
    const since = turnedOf(entries, array.id, perTurn, of.id)
    return readingsOf(of, screens, array.gap).map(reading => ({ ...reading, value: after(reading, (screen, adjuster) => since.get(`${screen} ${adjuster}`) ?? 0) }))
  }
  const readings = carried(seams)
  const earlier = ofKind(entries, 'seams').filter(each => each.array === array.id && each.id !== seams.id)
  /** What is known of each by all rounds together. */
  const known = exact ? readings : fused(readings, earlier.map(carried), screens)
  const tolerance = chosenFigure('seamTolerance', rules, 'metric')
  const [best, told] = alikeInMirror(screens, known, array.gap, (readings, screens) => {
    const solved = solveExactly(readings, screens, solve)
    return [solved.moved, exact ? solved.moved : roundedTo(readings, screens, solved)]
  })
  const by = movedBy(told!)
  const valuesOf = (of: Reading[]) => of.map(reading => after(reading, by))
  const values = valuesOf(readings)
  const fits = (of: Reading[], then: number[]) => of.every((reading, n) => Math.abs(deviation(reading, then[n]!)) <= tolerance + 1e-6)
  const closes = fits(readings, values) || fits(known, valuesOf(known))
  const mountOf = mountModels(array, catalogue)
  const pullsOut = (name: string) => {
    const screen = screens.find(screen => screen.name === name)
    const mount = mountOf(plan.positions.find(({ id }) => id === screen?.id) ?? {})
    return mount !== undefined && mountKindOf(mount).pullsOut
  }
  const sequence = sequenceOf(screens, readings, by, pullsOut)
  return {
    array: array.id, name: array.name, target: { ...array.gap, tolerance }, closes, round: seams.round,
    leftOut: leftOutOf(seams, screens, array.gap),
    before: worstOf(readings, readings.map(({ value }) => value)), after: worstOf(readings, values),
    moves: movesOf(sequence.flatMap(step => step.screens.map(name => screens.find(screen => screen.name === name)!)), by, exact), sequence,
    predicted: readings.map((reading, n) => ({ reading, before: reading.value, after: values[n]! })),
    binding: closes ? [] : bindingOf(readings, values, screens, best!, tolerance),
  }
}

/** The last readings of an array. */
export const lastSeams = (log: LogEntry[], wall: Pick<Wall, 'id' | 'formerId'>, array: string): EntryOf<'seams'> | undefined => ofKind(standing(log, wall), 'seams').findLast(each => each.array === array)
