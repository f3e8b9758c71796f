import { getTableColumns } from 'drizzle-orm'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'

/** A part of the job file, and the row it is kept in. */
export type Part = Record<string, unknown>
export type Row = Record<string, unknown>

/** Columns that are the house's own and never a key of the job file. */
const OWN = new Set(['key', 'parent', 'extra', 'version', 'savedAt', 'savedBy'])

/** The columns of a table that hold keys of the job file: each one's name is its path there. */
function pathsOf(table: SQLiteTable): string[] {
  return Object.keys(getTableColumns(table)).filter(column => !OWN.has(column))
}

const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Takes the value at a path out of a part, and with it every object that it leaves empty. */
export function take(part: Part, path: string): unknown {
  const [first, ...rest] = path.split('.') as [string, ...string[]]
  if (rest.length === 0) {
    const value = part[first]
    Reflect.deleteProperty(part, first)
    return value
  }
  const inner = part[first]
  if (!isPart(inner) || Object.keys(inner).length === 0) return undefined
  const value = take(inner, rest.join('.'))
  if (Object.keys(inner).length === 0) Reflect.deleteProperty(part, first)
  return value
}

/** Puts a value at a path, making the objects on the way. */
export function put(part: Part, path: string, value: unknown): void {
  const keys = path.split('.')
  const last = keys.pop()!
  let inner = part
  for (const key of keys) inner = (isPart(inner[key]) ? inner[key] : inner[key] = {}) as Part
  inner[last] = value
}

/**
 * A part of the job file as a row: what has a column goes there, everything else into `extra`, so
 * that `rowToPart` gives back an equal part. The part is emptied on the way: hand in a copy.
 */
export function partToRow(table: SQLiteTable, part: Part): Row {
  const row: Row = Object.fromEntries(pathsOf(table).map(path => [path, take(part, path) ?? null]))
  return { ...row, extra: Object.keys(part).length > 0 ? part : null }
}

/** A row as its part of the job file. */
export function rowToPart(table: SQLiteTable, row: Row): Part {
  const part: Part = structuredClone(row.extra as Part | null) ?? {}
  for (const path of pathsOf(table)) {
    if (row[path] !== null && row[path] !== undefined) put(part, path, row[path])
  }
  return part
}
