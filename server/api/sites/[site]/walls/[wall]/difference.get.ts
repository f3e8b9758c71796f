import { database } from '../../../../../accounts/access'
import { wallJobPages, siteUnits } from '../../../../../repositories/walls'
import { EXPORTS } from '../../../../../../core/formats'
import { sheetAnswer } from '../../../../../utils/sheetAnswer'
import { revisionOf, sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

/** What differs between two revisions: `?from=A&to=B&format=pdf|svg|csv|json`; “draft” is the plan of the moment. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const job = () => wallJobPages(database(event), site, wall)
  const query = getQuery(event)
  const { format, options } = sheetRequest(query, siteUnits(database(event), site), EXPORTS.difference)
  const [from, to] = [revisionOf(query.from) ?? '', revisionOf(query.to) ?? 'draft']
  return sheetAnswer(
    event,
    await work('difference', { job, format, from, to, options }, event),
    [site, wall, from, to],
    format,
    `revision ${from} or ${to} of this wall`,
  )
})
