import { mixed, type Schema } from 'yup'
import { shown } from './fields'

/** A span of sizes that a mount takes, mm. */
export interface Span {
  min: number
  max: number
}
/** The mounting patterns of displays that a mount takes: one by one, or every size within two spans; mm. */
export type Patterns = { width: number, height: number }[] | { width: Span, height: Span }

const isSize = (value: unknown): value is number => typeof value === 'number' && value > 0 && value < 1e5
const sidesOf = (value: unknown) => (value ?? {}) as { width?: unknown, height?: unknown }
const isPattern = (value: unknown) => isSize(sidesOf(value).width) && isSize(sidesOf(value).height)
function isSpan(value: unknown): boolean {
  const { min, max } = (value ?? {}) as Partial<Span>
  return isSize(min) && isSize(max) && min <= max
}

/** Whether a value is patterns as a job file has them. */
const arePatterns = (value: unknown): boolean =>
  Array.isArray(value)
    ? value.length > 0 && value.length <= 50 && value.every(isPattern)
    : isSpan(sidesOf(value).width) && isSpan(sidesOf(value).height)

const SIDE = { type: 'number', exclusiveMinimum: 0 }
const SIDES = (of: object) => ({ type: 'object', properties: { width: of, height: of }, required: ['width', 'height'] })
const SPAN = { type: 'object', properties: { min: SIDE, max: SIDE }, required: ['min', 'max'] }
const JSON_SCHEMA = { oneOf: [{ type: 'array', minItems: 1, maxItems: 50, items: SIDES(SIDE) }, SIDES(SPAN)] }

/** The field of a mount that lists them. */
export const patternsSchema = (label: string, section: string) =>
  mixed()
    .test(
      'patterns',
      ({ value }: { value: unknown }) =>
        'must be a list of { width, height }, or { width, height } of a min and a max each, ' + `not ${shown(value)}`,
      value => value === undefined || arePatterns(value),
    )
    .meta({ kind: 'patterns', label, section, json: JSON_SCHEMA }) as unknown as Schema<Patterns | undefined>

/**
 * Whether a mount with these patterns takes a display's pattern.
 *
 * @example
 * takesPattern({ width: { min: 200, max: 600 }, height: { min: 200, max: 400 } }, { width: 400, height: 400 }) // true
 */
export function takesPattern(patterns: Patterns, { width, height }: { width: number, height: number }): boolean {
  const is = (a: number, b: number) => Math.abs(a - b) < 0.5
  const within = (value: number, { min, max }: Span) => value > min - 0.5 && value < max + 0.5
  return Array.isArray(patterns)
    ? patterns.some(each => is(each.width, width) && is(each.height, height))
    : within(width, patterns.width) && within(height, patterns.height)
}
