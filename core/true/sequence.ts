import { after, type Reading } from './seam'
import type { Adjuster, TrueScreen } from './screen'

/** Screens of a row that are turned together, in order: reached with the row pulled out where its mount comes out. */
export interface TurnStep {
  row: number
  screens: string[]
  /** Whether the screens are pulled out to be turned, and pushed home and locked before the next row. */
  pulled: boolean
  /** Cases would be against one another in between, by so much, mm: whatever order is taken. */
  touches?: number
}

/** A gap may be so little above nothing in between, mm. */
const NOTHING = 1e-6

/** How far the tightest gap is below nothing, mm: 0 where no case is against another; what is tight already and gets no tighter does not count. */
function overlap(gaps: Reading[], before: number[], now: number[]): number {
  return Math.max(0, ...gaps.map((_, n) => now[n]! < before[n]! - NOTHING ? -now[n]! : 0))
}

/** The order of some things in which what each does leaves no case against another: the first of them that does, again and again. */
function inOrder<Thing>(things: Thing[], screensOf: (thing: Thing) => string[], gaps: Reading[], moved: (screen: string, adjuster: Adjuster) => number, done: Set<string>): { thing: Thing, touches: number }[] {
  const left = [...things]
  const order: { thing: Thing, touches: number }[] = []
  const valuesWith = (also: string[]) => gaps.map(reading => after(reading, (screen, adjuster) => done.has(screen) || also.includes(screen) ? moved(screen, adjuster) : 0))
  while (left.length > 0) {
    const before = valuesWith([])
    const tried = left.map(thing => ({ thing, touches: overlap(gaps, before, valuesWith(screensOf(thing))) }))
    const next = tried.find(({ touches }) => touches <= NOTHING) ?? tried.reduce((a, b) => b.touches < a.touches ? b : a)
    left.splice(left.indexOf(next.thing), 1)
    for (const screen of screensOf(next.thing)) done.add(screen)
    order.push(next)
  }
  return order
}

/**
 * The order in which screens are turned: row by row from the top, as nobody works below what is not locked, unless a
 * row so turned would come against one that is still to be turned; and in a row from the left by the same rule.
 *
 * @param moved how far each adjuster goes, mm
 * @param pullsOut whether a screen's mount comes out of the wall
 */
export function sequenceOf(screens: TrueScreen[], readings: Reading[], moved: (screen: string, adjuster: Adjuster) => number, pullsOut: (screen: string) => boolean): TurnStep[] {
  const gaps = readings.filter(({ kind }) => kind === 'gap')
  const turning = screens.filter(({ name, travels }) => travels.some(({ adjuster }) => Math.abs(moved(name, adjuster)) > 1e-9)).sort((a, b) => a.row - b.row || a.column - b.column)
  const rows = [...new Set(turning.map(({ row }) => row))].map(row => ({ row, names: turning.filter(screen => screen.row === row).map(({ name }) => name) }))
  const done = new Set<string>()
  return inOrder(rows, ({ names }) => names, gaps, moved, new Set()).map(({ thing: { row, names }, touches }) => {
    const inRow = inOrder(names, name => [name], gaps, moved, done)
    const most = Math.max(touches, ...inRow.map(each => each.touches))
    return { row, screens: inRow.map(({ thing }) => thing), pulled: names.some(pullsOut), ...most > NOTHING && { touches: most } }
  })
}
