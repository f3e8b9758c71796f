import { asBuilt } from '../../../../../../core/log'
import { drawSheet, sheetAsSvg } from '../../../../../../core/mark/sheet'
import { contextOf, planWall } from '../../../../../../core/plan'
import { database } from '../../../../../database/connection'
import { readWall } from '../../../../../repositories/walls'
import { marksAsCsv } from '../../../../../sheets/csv'
import { sheetAsPdf } from '../../../../../sheets/pdf'
import { sheetRequest } from '../../../../../utils/sheetRequest'

/** The mark-out sheet as a file: `?format=pdf|svg|csv&paper=a3|letter&units=metric|imperial&fine=0|1`. */
export default defineEventHandler(async (event) => {
  const { job } = readWall(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
  const wall = job.walls[0]!
  const { format, ...options } = sheetRequest(getQuery(event), job.site.units)
  const plan = planWall(wall, contextOf(job), asBuilt(job.log, wall.id))
  const sheet = drawSheet(job, wall, plan, options)
  const files = {
    pdf: ['application/pdf', () => sheetAsPdf(sheet, `${job.site.name}, ${wall.name}: mark-out`)],
    svg: ['image/svg+xml; charset=utf-8', () => sheetAsSvg(sheet)],
    csv: ['text/csv; charset=utf-8', () => `\uFEFF${marksAsCsv(plan.marking.marks, options)}`],
  } as const
  const [type, write] = files[format]
  setHeader(event, 'content-type', type)
  setHeader(event, 'content-disposition', `attachment; filename="${job.site.id}-${wall.id}-mark-out.${format}"`)
  return write()
})
