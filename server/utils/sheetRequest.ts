import type { SheetOptions } from '../../core/mark/sheet'
import { PAPERS, type PaperName } from '../../core/sheet'
import type { UnitSystem } from '../../core/units'
import type { SheetFormat } from '../work/tasks'
import { apiError } from './apiError'

export function choice<T extends string>(name: string, given: unknown, choices: T[], otherwise: T): T {
  if (given === undefined) return otherwise
  const found = choices.find(option => option === given)
  if (!found) throw apiError(400, 'unknown-choice', `“${name}” must be one of ${choices.join(', ')}.`, { faults: [{ path: `?${name}`, message: `must be one of ${choices.join(', ')}` }] })
  return found
}

/** Reads which sheet is asked for from a query. @throws 400 naming what can be asked for */
export function sheetRequest(query: Record<string, unknown>, siteUnits: UnitSystem): SheetOptions & { format: SheetFormat } {
  const fine = choice('fine', query.fine, ['0', '1'], '0') === '1'
  return {
    format: choice('format', query.format, ['pdf', 'svg', 'csv', 'dxf', 'json'], 'pdf'),
    paper: choice('paper', query.paper, Object.keys(PAPERS) as PaperName[], 'a3'),
    units: choice('units', query.units, ['metric', 'imperial'], siteUnits),
    precision: fine ? { decimals: 1, denominator: 32 } : {},
  }
}
