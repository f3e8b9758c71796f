import { database } from '../../../accounts/access'
import { everyHead } from '../../../repositories/heads'
import { logPages } from '../../../repositories/logRows'
import { siteRow } from '../../../repositories/siteRows'
import { publicKeys } from '../../../guard/headKey'
import { work } from '../../../work/pool'

/** Whether the log of a site is whole: how many entries it has, and the first that does not hold. */
export default defineEventHandler(async (event) => {
  const db = database(event)
  const { id, key, imported } = siteRow(db, getRouterParam(event, 'site')!)
  const heads = everyHead(db, { id, key })
  const state = await work('chain', { log: () => logPages(db, key), site: id, heads }, event)
  return { ...state, key: publicKeys().at(-1), ...imported && { imported } }
})
