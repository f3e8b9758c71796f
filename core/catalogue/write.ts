import type { Mount, Slot } from '../job'
import { formatLength, fromSystem, inSystem, parseLength, type UnitSystem } from '../units'
import type { ModelField } from './fields'

type Use = NonNullable<Mount['otherNeeds']>[number]

const figure = (value: number) => String(Math.round(value * 1e6) / 1e6)
/** A figure in the reader's unit: in that of the file with all its decimals, else to four places. */
const figureIn = (value: number, unit: string, system: UnitSystem) =>
  system === 'metric' ? figure(value) : String(Number(inSystem({ value, unit }, system).value.toPrecision(4)))

/**
 * A figure of a model as text, in a table or a field; lengths in mm with all their decimals, or in the reader's unit.
 */
export function writeField({ kind, unit = '' }: ModelField, value: unknown, system: UnitSystem = 'metric'): string {
  if (value === undefined || value === null) return ''
  const length = (mm: number) => system === 'metric' ? figure(mm) : formatLength(mm, system, { denominator: 32 })
  switch (kind) {
    case 'length': return length(value as number)
    case 'lengths': return (value as number[]).map(length).join('; ')
    case 'figure': return figureIn(value as number, unit, system)
    case 'count': return figure(value as number)
    case 'choices':
    case 'names': return (value as string[]).join('; ')
    case 'flag': return value === true ? 'yes' : 'no'
    case 'slots': return (value as Slot[]).map(({ row, y, x1, x2, diameter }) => `${row} ${[y, x1, x2, diameter].map(figure).join(' ')}`).join('; ')
    case 'uses': return (value as Use[]).map(({ members, rows, capacity }) => [members, rows.join(', '), ...capacity === undefined ? [] : [figure(capacity)]].join(': ')).join('; ')
    default: return String(value)
  }
}

type Read = { ok: true, value: unknown } | { ok: false, message: string }
const isText = (text: string) => text.trim() !== ''
const parts = (text: string) => text.split(/;|\n/).map(part => part.trim()).filter(isText)

function readAll<T>(texts: string[], read: (text: string) => { ok: true, value: T } | { ok: false, message: string }): Read {
  const values: T[] = []
  for (const text of texts) {
    const one = read(text)
    if (!one.ok) return one
    values.push(one.value)
  }
  return { ok: true, value: values }
}

const readLength = (system: UnitSystem) => (text: string) => {
  const read = parseLength(text, system)
  return read.ok ? { ok: true as const, value: read.mm } : read
}
function readNumber(text: string): { ok: true, value: number } | { ok: false, message: string } {
  return /^[+-]?\d+([.,]\d+)?$/.test(text) ? { ok: true, value: Number(text.replace(',', '.')) } : { ok: false, message: `“${text}” is not a number` }
}

function readSlot(text: string): { ok: true, value: Slot } | { ok: false, message: string } {
  const [row = '', ...rest] = text.split(/\s+/)
  const figures = rest.map(readNumber)
  const wrong = figures.find(read => !read.ok)
  if (wrong && !wrong.ok) return wrong
  if (figures.length !== 4) return { ok: false, message: `“${text}” is not a slot: enter row name, height, from, to and diameter in mm, as in top 210 -240 -30 10` }
  const [y, x1, x2, diameter] = figures.map(read => read.ok ? read.value : 0) as [number, number, number, number]
  return { ok: true, value: { row, y, x1, x2, diameter } }
}

function readUse(text: string): { ok: true, value: Use } | { ok: false, message: string } {
  const [members = '', rows = '', capacity] = text.split(':').map(part => part.trim())
  const names = rows.split(',').map(name => name.trim()).filter(isText)
  const carries = capacity === undefined ? undefined : readNumber(capacity)
  if (carries && !carries.ok) return carries
  if (!/^\d{1,2}$/.test(members) || names.length === 0) return { ok: false, message: `“${text}” is not a slot pattern: enter studs per row, the row names and the capacity in kg, as in 1: top, bottom: 24` }
  return { ok: true, value: { members: Number(members), rows: names, ...carries && { capacity: carries.value } } }
}

/**
 * Reads a figure of a model from text; an empty one is a figure that is not given.
 *
 * @example
 * readField({ kind: 'slots', … }, 'top 210 -240 -30 10') // one slot of the top row
 */
export function readField(
  { kind, unit = '', choices = [], optional, label }: ModelField,
  text: string,
  system: UnitSystem = 'metric',
): Read {
  const given = text.trim()
  if (given === '' && (optional || kind === 'lengths'))
    return { ok: true, value: kind === 'lengths' ? [] : undefined }
  if (given === '') return { ok: false, message: `${label} is required` }
  const oneOf = (part: string) =>
    choices.includes(part)
      ? { ok: true as const, value: part }
      : { ok: false as const, message: `“${part}” must be one of ${choices.join(', ')}` }
  switch (kind) {
    case 'length':
      return readLength(system)(given)
    case 'lengths':
      return readAll(parts(given), readLength(system))
    case 'figure': {
      const read = readNumber(given)
      return read.ok ? { ok: true, value: fromSystem(read.value, unit, system) } : read
    }
    case 'count':
      return /^\d{1,6}$/.test(given)
        ? { ok: true, value: Number(given) }
        : { ok: false, message: `“${given}” is not a whole number` }
    case 'choice':
      return oneOf(given)
    case 'flag':
      return /^(yes|true|1)$/i.test(given)
        ? { ok: true, value: true }
        : /^(no|false|0)$/i.test(given)
          ? { ok: true, value: false }
          : { ok: false, message: `“${given}” must be yes or no` }
    case 'choices':
      return readAll(parts(given), oneOf)
    case 'names':
      return { ok: true, value: parts(given) }
    case 'slots':
      return readAll(parts(given), readSlot)
    case 'uses':
      return readAll(parts(given), readUse)
    default:
      return { ok: true, value: given }
  }
}
