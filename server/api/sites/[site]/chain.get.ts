import { database } from '../../../accounts/access'
import { logOfSite } from '../../../repositories/logRows'
import { siteRow } from '../../../repositories/siteRows'
import { work } from '../../../work/pool'

/** Whether the log of a site is whole: how many entries it has, and the first that does not hold. */
export default defineEventHandler(async (event) => {
  const db = database(event)
  const { key, imported } = siteRow(db, getRouterParam(event, 'site')!)
  const state = await work('chain', { log: JSON.stringify(logOfSite(db, key)) }, event)
  return { ...state, ...imported && { imported } }
})
