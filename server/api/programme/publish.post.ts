import { author, database } from '../../accounts/access'
import { publish } from '../../repositories/programme'
import { audited } from '../../utils/audited'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'

/** Publishes a schedule: `{ stretches, version }`, the version of the settings that it was calculated with. */
export default defineEventHandler(async (event) => {
  const { stretches, version } = fieldsOf(await jsonBody(event))
  const saved = publish(database(event), stretches, version, author(event), now())
  audited(event, 'published', `programme ${saved.published}`)
  return saved
})
