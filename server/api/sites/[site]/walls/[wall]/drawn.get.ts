import { database } from '../../../../../accounts/access'
import { readDrawnText } from '../../../../../repositories/wallStates'

/** What the wall is drawn by until its plan has been calculated where it is opened; null where that is not known. */
export default defineEventHandler((event) => {
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  return readDrawnText(database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
})
