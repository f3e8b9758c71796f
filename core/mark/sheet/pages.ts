import type { Job, Wall } from '../../job'
import { HOUSE_RULES, chosenFigure, chosenOption, rulesFor } from '../../rules'
import { bitName, formatLength, stepOf, textToString, toleranceToString, type Precision, type UnitSystem } from '../../units'
import { accuracyOf, howTrue } from '../accuracy'
import { drawTape, drawWall, type Shown, type View } from './drawing'
import { footLine, INK, inLines, label, PAPERS, scaleFor, STOP, STOP_WASH, type Paper, type PaperName, type Sheet } from '../../sheet'
import { group, line, rect, type Shape } from '../../svg'
import { TABLE_HEADS, tableOf, type TableRow } from './table'

export interface SheetOptions { paper: PaperName, units: UnitSystem, precision: Precision }

/** A mark-out sheet, with the scale of its first page, 1:n. */
export interface MarkSheet extends Sheet { scale: number }

const LINE = 4.4
const TEXT = 2.7
const FOOT = 12
const COLUMNS: [keyof typeof TABLE_HEADS, number, 'start' | 'end'][] = [
  ['label', 0, 'start'], ['running', 0.42, 'end'], ['height', 0.545, 'end'], ['fromLevel', 0.675, 'end'], ['drill', 0.84, 'end'], ['into', 0.955, 'end'],
]

/** A mark's name can have so many letters before it comes to the figures. */
const LONGEST_NAME = 34
/** A name that is too long without its middle: its end tells marks of one array apart. */
const inShort = (name: string) => name.length <= LONGEST_NAME ? name : `${name.slice(0, 10)}…${name.slice(11 - LONGEST_NAME)}`

const RULES = 2.5
/** What the firm chose where good installers disagree. */
/** Rules that are told on every sheet: what is drilled rests on them. The others are told where somebody chose. */
const ALWAYS_TOLD = new Set<string>(['proofOfFraming', 'coveringCountsAsGap', 'hollowWallAnchors', 'blockJoints', 'furring', 'heightDatum'])

function houseRules({ rules, site }: Job, paper: Paper): string[] {
  const told = HOUSE_RULES.filter(({ key }) => ALWAYS_TOLD.has(key) || rules[key] !== undefined).map(rule => `${rule.title.toLowerCase()}: ${chosenOption(rule, rules).name}`)
  return inLines(`House rules: ${told.join('; ')}; standard deviation of one tape measurement ${toleranceToString(chosenFigure('markingSigma', rules, site.units), site.units)}.`, paper, RULES)
}
/** How deep the block at the top of every page is. */
const headOf = (job: Job, paper: Paper) => 17.4 + 3.3 * houseRules(job, paper).length

function titleBlock(job: Job, wall: Wall, plan: Shown, scale: number, paper: Paper, { units, precision }: SheetOptions): Shape {
  const { width, margin, title } = paper
  const head = headOf(job, paper)
  const show = (mm: number) => formatLength(mm, units, precision)
  const { datum, levelLine, marks } = plan.marking
  const accuracy = accuracyOf(marks, units, precision, chosenFigure('markingSigma', job.rules, units))
  const stops = plan.findings.filter(({ severity }) => severity === 'stop').length
  const tolerance = (mm: number) => toleranceToString(mm, units)
  return group({},
    label(`${job.site.name} · ${wall.name}`, margin, margin + 4.5, 5, { 'font-weight': 600 }),
    label(`Mark-out · drawn 1:${scale} on ${title} · ${units === 'metric' ? 'millimetres' : 'feet and inches'}`, width - margin, margin + 4.5, 3.4, { 'text-anchor': 'end' }),
    stops > 0 ? label(`Not to be drilled from: ${stops} ${stops === 1 ? 'stop stands' : 'stops stand'} against this plan.`, width - margin, margin + 9.5, 3.4, { 'text-anchor': 'end', 'font-weight': 600, 'fill': STOP }) : '',
    label(`Datum: ${datum.label}. Every figure runs from there; never add from mark to mark.`
      + (levelLine ? ` Level line ${show(levelLine.y)} above finished floor: ${levelLine.label}.${levelLine.turn ? ` It is not level: it runs with a line of the building, ${levelLine.turn.slope} mm/m up to the right; strike it by its two heights and measure square to it.` : ''}` : ''), margin, margin + 9.5, 2.9),
    label(`Rounded once to ${units === 'metric' ? `${stepOf(units, precision)} mm` : `1/${precision.denominator ?? 16} in`}, at most ${tolerance(accuracy.rounding)} off, the level line’s own rounding included. ${howTrue(accuracy, job.rules, units)}`, margin, margin + 13.5, 2.9),
    ...houseRules(job, paper).map((text, n) => label(text, margin, margin + 17 + 3.3 * n, RULES)),
    line(margin, margin + head - 2, width - margin, margin + head - 2, { 'stroke': INK, 'stroke-width': 0.4 }))
}

