import { CSV_OUT } from '../../core/csv'
import { drawKit, kitOf } from '../../core/hang'
import { drawSheet, type SheetOptions } from '../../core/mark/sheet'
import { drawTemplates, templateSubjects } from '../../core/mark/template'
import type { FormatOf } from '../../core/formats'
import { differenceOf, differenceRows, drawDifference, type SheetSource } from '../../core/revision'
import { PAPERS, sheetAsSvg, stamped, type Sheet } from '../../core/sheet'
import { textToString } from '../../core/units'
import Papa from 'papaparse'
import { marksAsCsv } from './csv'
import { wallAsDxf } from './dxf'
import { sheetAsPdf } from './pdf'

type File = Uint8Array | string
/** A table as spreadsheets read it: by its mark they know that it is UTF-8. */
const csv = (table: string) => `\uFEFF${table}`
const json = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`
const drawn = async (sheet: Sheet, format: 'pdf' | 'svg', title: string): Promise<File> =>
  format === 'svg' ? sheetAsSvg(sheet) : new Uint8Array(await sheetAsPdf(sheet, title))
const titleOf = ({ site, wall, issue }: SheetSource, what: string) =>
  `${site.name}, ${wall.name}: ${what}${issue ? `, revision ${issue.revision}` : ', draft'}`

type DrawOptions = Omit<SheetOptions, 'issue'>

/** Who writes a mark-out sheet as what. */
const SHEET_WRITERS: Record<FormatOf<'sheet'>, (source: SheetSource, options: DrawOptions) => File | Promise<File>> = {
  pdf: (source, options) => drawnSheet(source, 'pdf', options),
  svg: (source, options) => drawnSheet(source, 'svg', options),
  dxf: ({ wall, plan, issue }) => wallAsDxf(wall, plan, issue ? `REVISION ${issue.revision}` : 'DRAFT'),
  csv: ({ plan }, options) =>
    csv(marksAsCsv(plan.marking.marks, { ...options, ...(plan.piece && { piece: plan.piece }) })),
  json({ plan, issue }) {
    const issued = issue && { issued: { at: issue.at, by: issue.by } }
    return json({ revision: issue?.revision ?? null, ...issued, ...plan.marking })
  },
}
function drawnSheet(source: SheetSource, format: 'pdf' | 'svg', options: DrawOptions): Promise<File> {
  const { wall, plan, issue } = source
  const sheet = drawSheet(source, wall, plan, { ...options, ...issue && { issue } })
  return drawn(sheet, format, titleOf(source, 'mark-out'))
}

/** The mark-out sheet of a revision, or of a draft, as a file. */
export const sheetFile = async (source: SheetSource, format: FormatOf<'sheet'>, options: DrawOptions): Promise<File> =>
  SHEET_WRITERS[format](source, options)

/**
 * Templates as large as what they show.
 *
 * @param of id of one screen or box; all of the wall where absent
 * @returns undefined where there is nothing of this id that a template could be of
 */
export async function templatesFile(
  source: SheetSource,
  format: FormatOf<'templates'>,
  of: string | undefined,
  options: DrawOptions,
): Promise<File | undefined> {
  const { site, wall, plan, catalogue, issue } = source
  const subjects = templateSubjects(wall, plan, catalogue).filter(({ ids }) => of === undefined || ids.includes(of))
  if (subjects.length === 0) return undefined
  return drawn(
    drawTemplates({ site: site.name, wall: wall.name }, subjects, plan.marking, {
      ...options,
      ...(issue && { issue }),
    }),
    format,
    titleOf(source, 'templates 1:1'),
  )
}

/** Two revisions, and what differs between them. */
interface Compared { before: SheetSource, after: SheetSource, difference: ReturnType<typeof differenceOf> }

/** Who writes what differs as what. */
const DIFFERENCE_WRITERS: Record<
  FormatOf<'difference'>,
  (of: Compared, options: SheetOptions) => File | Promise<File>
> = {
  pdf: (of, options) => drawnDifference(of, 'pdf', options),
  svg: (of, options) => drawnDifference(of, 'svg', options),
  csv({ before, after, difference }, { units, precision }) {
    const rows = differenceRows(difference, before, after, units, precision)
    const table = rows.map(({ what, label, before, after, by }) => ({ what, mark: label, before, after, by }))
    return csv(Papa.unparse(table, CSV_OUT))
  },
  json: ({ before, after, difference }) =>
    json({ from: before.issue?.revision ?? null, to: after.issue?.revision ?? null, ...difference }),
}
function drawnDifference({ before, after, difference }: Compared, format: 'pdf' | 'svg', options: SheetOptions) {
  const { paper, units, precision } = options
  const sheet = drawDifference(before, after, difference, { paper, units, precision })
  return drawn(sheet, format, titleOf(after, `from ${before.issue?.revision ?? 'draft'}`))
}

/** What differs between two revisions as a file: a drawing with its list, or the list alone. */
export async function differenceFile(
  before: SheetSource, after: SheetSource, format: FormatOf<'difference'>, options: SheetOptions,
): Promise<File> {
  return DIFFERENCE_WRITERS[format]({ before, after, difference: differenceOf(before.plan, after.plan) }, options)
}

type Kit = ReturnType<typeof kitOf>
/** Who writes parts and tools as what. */
const KIT_WRITERS: Record<
  FormatOf<'kit'>,
  (source: SheetSource, kit: Kit, options: SheetOptions) => File | Promise<File>
> = {
  pdf(source, kit, { paper, units }) {
    const sheet = drawKit({ site: source.site.name, wall: source.wall.name }, kit, PAPERS[paper], units)
    return drawn(stamped(sheet, source.issue), 'pdf', titleOf(source, 'parts and tools'))
  },
  csv(_source, kit, { units }) {
    const said = (text: Kit[number]['name']) => textToString(text, units)
    const rows = kit.map(({ group, name, count, spare, why }) => ({
      kind: group,
      what: said(name),
      count,
      spare,
      for: said(why),
    }))
    return csv(Papa.unparse(rows, CSV_OUT))
  },
}

/** Parts and tools that a revision needs, as a list to tick off. */
export async function kitFile(source: SheetSource, format: FormatOf<'kit'>, options: SheetOptions): Promise<File> {
  const { wall, plan, catalogue } = source
  return KIT_WRITERS[format](source, kitOf({ wall, ...plan, catalogue, units: options.units }), options)
}
