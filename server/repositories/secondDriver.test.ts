import { vi } from 'vitest'

/*
 * Everything that is tested of repositories and accounts once more, on another engine behind the same seam: libSQL in
 * the place of better-sqlite3, where `openFile` opens a database. What holds here holds where a firm outgrows a node.
 */
vi.mock('better-sqlite3', async () => ({ default: (await import('libsql')).default }))

await import('./repositories.test')
await import('./log.test')
await import('./rules.test')
await import('./catalogue.test')
await import('./links.test')
await import('./programme.test')
await import('../accounts/accounts.test')
