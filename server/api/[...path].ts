import { apiError } from '../utils/apiError'

/** Whatever no route of the API answers. */
export default defineEventHandler(() => {
  throw apiError(404, 'not-found', 'There is nothing at this address.')
})
