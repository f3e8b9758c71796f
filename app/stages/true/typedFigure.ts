import { readingFault, type TrueScreen } from '~~/core/true'
import { fromSystem, MM_PER_INCH, parseLength, unitIn, type Text, type UnitSystem } from '~~/core/units'
import { isSeam, type Place } from './places'

/** What is read at a place. */
export type ReadingKind = 'gap' | 'step' | 'roll'

/** A slope as it is typed, in the unit that is shown: inches of it may be a fraction. */
function slopeOf(text: string, system: UnitSystem): number {
  if (system === 'metric') return Number(text.replace(',', '.'))
  const inches = parseLength(text, 'imperial')
  return inches.ok ? inches.mm / MM_PER_INCH : NaN
}

/** What is typed as mm, or mm/m; why it cannot be is said beside it. Nothing where nothing is typed. */
export function typedFigure(
  text: string,
  kind: ReadingKind,
  at: Place | undefined,
  screens: TrueScreen[],
  { system, tell }: { system: UnitSystem, tell: (text: Text) => string },
): { value?: number, wrong?: string } {
  const plain = text.trim().replace(/^-/, '')
  if (text.trim() === '') return {}
  const sign = text.trim().startsWith('-') ? -1 : 1
  const reading = kind === 'roll' ? undefined : parseLength(plain, system)
  if (reading && !reading.ok) return { wrong: reading.message }
  const value = sign * (reading?.ok ? reading.mm : fromSystem(slopeOf(plain, system), 'mm/m', system))
  if (plain === '' || Number.isNaN(value))
    return { wrong: `Enter the level in ${unitIn('mm/m', system)}, positive with the right end up` }
  // No gauge reads a gap below nothing: what is typed so is a slip.
  const read = kind === 'gap' && value < 0 ? Infinity : value
  const no = readingFault(kind, read, screens, at && isSeam(at) ? at.target : 0)
  return no ? { wrong: tell(no) } : { value }
}