/** Rails and boards to cut, and where each goes. */
function stripsOf({ arrays, marking: { datum } }: Shown, { units, precision }: SheetOptions): string[] {
  const show = (mm: number) => formatLength(mm, units, precision)
  return arrays.flatMap(({ name, strips }) => strips.map(({ row, of, rect, supports }) =>
    `${name}, row ${row}: ${of === 'board' ? `board ${show(rect.width)} × ${show(rect.height)}` : `rail behind the ${of} slots, ${show(rect.width)} long`}, its ends at ${show(rect.x - datum.x)} and ${show(rect.x + rect.width - datum.x)}, its middle ${show(rect.y + rect.height / 2)} up, on members ${supports.map(({ member }) => member + 1).join(', ')}.`))
}

/** What is opened and bored for cables, and closed again; nothing where nothing is. */
function cableWorkOf({ wiring: { works, boxes } }: Shown, { units, precision }: SheetOptions): string[] {
  const cut = boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0).length
  if (cut + works.bores.length + works.openings.length === 0) return []
  const sizes = [...new Set(works.bores.map(({ diameter }) => diameter).filter(Number.isFinite))].sort((a, b) => a - b).map(size => bitName(size, units))
  return [
    `For cables: boxes ${cut}, openings ${works.openings.length}, bored holes ${works.bores.length}${sizes.length > 0 ? ` (${sizes.join(', ')})` : ''}, seals ${works.seals}, patches ${works.patches}, steel plates ${works.guards}. Isolate, prove dead and detect live cables before anything is cut; never a rated wall without its approved seal.`,
    ...works.openings.length > 0 ? [`Openings are cut sloping so that their piece goes back, ${works.openings.map(({ rect }) => `${formatLength(rect.width, units, precision)} × ${formatLength(rect.height, units, precision)}`).join(', ')}: keep the piece, seal the hole, screw it to battens, tape, fill twice, dry by the filler’s own sheet before sanding.`] : [],
  ]
}

/** What people decided against what was worked out: each a line for the sheet. */
function decisionsOf({ findings }: Shown, units: UnitSystem): string[] {
  return findings.flatMap(({ code, message, overridden }) => {
    const told = textToString(message, units)
    if (overridden) return [`Stop overridden by ${overridden.by}, ${overridden.at.slice(0, 10)}: “${overridden.reason}”. ${told}`]
    return code === 'plate-by-hand' || code === 'hole-by-hand' ? [told] : []
  })
}

/** Decisions as lines, as many to a page as it holds below its head. */
function decisionPages(decisions: string[], head: number, paper: Paper): Shape[] {
  const { height, margin } = paper
  const lines = decisions.flatMap(decision => inLines(decision, paper, TEXT))
  const each = Math.floor((height - 2 * margin - head - FOOT - 8) / LINE)
  return Array.from({ length: Math.ceil(lines.length / each) }, (_, page) => group({},
    label('Rails, boards, work for cables, and what was decided by hand', margin, margin + head + 4, 3.6, { 'font-weight': 600 }),
    ...lines.slice(page * each, (page + 1) * each).map((line, n) => label(line, margin, margin + head + 10 + n * LINE, TEXT))))
}

