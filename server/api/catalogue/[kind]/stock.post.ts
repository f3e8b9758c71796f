import { database } from '../../../database/connection'
import { moveStock } from '../../../repositories/stock'
import { author, now } from '../../../utils/author'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'

/** Notes that so many of a model came or went: `{ "model", "change", "note" }`; answers with how many there are now. */
export default defineEventHandler(async (event) => {
  const { model, change, note, by } = fieldsOf(await jsonBody(event))
  return { count: moveStock(database(), modelKind(getRouterParam(event, 'kind')), String(model), change, author(by), now(), note) }
})
