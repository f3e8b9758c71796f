import { asc, eq } from 'drizzle-orm'
import type { PlannedMinutes, WorkKind } from '../../core/programme'
import type { Database } from '../database/perDatabase'
import { plannedMinutes, sites, walls } from '../database/schema'

/** What was planned of a wall, by its site and its id as `site/wall`. */
export function readPlannedMinutes(db: Database): Map<string, PlannedMinutes[]> {
  const rows = db
    .select({
      site: sites.id,
      wall: walls.id,
      kind: plannedMinutes.kind,
      minutes: plannedMinutes.minutes,
      since: plannedMinutes.since,
    })
    .from(plannedMinutes)
    .innerJoin(walls, eq(walls.key, plannedMinutes.wall))
    .innerJoin(sites, eq(sites.key, walls.site))
    .orderBy(asc(plannedMinutes.since), asc(plannedMinutes.key))
    .all()
  const found = new Map<string, PlannedMinutes[]>()
  for (const { site, wall, kind, ...row } of rows) {
    const key = `${site}/${wall}`
    found.set(key, [...found.get(key) ?? [], { kind: kind as WorkKind, ...row }])
  }
  return found
}

/** Keeps what each piece of some work is planned to take from a moment on, where it is not what it was. */
export function keepPlannedMinutes(
  db: Database,
  planned: { wall: number, kind: WorkKind, minutes: number }[],
  since: string,
): void {
  const last = new Map(
    db
      .select()
      .from(plannedMinutes)
      .orderBy(asc(plannedMinutes.since), asc(plannedMinutes.key))
      .all()
      .map(({ wall, kind, minutes }) => [`${wall} ${kind}`, minutes]),
  )
  for (const row of planned) {
    const key = `${row.wall} ${row.kind}`
    if (last.get(key) === row.minutes) continue
    last.set(key, row.minutes)
    db.insert(plannedMinutes)
      .values({ ...row, since })
      .run()
  }
}
