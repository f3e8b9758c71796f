import { database } from '../../../accounts/access'
import { removeSample } from '../../../repositories/catalogue'
import { audited } from '../../../utils/audited'

/** Takes the sample models out that no site holds. */
export default defineEventHandler((event) => {
  const result = removeSample(database(event))
  audited(event, 'catalogue', 'sample', `${result.removed} models removed`)
  return result
})
