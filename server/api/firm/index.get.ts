import { firmOf } from '../../accounts/access'

/** The firm, and what it decided about its devices. */
export default defineEventHandler((event) => {
  const { id, name, deviceDays } = firmOf(event)
  return { id, name, deviceDays }
})
