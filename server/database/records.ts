import { getTableColumns } from 'drizzle-orm'
import type { SQLiteTable } from 'drizzle-orm/sqlite-core'

/** A part of the job file, and the row it is kept in. */
export type Part = Record<string, unknown>
export type Row = Record<string, unknown>

/** Columns that are the house's own and never a key of the job file. */
const OWN = new Set(['key', 'parent', 'extra', 'version', 'savedAt', 'savedBy'])

/** A column that holds a value of the job file: its name there is the path of keys, joined by points. */
interface Column { name: string, path: string[] }
const columns = new WeakMap<SQLiteTable, Column[]>()

function columnsOf(table: SQLiteTable): Column[] {
  const known = columns.get(table)
  if (known) return known
  const found = Object.keys(getTableColumns(table)).filter(name => !OWN.has(name)).map(name => ({ name, path: name.split('.') }))
  columns.set(table, found)
  return found
}

const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Takes the value at a path out of a part, and with it every object that it leaves empty. */
export function take(part: Part, [first, ...rest]: string[]): unknown {
  const value = part[first!]
  if (rest.length === 0) {
    Reflect.deleteProperty(part, first!)
    return value
  }
  if (!isPart(value) || Object.keys(value).length === 0) return undefined
  const taken = take(value, rest)
  if (Object.keys(value).length === 0) Reflect.deleteProperty(part, first!)
  return taken
}

/** Puts a value at a path, making the objects on the way. */
export function put(part: Part, path: string[], value: unknown): void {
  let inner = part
  path.forEach((key, depth) => {
    if (depth === path.length - 1) inner[key] = value
    else inner = (isPart(inner[key]) ? inner[key] : inner[key] = {}) as Part
  })
}

/**
 * A part of the job file as a row: what has a column goes there, everything else into `extra`, so
 * that `rowToPart` gives back an equal part. The part is emptied on the way: hand in a copy.
 */
export function partToRow(table: SQLiteTable, part: Part): Row {
  const row: Row = Object.fromEntries(columnsOf(table).map(({ name, path }) => [name, take(part, path) ?? null]))
  return { ...row, extra: Object.keys(part).length > 0 ? part : null }
}

/** A row, fresh from the database, as its part of the job file. */
export function rowToPart(table: SQLiteTable, row: Row): Part {
  const part = (row.extra ?? {}) as Part
  for (const { name, path } of columnsOf(table)) {
    if (row[name] !== null && row[name] !== undefined) put(part, path, row[name])
  }
  return part
}
