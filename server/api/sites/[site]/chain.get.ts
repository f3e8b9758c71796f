import { database } from '../../../accounts/access'
import { logOfSite } from '../../../repositories/logRows'
import { siteRow } from '../../../repositories/siteRows'
import { work } from '../../../work/pool'

/** Whether the log of a site is whole: how many entries it has, and the first that does not hold. */
export default defineEventHandler((event) => {
  const db = database(event)
  return work('chain', { log: JSON.stringify(logOfSite(db, siteRow(db, getRouterParam(event, 'site')!).key)) })
})
