import { planFile } from '../../../../../../core/plan/planFile'
import { database } from '../../../../../database/connection'
import { readWall } from '../../../../../repositories/walls'

/** The wall's plan, worked out on the server by the same function as in the browser. */
export default defineEventHandler(event => planFile(readWall(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!).job))