/** A bar of known length, so that a print that was scaled to fit can be told. */
function scaleBar(x: number, y: number, units: UnitSystem): Shape {
  const [length, text] = units === 'metric' ? [100, 'this bar is 100 mm long'] : [101.6, 'this bar is 4 in long']
  const stroke = { 'stroke': INK, 'stroke-width': 0.3 }
  return group({}, line(x, y, x + length, y, stroke), line(x, y - 1.2, x, y + 1.2, stroke), line(x + length, y - 1.2, x + length, y + 1.2, stroke), label(text, x + length + 2, y + 0.9, 2.6))
}

function tableColumn(rows: TableRow[], x: number, top: number, width: number): Shape {
  const cell = (text: string, [, at, anchor]: typeof COLUMNS[number], y: number, weight?: number) =>
    label(text, x + at * width, y, TEXT, { 'text-anchor': anchor, 'font-weight': weight })
  return group({},
    ...COLUMNS.map(column => cell(TABLE_HEADS[column[0]], column, top + 3, 600)),
    line(x, top + LINE, x + width, top + LINE, { 'stroke': INK, 'stroke-width': 0.3 }),
    ...rows.flatMap((row, index) => {
      const y = top + LINE * (index + 1)
      return [
        row.misses ? rect(x, y + 0.2, width, LINE - 0.2, { fill: STOP_WASH }) : '',
        ...COLUMNS.map(column => cell(column[0] === 'label' ? inShort(row.label) : row[column[0]], column, y + 3.1, row.misses ? 600 : undefined)),
        rect(x + width - 2.2, y + 1, 2.2, 2.2, { 'fill': 'none', 'stroke': INK, 'stroke-width': 0.18 }),
        line(x, y + LINE, x + width, y + LINE, { 'stroke': '#b9b4a6', 'stroke-width': 0.1 }),
      ]
    }))
}

/** Fills a space with as many rows as it holds, column beside column; returns what is left over. */
function fillTable(rows: TableRow[], top: number, paper: Paper): { drawn: Shape | string, rest: TableRow[] } {
  const wide = paper.width - 2 * paper.margin
  const columns = Math.floor(wide / 125)
  const gap = 6
  const width = (wide - (columns - 1) * gap) / columns
  const each = Math.floor((paper.height - paper.margin - FOOT - top) / LINE) - 1
  if (each < 1) return { drawn: '', rest: rows }
  const drawn = Array.from({ length: columns }, (_, n) => rows.slice(n * each, (n + 1) * each))
    .map((part, n) => part.length > 0 ? tableColumn(part, paper.margin + n * (width + gap), top, width) : '')
  return { drawn: group({}, ...drawn), rest: rows.slice(columns * each) }
}

/**
 * Draws the mark-out sheet of one wall: the wall to a stated scale with the tape along its foot,
 * then the table of every mark, on as many pages as it takes.
 */
export function drawSheet(of: Job, wall: Wall, plan: Shown, options: SheetOptions): MarkSheet {
  const job = { ...of, rules: rulesFor(of, wall) }
  const paper = PAPERS[options.paper]
  const { margin } = paper
  const deep = headOf(job, paper)
  const space = { width: paper.width - 2 * margin - 12, height: (paper.height - 2 * margin - deep - FOOT) * 0.55 }
  const scale = scaleFor(wall, space, options.units)
  const view: View = { left: margin + 6, foot: margin + deep + wall.height / scale + 1, scale }
  const show = (mm: number) => formatLength(mm, options.units, options.precision)

  const bodies: (Shape | string)[] = []
  const first = fillTable(tableOf(plan.marking.marks, options.units, options.precision), view.foot + 15, paper)
  bodies.push(group({}, drawWall(wall, plan, view), drawTape(plan, view, show), scaleBar(margin, view.foot + 11, options.units), first.drawn))
  let { rest } = first
  while (rest.length > 0) {
    const next = fillTable(rest, margin + deep + 2, paper)
    bodies.push(next.drawn)
    rest = next.rest
  }
  bodies.push(...decisionPages([...stripsOf(plan, options), ...cableWorkOf(plan, options), ...decisionsOf(plan, options.units)], deep, paper))
  const head = titleBlock(job, wall, plan, scale, paper, options)
  return { pages: bodies.map((body, n) => group({}, head, body, footLine(paper, n + 1, bodies.length))), scale, paper }
}
