import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'
import { onlyAddedTo } from '../database/form'
import { openFile, type Open } from '../database/connection'
import { chainAudits } from './auditChain'
import type { DatabaseForm } from '../database/migrate'
import * as schema from './schema'
import { inProgram } from '../root'

/** The database of accounts of this server. */
export type Accounts = BetterSQLite3Database<typeof schema>

const form = (): DatabaseForm & { schema: typeof schema } => ({
  schema,
  mark: 'people',
  carriedOver: { '0002_audit-chain': chainAudits },
  migrations: inProgram(process.env.WT_ACCOUNT_MIGRATIONS, 'server/accounts/migrations'),
  triggers: onlyAddedTo('audit', 'the audit'),
})

/** Opens a file of accounts. @throws DatabaseRefused */
export const openAccounts = (file: string): Open<typeof schema> => openFile(file, form())
