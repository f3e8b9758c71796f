import type { Rect } from '../geometry'
import type { Placing, ScreenArray } from '../job'
import { figure, words, type Figure } from '../units'
import type { OrientedDisplay } from './orientation'

/** Run of `count` cases of one size with a gap between neighbours: count·size + (count − 1)·gap, mm. */
export function run(count: number, size: number, gap: number): number {
  return count * size + (count - 1) * gap
}

/** The run of an array across or up the wall, with its working. */
export function runFigure(array: ScreenArray, display: OrientedDisplay, axis: 'x' | 'y'): Figure {
  const [count, size, what] = axis === 'x' ? [array.columns, display.width, 'width'] : [array.rows, display.height, 'height']
  const gap = array.gap[axis]
  return figure([{
    label: `Outline ${what}`,
    expression: words`${String(count)} × ${size} + ${String(count - 1)} × ${gap}`,
    value: run(count, size, gap),
    unit: 'mm',
  }])
}

const ALONG = { left: 0, bottom: 0, centre: 0.5, right: 1, top: 1 }

/** Lower or left end of a stretch of `length` whose named edge is at `value`, mm. */
export function startOf(at: Placing['x'] | Placing['y'], length: number): number {
  return at.value - ALONG[at.edge] * length
}

/** The same place on the wall, told by another edge of a stretch of `length`. */
export function retellPlacing<E extends keyof typeof ALONG>(at: Placing['x'] | Placing['y'], length: number, edge: E): { edge: E, value: number } {
  return { edge, value: startOf(at, length) + ALONG[edge] * length }
}

/** The outline of an array's cases on the wall, mm. */
export function outlineOf(array: ScreenArray, display: OrientedDisplay): Rect {
  const width = run(array.columns, display.width, array.gap.x)
  const height = run(array.rows, display.height, array.gap.y)
  return { x: startOf(array.at.x, width), y: startOf(array.at.y, height), width, height }
}
