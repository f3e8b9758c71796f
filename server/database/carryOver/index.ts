import type SQLite from 'better-sqlite3'
import { plainIds } from './plainIds'
import { rowsToDocuments } from './rowsToDocuments'

/**
 * What a migration carries over that SQL alone cannot, by its tag: run after its statements, in the same transaction.
 */
export const CARRIED_OVER: Record<string, (sqlite: SQLite.Database) => void> = {
  '0011_documents': rowsToDocuments,
  '0012_plain_ids': plainIds,
}
