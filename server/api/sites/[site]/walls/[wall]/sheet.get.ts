import { database } from '../../../../../accounts/access'
import { wallJobPages, siteUnits } from '../../../../../repositories/walls'
import { EXPORTS } from '../../../../../../core/formats'
import { sheetAnswer } from '../../../../../utils/sheetAnswer'
import { revisionOf, sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

/**
 * The mark-out sheet as a file:
 * `?format=pdf|svg|dxf|csv|json&revision=A|draft&paper=…&scale=25&units=metric|imperial&fine=0|1`; of the last
 * revision, or of a draft where none was issued.
 */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const job = () => wallJobPages(database(event), site, wall)
  const query = getQuery(event)
  const { format, options } = sheetRequest(query, siteUnits(database(event), site), EXPORTS.sheet)
  const revision = revisionOf(query.revision)
  const address = `${getRequestURL(event).origin}/sites/${site}/walls/${wall}`
  const file = await work(
    'sheet',
    { job, format, ...(revision !== undefined && { revision }), options: { ...options, address } },
    event,
  )
  return sheetAnswer(
    event,
    file,
    [site, wall, 'mark-out', ...(revision ? [revision] : [])],
    format,
    `revision ${revision} of this wall`,
  )
})
