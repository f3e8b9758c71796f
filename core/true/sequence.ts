import type { Reading } from './seam'
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

/**
 * Gaps while screens are turned one after the other: as they are now, and how much each screen that is turned changes
 * which of them, mm.
 */
class Gaps {
  private readonly now: Float64Array
  private readonly changes = new Map<string, Map<number, number>>()

  constructor(gaps: Reading[], moved: (screen: string, adjuster: Adjuster) => number) {
    this.now = Float64Array.from(gaps, ({ value }) => value)
    gaps.forEach(({ effects }, n) => {
      for (const { screen, adjuster, by } of effects) {
        const of = this.changes.get(screen) ?? new Map<number, number>()
        of.set(n, (of.get(n) ?? 0) + by * moved(screen, adjuster))
        this.changes.set(screen, of)
      }
    })
  }

  private changesOf(screens: string[]): Map<number, number> {
    const all = new Map<number, number>()
    for (const screen of screens)
      for (const [n, by] of this.changes.get(screen) ?? []) all.set(n, (all.get(n) ?? 0) + by)
    return all
  }

  /**
   * How far the tightest gap would be below nothing once these are turned, mm: what is tight already and gets no
   * tighter does not count.
   */
  overlap(screens: string[]): number {
    return Math.max(0, ...[...this.changesOf(screens)].map(([n, by]) => by < -NOTHING ? -(this.now[n]! + by) : 0))
  }

  turn(screens: string[]): void {
    for (const [n, by] of this.changesOf(screens)) this.now[n]! += by
  }
}

/**
 * The order of some things in which what each does leaves no case against another: the first of them that does, again
 * and again.
 */
function inOrder<Thing>(
  things: Thing[],
  screensOf: (thing: Thing) => string[],
  gaps: Gaps,
): { thing: Thing, touches: number }[] {
  const left = [...things]
  const order: { thing: Thing, touches: number }[] = []
  while (left.length > 0) {
    const tried = left.map(thing => ({ thing, touches: gaps.overlap(screensOf(thing)) }))
    const next
      = tried.find(({ touches }) => touches <= NOTHING) ?? tried.reduce((a, b) => (b.touches < a.touches ? b : a))
    left.splice(left.indexOf(next.thing), 1)
    gaps.turn(screensOf(next.thing))
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
export function sequenceOf(
  screens: TrueScreen[],
  readings: Reading[],
  moved: (screen: string, adjuster: Adjuster) => number,
  pullsOut: (screen: string) => boolean,
): TurnStep[] {
  const gaps = readings.filter(({ kind }) => kind === 'gap')
  const turning = screens
    .filter(({ name, travels }) => travels.some(({ adjuster }) => Math.abs(moved(name, adjuster)) > 1e-9))
    .sort((a, b) => a.row - b.row || a.column - b.column)
  const rows = [...new Set(turning.map(({ row }) => row))].map(row => ({
    row,
    names: turning.filter(screen => screen.row === row).map(({ name }) => name),
  }))
  const [byRow, byScreen] = [new Gaps(gaps, moved), new Gaps(gaps, moved)]
  return inOrder(rows, ({ names }) => names, byRow).map(({ thing: { row, names }, touches }) => {
    const inRow = inOrder(names, name => [name], byScreen)
    const most = Math.max(touches, ...inRow.map(each => each.touches))
    return {
      row,
      screens: inRow.map(({ thing }) => thing),
      pulled: names.some(pullsOut),
      ...(most > NOTHING && { touches: most }),
    }
  })
}
