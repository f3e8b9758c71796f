import { database } from '../../../database/connection'
import { saveModel } from '../../../repositories/catalogue'
import { author, now } from '../../../utils/author'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'

/** Keeps a model; new figures of one that walls use become a revision. */
export default defineEventHandler(async (event) => {
  const { model, version, by } = fieldsOf(await jsonBody(event))
  return saveModel(database(), modelKind(getRouterParam(event, 'kind')), model, version, author(by), now())
})
