import { database } from '../../../../../accounts/access'
import { wallJobPages } from '../../../../../repositories/walls'
import { work } from '../../../../../work/pool'

/** The wall's plan, calculated on the server by the same function as in the browser. */
export default defineEventHandler(async (event) => {
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  return work(
    'plan',
    { job: () => wallJobPages(database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!) },
    event,
  )
})
