import { database } from '../../accounts/access'
import { saveSettings } from '../../repositories/programme'
import { audited } from '../../utils/audited'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'

/** Puts the programme's settings: `{ settings, version }`, the version that they were made from. */
export default defineEventHandler(async (event) => {
  const { settings, version } = fieldsOf(await jsonBody(event))
  const saved = saveSettings(database(event), settings, version)
  audited(event, 'programme', 'settings')
  return saved
})
