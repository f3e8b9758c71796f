import { database } from '../../../../../database/connection'
import { readJobText, siteUnits } from '../../../../../repositories/walls'
import { asFile } from '../../../../../utils/attachment'
import { sheetRequest } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

const TYPES = { pdf: 'application/pdf', svg: 'image/svg+xml; charset=utf-8', csv: 'text/csv; charset=utf-8', dxf: 'image/vnd.dxf', json: 'application/json; charset=utf-8' }

/** The mark-out sheet as a file: `?format=pdf|svg|csv|dxf|json&paper=a1|a2|a3|a4|letter|tabloid|ansi-c|ansi-d&units=metric|imperial&fine=0|1`. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const job = readJobText(database(), site, wall)
  const { format, ...options } = sheetRequest(getQuery(event), siteUnits(database(), site))
  const file = await work('sheet', { job, format, options })
  asFile(event, [site, wall, 'mark-out'], format, TYPES[format])
  return typeof file === 'string' ? file : Buffer.from(file)
})
