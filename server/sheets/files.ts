import { CSV_OUT } from '../../core/csv'
import { drawKit, kitOf } from '../../core/hang'
import { drawSheet, type SheetOptions } from '../../core/mark/sheet'
import { drawTemplates, templateSubjects } from '../../core/mark/template'
import { differenceOf, differenceRows, drawDifference, type SheetSource } from '../../core/revision'
import { PAPERS, sheetAsSvg, stamped, type Sheet } from '../../core/sheet'
import { textToString } from '../../core/units'
import Papa from 'papaparse'
import { marksAsCsv } from './csv'
import { wallAsDxf } from './dxf'
import { sheetAsPdf } from './pdf'

export const SHEET_FORMATS = ['pdf', 'svg', 'dxf', 'csv', 'json'] as const
export type SheetFormat = typeof SHEET_FORMATS[number]
export const TEMPLATE_FORMATS = ['pdf', 'svg'] as const
export type TemplateFormat = typeof TEMPLATE_FORMATS[number]
export const DIFFERENCE_FORMATS = ['pdf', 'svg', 'csv', 'json'] as const
export type DifferenceFormat = typeof DIFFERENCE_FORMATS[number]

export const KIT_FORMATS = ['pdf', 'csv'] as const
export type KitFormat = typeof KIT_FORMATS[number]

type File = Uint8Array | string
const json = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`
const drawn = async (sheet: Sheet, format: 'pdf' | 'svg', title: string): Promise<File> => format === 'svg' ? sheetAsSvg(sheet) : new Uint8Array(await sheetAsPdf(sheet, title))
const titleOf = ({ site, wall, issue }: SheetSource, what: string) => `${site.name}, ${wall.name}: ${what}${issue ? `, revision ${issue.revision}` : ', draft'}`

/** The mark-out sheet of a revision, or of a draft, as a file. */
export async function sheetFile(source: SheetSource, format: SheetFormat, options: Omit<SheetOptions, 'issue'>): Promise<File> {
  const { wall, plan, issue } = source
  if (format === 'csv') return `\uFEFF${marksAsCsv(plan.marking.marks, { ...options, ...plan.piece && { piece: plan.piece } })}`
  if (format === 'dxf') return wallAsDxf(wall, plan, issue ? `REVISION ${issue.revision}` : 'DRAFT')
  if (format === 'json') return json({ revision: issue?.revision ?? null, ...issue && { issued: { at: issue.at, by: issue.by } }, ...plan.marking })
  return drawn(drawSheet(source, wall, plan, { ...options, ...issue && { issue } }), format, titleOf(source, 'mark-out'))
}

/**
 * Templates as large as what they show.
 *
 * @param of id of one screen or box; all of the wall where absent
 * @returns undefined where there is nothing of this id that a template could be of
 */
export async function templatesFile(source: SheetSource, format: TemplateFormat, of: string | undefined, options: Omit<SheetOptions, 'issue'>): Promise<File | undefined> {
  const { site, wall, plan, catalogue, issue } = source
  const subjects = templateSubjects(wall, plan, catalogue).filter(({ ids }) => of === undefined || ids.includes(of))
  if (subjects.length === 0) return undefined
  return drawn(drawTemplates({ site: site.name, wall: wall.name }, subjects, plan.marking, { ...options, ...issue && { issue } }), format, titleOf(source, 'templates 1:1'))
}

/** What differs between two revisions as a file: a drawing with its list, or the list alone. */
export async function differenceFile(before: SheetSource, after: SheetSource, format: DifferenceFormat, { paper, units, precision }: SheetOptions): Promise<File> {
  const difference = differenceOf(before.plan, after.plan)
  if (format === 'json') return json({ from: before.issue?.revision ?? null, to: after.issue?.revision ?? null, ...difference })
  if (format === 'csv') return `\uFEFF${Papa.unparse(differenceRows(difference, before, after, units, precision).map(({ what, label, before, after, by }) => ({ what, mark: label, before, after, by })), CSV_OUT)}`
  return drawn(drawDifference(before, after, difference, { paper, units, precision }), format, titleOf(after, `from ${before.issue?.revision ?? 'draft'}`))
}

/** Parts and tools that a revision needs, as a list to tick off. */
export async function kitFile(source: SheetSource, format: KitFormat, { paper, units }: SheetOptions): Promise<File> {
  const { site, wall, plan, catalogue, issue } = source
  const kit = kitOf({ wall, ...plan, catalogue, units })
  if (format === 'csv') return `\uFEFF${Papa.unparse(kit.map(({ group, name, count, spare, why }) => ({ kind: group, what: textToString(name, units), count, spare, for: textToString(why, units) })), CSV_OUT)}`
  return drawn(stamped(drawKit({ site: site.name, wall: wall.name }, kit, PAPERS[paper], units), issue, units), format, titleOf(source, 'parts and tools'))
}
