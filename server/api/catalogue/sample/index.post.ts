import { database } from '../../../accounts/access'
import { addShippedCatalogue } from '../../../demo'
import { audited } from '../../../utils/audited'

/** Puts the sample models in again, of each kind that the catalogue has none of. */
export default defineEventHandler((event) => {
  addShippedCatalogue(database(event))
  audited(event, 'catalogue', 'sample', 'loaded')
  return {}
})
