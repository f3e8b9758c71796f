import { database } from '../../database/connection'
import { shippedCatalogue } from '../../demo'
import { createSite } from '../../repositories/sites'
import { fieldsOf, jsonBody } from '../../utils/jsonBody'
import { author, now } from '../../utils/author'
import { newSite } from '../../utils/newSite'

/** A new site with the shipped catalogue. */
export default defineEventHandler(async (event) => {
  const body = fieldsOf(await jsonBody(event))
  const db = database()
  const id = createSite(db, newSite(db, body), shippedCatalogue(), author(body.by), now())
  setResponseStatus(event, 201)
  return { id }
})
