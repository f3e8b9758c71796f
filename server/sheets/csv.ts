import Papa from 'papaparse'
import { CSV_OUT } from '../../core/csv'
import { tableOf, type SheetOptions } from '../../core/mark/sheet'
import type { Mark } from '../../core/mark'

/** The marks as a table for a spreadsheet: the rounded figures as printed, and beside them the exact millimetres. */
export function marksAsCsv(marks: Mark[], { units, precision }: SheetOptions): string {
  const exact = (mm: number | undefined) => mm === undefined ? '' : Number(mm.toFixed(4))
  // A spreadsheet reads the typographic minus as text.
  const plain = (text: string) => text.replace('−', '-')
  return Papa.unparse(tableOf(marks, units, precision).map((row, index) => ({
    'id': row.id,
    'kind': row.kind,
    'mark': row.label,
    'from datum': plain(row.running),
    'above floor': plain(row.height),
    'from level line': plain(row.fromLevel),
    'bit mm': marks[index]!.bit ?? '',
    'depth mm': marks[index]!.depth ?? '',
    'into': row.into,
    'from datum mm exact': exact(marks[index]!.running),
    'above floor mm exact': exact(marks[index]!.height),
    'from level line mm exact': exact(marks[index]!.fromLevel),
  })), CSV_OUT)
}
