import type { LogEntry } from '../../core/job'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { apiError, validationError, type ApiErrorBody } from '../utils/apiError'
import { fieldsOf } from '../utils/fields'
import type { Opened } from './links'
import { addEntries } from './log'
import { entriesOf } from './logRows'
import { siteRow } from './siteRows'

/** Who made what comes through a client's link: nobody knows more than that; the name is what was typed. */
export const CLIENT = 'Client, by link'
/** A link signs once, and has so many remarks. */
const MOST_REMARKS = 5
/** A signature's strokes have so many characters of JSON at most. */
const MOST_INK = 50_000

const typed = (given: unknown): string => typeof given === 'string' ? given.trim() : ''

/**
 * What a client does through his link: he signs once, and remarks on something: `{ id, name, role, ink, remark }`,
 * without `ink` where he only remarks. The same id once more is the same signature.
 *
 * @returns the entries that the log has now @throws 422 with what is wrong, 409 where this link has signed already
 */
export function signByLink(db: Database, { site, wall, link }: Opened, given: unknown, at: string): LogEntry[] {
  const { id, ink } = fieldsOf(given)
  const [name, role, remark] = [typed(fieldsOf(given).name), typed(fieldsOf(given).role), typed(fieldsOf(given).remark)]
  const isSigning = Array.isArray(ink) && ink.length > 0
  if (!isSigning && !remark) throw validationError([{ path: '$.ink', message: 'is missing: sign in the field' }])
  if (name === '') throw validationError([{ path: '$.name', message: 'is missing: enter your name' }])
  if (isSigning && JSON.stringify(ink).length > MOST_INK) {
    throw validationError([{ path: '$.ink', message: 'has too many strokes: clear the field and sign again' }])
  }
  const byThis = entriesOf(db, siteRow(db, site).key, wall).filter(entry => (entry as { link?: string }).link === link.id)
  const others = byThis.filter(entry => entry.id !== id && entry.id !== `${String(id)}-remark`)
  if (isSigning && others.some(({ kind }) => kind === 'signed')) {
    throw apiError(409, 'signed-already', 'This link has been used to sign already. Ask the sender for a new one.')
  }
  if (remark && others.filter(({ kind }) => kind === 'remark').length >= MOST_REMARKS) {
    throw apiError(409, 'remarks-full', `A link can have ${MOST_REMARKS} remarks. Ask the sender for a new one.`)
  }
  const about = { at, by: CLIENT, wall, name, link: link.id }
  const results = addEntries(db, site, wall, clientAuthor, [
    ...isSigning ? [{ ...about, id, kind: 'signed', ...role && { role }, ink }] : [],
    ...remark ? [{ ...about, id: `${String(id)}-remark`, kind: 'remark', note: remark }] : [],
  ], at)
  for (const result of results) if ('error' in result) throw refusal(result.error)
  return results.flatMap(result => 'entry' in result ? [result.entry] : [])
}

const refusal = ({ faults, message }: ApiErrorBody['error']): Error => validationError(faults ?? [{ path: '$', message }])
