import { author, firmOf } from '../../accounts/access'
import { saveFirm } from '../../accounts/firms'
import { accounts } from '../../accounts/open'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'

/** Changes the firm's name, and after how many days a device signs in again: `{ name, deviceDays }`. */
export default defineEventHandler(async (event) => {
  const { id, name, deviceDays } = saveFirm(
    accounts(),
    firmOf(event),
    fieldsOf(await jsonBody(event)),
    author(event),
    now(),
  )
  return { id, name, deviceDays }
})
