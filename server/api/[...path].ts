import { refusal } from '../utils/refusal'

/** Whatever no route of the API answers. */
export default defineEventHandler(() => {
  throw refusal(404, 'not-found', 'There is nothing at this address.')
})
