import { database } from '../../../../../database/connection'
import { tellWall } from '../../../../../events/hub'
import { saveWall } from '../../../../../repositories/walls'
import { author, now } from '../../../../../utils/author'
import { fieldsOf } from '../../../../../utils/fields'
import { jsonBody } from '../../../../../utils/jsonBody'

/** Saves a wall on the version it was made from; a stale one is answered with 409 and the newer state. */
export default defineEventHandler(async (event) => {
  const { wall, version, by, models } = fieldsOf(await jsonBody(event))
  const [site, id] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const saved = saveWall(database(), site, id, wall, version, author(by), now(), models)
  tellWall(site, id, { kind: 'saved', version: saved.version })
  return saved
})
