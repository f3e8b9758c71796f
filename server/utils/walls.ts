import type { WallLine } from '../../core/api/walls'
import type { H3Event } from 'h3'
import { database, seenBy } from '../accounts/access'
import { listWalls, refreshStates } from '../repositories/wallStates'
import { work } from '../work/pool'

/**
 * The walls that the caller sees, with their states as they were calculated last; those that have changed since are
 * begun to be calculated again.
 */
export function wallsSeen(event: H3Event, wants?: { work: boolean }): WallLine[] {
  const db = database(event)
  const walls = listWalls(db, seenBy(event), wants)
  if (walls.some(({ stale }) => stale)) void refreshStates(db, job => work('state', { job: () => job })).catch(() => {})
  return walls
}
