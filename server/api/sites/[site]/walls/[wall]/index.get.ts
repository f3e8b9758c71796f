import { database } from '../../../../../accounts/access'
import { readWallText } from '../../../../../repositories/walls'

/** A wall as the server has it: its job with only this wall and its log, and which version it is. */
export default defineEventHandler((event) => {
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  return readWallText(database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!)
})
