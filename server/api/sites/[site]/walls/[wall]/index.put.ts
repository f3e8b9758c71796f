import { author, database, firmOf } from '../../../../../accounts/access'
import { tellWall } from '../../../../../events/hub'
import { saveWall } from '../../../../../repositories/walls'
import { now } from '../../../../../utils/now'
import { fieldsOf } from '../../../../../utils/fields'
import { jsonBody } from '../../../../../utils/jsonBody'

/** Saves a wall on the version it was made from; a stale one is answered with 409 and the newer state. */
export default defineEventHandler(async (event) => {
  const { wall, version, models } = fieldsOf(await jsonBody(event))
  const [site, id] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const saved = saveWall(
    database(event),
    { siteId: site, id },
    { wall, version, models },
    { by: author(event), at: now() },
  )
  tellWall(firmOf(event).id, site, id, { kind: 'saved', version: saved.version })
  return saved
})
