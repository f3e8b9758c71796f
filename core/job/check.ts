import { ValidationError, type AnySchema, type Lazy } from 'yup'
import type { Fault } from './fault'
import { LIMITS } from './limits'

type Given = AnySchema | Lazy<unknown>

/** One rule of a schema, as yup keeps it. */
interface Rule {
  OPTIONS?: { skipAbsent?: boolean, test: (this: unknown, value: unknown, context: unknown) => unknown }
}
/** What yup keeps of a schema beside what its types tell. */
interface Kept {
  internalTests: Record<string, Rule | undefined>
  tests: Rule[]
  fields?: Record<string, Given>
  innerType?: Given
  _whitelist: { resolveAll: (resolve: (item: unknown) => unknown) => unknown[] }
}

/** A schema taken apart: whether a value keeps its own rules, and what its parts are checked by. */
interface Part {
  schema: AnySchema
  rules: ((value: unknown) => boolean)[]
  fields?: [string, Given][]
  item?: Given
  most: number
}

const isAbsent = (value: unknown) => value === undefined || value === null

/** Whether a value keeps a rule, asked without all that yup makes ready for its words. */
function asked({ OPTIONS: rule }: Rule, schema: AnySchema): (value: unknown) => boolean {
  if (!rule) return () => false
  const context = {
    schema,
    path: '',
    parent: undefined,
    options: {},
    resolve: (item: unknown) => item,
    createError: () => false,
  }
  return value => (rule.skipAbsent && isAbsent(value)) || rule.test.call(context, value, context) === true
}

/** The rule that a value is one of some. */
function among({ _whitelist }: Kept): (value: unknown) => boolean {
  const allowed = new Set(_whitelist.resolveAll(item => item))
  return value => isAbsent(value) || allowed.has(value)
}

const parts = new WeakMap<AnySchema, Part>()
function partOf(schema: AnySchema): Part {
  const known = parts.get(schema)
  if (known) return known
  const kept = schema as unknown as Kept
  const { whitelist, ...own } = kept.internalTests
  const part: Part = {
    schema,
    rules: [
      ...[...Object.values(own), ...kept.tests].flatMap(rule => (rule ? [asked(rule, schema)] : [])),
      ...(whitelist ? [among(kept)] : []),
    ],
    ...(kept.fields && { fields: Object.entries(kept.fields) }),
    ...(kept.innerType && { item: kept.innerType }),
    most: kept.innerType
      ? ((schema.describe().tests.find(({ name }) => name === 'max')?.params?.max as number | undefined) ?? Infinity)
      : Infinity,
  }
  parts.set(schema, part)
  return part
}

/** What yup says of a value by itself, whatever is in it. */
function wordsOf(schema: AnySchema, value: unknown): string[] {
  try {
    schema.validateSync(value, { strict: true, abortEarly: false, recursive: false })
    return []
  }
  catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return (error.inner.length > 0 ? error.inner : [error]).map(({ errors }) => errors.join('; '))
  }
}

const isLazy = (schema: Given): schema is Lazy<unknown> => schema.type === 'lazy'

/** Looks at a value and what is in it; `at` is where it lies and is put back as it was. */
function check(given: Given, value: unknown, at: string[], found: Fault[]): void {
  const { schema, rules, fields, item, most } = partOf(
    isLazy(given) ? (given.resolve({ value } as never) as AnySchema) : given,
  )
  if (!rules.every(keeps => keeps(value)))
    found.push(...wordsOf(schema, value).map(message => ({ path: at.join(''), message })))
  if (found.length >= LIMITS.faults || typeof value !== 'object' || value === null) return
  if (item && Array.isArray(value)) {
    // What is too long is not looked at any further.
    if (value.length > most) return
    for (let n = 0; n < value.length && found.length < LIMITS.faults; n++) {
      at.push('[', String(n), ']')
      check(item, value[n], at, found)
      at.length -= 3
    }
  }
  else if (fields && !Array.isArray(value)) {
    for (const [key, field] of fields) {
      if (found.length >= LIMITS.faults) return
      at.push('.', key)
      check(field, (value as Record<string, unknown>)[key], at, found)
      at.length -= 2
    }
  }
}

/**
 * The faults of a value by a schema, each at its JSON path under `root`; the first hundred where there are more.
 * Nothing is coerced. The rules and their words are the schema's; a list that is too long is counted and not read.
 */
export function schemaFaults(schema: Given, value: unknown, root: string): Fault[] {
  const found: Fault[] = []
  check(schema, value, [root], found)
  return found.slice(0, LIMITS.faults)
}
