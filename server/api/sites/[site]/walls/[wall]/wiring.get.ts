import { database } from '../../../../../database/connection'
import { readJobText, siteUnits } from '../../../../../repositories/walls'
import { asFile } from '../../../../../utils/attachment'
import { choice, sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

const FILES = { electrician: ['pdf', 'application/pdf'], labels: ['pdf', 'application/pdf'], schedule: ['csv', 'text/csv; charset=utf-8'] } as const

/** What is printed of the wiring: `?as=electrician|labels|schedule&paper=a3|a4|letter&units=metric|imperial&fine=0|1`. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const query = getQuery(event)
  const as = choice('as', query.as, ['electrician', 'labels', 'schedule'], 'electrician')
  const job = readJobText(database(), site, wall)
  const units = siteUnits(database(), site)
  const { format: _format, ...options } = sheetRequest({ paper: units === 'metric' ? 'a4' : 'letter', ...query }, units)
  const file = await work('wiring', { job, as, options })
  const [format, type] = FILES[as]
  asFile(event, [site, wall, as], format, type)
  return typeof file === 'string' ? file : Buffer.from(file)
})
