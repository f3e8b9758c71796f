import {
  draftAcross, drawTile, footLine, INK, inLines, issueLine, label, PAPERS, scaleBar, STOP, tilesOf, type Issue,
  type PaperName, type Sheet,
} from '../../sheet'
import { circle, group, line, rect, type Shape } from '../../svg'
import { bitName, formatLength, type Precision, type UnitSystem } from '../../units'
import type { Marking } from '../index'
import type { TemplateSubject } from './subjects'

export * from './subjects'

/** How templates are drawn. */
export interface TemplateOptions { paper: PaperName, units: UnitSystem, precision: Precision, issue?: Issue }

const THIN = { 'stroke': INK, 'stroke-width': 0.2, 'fill': 'none' }
const CUT = { ...THIN, 'stroke': STOP, 'stroke-width': 0.35 }
const CHAIN = { ...THIN, 'stroke': '#2350a0', 'stroke-dasharray': '6 1.5 1 1.5' }
/** Lines through the middle go so far past the outline, mm, and all lies so far from the drawing's edge. */
const PAST = 12
const EDGE = 6
const HEAD = 27
const FOOT = 16

/** A template as large as it is, from the drawing's top left corner. */
function drawSubject(
  { kind, outline, slots, holes }: TemplateSubject,
  { units, precision }: TemplateOptions,
): { drawing: Shape, size: { width: number, height: number } } {
  const margin = PAST + EDGE
  const size = { width: outline.width + 2 * margin, height: outline.height + 2 * margin }
  const x = (mm: number) => mm - outline.x + margin
  const y = (mm: number) => outline.y + outline.height - mm + margin
  const cross = (at: { x: number, y: number }, by: number) =>
    group(
      {},
      line(x(at.x) - by, y(at.y), x(at.x) + by, y(at.y), CUT),
      line(x(at.x), y(at.y) - by, x(at.x), y(at.y) + by, CUT),
    )
  const drill = ({ bit, depth }: TemplateSubject['holes'][number]) =>
    bit === undefined
      ? 'bit not known'
      : `${bitName(bit, units)}${depth === undefined ? '' : ` × ${formatLength(depth, units, precision)}`}`
  const right = outline.x + outline.width
  const top = outline.y + outline.height
  return {
    size,
    drawing: group(
      {},
      rect(x(outline.x), y(top), outline.width, outline.height, kind === 'plate' ? THIN : CUT),
      line(x(0), y(top + PAST), x(0), y(outline.y - PAST), CHAIN),
      line(x(outline.x - PAST), y(0), x(right + PAST), y(0), CHAIN),
      label('TOP', x(0) + 2, y(top) - 2, 4, { 'font-weight': 600 }),
      ...slots.map(slot =>
        rect(
          x(slot.x1) - slot.diameter / 2,
          y(slot.y) - slot.diameter / 2,
          slot.x2 - slot.x1 + slot.diameter,
          slot.diameter,
          { ...THIN, 'stroke-dasharray': '2 1' },
        ),
      ),
      ...holes.map(hole =>
        group(
          {},
          cross(hole, 8),
          hole.bit === undefined ? '' : circle(x(hole.x), y(hole.y), hole.bit / 2, CUT),
          label(drill(hole), x(hole.x) + 3, y(hole.y) - 3, 3),
        ),
      ),
    ),
  }
}

/** Where each that a template is for goes: its middle from the datum and above the floor. */
function placesOf({ names, at }: TemplateSubject, { datum }: Marking, { units, precision }: TemplateOptions): string {
  const show = (mm: number) => formatLength(mm, units, precision)
  return `Centre from ${datum.label} and above `
    + `floor: ${at.map(({ x, y }, n) => `${names[n]} ${show(x - datum.x)} and ${show(y)}`).join('; ')}.`
}

/**
 * Templates as large as what they show, each over as many pages as it needs: tiles with crosses in their overlaps, and
 * a bar by which the printer is checked.
 *
 * @param of what the wall and its site are called
 */
export function drawTemplates(
  of: { site: string, wall: string },
  subjects: TemplateSubject[],
  marking: Marking,
  options: TemplateOptions,
): Sheet {
  const paper = PAPERS[options.paper]
  const { margin, width, height } = paper
  const whole = { x: margin, y: margin + HEAD, width: width - 2 * margin, height: height - 2 * margin - HEAD - FOOT }
  const pages = subjects.flatMap((subject) => {
    const { drawing, size } = drawSubject(subject, options)
    const tiles = tilesOf(size, whole)
    const places = inLines(placesOf(subject, marking, options), paper, 2.7).slice(0, 3)
    return tiles.map((tile, n) =>
      group(
        {},
        label(
          `${of.site} · ${of.wall} · ${subject.kind === 'plate' ? 'plate' : 'cut-out'} template, 1:1`,
          margin,
          margin + 4.5,
          4.4,
          { 'font-weight': 600 },
        ),
        label(issueLine(options.issue), width - margin, margin + 4.5, 3.4, {
          'text-anchor': 'end',
          'font-weight': 600,
        }),
        ...places.map((text, k) => label(text, margin, margin + 9.5 + 3.6 * k, 2.7)),
        label(
          `${tiles.length > 1 ? `Page ${n + 1} of ${tiles.length} of this template. ` : ''}Print at 100 %. Measure `
          + `the bar below: if its length is wrong, do not drill from this print.`,
          margin,
          margin + HEAD - 5,
          2.9,
          { 'font-weight': 600 },
        ),
        drawTile(tile, drawing, size, whole),
        scaleBar(margin, height - margin - FOOT + 5, options.units),
      ),
    )
  })
  return {
    paper,
    pages: pages.map((page, n) =>
      group({}, draftAcross(options.issue, paper), page, footLine(paper, n + 1, pages.length)),
    ),
  }
}
