import { author, database } from '../../../accounts/access'
import { importModels } from '../../../repositories/catalogue'
import { now } from '../../../utils/now'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'
import { validationError } from '../../../utils/apiError'
import { audited } from '../../../utils/audited'

/** Brings models of one kind in, all or none. */
export default defineEventHandler(async (event) => {
  const { models } = fieldsOf(await jsonBody(event))
  if (!Array.isArray(models)) throw validationError([{ path: '$.models', message: 'must be a list' }])
  const kind = modelKind(getRouterParam(event, 'kind'))
  const saved = importModels(database(event), kind, models, author(event), now())
  audited(event, 'catalogue', saved.map(({ id }) => id).join(', ').slice(0, 2_000), `${kind}, imported`)
  return saved
})
