import { same } from '../job'
import type { UnitSystem } from '../units'
import { fieldsOf } from './fields'
import { modelFaults } from './kinds'
import type { Model, ModelKind } from './shelves'
import { setAt, valueAt } from './paths'
import { readField, writeField } from './write'

/** A model as a row of text, by column. */
export type ModelRow = Record<string, string | undefined>

/** What becomes of a row or model that is brought in, and why it is refused. */
export interface ModelVerdict {
  /** Its number in the table, from 1. */
  row: number
  becomes: 'added' | 'changed' | 'same' | 'refused'
  model?: Model
  name: string
  message?: string
}

/** The columns of a table of models: the id, then every figure by its path. */
export const modelColumns = (kind: ModelKind): string[] => [
  'id',
  ...fieldsOf(kind).map(({ path }) => path),
  'retired',
  'supersedes',
]

/** Models as rows of text; lengths in mm. */
export function modelsToRows(kind: ModelKind, models: Model[]): ModelRow[] {
  return models.map(model => Object.fromEntries([
    ['id', model.id], ...fieldsOf(kind).map(field => [field.path, writeField(field, valueAt(model, field.path))]),
    ['retired', model.retired ? 'true' : ''], ['supersedes', model.supersedes ?? ''],
  ]))
}

/** A row as a model, laid on the one of its id where there is one, so that what the table has no column for stays. */
function modelOf(
  kind: ModelKind,
  row: ModelRow,
  before: Model | undefined,
  system: UnitSystem,
): { model: Model, faults: string[] } {
  const model = structuredClone(before ?? { id: row.id?.trim() ?? '' }) as Model
  const faults: string[] = []
  for (const field of fieldsOf(kind)) {
    const text = row[field.path]
    if (text === undefined) continue
    const read = readField(field, text, system)
    if (!read.ok) faults.push(`${field.label}: ${read.message}`)
    else setAt(model, field.path, read.value)
  }
  if (row.retired !== undefined) setAt(model, 'retired', /^(true|yes|1)$/i.test(row.retired.trim()) || undefined)
  if (row.supersedes !== undefined) setAt(model, 'supersedes', row.supersedes.trim() || undefined)
  return { model, faults }
}

function judge(kind: ModelKind, given: { model: Model, faults: string[] }[], kept: Model[]): ModelVerdict[] {
  const byId = new Map(kept.map(model => [model.id, model]))
  const seen = new Set<unknown>()
  return given.map(({ model, faults }, index): ModelVerdict => {
    const id = (model as Partial<Model> | null)?.id
    const name = String((model as { name?: unknown } | null)?.name ?? id ?? '')
    const all
      = faults.length > 0
        ? faults
        : modelFaults(kind, model).map(({ path, message }) => (path === '$' ? message : `${path.slice(2)} ${message}`))
    if (id !== undefined && seen.has(id)) all.push(`id “${id}” appears twice in this table`)
    seen.add(id)
    if (all.length > 0) return { row: index + 1, becomes: 'refused', name, message: `${all.join('; ')}.` }
    const before = byId.get(model.id)
    return { row: index + 1, becomes: !before ? 'added' : same(before, model) ? 'same' : 'changed', model, name }
  })
}

/** Says of each row of a table what it would do to the catalogue, before anything is done. */
export function judgeModelRows(
  kind: ModelKind,
  rows: ModelRow[],
  kept: Model[],
  system: UnitSystem = 'metric',
): ModelVerdict[] {
  return judge(
    kind,
    rows.map(row =>
      modelOf(
        kind,
        row,
        kept.find(({ id }) => id === row.id?.trim()),
        system,
      ),
    ),
    kept,
  )
}

/** The same of models from a JSON file. */
export function judgeModels(kind: ModelKind, models: unknown[], kept: Model[]): ModelVerdict[] {
  return judge(kind, models.map(model => ({ model: model as Model, faults: [] })), kept)
}
