import type { Wall } from '../../job'
import { rulesFor } from '../../rules'
import {
  draftAcross, drawTile, footLine, inLines, label, PAPERS, qrCode, scaleBar, scaleFor, tilesOf, type Paper,
} from '../../sheet'
import { group, type Shape } from '../../svg'
import { formatLength } from '../../units'
import { inMarkingOrder } from '../order'
import { drawTape, drawWall, type Shown, type View } from './drawing'
import { headOf, titleBlock, type SheetJob } from './head'
import { cableWorkOf, decisionsOf, drillingOf, stripsOf } from './notes'
import type { MarkSheet, SheetOptions } from './options'
import { tableOf } from './table'
import { fillTable, FOOT, type TableLine } from './tablePages'

export type { MarkSheet, SheetOptions } from './options'
export type { SheetJob } from './head'

const LINE = 4.4
const TEXT = 2.7

/** How large the code is that holds the signed head of the log, mm, and how many lines of the last page it covers. */
const PROOF = { size: 26, lines: 7 }

/** The head of the log as the server signed it, at the foot of a page. */
function proofOf(proof: string, { width, height, margin }: Paper): Shape {
  const [left, top] = [width - margin - PROOF.size, height - margin - FOOT - PROOF.size]
  const beside = [
    'Head of the site’s log when this revision was issued, signed by the server.',
    'Check it with: wt log verify FILE --head “what this code holds” --key “the server’s public key”.',
  ]
  return group({}, qrCode(proof, left, top, PROOF.size), ...beside.map((text, n) =>
    label(text, left - 2, top + PROOF.size - 8 + n * LINE, TEXT, { 'text-anchor': 'end' })))
}

/** Decisions as lines, as many to a page as it holds below its head; the signed head of the log on the last. */
function decisionPages(decisions: string[], head: number, paper: Paper, proof: string | undefined): Shape[] {
  const { height, margin } = paper
  const lines = decisions.flatMap(decision => inLines(decision, paper, TEXT))
  const each = Math.floor((height - 2 * margin - head - FOOT - 8) / LINE) - (proof === undefined ? 0 : PROOF.lines)
  const title = 'Drilling, rails, boards, cable work and manual decisions'
  const pages = Math.max(Math.ceil(lines.length / each), proof === undefined ? 0 : 1)
  return Array.from({ length: pages }, (_, page) =>
    group(
      {},
      label(title, margin, margin + head + 4, 3.6, { 'font-weight': 600 }),
      proof !== undefined && page === pages - 1 ? proofOf(proof, paper) : '',
      ...lines
        .slice(page * each, (page + 1) * each)
        .map((line, n) => label(line, margin, margin + head + 10 + n * LINE, TEXT)),
    ),
  )
}

/**
 * The table's lines: every mark in the order in which a person makes them, under what those of a row have in common.
 */
function linesOf({ marking: { marks }, piece }: Shown, { units, precision }: SheetOptions): TableLine[] {
  return inMarkingOrder(marks).flatMap(({ title, marks }): TableLine[] => [
    { heading: title },
    ...tableOf(marks, units, precision, piece),
  ])
}

/** The drawing at a stated scale, over as many pages as it needs. */
function drawnOverPages(
  wall: Wall,
  plan: Shown,
  { scale, paper, top }: { scale: number, paper: Paper, top: number },
  options: SheetOptions,
): Shape[] {
  const { margin } = paper
  const whole = {
    x: margin,
    y: top + 3,
    width: paper.width - 2 * margin,
    height: paper.height - margin - FOOT - top - 9,
  }
  // The tape runs below the wall, and the level line past both of its ends.
  const size = { width: wall.width / scale + 12, height: wall.height / scale + 12 }
  const view: View = { left: 6, foot: wall.height / scale + 2, scale }
  const drawing = group(
    {},
    drawWall(wall, plan, view),
    drawTape(plan, view, mm => formatLength(mm, options.units, options.precision)),
  )
  return tilesOf(size, whole).map(tile =>
    group({}, drawTile(tile, drawing, size, whole), scaleBar(margin, paper.height - margin - FOOT + 2, options.units)),
  )
}

/**
 * Draws the mark-out sheet of one wall: the wall to a stated scale with the tape along its foot,
 * then the table of every mark, on as many pages as it takes.
 */
export function drawSheet(
  of: SheetJob & { firm?: { rules?: SheetJob['rules'] } },
  wall: Wall,
  plan: Shown,
  options: SheetOptions,
): MarkSheet {
  const job = { site: of.site, rules: rulesFor(of, wall) }
  const paper = PAPERS[options.paper]
  const { margin } = paper
  const deep = headOf(job, wall, paper)
  const space = { width: paper.width - 2 * margin - 12, height: (paper.height - 2 * margin - deep - FOOT) * 0.55 }
  const fits = scaleFor(wall, space, options.units)
  const scale = options.scale ?? fits
  const show = (mm: number) => formatLength(mm, options.units, options.precision)
  const bodies: (Shape | string)[] = []
  let rest = linesOf(plan, options)
  if (scale >= fits) {
    const view: View = { left: margin + 6, foot: margin + deep + wall.height / scale + 1, scale }
    const first = fillTable(rest, view.foot + 15, paper)
    bodies.push(
      group(
        {},
        drawWall(wall, plan, view),
        drawTape(plan, view, show),
        scaleBar(margin, view.foot + 11, options.units),
        first.drawn,
      ),
    )
    rest = first.rest
  }
  else bodies.push(...drawnOverPages(wall, plan, { scale, paper, top: margin + deep }, options))
  while (rest.length > 0) {
    const next = fillTable(rest, margin + deep + 2, paper)
    bodies.push(next.drawn)
    rest = next.rest
  }
  const notes = [
    ...drillingOf(plan, options.units),
    ...stripsOf(plan, options),
    ...cableWorkOf(plan, options),
    ...decisionsOf(plan, options.units),
  ]
  bodies.push(...decisionPages(notes, deep, paper, options.issue?.proof))
  const head = titleBlock(job, { wall, plan }, { scale, paper }, options)
  return {
    pages: bodies.map((body, n) =>
      group({}, draftAcross(options.issue, paper), head, body, footLine(paper, n + 1, bodies.length)),
    ),
    scale,
    paper,
  }
}
