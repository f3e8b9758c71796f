import { dateText } from '../dates'
import { drawWall, type View } from '../mark/sheet'
import {
  drawGrid, footLine, gridHeight, INK, label, PAPERS, scaleBar, scaleFor, STOP, type GridColumn,
  type PaperName, type Sheet,
} from '../sheet'
import { circle, group, line, type Shape } from '../svg'
import { formatLength, type Precision, type UnitSystem } from '../units'
import type { Point } from '../geometry'
import type { Difference } from './difference'
import type { SheetSource } from './source'

const FROM = { 'stroke': '#6b6a63', 'stroke-width': 0.25, 'stroke-dasharray': '0.7 0.5', 'fill': 'none' }
const TO = { 'stroke': STOP, 'stroke-width': 0.4, 'fill': 'none' }
const HEAD = 16
const FOOT = 12

/** One line of what differs. */
interface Row { what: string, label: string, before: string, after: string, by: string }

const pair = (show: (mm: number) => string, datum: number, { x, y }: Point) =>
  `${show(x - datum)}, ${show(y)} above floor`

/** What differs between two revisions, a line a mark, in words and figures of a unit. */
export function differenceRows(
  { moved, added, gone, redrilled }: Difference,
  before: SheetSource,
  after: SheetSource,
  units: UnitSystem,
  precision: Precision,
): Row[] {
  const show = (mm: number) => formatLength(mm, units, precision)
  const [old, now] = [before.plan.marking.datum.x, after.plan.marking.datum.x]
  return [
    ...moved.map(({ label, from, to, by }) => ({
      what: 'moved',
      label,
      before: pair(show, old, from),
      after: pair(show, now, to),
      by: show(by),
    })),
    ...added.map(({ label, at }) => ({ what: 'new', label, before: '', after: pair(show, now, at), by: '' })),
    ...gone.map(({ label, at }) => ({ what: 'removed', label, before: pair(show, old, at), after: '', by: '' })),
    ...redrilled.map(({ label }) => ({ what: 'bit or depth', label, before: '', after: '', by: '' })),
  ]
}

const named = ({ issue }: SheetSource) => issue ? `revision ${issue.revision}` : 'the draft'
const COLUMNS = (wide: number): GridColumn[] => [
  { title: 'Change', width: 0.12 * wide },
  { title: 'Mark', width: 0.34 * wide },
  { title: 'Before', width: 0.2 * wide, figures: true },
  { title: 'After', width: 0.2 * wide, figures: true },
  { title: 'Moved by', width: 0.14 * wide, figures: true },
]

/** Where marks were and are, drawn over the wall. */
function movesOn({ moved, added, gone }: Difference, at: (point: Point) => Point): Shape[] {
  const isHole = ({ kind }: { kind: string }) => kind === 'hole'
  const drawn = moved.filter(({ kind }) => kind === 'hole' || kind === 'plate-centre' || kind === 'bolt')
  return [
    ...drawn.flatMap(({ from, to }): Shape[] => {
      const [a, b] = [at(from), at(to)]
      return [circle(a.x, a.y, 1.3, FROM), line(a.x, a.y, b.x, b.y, TO), circle(b.x, b.y, 1.3, TO)]
    }),
    ...added.filter(isHole).map(mark => circle(at(mark.at).x, at(mark.at).y, 1.6, { ...TO, fill: STOP })),
    ...gone.filter(isHole).map(mark => circle(at(mark.at).x, at(mark.at).y, 1.6, FROM)),
  ]
}

/** In one sentence how much is different. */
function toldOf({ change, moved, added, gone, redrilled }: Difference, after: SheetSource): string {
  const made = after.plan.arrays
    .flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
    .filter(hole => hole.made === 'hit').length
  const bits = redrilled.length > 0 ? `, ${redrilled.length} with a different bit or depth` : ''
  return `${change.plates.length} plates and ${moved.length} marks moved, ${added.length} new, ${gone.length} `
    + `removed${bits}. ${made} holes already drilled at issue stay in place.`
}

/**
 * How two revisions differ: the later one drawn with where its marks were before, and every mark that moved, is new or
 * gone.
 */
export function drawDifference(
  before: SheetSource,
  after: SheetSource,
  difference: Difference,
  { paper: name, units, precision }: { paper: PaperName, units: UnitSystem, precision: Precision },
): Sheet {
  const paper = PAPERS[name]
  const { margin, width, height } = paper
  const scale = scaleFor(
    after.wall,
    { width: width - 2 * margin - 12, height: (height - 2 * margin - HEAD - FOOT) * 0.5 },
    units,
  )
  const view: View = { left: margin + 6, foot: margin + HEAD + after.wall.height / scale + 1, scale }
  const at = ({ x, y }: Point) => ({ x: view.left + x / scale, y: view.foot - y / scale })
  const rows = differenceRows(difference, before, after, units, precision)
    .map(({ what, label, before, after, by }) => [what, label, before, after, by])
  const head = group(
    {},
    label(
      `${after.site.name} · ${after.wall.name}: from ${named(before)} to ${named(after)}`,
      margin,
      margin + 4.5,
      4.8,
      { 'font-weight': 600 },
    ),
    label(
      [before, after]
        .map(({ issue }) =>
          issue ? `${issue.revision}: ${dateText(issue.at, issue.zone ?? 'UTC')}, ${issue.by}` : 'draft',
        )
        .join(' · '),
      width - margin,
      margin + 4.5,
      3,
      { 'text-anchor': 'end' },
    ),
    label(toldOf(difference, after), margin, margin + 10, 3),
    line(margin, margin + HEAD - 3, width - margin, margin + HEAD - 3, { 'stroke': INK, 'stroke-width': 0.4 }),
  )
  const columns = COLUMNS(width - 2 * margin)
  const room = (top: number) => Math.max(0, Math.floor((height - margin - FOOT - top) / gridHeight(0)) - 1)
  const bodies: Shape[] = []
  const top = view.foot + 12
  bodies.push(
    group(
      {},
      drawWall(after.wall, after.plan, view),
      ...movesOn(difference, at),
      scaleBar(margin, view.foot + 7, units),
      rows.length > 0
        ? drawGrid(columns, rows.slice(0, room(top)), margin, top)
        : label('No differences: marks and holes are the same.', margin, top + 4, 3.2),
    ),
  )
  for (let from = room(top); from < rows.length; from += room(margin + HEAD))
    bodies.push(drawGrid(columns, rows.slice(from, from + room(margin + HEAD)), margin, margin + HEAD))
  return { paper, pages: bodies.map((body, n) => group({}, head, body, footLine(paper, n + 1, bodies.length))) }
}
