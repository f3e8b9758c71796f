import type {
  SchemaDescription, SchemaFieldDescription, SchemaInnerTypeDescription, SchemaObjectDescription,
} from 'yup'
import { ENTRY_SCHEMAS } from '../log/schemas'
import { jobSchema } from './job'

/** A JSON Schema, draft 2020-12. */
export type JsonSchema = { [keyword: string]: unknown }

type Rule = { name?: string, params?: Record<string, unknown> }

/** What one rule of the job's schema says in JSON Schema; rules between values have no keyword there. */
function keywordsOf({ name, params = {} }: Rule, type: string): JsonSchema {
  const atLeast = params['min']
  if (name === 'integer') return { type: 'integer' }
  if (name === 'matches') return { pattern: (params['regex'] as RegExp).source }
  if (name === 'required' && type === 'string') return { minLength: 1 }
  if (name === 'min' && params['more'] !== undefined) return { exclusiveMinimum: params['more'] }
  if (name === 'min') return type === 'array' ? { minItems: atLeast } : { minimum: atLeast }
  if (name !== 'max') return {}
  return { [{ array: 'maxItems', string: 'maxLength' }[type] ?? 'maximum']: params['max'] }
}

/** The keywords of an object or a list; unknown keys are let through, as they are kept. */
function inside(description: SchemaFieldDescription): JsonSchema {
  if (description.type === 'array') {
    return { items: schemaOf((description as SchemaInnerTypeDescription).innerType as SchemaFieldDescription) }
  }
  if (description.type !== 'object') return {}
  const fields = Object.entries((description as SchemaObjectDescription).fields)
  return {
    properties: Object.fromEntries(fields.map(([key, field]) => [key, schemaOf(field)])),
    required: fields.filter(([, field]) => !(field as SchemaDescription).optional).map(([key]) => key),
  }
}

function schemaOf(description: SchemaFieldDescription): JsonSchema {
  // What is checked by its kind: the entries of the log.
  if (description.type === 'lazy')
    return { oneOf: Object.values(ENTRY_SCHEMAS).map(schema => schemaOf(schema.describe())) }
  const { type, tests, oneOf, meta } = description as SchemaDescription
  if (meta?.json) return { ...meta.label && { description: meta.label }, ...meta.json }
  return Object.assign(
    { type },
    meta?.label && { description: [meta.label, meta.unit].filter(Boolean).join(', ') },
    ...tests.map(rule => keywordsOf(rule, type)),
    oneOf.length > 0 ? { enum: oneOf } : {},
    inside(description),
  )
}

/**
 * The JSON Schema of the job file, drawn from the rules by which files are read, for other people's
 * scripts. It says what each value alone must be; links between values (ids that must exist, a
 * plate inside its grid, at most so many screens) are checked on reading only.
 */
export function jobJsonSchema(): JsonSchema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Wide Trellis job file, version 1',
    description:
      'One site with its walls. Lengths in mm, masses in kg, y measured up from finished floor. Unknown keys are kept.',
    ...schemaOf(jobSchema.describe()),
  }
}
