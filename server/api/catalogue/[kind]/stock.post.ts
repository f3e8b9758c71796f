import { author, database } from '../../../accounts/access'
import { moveStock, moveStockTo } from '../../../repositories/stock'
import { now } from '../../../utils/now'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'

/**
 * Notes that so many of a model came or went: `{ "model", "change", "note", "place" }`, in the store where no place is
 * said; with `to`, that so many were moved there from that place. Answers with how many there are now.
 */
export default defineEventHandler(async (event) => {
  const { model, change, note, place, to } = fieldsOf(await jsonBody(event))
  const [kind, id, by, at] = [modelKind(getRouterParam(event, 'kind')), String(model), author(event), now()]
  return {
    count:
      to === undefined
        ? moveStock(database(event), { kind, id }, { change, note, place }, { by, at })
        : moveStockTo(database(event), { kind, id }, { count: change, note, place, to }, { by, at }),
  }
})
