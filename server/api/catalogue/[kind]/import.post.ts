import { database } from '../../../database/connection'
import { importModels } from '../../../repositories/catalogue'
import { author, now } from '../../../utils/author'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'
import { validationError } from '../../../utils/apiError'

/** Brings models of one kind in, all or none. */
export default defineEventHandler(async (event) => {
  const { models, by } = fieldsOf(await jsonBody(event))
  if (!Array.isArray(models)) throw validationError([{ path: '$.models', message: 'must be a list' }])
  return importModels(database(), modelKind(getRouterParam(event, 'kind')), models, author(by), now())
})
