import { INK, label, STOP_WASH, type Paper } from '../../sheet'
import { group, line, rect, type Shape } from '../../svg'
import { TABLE_HEADS, type TableRow } from './table'

/** A line of the table on paper: a mark, or what those below it have in common. */
export type TableLine = TableRow | { heading: string }

const LINE = 4.4
const TEXT = 2.7
/** So much is kept free at the foot of a page, mm. */
export const FOOT = 12
const COLUMNS: [keyof typeof TABLE_HEADS, number, 'start' | 'end'][] = [
  ['label', 0, 'start'],
  ['running', 0.408, 'end'],
  ['height', 0.529, 'end'],
  ['fromLevel', 0.645, 'end'],
  ['drill', 0.864, 'end'],
  ['into', 0.965, 'end'],
]

/** What marks have in common stands on this. */
const HEADING = '#e7e1d2'

/** A mark's name can have so many letters before it comes to the figures. */
const LONGEST_NAME = 34
/** A name that is too long without its middle: its end tells marks of one array apart. */
const inShort = (name: string) =>
  name.length <= LONGEST_NAME ? name : `${name.slice(0, 10)}…${name.slice(11 - LONGEST_NAME)}`

const isHeading = (line: TableLine): line is { heading: string } => 'heading' in line

function tableColumn(rows: TableLine[], x: number, top: number, width: number): Shape {
  const cell = (text: string, [, at, anchor]: typeof COLUMNS[number], y: number, weight?: number) =>
    label(text, x + at * width, y, TEXT, { 'text-anchor': anchor, 'font-weight': weight })
  return group({},
    ...COLUMNS.map(column => cell(TABLE_HEADS[column[0]], column, top + 3, 600)),
    line(x, top + LINE, x + width, top + LINE, { 'stroke': INK, 'stroke-width': 0.3 }),
    ...rows.flatMap((row, index) => {
      const y = top + LINE * (index + 1)
      if (isHeading(row))
        return [
          rect(x, y + 0.2, width, LINE - 0.2, { fill: HEADING }),
          label(row.heading, x + 0.6, y + 3.1, TEXT, { 'font-weight': 600 }),
        ]
      return [
        row.misses ? rect(x, y + 0.2, width, LINE - 0.2, { fill: STOP_WASH }) : '',
        ...COLUMNS.map(column =>
          cell(
            column[0] === 'label' ? inShort(row.label) : row[column[0]],
            column,
            y + 3.1,
            row.misses ? 600 : undefined,
          ),
        ),
        rect(x + width - 2.2, y + 1, 2.2, 2.2, { 'fill': 'none', 'stroke': INK, 'stroke-width': 0.18 }),
        line(x, y + LINE, x + width, y + LINE, { 'stroke': '#b9b4a6', 'stroke-width': 0.1 }),
      ]
    }))
}

/** The lines of one column: a heading never stands last in it, without the marks below it. */
function columnOf(lines: TableLine[], each: number): TableLine[] {
  const part = lines.slice(0, each)
  return part.length > 1 && part.length < lines.length && isHeading(part.at(-1)!) ? part.slice(0, -1) : part
}

/** Fills a space with as many rows as it holds, column beside column; returns what is left over. */
export function fillTable(rows: TableLine[], top: number, paper: Paper): { drawn: Shape | string, rest: TableLine[] } {
  const wide = paper.width - 2 * paper.margin
  const columns = Math.floor(wide / 125)
  const gap = 6
  const width = (wide - (columns - 1) * gap) / columns
  const each = Math.floor((paper.height - paper.margin - FOOT - top) / LINE) - 1
  if (each < 2) return { drawn: '', rest: rows }
  const drawn: Shape[] = []
  let rest = rows
  for (let n = 0; n < columns && rest.length > 0; n++) {
    const part = columnOf(rest, each)
    drawn.push(tableColumn(part, paper.margin + n * (width + gap), top, width))
    rest = rest.slice(part.length)
  }
  return { drawn: group({}, ...drawn), rest }
}
