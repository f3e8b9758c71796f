import type { ArraySchema, ObjectSchema, Schema } from 'yup'
import type { FieldKind } from '../job/fields'
import { KINDS } from './kinds'
import { MODEL_KINDS, type ModelKind } from './shelves'

/** One figure of a model: where it is, what it is called, and what it may be. */
export interface ModelField {
  path: string
  label: string
  kind: FieldKind
  /** What it is measured in, where it is no length. */
  unit?: string
  choices?: readonly string[]
  /** Whether a model may do without it. */
  optional: boolean
  /** The heading under which it stands. */
  section: string
}

/** Figures that are looked at together. */
export interface FieldGroup { title: string, fields: ModelField[] }

const choicesOf = (schema: Schema | undefined) => schema?.describe().oneOf as string[] | undefined

/** Every field of a schema that has a heading, with its path. */
function fieldsIn(schema: ObjectSchema<object>, within: string, optional: boolean): ModelField[] {
  return Object.entries(schema.fields as Record<string, Schema>).flatMap(([key, field]): ModelField[] => {
    const path = `${within}${key}`
    const { label, section, kind, unit, choices } = field.meta() ?? {}
    const free = optional || field.spec.optional
    if (!section) return field.type === 'object' ? fieldsIn(field as ObjectSchema<object>, `${path}.`, free) : []
    const offered
      = choices
        ?? (kind === 'choice'
          ? choicesOf(field)
          : kind === 'choices'
            ? choicesOf((field as ArraySchema<string[], object>).innerType as Schema)
            : undefined)
    return [
      {
        path,
        label: label!,
        kind: kind!,
        section,
        optional: free,
        ...(kind !== 'length' && unit !== undefined && { unit }),
        ...(offered && { choices: offered }),
      },
    ]
  })
}

/** Every figure of a kind, in the order of the file. */
const FIELDS = Object.fromEntries(
  MODEL_KINDS.map(kind => [kind, fieldsIn(KINDS[kind].schema as ObjectSchema<object>, '', false)]),
) as Record<ModelKind, ModelField[]>
export const fieldsOf = (kind: ModelKind): ModelField[] => FIELDS[kind]

/**
 * The figures of each kind of model by their headings, as a datasheet has them: the editor, the list and the tables are
 * drawn from the schema.
 */
export const MODEL_FIELDS = Object.fromEntries(MODEL_KINDS.map((kind) => {
  const titles = [...new Set(FIELDS[kind].map(({ section }) => section))]
  return [
    kind,
    titles.map((title): FieldGroup => ({ title, fields: FIELDS[kind].filter(({ section }) => section === title) })),
  ]
})) as Record<ModelKind, FieldGroup[]>
