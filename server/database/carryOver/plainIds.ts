import type SQLite from 'better-sqlite3'
import { PLAIN_ID, withPlainIds, type LogEntry, type Wall } from '../../../core/job'

/**
 * Gives walls whose ids cannot stand in an address ids of their names. Entries of the log stay as they are, as
 * nothing in a log is changed; beside each stands under which id its wall is found now.
 */
export function plainIds(sqlite: SQLite.Database): void {
  const walls = sqlite.prepare('SELECT key, site, id, document FROM walls ORDER BY key').all() as {
    key: number
    site: number
    id: string
    document: string
  }[]
  const rename = sqlite.prepare('UPDATE walls SET id = ?, document = ? WHERE key = ?')
  const find = sqlite.prepare('UPDATE log SET wall = ? WHERE site = ? AND wall = ?')
  for (const site of new Set(walls.filter(({ id }) => !PLAIN_ID.test(id)).map(({ site }) => site))) {
    const rows = walls.filter(wall => wall.site === site)
    const log: LogEntry[] = []
    const renamed = withPlainIds({ walls: rows.map(({ document }) => JSON.parse(document) as Wall), log })
    for (const [n, wall] of renamed.walls.entries()) {
      const { key, id } = rows[n]!
      if (wall.id === id) continue
      rename.run(wall.id, JSON.stringify(wall), key)
      find.run(wall.id, site, id)
    }
  }
}
