import { author, database } from '../../../accounts/access'
import { moveStock } from '../../../repositories/stock'
import { now } from '../../../utils/now'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'

/** Notes that so many of a model came or went: `{ "model", "change", "note", "place" }`, in the store where no place is said; answers with how many there are now. */
export default defineEventHandler(async (event) => {
  const { model, change, note, place } = fieldsOf(await jsonBody(event))
  return { count: moveStock(database(event), modelKind(getRouterParam(event, 'kind')), String(model), change, author(event), now(), note, place) }
})
