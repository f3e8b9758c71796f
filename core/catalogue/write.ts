import type { Mount, Patterns, Slot } from '../job'
import { formatLength, fromSystem, inSystem, parseLength, type UnitSystem } from '../units'
import type { FieldKind } from '../job/fields'
import type { ModelField } from './fields'

type Use = NonNullable<Mount['otherNeeds']>[number]

const figure = (value: number) => String(Math.round(value * 1e6) / 1e6)
/** A figure in the reader's unit: in that of the file with all its decimals, else to four places. */
const figureIn = (value: number, unit: string, system: UnitSystem) =>
  system === 'metric' ? figure(value) : String(Number(inSystem({ value, unit }, system).value.toPrecision(4)))

const writeSlot = ({ row, y, x1, x2, diameter, drilled }: Slot) =>
  `${row} ${[y, x1, x2, diameter].map(figure).join(' ')}${drilled ? ' drilled' : ''}`

/** Patterns as people write them: 200 × 200; 400 × 400, or 200 to 600 × 200 to 400. */
function writePatterns(patterns: Patterns): string {
  if (Array.isArray(patterns))
    return patterns.map(({ width, height }) => `${figure(width)} × ${figure(height)}`).join('; ')
  return [patterns.width, patterns.height].map(({ min, max }) => `${figure(min)} to ${figure(max)}`).join(' × ')
}

const PATTERN = /^(\d+(?:\.\d+)?)(?:\s*to\s*(\d+(?:\.\d+)?))?\s*[×x]\s*(\d+(?:\.\d+)?)(?:\s*to\s*(\d+(?:\.\d+)?))?$/i

function readPatterns(texts: string[]): Read {
  const found = texts.map(text => PATTERN.exec(text)?.slice(1))
  const wrong = found.findIndex(each => !each)
  const spans = found.filter(each => each?.[1] !== undefined || each?.[3] !== undefined)
  if (wrong >= 0 || (spans.length > 0 && found.length > 1)) {
    return {
      ok: false,
      message: `“${texts[Math.max(wrong, 0)]}” is not a list of patterns in mm: write 200 × 200; 400 × 400, or 200 to `
        + `600 × 200 to 400`,
    }
  }
  const sized = found.map(each => each!.map(part => (part === undefined ? undefined : Number(part))))
  if (spans.length === 0) return { ok: true, value: sized.map(([width, , height]) => ({ width, height })) }
  const [[width, most = width, height, highest = height]] = sized as [[number, number?, number?, number?]]
  return { ok: true, value: { width: { min: width, max: most }, height: { min: height, max: highest } } }
}

const writeUse = ({ members, rows, capacity }: Use) =>
  [members, rows.join(', '), ...(capacity === undefined ? [] : [figure(capacity)])].join(': ')
const writeLength = (mm: number, system: UnitSystem) =>
  system === 'metric' ? figure(mm) : formatLength(mm, system, { denominator: 32 })
const each
  = <Value>(write: (value: Value) => string) =>
    (value: unknown) =>
      (value as Value[]).map(write).join('; ')

/** How a figure of each kind is written; what is not listed stands as it is. */
const WRITERS: Partial<Record<FieldKind, (value: unknown, unit: string, system: UnitSystem) => string>> = {
  length: (value, _, system) => writeLength(value as number, system),
  lengths: (value, _, system) => each<number>(mm => writeLength(mm, system))(value),
  figure: (value, unit, system) => figureIn(value as number, unit, system),
  count: value => figure(value as number),
  choices: each<string>(String),
  names: each<string>(String),
  flag: value => (value === true ? 'yes' : 'no'),
  slots: each(writeSlot),
  patterns: value => writePatterns(value as Patterns),
  uses: each(writeUse),
}

/**
 * A figure of a model as text, in a table or a field; lengths in mm with all their decimals, or in the reader's unit.
 */
export function writeField({ kind, unit = '' }: ModelField, value: unknown, system: UnitSystem = 'metric'): string {
  return value === undefined || value === null ? '' : (WRITERS[kind]?.(value, unit, system) ?? String(value))
}

type Read = { ok: true, value: unknown } | { ok: false, message: string }
const isText = (text: string) => text.trim() !== ''
const parts = (text: string) =>
  text
    .split(/;|\n/)
    .map(part => part.trim())
    .filter(isText)

