import Papa from 'papaparse'
import { CSV_OUT } from '../../core/csv'
import type { ScheduleLine } from '../../core/wire'
import { formatLength, type Precision, type UnitSystem } from '../../core/units'

/** The cable schedule for a spreadsheet: lengths as they are read, and beside them the exact millimetres. */
export function scheduleAsCsv(schedule: ScheduleLine[], units: UnitSystem, precision: Precision): string {
  const show = (mm: number | undefined) => mm === undefined ? '' : formatLength(mm, units, precision)
  const exact = (mm: number | undefined) => mm === undefined ? '' : Number(mm.toFixed(4))
  return Papa.unparse(
    schedule.map(({ id, number, kind, model, from, to, port, way, needed, slack, taken, offcut, reel, open }) => ({
      number,
      id,
      kind,
      model,
      from,
      'port': port ?? '',
      to,
      'route': way,
      'required': show(needed),
      'pull-out slack': show(slack),
      'stock length': show(taken),
      'off the reel': reel ? 'yes' : 'no',
      'offcut': show(offcut),
      'open': open ?? '',
      'required mm exact': exact(needed),
      'stock length mm exact': exact(taken),
      'offcut mm exact': exact(offcut),
    })),
    CSV_OUT,
  )
}
