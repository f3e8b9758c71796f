import { asc, eq } from 'drizzle-orm'
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import type { AnySQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { partToRow, put, rowToPart, take, type Part, type Row } from './records'
import * as schema from './schema'

export type Database = BetterSQLite3Database<typeof schema>

/** A table of the job file and, by their path in it, the tables of its lists. */
export interface Branch {
  table: SQLiteTable & { key: AnySQLiteColumn, parent?: AnySQLiteColumn }
  lists: Record<string, Branch>
}

const leaf = (table: Branch['table']): Branch => ({ table, lists: {} })

export const wallBranch: Branch = {
  table: schema.walls,
  lists: {
    'covering': leaf(schema.layers),
    'structure.members': leaf(schema.members),
    'references': leaf(schema.references),
    'evidence': leaf(schema.evidence),
    'features': leaf(schema.features),
    'arrays': { table: schema.arrays, lists: { plates: leaf(schema.plates) } },
  },
}

export const catalogueLists: Record<string, Branch> = {
  'catalogue.displays': leaf(schema.displays),
  'catalogue.mounts': { table: schema.mounts, lists: { 'plate.slots': leaf(schema.slots) } },
  'catalogue.fasteners': leaf(schema.fasteners),
}

/** The whole job file. */
export const siteBranch: Branch = {
  table: schema.sites,
  lists: { ...catalogueLists, walls: wallBranch, log: leaf(schema.log) },
}

/** Rows in one statement: well under the number of values that SQLite takes at once. */
const AT_ONCE = 200

/** An empty list stays with its part, so that the file comes back as it was. */
function takeLists(part: Part, lists: Branch['lists']): Record<string, Part[]> {
  return Object.fromEntries(Object.keys(lists).map((path) => {
    const list = take(part, path) as Part[] | undefined
    if (list?.length === 0) put(part, path, list)
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

/** Puts a part in the place of what a row and its lists held. */
export function replacePart(db: Database, branch: Branch, part: Part, key: number, own: Row): void {
  const lists = takeLists(part, branch.lists)
  for (const { table } of Object.values(branch.lists)) db.delete(table).where(eq(table.parent!, key)).run()
  db.update(branch.table).set({ ...partToRow(branch.table, part), ...own }).where(eq(branch.table.key, key)).run()
  insertLists(db, branch.lists, lists, key)
}

/** Fills a part's lists from the rows below its key. */
export function loadLists(db: Database, lists: Branch['lists'], part: Part, key: number): Part {
  for (const [path, { table, lists: inner }] of Object.entries(lists)) {
    const rows = db.select().from(table).where(eq(table.parent!, key)).orderBy(asc(table.key)).all() as Row[]
    if (rows.length > 0) put(part, path, rows.map(row => loadLists(db, inner, rowToPart(table, row), row.key as number)))
  }
  return part
}
