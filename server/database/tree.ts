import { asc, eq, sql } from 'drizzle-orm'
import type { AnySQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { same } from '../../core/job'
import { perDatabase, type Database } from './perDatabase'
import { partToRow, put, rowToPart, take, type Part, type Row } from './records'
import * as schema from './schema'

/** A table of the job file and, by their path in it, the tables of its lists. */
export interface Branch {
  table: ListTable
  lists: Record<string, Branch>
  /** The rows of this table that belong to a row of the one above, in order. */
  below: (db: Database, parent: number) => Row[]
}

type ListTable = SQLiteTable & { key: AnySQLiteColumn, parent?: AnySQLiteColumn }

function branch(table: ListTable, lists: Record<string, Branch> = {}): Branch {
  const select = perDatabase(db =>
    db.select().from(table).where(eq(table.parent!, sql.placeholder('parent'))).orderBy(asc(table.key)).prepare())
  return { table, lists, below: (db, parent) => select(db).all({ parent }) as Row[] }
}

export const wallBranch = branch(schema.walls, {
  'covering': branch(schema.layers),
  'structure.members': branch(schema.members),
  'references': branch(schema.references),
  'evidence': branch(schema.evidence),
  'features': branch(schema.features),
  'blocking': branch(schema.blocking),
  'surface': branch(schema.surface),
  'arrays': branch(schema.arrays, { plates: branch(schema.plates) }),
})

export const catalogueLists: Record<string, Branch> = {
  'catalogue.displays': branch(schema.displays),
  'catalogue.mounts': branch(schema.mounts, { 'plate.slots': branch(schema.slots) }),
  'catalogue.fasteners': branch(schema.fasteners),
  'catalogue.screwKits': branch(schema.screwKits),
}

/** The whole job file. */
export const siteBranch = branch(schema.sites, { ...catalogueLists, walls: wallBranch, log: branch(schema.log) })

/** Rows in one statement: well under the number of values that SQLite takes at once. */
const AT_ONCE = 200

/** An empty list stays with its part, so that the file comes back as it was. */
function takeLists(part: Part, lists: Branch['lists']): Record<string, Part[]> {
  return Object.fromEntries(Object.keys(lists).map((path) => {
    const list = take(part, path.split('.')) as Part[] | undefined
    if (list?.length === 0) put(part, path.split('.'), list)
    return [path, list ?? []]
  }))
}

/** Keeps a part's lists below the row with the given key. */
export function insertLists(db: Database, lists: Branch['lists'], parts: Record<string, Part[]>, parent: number): void {
  for (const [path, branch] of Object.entries(lists)) insertAll(db, branch, parts[path] ?? [], parent)
}

function insertAll(db: Database, branch: Branch, parts: Part[], parent: number): void {
  const nested = Object.keys(branch.lists).length > 0
  if (nested) {
    for (const part of parts) insertPart(db, branch, part, { parent })
    return
  }
  const rows = parts.map(part => ({ ...partToRow(branch.table, part), parent }))
  for (let from = 0; from < rows.length; from += AT_ONCE) db.insert(branch.table).values(rows.slice(from, from + AT_ONCE)).run()
}

/** Keeps a part with all its lists; the part is emptied on the way. Returns its key. */
export function insertPart(db: Database, branch: Branch, part: Part, own: Row): number {
  const lists = takeLists(part, branch.lists)
  const { lastInsertRowid } = db.insert(branch.table).values({ ...partToRow(branch.table, part), ...own }).run()
  const key = Number(lastInsertRowid)
  insertLists(db, branch.lists, lists, key)
  return key
}

/**
 * Puts a part in the place of the one that a row and its lists hold, writing only what differs.
 * Both parts are emptied on the way.
 */
export function replacePart(db: Database, branch: Branch, part: Part, before: Part, key: number, own: Row): void {
  const [lists, held] = [takeLists(part, branch.lists), takeLists(before, branch.lists)]
  const [row, was] = [partToRow(branch.table, part), partToRow(branch.table, before)]
  const differing = Object.fromEntries(Object.entries(row).filter(([column, value]) => !same(value, was[column])))
  db.update(branch.table).set({ ...differing, ...own }).where(eq(branch.table.key, key)).run()
  const changed = Object.entries(branch.lists).filter(([path]) => !same(lists[path], held[path]))
  for (const [, { table }] of changed) db.delete(table).where(eq(table.parent!, key)).run()
  insertLists(db, Object.fromEntries(changed), lists, key)
}

/** Fills a part's lists from the rows below its key. */
export function loadLists(db: Database, lists: Branch['lists'], part: Part, key: number): Part {
  for (const [path, { table, lists: inner, below }] of Object.entries(lists)) {
    const rows = below(db, key)
    if (rows.length > 0) put(part, path.split('.'), rows.map(row => loadLists(db, inner, rowToPart(table, row), row.key as number)))
  }
  return part
}
