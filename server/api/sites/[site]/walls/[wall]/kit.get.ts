import { database } from '../../../../../accounts/access'
import { wallJobPages, siteUnits } from '../../../../../repositories/walls'
import { EXPORTS } from '../../../../../../core/formats'
import { sheetAnswer } from '../../../../../utils/sheetAnswer'
import { revisionOf, sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

/** Parts and tools of a revision as a list: `?format=pdf|csv&revision=A|draft&paper=…`. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const job = () => wallJobPages(database(event), site, wall)
  const units = siteUnits(database(event), site)
  const query = getQuery(event)
  const { format, options } = sheetRequest(
    { paper: units === 'metric' ? 'a4' : 'letter', ...query },
    units,
    EXPORTS.kit,
  )
  const revision = revisionOf(query.revision)
  return sheetAnswer(
    event,
    await work('kit', { job, format, ...(revision !== undefined && { revision }), options }, event),
    [site, wall, 'parts-and-tools'],
    format,
    `revision ${revision} of this wall`,
  )
})
