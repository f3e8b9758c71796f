import { database } from '../../../../../accounts/access'
import { wallJobPages, siteUnits } from '../../../../../repositories/walls'
import { EXPORTS } from '../../../../../../core/formats'
import { sheetAnswer } from '../../../../../utils/sheetAnswer'
import { revisionOf, sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

/** Templates 1:1 of plates and cut-outs: `?format=pdf|svg&of=SCREEN-OR-BOX&revision=A|draft&paper=…`. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const job = () => wallJobPages(database(event), site, wall)
  const query = getQuery(event)
  const { format, options } = sheetRequest(query, siteUnits(database(event), site), EXPORTS.templates)
  const [revision, of] = [revisionOf(query.revision), revisionOf(query.of)]
  const file = await work(
    'templates',
    { job, format, ...(of !== undefined && { of }), ...(revision !== undefined && { revision }), options },
    event,
  )
  return sheetAnswer(
    event,
    file,
    [site, wall, 'templates', ...(of ? [of] : [])],
    format,
    of === undefined
      ? 'a plate or cut-out of this wall to draw a template for'
      : `plate or cut-out “${of}” on this wall`,
  )
})
