import { database } from '../../../../../accounts/access'
import { wallJobPages, siteUnits } from '../../../../../repositories/walls'
import { sheetAnswer } from '../../../../../utils/sheetAnswer'
import { choice, revisionOf, sheetOptions } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

const FORMATS = { electrician: 'pdf', labels: 'pdf', schedule: 'csv' } as const

/**
 * What is printed of the wiring:
 * `?as=electrician|labels|schedule&revision=A|draft&paper=…&units=metric|imperial&fine=0|1`.
 */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const query = getQuery(event)
  const as = choice('as', query.as, ['electrician', 'labels', 'schedule'], 'electrician')
  const job = () => wallJobPages(database(event), site, wall)
  const units = siteUnits(database(event), site)
  const revision = revisionOf(query.revision)
  const options = sheetOptions({ paper: units === 'metric' ? 'a4' : 'letter', ...query }, units)
  return sheetAnswer(
    event,
    await work('wiring', { job, as, ...(revision !== undefined && { revision }), options }, event),
    [site, wall, as],
    FORMATS[as],
    `revision ${revision} of this wall`,
  )
})