function readAll<T>(
  texts: string[],
  read: (text: string) => { ok: true, value: T } | { ok: false, message: string },
): Read {
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
  return /^[+-]?\d+([.,]\d+)?$/.test(text)
    ? { ok: true, value: Number(text.replace(',', '.')) }
    : { ok: false, message: `“${text}” is not a number` }
}

function readSlot(text: string): { ok: true, value: Slot } | { ok: false, message: string } {
  const [row = '', ...written] = text.split(/\s+/)
  const drilled = written.at(-1) === 'drilled'
  const rest = drilled ? written.slice(0, -1) : written
  const figures = rest.map(readNumber)
  const wrong = figures.find(read => !read.ok)
  if (wrong && !wrong.ok) return wrong
  if (figures.length !== 4)
    return {
      ok: false,
      message: `“${text}” is not a slot: enter row name, height, from, to and diameter in mm, as in top 210 -240 -30 `
        + `10`,
    }
  const [y, x1, x2, diameter] = figures.map(read => (read.ok ? read.value : 0)) as [number, number, number, number]
  return { ok: true, value: { row, y, x1, x2, diameter, ...(drilled && { drilled }) } }
}

function readUse(text: string): { ok: true, value: Use } | { ok: false, message: string } {
  const [members = '', rows = '', capacity] = text.split(':').map(part => part.trim())
  const names = rows
    .split(',')
    .map(name => name.trim())
    .filter(isText)
  const carries = capacity === undefined ? undefined : readNumber(capacity)
  if (carries && !carries.ok) return carries
  if (!/^\d{1,2}$/.test(members) || names.length === 0)
    return {
      ok: false,
      message: `“${text}” is not a slot pattern: enter studs per row, the row names and the capacity in kg, as in 1: `
        + `top, bottom: 24`,
    }
  return { ok: true, value: { members: Number(members), rows: names, ...(carries && { capacity: carries.value }) } }
}

const readCount = (text: string): Read =>
  /^\d{1,6}$/.test(text) ? { ok: true, value: Number(text) } : { ok: false, message: `“${text}” is not a whole number` }
function readFlag(text: string): Read {
  if (/^(yes|true|1)$/i.test(text)) return { ok: true, value: true }
  return /^(no|false|0)$/i.test(text)
    ? { ok: true, value: false }
    : { ok: false, message: `“${text}” must be yes or no` }
}
function readFigure(text: string, { unit = '' }: ModelField, system: UnitSystem): Read {
  const read = readNumber(text)
  return read.ok ? { ok: true, value: fromSystem(read.value, unit, system) } : read
}
const oneOf
  = ({ choices = [] }: ModelField) =>
    (part: string): { ok: true, value: string } | { ok: false, message: string } =>
      choices.includes(part)
        ? { ok: true, value: part }
        : { ok: false, message: `“${part}” must be one of ${choices.join(', ')}` }

/** How a figure of each kind is read; what is not listed is taken as it is. */
const READERS: Partial<Record<FieldKind, (text: string, field: ModelField, system: UnitSystem) => Read>> = {
  length: (text, _, system) => readLength(system)(text),
  lengths: (text, _, system) => readAll(parts(text), readLength(system)),
  figure: readFigure,
  count: readCount,
  choice: (text, field) => oneOf(field)(text),
  flag: readFlag,
  choices: (text, field) => readAll(parts(text), oneOf(field)),
  names: text => ({ ok: true, value: parts(text) }),
  slots: text => readAll(parts(text), readSlot),
  patterns: text => readPatterns(parts(text)),
  uses: text => readAll(parts(text), readUse),
}

/**
 * Reads a figure of a model from text; an empty one is a figure that is not given.
 *
 * @example
 * readField({ kind: 'slots', … }, 'top 210 -240 -30 10') // one slot of the top row
 */
export function readField(field: ModelField, text: string, system: UnitSystem = 'metric'): Read {
  const { kind, optional, label } = field
  const given = text.trim()
  if (given !== '') return READERS[kind]?.(given, field, system) ?? { ok: true, value: given }
  if (kind === 'lengths') return { ok: true, value: [] }
  return optional ? { ok: true, value: undefined } : { ok: false, message: `${label} is required` }
}
