import { author, database } from '../../../../accounts/access'
import { createWall } from '../../../../repositories/walls'
import { now } from '../../../../utils/now'
import { fieldsOf } from '../../../../utils/fields'
import { jsonBody } from '../../../../utils/jsonBody'

export default defineEventHandler(async (event) => {
  const { wall } = fieldsOf(await jsonBody(event))
  const id = createWall(database(event), getRouterParam(event, 'site')!, wall, author(event), now())
  setResponseStatus(event, 201)
  return { id }
})
