import { bringInArchive } from '../../archive/bringIn'
import { database } from '../../database/connection'
import { author, now } from '../../utils/author'

/** Takes a site with its pictures as it was saved; `?copy=1` gives it a free id where its own is taken. */
export default defineEventHandler(async (event) => {
  const { copy, by } = getQuery(event)
  const brought = await bringInArchive(database(), event.node.req, copy !== undefined, author(by), now())
  setResponseStatus(event, 201)
  return brought
})
