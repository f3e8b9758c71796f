import { inLines, label, type Paper, type Sheet } from '../../sheet'
import { group, rect, type Shape } from '../../svg'
import { formatLength, type Precision, type UnitSystem } from '../../units'
import type { ScheduleLine } from './schedule'

/** A label as it is cut out, mm; beside each other and below each other so many as the paper holds. */
const SIZE = { width: 63, height: 21 }
const EDGE = { 'fill': 'none', 'stroke': '#8a8576', 'stroke-width': 0.12, 'stroke-dasharray': '1 1' }

const short = (text: string, most: number) => text.length > most ? `${text.slice(0, most - 1)}…` : text

/** What each end of a cable says: its number, what is at this end and at the other, and what it is. */
function labelAt(
  cable: ScheduleLine,
  end: 'from' | 'to',
  { x, y }: { x: number, y: number },
  units: UnitSystem,
  precision: Precision,
): Shape {
  const port = (at: 'from' | 'to') => (at === 'from' && cable.port !== undefined ? `, port ${cable.port}` : '')
  const [here, there] = end === 'from' ? (['from', 'to'] as const) : (['to', 'from'] as const)
  const length = formatLength(cable.reel ? cable.needed : (cable.taken ?? cable.needed), units, precision)
  return group(
    {},
    rect(x, y, SIZE.width, SIZE.height, EDGE),
    label(String(cable.number), x + 2, y + 9.5, 8, { 'font-weight': 600 }),
    label(short(`${cable[here]}${port(here)}`, 30), x + 17, y + 6, 3.2, { 'font-weight': 600 }),
    ...inLines(`other end: ${cable[there]}${port(there)}`, { width: SIZE.width - 19, margin: 0 }, 2.6)
      .slice(0, 2)
      .map((text, n) => label(text, x + 17, y + 9.6 + 3 * n, 2.6)),
    label(
      short(`${length}${units === 'metric' ? ' mm' : ''}, ${cable.kind}: ${cable.model}`, 54),
      x + 2,
      y + 17.4,
      2.6,
    ),
  )
}

/** Labels for both ends of every cable, in the order of the schedule, to be printed and cut out. */
export function drawLabels(
  schedule: ScheduleLine[],
  paper: Paper,
  units: UnitSystem,
  precision: Precision = {},
): Sheet {
  const columns = Math.floor((paper.width - 2 * paper.margin) / SIZE.width)
  const rows = Math.floor((paper.height - 2 * paper.margin) / SIZE.height)
  const ends = schedule.flatMap(
    cable =>
      [
        [cable, 'from'],
        [cable, 'to'],
      ] as const,
  )
  const pages = Array.from({ length: Math.max(1, Math.ceil(ends.length / (columns * rows))) }, (_, page) =>
    group(
      {},
      ...ends
        .slice(page * columns * rows, (page + 1) * columns * rows)
        .map(([cable, end], n) =>
          labelAt(
            cable,
            end,
            { x: paper.margin + (n % columns) * SIZE.width, y: paper.margin + Math.floor(n / columns) * SIZE.height },
            units,
            precision,
          ),
        ),
    ),
  )
  return { pages, paper }
}
