import { database } from '../../../../../database/connection'
import { readWall } from '../../../../../repositories/walls'

export default defineEventHandler(event => readWall(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!))
