import Papa from 'papaparse'
import { arrange, pixelMap, testPicture } from '../../../../../../core/arrange'
import { arraysOf } from '../../../../../../core/job'
import { database } from '../../../../../database/connection'
import { readWall } from '../../../../../repositories/walls'
import { notFound, apiError } from '../../../../../utils/apiError'

const FORMATS = { json: 'application/json', csv: 'text/csv; charset=utf-8', svg: 'image/svg+xml' }

/** The pixel map of a wall's array, `?array=` its id or else the first: JSON, CSV or a labelled test picture. */
export default defineEventHandler((event) => {
  const { format = 'json', array: id } = getQuery(event) as { format?: string, array?: string }
  if (!(format in FORMATS)) throw apiError(400, 'unknown-choice', `“format” must be one of ${Object.keys(FORMATS).join(', ')}.`)
  const { job } = readWall(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
  const wall = job.walls[0]!
  const array = arraysOf(wall).find(array => id === undefined || array.id === id)
  const arrangement = array && arrange(array, job.catalogue.displays, wall)
  if (!array || !arrangement || arrangement.cells.length === 0) throw notFound('array of this name with screens on this wall')
  const map = pixelMap(arrangement.cells, arrangement.imageGap)
  setResponseHeaders(event, {
    'content-type': FORMATS[format as keyof typeof FORMATS],
    'content-disposition': `attachment; filename="${encodeURIComponent(`${job.site.id}-${wall.id}-${array.id}`)}-pixels.${format}"`,
  })
  if (format === 'svg') return testPicture(map, `${job.site.name}, ${wall.name}, ${array.name}`)
  if (format === 'json') return JSON.stringify({ array: array.id, ...map }, null, 2)
  return Papa.unparse({
    fields: ['row', 'column', 'x', 'y', 'width', 'height', 'exact x', 'exact y', 'exact width', 'exact height'],
    data: map.crops.map(({ row, column, rounded, exact }) => [row, column, ...[rounded, exact].flatMap(({ x, y, width, height }) => [x, y, width, height].map(value => Math.round(value * 1e4) / 1e4))]),
  }, { newline: '\r\n' })
})
