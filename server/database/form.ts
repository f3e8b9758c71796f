import { CARRIED_OVER } from './carryOver'
import type { DatabaseForm } from './migrate'
import * as schema from './schema'
import { inProgram } from '../root'

/** Triggers by which nothing in a table is changed or taken away. */
export const onlyAddedTo = (table: string, what: string): Record<string, string> => ({
  [`${table}_no_update`]: `BEFORE UPDATE ON ${table} BEGIN SELECT RAISE(ABORT, '${what} is only ever added to'); END`,
  [`${table}_no_delete`]: `BEFORE DELETE ON ${table} BEGIN SELECT RAISE(ABORT, '${what} is only ever added to'); END`,
})

/** The database of a firm. */
export const firmDatabase = (): DatabaseForm => ({
  schema, mark: 'sites', carriedOver: CARRIED_OVER,
  migrations: inProgram(process.env.WT_MIGRATIONS, 'server/database/migrations'),
  triggers: {
    ...onlyAddedTo('stock', 'the stock ledger'),
    ...onlyAddedTo('revisions', 'what was issued'),
    ...onlyAddedTo('log', 'the log'),
    ...onlyAddedTo('heads', 'the list of signed heads'),
  },
})
