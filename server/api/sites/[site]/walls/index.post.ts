import { database } from '../../../../database/connection'
import { createWall } from '../../../../repositories/walls'
import { author, now } from '../../../../utils/author'
import { fieldsOf } from '../../../../utils/fields'
import { jsonBody } from '../../../../utils/jsonBody'

export default defineEventHandler(async (event) => {
  const { wall, by } = fieldsOf(await jsonBody(event))
  const id = createWall(database(), getRouterParam(event, 'site')!, wall, author(by), now())
  setResponseStatus(event, 201)
  return { id }
})
