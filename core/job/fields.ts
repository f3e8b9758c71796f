import { array, boolean, number, object, setLocale, string, type ISchema, type ObjectShape, type Schema } from 'yup'
import { LIMITS } from './limits'
import { isMoment, WRITTEN_MOMENT } from './moment'

/*
 * What the fields of the job file are made of. Each maker takes what the field is called and, in a model of the
 * catalogue, under which heading it stands: editor, tables, JSON Schema and documentation are drawn from both.
 */

setLocale({ mixed: { notNull: 'is null; leave out what is not known' } })

/** How a field is typed and shown. */
export type FieldKind
  = | 'flag'
    | 'length'
    | 'figure'
    | 'count'
    | 'text'
    | 'choice'
    | 'choices'
    | 'names'
    | 'lengths'
    | 'slots'
    | 'uses'
    | 'patterns'

declare module 'yup' {
  /** What is known of a field beside its rules. */
  interface CustomSchemaMetadata {
    kind?: FieldKind
    label?: string
    section?: string
    unit?: string
    choices?: readonly string[]
    /** What a value of more than one shape is in JSON Schema. */
    json?: Record<string, unknown>
  }
}

type Written = { value: unknown }
/** A value as a message shows it. */
export const shown = (value: unknown) => {
  const text = JSON.stringify(value) ?? 'nothing'
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}
const notA
  = (kind: string) =>
    ({ originalValue }: { originalValue?: unknown }) =>
      `must be ${kind}, not ${shown(originalValue)}`
const positive = ({ value }: Written) => `must be more than 0, not ${shown(value)}`
const notNegative = ({ value }: Written) => `must not be negative: ${shown(value)}`
const tooFar = ({ value }: Written) => `is too far away to be on a wall: ${shown(value)}`

/** A number in a unit; a share or a pure number without one. */
export const figure = (unit = '', label?: string, section?: string) =>
  number()
    .typeError(notA('a number'))
    .test('finite', 'must be a finite number', v => v === undefined || Number.isFinite(v))
    .meta({ kind: 'figure', label, section, unit })
/** A figure above 0, up to a limit. */
export const amount = (unit: string, most: number, label?: string, section?: string) =>
  figure(unit, label, section)
    .moreThan(0, unit ? `must be more than 0 ${unit}` : 'must be more than 0')
    .max(most, `must be at most ${most} ${unit}`.trimEnd())
/** A figure of 0 or more. */
export const notLess = (unit: string, label?: string, section?: string) =>
  figure(unit, label, section).min(0, notNegative).max(1e6, 'is too large')
/** A length or a place, mm. */
export const length = (label?: string, section?: string) => figure('mm', label, section).meta({ kind: 'length' })
  .min(-10 * LIMITS.wall, tooFar).max(10 * LIMITS.wall, tooFar)
/** The face of a framing member, mm. */
export const memberWidth = (label?: string) =>
  size(label).max(LIMITS.member, ({ value }: Written) => `must be at most ${LIMITS.member} mm, not ${shown(value)}`)
/** A length above 0, mm. */
export const size = (label?: string, section?: string) => length(label, section).moreThan(0, positive)
/** A length of 0 or more, mm. */
export const extent = (label?: string, section?: string) => length(label, section).min(0, notNegative)
/** A whole number from 1 up to a limit. */
export const count = (most: number, label?: string, section?: string) =>
  figure('', label, section)
    .meta({ kind: 'count' })
    .integer(({ value }: Written) => `must be a whole number, not ${shown(value)}`)
    .min(1, ({ value }: Written) => `must be at least 1, not ${shown(value)}`)
    .max(most, ({ value }: Written) => `must be at most ${most}, not ${shown(value)}`)

/** The number by which people call one of a list; the server gives it. */
export const itemNumber = () => count(1e6, 'Number, given by the server when it was saved first')

// eslint-disable-next-line no-control-regex
const OFF_LINE = /[\u0000-\u001F\u007F-\u009F]/
/** A line of text. */
const writing = (most: number, label?: string, section?: string) =>
  string()
    .typeError(notA('text'))
    .max(most, `must be at most ${most} characters`)
    .meta({ kind: 'text', label, section })
export const text = (label?: string, section?: string) =>
  writing(200, label, section).test('line', 'must be one line of text', v => !v || !OFF_LINE.test(v))
/** Text of which a person may write much. */
export const note = (label?: string, section?: string) => writing(2_000, label, section)
/** Text of which a person may write much, and must write something. */
export const reason = (label?: string) => note(label).required('must not be empty')
/** Text that has to be there. */
export const name = (label?: string, section?: string) =>
  text(label, section).trim('must not begin or end with a space').required('must not be empty')
/** One of some texts. */
export const oneOf = <const Value extends string>(values: readonly Value[], label?: string, section?: string) =>
  string()
    .typeError(notA('text'))
    .oneOf(values, ({ value }: Written) => `must be one of ${values.join(', ')}, not ${shown(value)}`)
    .meta({ kind: 'choice', label, section })
export const flag = (label?: string, section?: string) =>
  boolean()
    .typeError(notA('true or false'))
    .meta({ label, section, ...(section !== undefined && { kind: 'flag' as const }) })
/** A date and time with its zone, as a person's clock showed it. */
export const clockTime = (label?: string) =>
  text(label).matches(WRITTEN_MOMENT, {
    message: 'must be a date and time with time zone (ISO 8601)',
    excludeEmptyString: false,
  })
/** A date and time with its zone that there is. */
export const moment = (label?: string) =>
  clockTime(label).test(
    'moment',
    'is not a valid date and time',
    v => v === undefined || !WRITTEN_MOMENT.test(v) || isMoment(v),
  )

/** A day of the calendar that there is, as 2026-11-27. */
export const day = (label?: string) =>
  text(label).test(
    'day',
    ({ value }: Written) => `must be a date such as 2026-11-27, not ${shown(value)}`,
    v => v === undefined || isMoment(`${v}T00:00:00Z`),
  )

/** A field that has to be there. */
export const must = <Field extends { required: (message: string) => unknown }>(field: Field) =>
  field.required('is missing') as ReturnType<Field['required']>

/** Fields that belong together, by themselves. */
export const whole = <Shape extends ObjectShape>(fields: Shape) => object(fields).typeError(notA('an object'))
/** Fields that belong together, and have to be there. */
export const group = <Shape extends ObjectShape>(fields: Shape, label?: string) =>
  whole(fields).meta({ label }).required('is missing')
/** Fields that belong together, and may be absent together. */
export const maybe = <Shape extends ObjectShape>(fields: Shape, label?: string) =>
  whole(fields).meta({ label }).default(undefined).optional()
/** Texts by any keys. */
export const texts = (label?: string) =>
  object().typeError(notA('an object')).meta({ label }).default(undefined).optional() as unknown as Schema<
    Record<string, string> | undefined
  >
/** So many of a kind at most. */
export const list = <Item>(of: ISchema<Item>, most: number, label?: string, section?: string, kind?: FieldKind) =>
  array()
    .of(of)
    .typeError(notA('a list'))
    .meta({ label, section, kind })
    .max(most, ({ value }: Written) => `must have at most ${most} entries, not ${(value as unknown[]).length}`)

/** x and y, each of them needed. */
export const point = <Field extends { required: (message: string) => unknown }>(
  of: (label?: string, section?: string) => Field,
  [x, y]: [x?: string, y?: string] = [],
  section?: string,
) => ({ x: must(of(x, section)), y: must(of(y, section)) })
