import { drawGrid, footLine, gridHeight, label, type GridColumn, type Paper, type Sheet } from '../sheet'
import { group } from '../svg'
import { textToString, type UnitSystem } from '../units'
import type { KitItem } from './kit'

/** The list of parts and tools of a wall on paper, to be ticked off where there is no screen at hand. */
export function drawKit(of: { site: string, wall: string }, kit: KitItem[], paper: Paper, units: UnitSystem): Sheet {
  const { margin, width, height } = paper
  const wide = width - 2 * margin
  const columns: GridColumn[] = [
    { title: 'On site', width: 0.07 * wide },
    { title: 'Quantity', width: 0.09 * wide, figures: true },
    { title: 'Spare', width: 0.07 * wide, figures: true },
    { title: 'Item', width: 0.4 * wide },
    { title: 'Use', width: 0.37 * wide },
  ]
  const rows = kit.map(({ name, count, spare, why }) => [
    '☐',
    String(count),
    spare > 0 ? String(spare) : '',
    textToString(name, units),
    textToString(why, units),
  ])
  const each = Math.max(1, Math.floor((height - 2 * margin - 24) / gridHeight(0)) - 1)
  const pages = Array.from({ length: Math.max(1, Math.ceil(rows.length / each)) }, (_, n) =>
    rows.slice(n * each, (n + 1) * each),
  )
  return { paper, pages: pages.map((part, n) => group({},
    label(`${of.site} · ${of.wall}: parts and tools`, margin, margin + 4.5, 4.6, { 'font-weight': 600 }),
    drawGrid(columns, part, margin, margin + 9), footLine(paper, n + 1, pages.length))) }
}
