import { describe, expect, it } from 'vitest'
import { KINDS, loopIn, programmeOf, SKILLS, WORK_KINDS, type ProgrammeInput, type WorkKind } from '../index'
import { stretchesOf } from './tasks'
import { schedule } from '../schedule/schedule'

/** Everything that has to be over before a kind of work, of whatever there is. */
function allBefore(kind: WorkKind, found = new Set<WorkKind>()): Set<WorkKind> {
  for (const before of Object.keys(KINDS[kind].after) as WorkKind[]) {
    if (!found.has(before)) allBefore(before, found.add(before))
  }
  return found
}

describe('kinds of work', () => {
  it('wait for no one another in a loop, and for nothing that comes later in the order of the job', () => {
    expect(
      loopIn(
        WORK_KINDS.map(kind => ({
          id: kind,
          after: Object.entries(KINDS[kind].after).map(([task, wait]) => ({ task, wait })),
        })),
      ),
    ).toBeUndefined()
    for (const kind of WORK_KINDS)
      for (const before of Object.keys(KINDS[kind].after) as WorkKind[])
        expect([kind, WORK_KINDS.indexOf(before) < WORK_KINDS.indexOf(kind)]).toEqual([kind, true])
  })
  it('have the trades in their order: isolated before boxes are cut, inspected before it is closed, dry before anything hangs', () => {
    expect(allBefore('boxes').has('isolate')).toBe(true)
    expect(allBefore('patch').has('inspect')).toBe(true)
    expect(KINDS.paint.after.patch).toBeGreaterThanOrEqual(12 * 60)
    expect(KINDS.hang.after.paint).toBeGreaterThan(0)
    expect(allBefore('hang').has('drill')).toBe(true)
    expect([...allBefore('hand-over')].sort()).toEqual(WORK_KINDS.filter(kind => kind !== 'hand-over').sort())
  })
  it('are each done by somebody, counted in something, and loud only where something is drilled', () => {
    for (const { skill, minutes, people, piece, tools } of Object.values(KINDS)) {
      expect(SKILLS).toContain(skill)
      expect(minutes).toBeGreaterThan(0)
      expect(people).toBeGreaterThan(0)
      expect([...piece, tools].every(word => word.length > 0)).toBe(true)
    }
    expect(WORK_KINDS.filter(kind => KINDS[kind].noisy)).toEqual(['drill'])
    expect(WORK_KINDS.filter(kind => KINDS[kind].skill === 'electrical')).toEqual(['isolate', 'inspect'])
  })
})

describe('what is published', () => {
  const hours = [{ days: ['mon' as const, 'tue' as const], from: '08:00', to: '12:00' }]
  const given: ProgrammeInput = {
    now: Date.UTC(2026, 10, 30, 6) / 60_000,
    samples: [],
    sites: [{ id: 'quay', name: 'Quay' }],
    settings: {
      zone: 'UTC',
      aids: 1,
      betweenSites: 60,
      crews: [{ id: 'one', name: 'One', people: ['a', 'b'], skills: ['fitting'], hours }],
      leftOut: ['quay/hall/true'],
    },
    walls: [
      {
        site: 'quay',
        id: 'hall',
        name: 'Hall',
        stops: 0,
        issued: true,
        work: [
          { kind: 'drill', sort: 'drill concrete', pieces: 40, done: 0, people: 2, aid: false },
          { kind: 'true', sort: 'true', pieces: 4, done: 0, people: 2, aid: false },
        ],
      },
    ],
  }
  it('is each span of a task by its own moments, and nothing that was left out', () => {
    const { programme, info } = programmeOf(given)
    const stretches = stretchesOf(schedule(programme).placed, info)
    // 360 min in windows of four hours: Monday whole, Tuesday until ten.
    expect(stretches).toEqual([
      {
        site: 'quay',
        wall: 'hall',
        task: 'quay/hall/drill',
        crew: 'one',
        kind: 'drill',
        minutes: 9,
        title: 'Drill: Hall',
        startsAt: '2026-11-30T08:00:00.000Z',
        endsAt: '2026-11-30T12:00:00.000Z',
      },
      {
        site: 'quay',
        wall: 'hall',
        task: 'quay/hall/drill',
        crew: 'one',
        kind: 'drill',
        minutes: 9,
        title: 'Drill: Hall',
        startsAt: '2026-12-01T08:00:00.000Z',
        endsAt: '2026-12-01T10:00:00.000Z',
      },
    ])
  })
  it('keeps to a crew’s days off and to days on which a site is closed', () => {
    const off = programmeOf({
      ...given,
      settings: {
        ...given.settings,
        crews: [{ ...given.settings.crews[0]!, off: [{ day: '2026-11-30', reason: 'Course' }] }],
      },
    })
    expect(stretchesOf(schedule(off.programme).placed, off.info)[0]!.startsAt).toBe('2026-12-01T08:00:00.000Z')
    const closed = programmeOf({
      ...given,
      sites: [{ id: 'quay', name: 'Quay', windows: hours, closed: [{ day: '2026-12-01' }] }],
    })
    expect(
      stretchesOf(schedule(closed.programme).placed, closed.info).map(({ startsAt }) => startsAt.slice(0, 10)),
    ).toEqual(['2026-11-30', '2026-12-07'])
  })
})
