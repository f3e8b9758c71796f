import Papa from 'papaparse'
import { CSV_OUT } from '../../core/csv'
import { tableOf, type SheetOptions } from '../../core/mark/sheet'
import { inMarkingOrder, type Mark } from '../../core/mark'
import type { Piece } from '../../core/survey'

/**
 * The marks in the order in which a person makes them, as a table for a spreadsheet: the rounded figures as printed,
 * and beside them the exact millimetres.
 */
export function marksAsCsv(
  marks: Mark[],
  { units, precision, piece }: Pick<SheetOptions, 'units' | 'precision'> & { piece?: Piece },
): string {
  const exact = (mm: number | undefined) => (mm === undefined ? '' : Number(mm.toFixed(4)))
  // A spreadsheet reads the typographic minus as text.
  const plain = (text: string) => text.replace('−', '-')
  const groups = inMarkingOrder(marks).flatMap(({ title, marks }) => marks.map(mark => ({ title, mark })))
  const ordered = groups.map(({ mark }) => mark)
  return Papa.unparse(
    tableOf(ordered, units, precision, piece).map((row, index) => ({
      'id': row.id,
      'kind': row.kind,
      'mark': row.label,
      'from datum': plain(row.running),
      'above floor': plain(row.height),
      'from level line': plain(row.fromLevel),
      'bit mm': ordered[index]!.bit ?? '',
      'depth mm': ordered[index]!.depth ?? '',
      'into': row.into,
      'from datum mm exact': exact(ordered[index]!.running),
      'above floor mm exact': exact(ordered[index]!.height),
      'from level line mm exact': exact(ordered[index]!.fromLevel),
      'group': groups[index]!.title,
    })),
    CSV_OUT,
  )
}
