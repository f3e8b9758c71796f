import { EXPORTS } from '../../../../../../core/formats'
import { database } from '../../../../../accounts/access'
import { packAnswer } from '../../../../../archive/pack'
import { wallDocument } from '../../../../../repositories/wallRows'
import { siteRow } from '../../../../../repositories/siteRows'
import { siteJobPages, siteUnits } from '../../../../../repositories/walls'
import { sheetRequest } from '../../../../../utils/sheetRequest'

/**
 * What is handed over with a wall: `?format=pdf|zip&paper=…&units=…`; made again of the same it is the same to the
 * byte.
 */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const db = database(event)
  wallDocument(db, siteRow(db, site).key, wall)
  const units = siteUnits(db, site)
  const { format, options } = sheetRequest(
    { paper: units === 'metric' ? 'a4' : 'letter', ...getQuery(event) },
    units,
    EXPORTS.handover,
  )
  return packAnswer(event, {
    site,
    wall,
    format,
    job: () => siteJobPages(db, site),
    options: { paper: options.paper, units: options.units },
  })
})
