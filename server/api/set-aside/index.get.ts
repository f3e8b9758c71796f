import { database } from '../../accounts/access'
import { listAside } from '../../repositories/setAside'

/** Entries that wait for a planner, as their author might not any more. */
export default defineEventHandler(event => listAside(database(event)))
