import Papa from 'papaparse'
import { CSV_OUT } from '../../../../../../core/csv'
import { EXPORTS } from '../../../../../../core/formats'
import { database } from '../../../../../accounts/access'
import { wallJobPages } from '../../../../../repositories/walls'
import { notFound } from '../../../../../utils/apiError'
import { asFile } from '../../../../../utils/attachment'
import { choice } from '../../../../../utils/sheetRequest'
import { work } from '../../../../../work/pool'

/** The pixel map of a wall's array, `?array=` its id or else the first: JSON, CSV or a labelled test picture. */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const query = getQuery(event)
  const format = choice('format', query.format, [...EXPORTS.pixels], EXPORTS.pixels[0])
  const id = query.array === undefined ? undefined : String(query.array)
  const found = await work(
    'pixels',
    {
      job: () => wallJobPages(database(event), site, wall),
      drawn: format === 'svg',
      ...(id !== undefined && { array: id }),
    },
    event,
  )
  if (!found) throw notFound('this array with screens on this wall')
  const { array, map, picture } = found
  asFile(event, [site, wall, array, 'pixels'], format)
  if (format === 'svg') return picture
  if (format === 'json') return JSON.stringify({ array, ...map }, null, 2)
  return Papa.unparse(
    {
      fields: ['row', 'column', 'x', 'y', 'width', 'height', 'exact x', 'exact y', 'exact width', 'exact height'],
      data: map.crops.map(({ row, column, rounded, exact }) => [
        row,
        column,
        ...[rounded, exact].flatMap(({ x, y, width, height }) =>
          [x, y, width, height].map(value => Math.round(value * 1e4) / 1e4),
        ),
      ]),
    },
    CSV_OUT,
  )
})
