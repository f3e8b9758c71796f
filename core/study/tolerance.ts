import type { Display, Mount, Rules, ScreenArray } from '../job'
import { chosenFigure } from '../rules'
import { chance, type Chance } from '../survey/simulate'

/** How marks are made: each from the datum, or each from the one before. */
export type Marking = 'running' | 'mark-to-mark'

/** What makes a wall other than it was planned, mm. */
export interface Causes {
  /** One σ of a mark, and of how far a drill wanders from it. */
  marking: number
  drilling: number
  /** How far a plate lies loose about its screws in all, evenly. */
  slack: number
  /** How far a case's size is off its sheet either way at most, evenly. */
  size: number
}
export const CAUSES = ['marking', 'drilling', 'slack', 'size'] as const

/** A wall as the study sees it: its grid, the gaps that it is to have, and what the adjusters can do along each axis, mm. */
export interface StudiedWall { rows: number, columns: number, gap: { x: number, y: number }, travel: { x: number, y: number }, tolerance: number }

/** A share of trials with its 95 % interval (Wilson). */
export interface Share { p: number, low: number, high: number }

const Z = 1.959964

/**
 * The share of so many trials that came out well, with the interval in which the true one lies 95 times of a hundred
 * (Wilson, 1927).
 *
 * @example
 * wilson(50, 100) // { p: 0.5, low: 0.404, high: 0.596 }, rounded
 */
export function wilson(well: number, trials: number): Share {
  const p = well / trials
  const square = Z * Z
  const middle = (p + square / (2 * trials)) / (1 + square / trials)
  const half = Z / (1 + square / trials) * Math.sqrt(p * (1 - p) / trials + square / (4 * trials * trials))
  return { p, low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}

/** How far each of a line of plates is off, as it was marked, drilled and fixed. */
function offsets(count: number, by: Marking, { marking, drilling, slack }: Causes, luck: Chance): number[] {
  let walk = 0
  return Array.from({ length: count }, () => {
    const mark = luck.off(marking)
    walk += mark
    return (by === 'running' ? mark : walk) + luck.off(drilling) + (luck.between(0, 1) - 0.5) * slack
  })
}

/**
 * Whether the adjusters of a line of screens can close all its seams: places within so much of where each stands, with
 * every gap within the tolerance of what it is to be and none below zero. Going along the line with the stretch that
 * the last screen may be in is exact, as each seam binds two neighbours only.
 */
function closes(stand: number[], sizes: number[], travel: number, gap: number, tolerance: number): boolean {
  let [from, to] = [stand[0]! - travel, stand[0]! + travel]
  for (let n = 1; n < stand.length; n++) {
    const grown = (sizes[n - 1]! + sizes[n]!) / 2
    from = Math.max(from + grown + Math.max(-tolerance, -gap), stand[n]! - travel)
    to = Math.min(to + grown + tolerance, stand[n]! + travel)
    if (from > to + 1e-12) return false
  }
  return true
}

/** Whether one wall, drawn by chance, closes: each row along it, each column up it. */
function trial({ rows, columns, gap, travel, tolerance }: StudiedWall, by: Marking, causes: Causes, luck: Chance): boolean {
  const sizes = Array.from({ length: rows }, () => Array.from({ length: columns }, () => ({ x: luck.between(-1, 1) * causes.size, y: luck.between(-1, 1) * causes.size })))
  for (let row = 0; row < rows; row++) if (!closes(offsets(columns, by, causes, luck), sizes[row]!.map(({ x }) => x), travel.x, gap.x, tolerance)) return false
  for (let column = 0; column < columns; column++) if (!closes(offsets(rows, by, causes, luck), sizes.map(row => row[column]!.y), travel.y, gap.y, tolerance)) return false
  return true
}

/** How often a wall closes of so many trials; the same seed gives the same answer. */
export function shareThatCloses(wall: StudiedWall, by: Marking, causes: Causes, trials: number, seed: number): Share {
  const luck = chance(seed)
  let well = 0
  for (let n = 0; n < trials; n++) if (trial(wall, by, causes, luck)) well++
  return wilson(well, trials)
}

/** What a study of a wall tells: how often it closes by either way of marking, and how often it would without each cause. */
export interface Study { running: Share, markToMark: Share, causes: { cause: typeof CAUSES[number], p: number }[] }

/** Studies a wall by trial: by both ways of marking, and with each cause turned off in turn, by the way that is the house's. */
export function study(wall: StudiedWall, causes: Causes, trials: number, seed: number, by: Marking = 'running'): Study {
  return {
    running: shareThatCloses(wall, 'running', causes, trials, seed), markToMark: shareThatCloses(wall, 'mark-to-mark', causes, trials, seed),
    causes: CAUSES.map(cause => ({ cause, p: shareThatCloses(wall, by, { ...causes, [cause]: 0 }, trials, seed).p })).sort((a, b) => b.p - a.p),
  }
}

/** An array as the study sees it, and what makes it other than it was planned, by its models and the house rules; a display whose sheet gives no tolerance of its size is taken to be true to it. */
export function studiedArray({ rows, columns, gap }: Pick<ScreenArray, 'rows' | 'columns' | 'gap'>, { adjust = {} }: Pick<Mount, 'adjust'>, { sizeTolerance = 0 }: Pick<Display, 'sizeTolerance'>, rules: Rules): { wall: StudiedWall, causes: Causes } {
  const of = (key: Parameters<typeof chosenFigure>[0]) => chosenFigure(key, rules, 'metric')
  return {
    wall: { rows, columns, gap, travel: { x: adjust.lateral ?? 0, y: adjust.height ?? 0 }, tolerance: of('seamTolerance') },
    causes: { marking: of('markingSigma'), drilling: of('drillWander'), slack: of('plateSlack'), size: sizeTolerance },
  }
}
