import { author, database } from '../../../accounts/access'
import { saveModel } from '../../../repositories/catalogue'
import { now } from '../../../utils/now'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { modelKind } from '../../../utils/modelKind'
import { audited } from '../../../utils/audited'

/** Keeps a model; new figures of one that walls use become a revision. */
export default defineEventHandler(async (event) => {
  const { model, version } = fieldsOf(await jsonBody(event))
  const kind = modelKind(getRouterParam(event, 'kind'))
  const saved = saveModel(database(event), kind, model, version, { by: author(event), at: now() })
  audited(event, 'catalogue', saved.id, kind)
  return saved
})
