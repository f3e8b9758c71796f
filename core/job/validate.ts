import { ValidationError, type Schema } from 'yup'
import { InvalidJob, type Fault } from './fault'
import { same } from './merge'
import { evidenceSchema, jobSchema, LIMITS, logEntrySchema, rulesSchema, wallSchema } from './schema'
import type { Catalogue, Job, LogEntry, Wall } from './types'

/** Every fault of a value by a schema, each at its JSON path under `root`. Nothing is coerced. */
function schemaFaults(schema: Schema, value: unknown, root: string): Fault[] {
  try {
    schema.validateSync(value, { strict: true, abortEarly: false })
    return []
  }
  catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const found = error.inner.length > 0 ? error.inner : [error]
    return found.map(({ path, errors }) => ({
      path: path ? `${root}.${path}` : root,
      message: errors.join('; '),
    }))
  }
}

function repeated(ids: { id: string }[], path: string): Fault[] {
  const seen = new Set<string>()
  return ids.flatMap(({ id }, index) => {
    if (!seen.has(id)) return seen.add(id) && []
    return [{ path: `${path}[${index}].id`, message: `“${id}” is used twice; each must be its own` }]
  })
}

function unknownModels(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  const shelves = { display: catalogue.displays, mount: catalogue.mounts, fastener: catalogue.fasteners } as const
  return wall.arrays.flatMap((array, index) =>
    (Object.keys(shelves) as (keyof typeof shelves)[]).flatMap((kind) => {
      const id = array[kind]
      if (id === undefined || shelves[kind].some(model => model.id === id)) return []
      return [{ path: `${path}.arrays[${index}].${kind}`, message: `“${id}” is not in the catalogue` }]
    }))
}

function unknownReferences(wall: Wall, path: string): Fault[] {
  const known = new Set(wall.references?.map(({ id }) => id))
  return (wall.evidence ?? []).flatMap(({ reference }, index) =>
    reference === undefined || known.has(reference)
      ? []
      : [{ path: `${path}.evidence[${index}].reference`, message: `“${reference}” is not a reference of this wall` }])
}

function platesOutsideGrid(wall: Wall, path: string): Fault[] {
  return wall.arrays.flatMap((array, a) => (array.plates ?? []).flatMap(({ row, column }, index) =>
    row <= array.rows && column <= array.columns
      ? []
      : [{ path: `${path}.arrays[${a}].plates[${index}]`, message: `is R${row} C${column}, outside a grid of ${array.rows} × ${array.columns}` }]))
}

function wallLinkFaults(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  return [
    ...repeated(wall.arrays, `${path}.arrays`),
    ...repeated(wall.evidence ?? [], `${path}.evidence`),
    ...repeated(wall.features ?? [], `${path}.features`),
    ...repeated(wall.references ?? [], `${path}.references`),
    ...unknownModels(wall, catalogue, path),
    ...unknownReferences(wall, path),
    ...platesOutsideGrid(wall, path),
  ]
}

/** Lists of a wall that grow long; an edit changes few of their entries. */
const LONG_LISTS = ['evidence', 'features', 'surface'] as const

/** A wall with only those entries of its long lists that a good one does not have at the same place, and where they were. */
function beyond(wall: Record<string, unknown>, good: Wall): { part: Record<string, unknown>, places: Record<string, number[]> } {
  const part = { ...wall }
  const places: Record<string, number[]> = {}
  for (const key of LONG_LISTS) {
    const [list, known = []] = [wall[key], good[key]]
    if (!Array.isArray(list) || list.length > LIMITS.readings) continue
    places[key] = list.flatMap((entry, index) => same(entry, known[index]) ? [] : [index])
    part[key] = places[key].map(index => list[index] as unknown)
  }
  return { part, places }
}

/**
 * Every fault of one wall against its job's catalogue, at paths under `root`.
 *
 * @param good a wall known to have none, from which this one was edited: what it has too is not checked again
 */
export function wallFaults(wall: unknown, catalogue: Catalogue, root = '$', good?: Wall): Fault[] {
  const isEdit = good !== undefined && typeof wall === 'object' && wall !== null
  const { part, places } = isEdit ? beyond(wall as Record<string, unknown>, good) : { part: wall, places: {} as Record<string, number[]> }
  const faults = schemaFaults(wallSchema, part, root).map(({ path, message }) => ({
    path: path.replace(/\.(evidence|features|surface)\[(\d+)\]/, (text, key: string, index: string) => places[key] ? `.${key}[${places[key][Number(index)]}]` : text),
    message,
  }))
  return faults.length > 0 ? faults : wallLinkFaults(wall as Wall, catalogue, root)
}

/** Every fault of one reading by itself, at paths under `$`. */
export function evidenceFaults(reading: unknown): Fault[] {
  return schemaFaults(evidenceSchema, reading, '$')
}

/** Every fault of a site's house rules, at paths under `$`. */
export function rulesFaults(rules: unknown): Fault[] {
  return schemaFaults(rulesSchema, rules, '$')
}

/** Every fault of one log entry, at paths under `$`. */
export function logEntryFaults(entry: unknown): Fault[] {
  return schemaFaults(logEntrySchema, entry, '$')
}

/**
 * Takes a value read from JSON as a job.
 *
 * @throws InvalidJob with every fault by JSON path
 */
export function validateJob(value: unknown): Job {
  const faults = schemaFaults(jobSchema, value, '$')
  if (faults.length > 0) throw new InvalidJob(faults)
  const job = value as Job
  const links = [
    ...repeated(job.walls, '$.walls'),
    ...repeated(job.log, '$.log'),
    ...repeated(job.catalogue.displays, '$.catalogue.displays'),
    ...repeated(job.catalogue.mounts, '$.catalogue.mounts'),
    ...repeated(job.catalogue.fasteners, '$.catalogue.fasteners'),
    ...job.walls.flatMap((wall, index) => wallLinkFaults(wall, job.catalogue, `$.walls[${index}]`)),
  ]
  if (links.length > 0) throw new InvalidJob(links)
  return job
}

/** Narrow check used where a value's type is known but its figures are not: a log entry off the wire. */
export function isLogEntry(value: unknown): value is LogEntry {
  return logEntryFaults(value).length === 0
}
