import { existsSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { asc, eq } from 'drizzle-orm'
import { dataFolder } from '../database/connection'
import { validationError } from '../utils/apiError'
import { note } from './audit'
import type { Accounts } from './form'
import { firms } from './schema'

/** A firm of this server. */
export type Firm = typeof firms.$inferSelect

/** So many days a device may go without the server, unless the firm says otherwise. */
const DEVICE_DAYS = 14
const MOST_DAYS = 365

export const listFirms = (accounts: Accounts): Firm[] => accounts.select().from(firms).orderBy(asc(firms.key)).all()
export const firmOfId = (accounts: Accounts, id: string): Firm | undefined =>
  accounts.select().from(firms).where(eq(firms.id, id)).get()

/** What is wrong with the name of a firm or of a person. */
export const nameFault = (path: string, name: unknown): { path: string, message: string }[] =>
  typeof name === 'string' && name.trim() !== '' && name.length <= 200
    ? []
    : [{ path, message: 'must be a name of at most 200 characters' }]

/**
 * Begins a firm. The first of a server has the data folder itself, with whatever was planned there before there were
 * accounts; each other one a folder of its own.
 */
export function beginFirm(accounts: Accounts, name: string, at: string): Firm {
  const id = randomUUID()
  const first = listFirms(accounts).length === 0
  const key = Number(
    accounts
      .insert(firms)
      .values({ id, name: name.trim(), folder: first ? '.' : join('firms', id), madeAt: at, deviceDays: DEVICE_DAYS })
      .run().lastInsertRowid,
  )
  note(accounts, key, {
    at,
    by: 'The server',
    kind: 'firm-begun',
    subject: name.trim(),
    detail:
      first && existsSync(join(dataFolder(), 'wide-trellis.db'))
        ? 'with everything planned here before accounts existed'
        : '',
  })
  return firmOfId(accounts, id)!
}

/** Changes what a firm decides about its accounts. @throws 422 with every fault */
export function saveFirm(
  accounts: Accounts,
  firm: Firm,
  { name, deviceDays }: { name?: unknown, deviceDays?: unknown },
  by: string,
  at: string,
): Firm {
  const faults = [
    ...nameFault('$.name', name),
    ...(Number.isInteger(deviceDays) && Number(deviceDays) >= 1 && Number(deviceDays) <= MOST_DAYS
      ? []
      : [{ path: '$.deviceDays', message: `must be a whole number of days from 1 to ${MOST_DAYS}` }]),
  ]
  if (faults.length > 0) throw validationError(faults)
  const next = { name: String(name).trim(), deviceDays: Number(deviceDays) }
  accounts.update(firms).set(next).where(eq(firms.key, firm.key)).run()
  note(accounts, firm.key, {
    at,
    by,
    kind: 'settings',
    subject: next.name,
    detail: `devices sign in again after ${next.deviceDays} days`,
  })
  return { ...firm, ...next }
}
