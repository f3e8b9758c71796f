import type { Rect } from '../geometry'
import type { Placing, ScreenArray } from '../job'
import { figure, words, type Figure, type Text } from '../units'
import type { Cell } from './cell'
import { run, type Layout } from './grid'
import type { OrientedDisplay } from './orientation'

/** The outline of an array across or up the wall, with its working. */
export function runFigure(array: ScreenArray, display: OrientedDisplay, cells: Cell[], axis: 'x' | 'y'): Figure {
  const [count, size, what]
    = axis === 'x' ? [array.columns, display.width, 'width'] : [array.rows, display.height, 'height']
  const gap = array.gap[axis]
  const label = `Overall ${what}`
  if (array.align === undefined || cells.length === 0) {
    return figure([
      {
        label,
        expression: words`${String(count)} × ${size} + ${String(count - 1)} × ${gap}`,
        value: run(count, size, gap),
        unit: 'mm',
      },
    ])
  }
  const sizes = cells.map(({ outer }) => axis === 'x' ? outer.width : outer.height)
  const ends = cells.map(({ outer }) =>
    axis === 'x' ? [outer.x, outer.x + outer.width] : [outer.y, outer.y + outer.height],
  )
  const value = Math.max(...ends.map(([, to]) => to!)) - Math.min(...ends.map(([from]) => from!))
  const sum = sizes.reduce<Text>((text, mm, n) => n === 0 ? words`${mm}` : words`${text} + ${mm}`, [])
  return figure([
    {
      label,
      expression:
        count > 1 ? words`${sum} + ${String(count - 1)} × ${gap}` : words`from the lowest edge to the highest edge`,
      value,
      unit: 'mm',
    },
  ])
}

const ALONG = { left: 0, bottom: 0, centre: 0.5, right: 1, top: 1 }

/** Lower or left end of a stretch of `length` whose named edge is at `value`, mm. */
export function startOf(at: Placing['x'] | Placing['y'], length: number): number {
  return at.value - ALONG[at.edge] * length
}

/** The same place on the wall, told by another edge of a stretch of `length`. */
export function retellPlacing<E extends keyof typeof ALONG>(
  at: Placing['x'] | Placing['y'],
  length: number,
  edge: E,
): { edge: E, value: number } {
  return { edge, value: startOf(at, length) + ALONG[edge] * length }
}

/** The outline on the wall of screens that lie so to each other, mm. */
export function outlineOf(at: Placing, { width, height }: Pick<Layout, 'width' | 'height'>): Rect {
  return { x: startOf(at.x, width), y: startOf(at.y, height), width, height }
}
