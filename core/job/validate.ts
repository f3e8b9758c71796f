import { ValidationError, type Schema } from 'yup'
import { InvalidJob, type Fault } from './fault'
import { same } from './merge'
import { COLUMN_ALIGNMENTS, evidenceSchema, jobSchema, LIMITS, logEntrySchema, ROW_ALIGNMENTS, rulesSchema, wallSchema } from './schema'
import type { Catalogue, Job, LogEntry, ScreenArray, Wall } from './types'

/** Every fault of a value by a schema, each at its JSON path under `root`. Nothing is coerced. */
export function schemaFaults(schema: Schema, value: unknown, root: string): Fault[] {
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

/** All arrays that a wall holds, those of its alternatives too, with their paths. */
function everyArray(wall: Wall, path: string): { array: ScreenArray, at: string }[] {
  return [
    ...wall.arrays.map((array, index) => ({ array, at: `${path}.arrays[${index}]` })),
    ...(wall.alternatives ?? []).flatMap(({ arrays = [] }, n) => arrays.map((array, index) => ({ array, at: `${path}.alternatives[${n}].arrays[${index}]` }))),
  ]
}

function unknownModels(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  const shelves = { display: catalogue.displays, mount: catalogue.mounts, fastener: catalogue.fasteners } as const
  const unknown = (kind: keyof typeof shelves, id: string | undefined, at: string) => id === undefined || shelves[kind].some(model => model.id === id)
    ? []
    : [{ path: `${at}.${kind}`, message: `“${id}” is not in the catalogue` }]
  return everyArray(wall, path).flatMap(({ array, at }) => [
    ...(Object.keys(shelves) as (keyof typeof shelves)[]).flatMap(kind => unknown(kind, array[kind], at)),
    ...(array.cells ?? []).flatMap(({ display, mount }, n) => [...unknown('display', display, `${at}.cells[${n}]`), ...unknown('mount', mount, `${at}.cells[${n}]`)]),
  ])
}

function unknownReferences(wall: Wall, path: string): Fault[] {
  const known = new Set(wall.references?.map(({ id }) => id))
  return (wall.evidence ?? []).flatMap(({ reference }, index) =>
    reference === undefined || known.has(reference)
      ? []
      : [{ path: `${path}.evidence[${index}].reference`, message: `“${reference}” is not a reference of this wall` }])
}

function placesOutsideGrid(wall: Wall, path: string): Fault[] {
  return everyArray(wall, path).flatMap(({ array, at }) => (['plates', 'cells'] as const).flatMap((list) => {
    const seen = new Set<string>()
    return (array[list] ?? []).flatMap(({ row, column }, index) => {
      const place = `R${row} C${column}`
      if (row > array.rows || column > array.columns) return [{ path: `${at}.${list}[${index}]`, message: `is ${place}, outside a grid of ${array.rows} × ${array.columns}` }]
      if (!seen.has(place)) return seen.add(place) && []
      return [{ path: `${at}.${list}[${index}]`, message: `${place} is there twice` }]
    })
  }))
}

/** A line of unlike displays is one row or one column, in line by what such a one can be. */
function alignmentFaults(wall: Wall, path: string): Fault[] {
  return everyArray(wall, path).flatMap(({ array: { rows, columns, align }, at }) => {
    if (align === undefined) return []
    if (rows > 1 && columns > 1) return [{ path: `${at}.align`, message: `unlike displays are hung in one row or one column, not in ${rows} × ${columns}` }]
    const can = columns > 1 ? ROW_ALIGNMENTS : rows > 1 ? COLUMN_ALIGNMENTS : [...ROW_ALIGNMENTS, ...COLUMN_ALIGNMENTS]
    return can.includes(align) ? [] : [{ path: `${at}.align`, message: `a ${columns > 1 ? 'row' : 'column'} is in line by ${can.join(', ')}; “${align}” is none of them` }]
  })
}

function alternativeFaults({ alternatives = [], alternative, chosen }: Wall, path: string): Fault[] {
  const known = new Set(alternatives.map(({ id }) => id))
  return [
    ...repeated(alternatives, `${path}.alternatives`),
    ...Object.entries({ alternative, chosen }).flatMap(([key, id]) => id === undefined || known.has(id) ? [] : [{ path: `${path}.${key}`, message: `“${id}” is not an alternative of this wall` }]),
  ]
}

function wallLinkFaults(wall: Wall, catalogue: Catalogue, path: string): Fault[] {
  return [
    ...repeated(wall.arrays, `${path}.arrays`),
    ...repeated(wall.evidence ?? [], `${path}.evidence`),
    ...repeated(wall.features ?? [], `${path}.features`),
    ...repeated(wall.references ?? [], `${path}.references`),
    ...unknownModels(wall, catalogue, path),
    ...unknownReferences(wall, path),
    ...placesOutsideGrid(wall, path),
    ...alignmentFaults(wall, path),
    ...alternativeFaults(wall, path),
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
    ...repeated(job.catalogue.screwKits ?? [], '$.catalogue.screwKits'),
    ...job.walls.flatMap((wall, index) => wallLinkFaults(wall, job.catalogue, `$.walls[${index}]`)),
  ]
  if (links.length > 0) throw new InvalidJob(links)
  return job
}

/** Narrow check used where a value's type is known but its figures are not: a log entry off the wire. */
export function isLogEntry(value: unknown): value is LogEntry {
  return logEntryFaults(value).length === 0
}
