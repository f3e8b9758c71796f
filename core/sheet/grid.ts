import { group, line, type Shape } from '../svg'
import { INK, label } from './text'

/** A column of a table on paper: what stands at its head, and how wide it is, mm; figures stand at its right. */
export interface GridColumn { title: string, width: number, figures?: boolean }

/** The usual size of type, mm, and how high a line is of any. */
const TEXT = 2.7
const lineOf = (type: number) => type * 4.6 / 2.7

/** Letters that a width holds at a size of type. */
const fits = (width: number, type: number) => Math.max(3, Math.floor((width - 1.5) / (0.5 * type)))
const short = (text: string, width: number, type: number) =>
  text.length > fits(width, type) ? `${text.slice(0, fits(width, type) - 1)}…` : text

/** How high a table of so many rows is on paper, mm. */
export const gridHeight = (rows: number, type = TEXT): number => lineOf(type) * (rows + 1)

/**
 * A table on paper: its head, a line below that, and its rows; what a column is too narrow for is cut with an ellipsis.
 */
export function drawGrid(columns: GridColumn[], rows: string[][], x: number, y: number, type = TEXT): Shape {
  const tall = lineOf(type)
  const base = tall - 1.6 * type / TEXT
  const lefts = columns.map((_, n) => x + columns.slice(0, n).reduce((sum, { width }) => sum + width, 0))
  const whole = columns.reduce((sum, { width }) => sum + width, 0)
  const cell = (text: string, n: number, at: number, weight?: number) => {
    const { width, figures } = columns[n]!
    return label(short(text, width, type), figures ? lefts[n]! + width - 1.5 : lefts[n]!, at, type, {
      'text-anchor': figures ? 'end' : 'start',
      'font-weight': weight,
    })
  }
  return group(
    {},
    ...columns.map(({ title }, n) => cell(title, n, y + base, 600)),
    line(x, y + tall - 0.4, x + whole, y + tall - 0.4, { 'stroke': INK, 'stroke-width': 0.3 }),
    ...rows.flatMap((row, k) => [
      ...row.map((text, n) => (text === '' ? '' : cell(text, n, y + tall * (k + 1) + base))),
      line(x, y + tall * (k + 2) - 0.4, x + whole, y + tall * (k + 2) - 0.4, {
        'stroke': '#b9b4a6',
        'stroke-width': 0.1,
      }),
    ]),
  )
}
