import type { FirmState } from '../../core/api/sites'
import { eq } from 'drizzle-orm'
import { rulesFaults, type Rules } from '../../core/job'
import { perDatabase, type Database } from '../database/perDatabase'
import { firm } from '../database/schema'
import { apiError, validationError } from '../utils/apiError'

const ONLY = 1
const oneFirm = perDatabase(db => db.select().from(firm).where(eq(firm.key, ONLY)).prepare())

/** The firm's rules as they are kept; of none where it chose nothing. */
export const firmRulesText = (db: Database): string => oneFirm(db).get()?.rules ?? '{}'

export function readFirm(db: Database): FirmState {
  const row = oneFirm(db).get()
  return { rules: JSON.parse(row?.rules ?? '{}') as Rules, version: row?.version ?? 0 }
}

/**
 * Puts the firm's rules in the place of the version that they were made from; every wall that has not chosen for
 * itself is planned by them from then on.
 *
 * @throws 409 with the state that the server has now, where a person changed it in between; 422 with every fault
 */
export function saveFirmRules(db: Database, rules: unknown, version: unknown): FirmState {
  return db.transaction(() => {
    const now = readFirm(db)
    if (version !== now.version)
      throw apiError(409, 'stale', 'Another user changed the firm’s rules after you opened them.', { current: now })
    const faults = rulesFaults(rules)
    if (faults.length > 0) throw validationError(faults)
    const next = { version: now.version + 1, rules: JSON.stringify(rules) }
    db.insert(firm).values({ key: ONLY, ...next }).onConflictDoUpdate({ target: firm.key, set: next }).run()
    return { rules: rules as Rules, version: next.version }
  }, { behavior: 'immediate' })
}
