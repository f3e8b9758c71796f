import { database } from '../../../../../accounts/access'
import { readSegment } from '../../../../../repositories/walls'

/** A full segment of a wall’s log: `?segment=` its number, from 0. The one being written comes with the wall. */
export default defineEventHandler((event) => {
  const text = readSegment(
    database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!, Number(getQuery(event).segment),
  )
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  return text
})
