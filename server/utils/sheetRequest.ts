import type { SheetOptions } from '../../core/mark/sheet'
import { PAPERS, type PaperName } from '../../core/sheet'
import type { UnitSystem } from '../../core/units'
import { apiError } from './apiError'

export function choice<T extends string>(name: string, given: unknown, choices: T[], otherwise: T): T {
  if (given === undefined) return otherwise
  const found = choices.find(option => option === given)
  if (!found)
    throw apiError(400, 'unknown-choice', `“${name}” must be one of ${choices.join(', ')}.`, {
      faults: [{ path: `?${name}`, message: `must be one of ${choices.join(', ')}` }],
    })
  return found
}

/** A figure that may be asked for. @throws 400 where it is none from 1 to `most` */
function figure(name: string, given: unknown, most: number): number | undefined {
  if (given === undefined) return undefined
  const value = Number(given)
  if (!Number.isInteger(value) || value < 1 || value > most)
    throw apiError(400, 'unknown-choice', `“${name}” must be a whole number from 1 to ${most}.`, {
      faults: [{ path: `?${name}`, message: `must be a whole number from 1 to ${most}` }],
    })
  return value
}

/** Reads how a sheet is to be drawn from a query. @throws 400 naming what can be asked for */
export function sheetOptions(query: Record<string, unknown>, siteUnits: UnitSystem): SheetOptions {
  const fine = choice('fine', query.fine, ['0', '1'], '0') === '1'
  const scale = figure('scale', query.scale, 1_000)
  return {
    paper: choice('paper', query.paper, Object.keys(PAPERS) as PaperName[], 'a3'),
    units: choice('units', query.units, ['metric', 'imperial'], siteUnits),
    precision: fine ? { decimals: 1, denominator: 32 } : {},
    ...scale !== undefined && { scale },
  }
}

/** Which revision is asked for: its letters, “draft”, or none. */
export const revisionOf = (given: unknown): string | undefined =>
  typeof given === 'string' && given !== '' ? given : undefined

/** Reads which kind of file is asked for, and how it is drawn. @throws 400 naming what can be asked for */
export function sheetRequest<Format extends string>(
  query: Record<string, unknown>,
  siteUnits: UnitSystem,
  formats: readonly Format[],
): { format: Format, options: SheetOptions } {
  return { format: choice('format', query.format, [...formats], formats[0]!), options: sheetOptions(query, siteUnits) }
}
