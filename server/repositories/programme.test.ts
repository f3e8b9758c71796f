import { describe, expect, it } from 'vitest'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob } from '../../tests/fixtures/job'
import { NO_SETTINGS, type Settings } from '../../core/programme'
import { wallState } from '../../core/programme/wallState'
import { plan } from '../../core/plan'
import { drawnOf, type KeptDrawing } from '../../core/plan/drawn'
import { PROGRAM } from '../../core/program'
import type { Job } from '../../core/job'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { calendars, wallStates } from '../database/schema'
import { endCalendar, listCalendars, makeCalendar, openCalendar } from './calendars'
import { addEntries } from './log'
import { readPlannedMinutes } from './plannedMinutes'
import { publish, publishedBetween, readProgramme, saveSettings } from './programme'
import { importJob } from './importing'
import { readSite, savePlace } from './sites'
import { addMove, stockByPlace } from './stock'
import { importModels } from './catalogue'
import { listWalls, readDrawnText, refreshStates } from './wallStates'
import { readWall, saveWall } from './walls'

let db: Database
const NOW = '2026-11-27T09:00:00.000Z'
eachInEmptyFirm((empty) => {
  db = empty
  importJob(db, exampleJob(), 'Isla', NOW)
})
const site = () => exampleJob().site.id
type Refused = {
  statusCode: number
  data: { error: { faults?: { path: string, message: string }[], current?: unknown } }
}
function refused(act: () => unknown): Refused {
  try {
    act()
  }
  catch (error) {
    return error as Refused
  }
  throw new Error('it was not refused')
}
const crew = (id: string, people: string[]): Settings['crews'][number] => ({
  id,
  name: id,
  people,
  skills: ['fitting'],
  hours: [{ days: ['mon'], from: '08:00', to: '16:00' }],
})
const settings = (): Settings => ({ ...NO_SETTINGS, crews: [crew('one', ['a']), crew('two', ['a', 'b'])] })
const stretch = (startsAt: string, endsAt: string, more = {}) => ({
  site: site(),
  wall: 'w1',
  task: 't',
  crew: 'one',
  kind: 'drill',
  minutes: 5,
  title: 'Drill: Hall',
  startsAt,
  endsAt,
  ...more,
})
const all = () => publishedBetween(db, '2000-01-01T00:00:00.000Z', '2100-01-01T00:00:00.000Z')

describe('the programme', () => {
  it('is kept with its version, and a stale change is told what stands now', () => {
    expect(readProgramme(db)).toMatchObject({ version: 0, settings: NO_SETTINGS })
    expect(saveSettings(db, settings(), 0)).toMatchObject({ version: 1 })
    expect(refused(() => saveSettings(db, NO_SETTINGS, 0))).toMatchObject({
      statusCode: 409,
      data: { error: { current: { version: 1 } } },
    })
    expect(refused(() => saveSettings(db, { ...settings(), aids: -2 }, 1))).toMatchObject({ statusCode: 422 })
  })

  it('is published as it is given: what is past stays, what was to come is replaced', () => {
    const { version } = saveSettings(db, settings(), 0)
    publish(
      db,
      [
        stretch('2026-11-30T08:00:00Z', '2026-11-30T09:00:00Z'),
        stretch('2026-12-01T09:00:00+01:00', '2026-12-01T10:00:00+01:00'),
      ],
      version,
      'Isla',
      NOW,
    )
    expect(all().map(({ startsAt, published }) => [startsAt, published])).toEqual([
      ['2026-11-30T08:00:00.000Z', 1],
      ['2026-12-01T08:00:00.000Z', 1],
    ])
    publish(
      db,
      [stretch('2026-12-03T08:00:00Z', '2026-12-03T09:00:00Z', { crew: 'two' })],
      version,
      'Isla',
      '2026-11-30T12:00:00.000Z',
    )
    expect(all().map(({ startsAt, crewName, people }) => [startsAt, crewName, people])).toEqual([
      ['2026-11-30T08:00:00.000Z', 'one', ['a']],
      ['2026-12-03T08:00:00.000Z', 'two', ['a', 'b']],
    ])
    expect(readProgramme(db)).toMatchObject({ published: 2, publishedBy: 'Isla' })
  })

  it('lets what is under way go on, or end where its crew begins something else', () => {
    const { version } = saveSettings(db, settings(), 0)
    publish(db, [stretch('2026-11-30T08:00:00Z', '2026-11-30T12:00:00Z')], version, 'Isla', NOW)
    // Half past nine: the same task from the next quarter of an hour on is the same stretch, which now ends later.
    publish(db, [stretch('2026-11-30T09:45:00Z', '2026-11-30T13:00:00Z')], version, 'Isla', '2026-11-30T09:30:00.000Z')
    expect(all().map(({ startsAt, endsAt }) => [startsAt.slice(11, 16), endsAt.slice(11, 16)])).toEqual([
      ['08:00', '13:00'],
    ])
    publish(
      db,
      [stretch('2026-11-30T10:15:00Z', '2026-11-30T11:00:00Z', { task: 'other' })],
      version,
      'Isla',
      '2026-11-30T10:00:00.000Z',
    )
    expect(all().map(({ task, startsAt, endsAt }) => [task, startsAt.slice(11, 16), endsAt.slice(11, 16)])).toEqual([
      ['t', '08:00', '10:15'],
      ['other', '10:15', '11:00'],
    ])
  })

  it('keeps what a piece was planned to take, and since when, wherever that becomes another', () => {
    const { version } = saveSettings(db, settings(), 0)
    const day = (n: number) => `2026-12-0${n}T08:00:00.000Z`
    publish(db, [stretch(day(1), day(2)), stretch(day(3), day(4))], version, 'Isla', NOW)
    publish(db, [stretch(day(3), day(4))], version, 'Isla', day(1))
    publish(db, [stretch(day(3), day(4), { minutes: 6.5 })], version, 'Isla', day(2))
    publish(db, [], version, 'Isla', day(3))
    expect([...readPlannedMinutes(db)]).toEqual([
      [
        `${site()}/w1`,
        [
          { kind: 'drill', minutes: 5, since: NOW },
          { kind: 'drill', minutes: 6.5, since: day(2) },
        ],
      ],
    ])
    expect(
      refused(() => publish(db, [stretch(day(5), day(6), { minutes: 0 })], version, 'Isla', day(4))).data.error
        .faults![0],
    ).toEqual({ path: '$[0].minutes', message: 'must be more than 0' })
  })

  it('is not published where somebody would be at two places, or of what there is not', () => {
    const { version } = saveSettings(db, settings(), 0)
    const faults = (...stretches: object[]) =>
      refused(() => publish(db, stretches, version, 'Isla', NOW))
        .data.error.faults!.map(({ message }) => message)
        .join()
    expect(
      faults(
        stretch('2026-11-30T08:00:00Z', '2026-11-30T10:00:00Z'),
        stretch('2026-11-30T09:00:00Z', '2026-11-30T11:00:00Z', { crew: 'two' }),
      ),
    ).toContain('at the same time')
    expect(faults(stretch('2026-11-30T08:00:00Z', '2026-11-30T10:00:00Z', { wall: 'attic' }))).toContain(
      'a wall that does not exist',
    )
    expect(faults(stretch('2026-11-30T08:00:00Z', '2026-11-30T10:00:00Z', { crew: 'nobody' }))).toContain(
      'is not an existing crew',
    )
    expect(faults(stretch('2026-11-30T11:00:00Z', '2026-11-30T10:00:00Z'))).toContain('must be after the start')
    expect(refused(() => publish(db, [], version + 1, 'Isla', NOW))).toMatchObject({ statusCode: 409 })
    expect(all()).toEqual([])
  })
})

describe('a calendar’s address', () => {
  it('opens what it was made for until it is made anew or ended, and is kept nowhere', () => {
    const first = makeCalendar(db, 'crew', 'one', 'Isla', NOW)
    expect(openCalendar(db, first.secret)).toEqual({ kind: 'crew', of: 'one' })
    const second = makeCalendar(db, 'crew', 'one', 'Isla', NOW)
    expect(refused(() => openCalendar(db, first.secret))).toMatchObject({ statusCode: 404 })
    expect(openCalendar(db, second.secret)).toEqual({ kind: 'crew', of: 'one' })
    expect(JSON.stringify([db.select().from(calendars).all(), listCalendars(db)])).not.toContain(second.secret)
    expect(endCalendar(db, 'crew', 'one')).toEqual([])
    expect(refused(() => openCalendar(db, second.secret))).toMatchObject({ statusCode: 404 })
  })
})

describe('states of walls', () => {
  const everything = () => () => true
  const workOut = (pages: Iterable<string>) => Promise.resolve(wallState(JSON.parse([...pages].join('')) as Job))
  it('are worked out once, and again when something of a wall has changed', async () => {
    expect(listWalls(db, everything).map(({ stale, state }) => [stale, state])).toEqual(
      exampleJob().walls.map(() => [true, undefined]),
    )
    let worked = 0
    const counted = (pages: Iterable<string>) => {
      worked++
      return workOut(pages)
    }
    await refreshStates(db, counted)
    expect(worked).toBe(exampleJob().walls.length)
    expect(listWalls(db, everything, { work: true }).every(({ stale, state, work }) => !stale && state && work)).toBe(
      true,
    )
    await refreshStates(db, counted)
    expect(worked).toBe(exampleJob().walls.length)
    addEntries(
      db,
      { siteId: site(), wall: 'w1' },
      clientAuthor,
      [{ id: 'r1', at: NOW, by: 'Isla', wall: 'w1', kind: 'remark', note: 'Dry' }],
      NOW,
    )
    expect(listWalls(db, everything).filter(({ stale }) => stale).map(({ id }) => id)).toEqual(['w1'])
    await refreshStates(db, counted)
    expect(listWalls(db, everything).find(({ id }) => id === 'w1')!.state!.last).toMatchObject({
      kind: 'remark',
      by: 'Isla',
    })
  })
  it('of a wall that cannot be worked out say so, and are not tried over and over', async () => {
    let tried = 0
    const fails = () => {
      tried++
      return Promise.reject(new Error('no'))
    }
    await refreshStates(db, fails)
    await refreshStates(db, fails)
    expect(tried).toBe(exampleJob().walls.length)
    expect(listWalls(db, everything)[0]!.state!.stops[0]!.message).toEqual([
      'The plan of this wall cannot be calculated: open the wall to see why.',
    ])
  })
  it('have what the wall is drawn by, of the version that it was made from, and of this program alone', async () => {
    const drawn = () => JSON.parse(readDrawnText(db, site(), 'w1')) as KeptDrawing | null
    expect(drawn()).toBeNull()
    await refreshStates(db, workOut)
    const { job, version } = readWall(db, site(), 'w1')
    const now = JSON.parse(JSON.stringify(drawnOf(plan(job).walls[0]!))) as unknown
    expect(drawn()).toEqual({ program: PROGRAM, version, plan: now })
    saveWall(
      db,
      { siteId: site(), id: 'w1' },
      { wall: { ...job.walls[0]!, name: 'Ticket hall, east' }, version },
      { by: 'Isla', at: NOW },
    )
    expect(drawn()?.version).toBe(version)
    await refreshStates(db, workOut)
    expect(drawn()?.version).toBe(version + 1)
    db.update(wallStates).set({ basis: '0.0.1 of another program' }).run()
    expect(drawn()).toBeNull()
    expect(refused(() => readDrawnText(db, site(), 'none'))).toMatchObject({ statusCode: 404 })
  })
  it('of a wall that cannot be planned have nothing to draw it by', async () => {
    await refreshStates(db, () => Promise.reject(new Error('no')))
    expect(readDrawnText(db, site(), 'w1')).toBe('null')
  })
  it('are told only of what is seen', () => {
    expect(listWalls(db, () => undefined)).toEqual([])
    expect(listWalls(db, () => wall => wall === 'w1').map(({ id }) => id)).toEqual(['w1'])
  })
})

describe('a site’s place', () => {
  it('has windows by its own clock, and keeps what is not named', () => {
    const save = (place: Record<string, unknown>) => savePlace(db, site(), place, readSite(db, site()).version).site
    expect(
      save({ zone: 'Europe/Oslo', windows: [{ days: ['wed'], from: '22:00', to: '05:00' }], access: 'Side door' }),
    ).toMatchObject({ access: 'Side door' })
    expect(save({ parking: 'Ramp' })).toMatchObject({ access: 'Side door', parking: 'Ramp', zone: 'Europe/Oslo' })
    expect(save({ windows: null, access: null })).not.toHaveProperty('windows')
    const faults = (place: Record<string, unknown>) =>
      refused(() => save(place)).data.error.faults!.map(({ path, message }) => `${path} ${message}`)
    expect(faults({ zone: 'Atlantis' })[0]).toContain('$.site.zone is not a time zone')
    expect(faults({ windows: [{ days: ['wed'], from: '22:00', to: '22:00' }] })[0]).toContain(
      'starts and ends at the same time',
    )
    expect(faults({ windows: [{ days: ['someday'], from: '22:00', to: '05:00' }] })[0]).toContain('must be one of mon')
    expect(faults({ closed: [{ day: '2026-13-01' }] })[0]).toContain('must be a date')
  })
})

describe('stock at its places', () => {
  it('is counted for each, and none of them goes below none', () => {
    importModels(
      db,
      'fastener',
      [
        {
          id: 'lag',
          kind: 'lag-screw',
          base: 'wood-stud',
          diameter: 9.525,
          root: 6.73,
          length: 76,
          thread: 57,
          yield: 310,
        },
      ],
      'Isla',
      NOW,
    )
    addMove(db, { kind: 'fastener', id: 'lag' }, { change: 50 }, { by: 'Isla', at: NOW })
    expect(addMove(db, { kind: 'fastener', id: 'lag' }, { change: 20, place: 'one' }, { by: 'Isla', at: NOW })).toBe(70)
    expect(
      refused(() =>
        addMove(db, { kind: 'fastener', id: 'lag' }, { change: -21, place: 'one' }, { by: 'Isla', at: NOW }),
      ).data.error.faults![0]!.message,
    ).toContain('would leave less than 0: in stock 20')
    expect(
      refused(() =>
        addMove(db, { kind: 'fastener', id: 'lag' }, { change: 1, place: 'The Van!' }, { by: 'Isla', at: NOW }),
      ).data.error.faults![0]!.path,
    ).toBe('$.place')
    expect(stockByPlace(db).map(({ place, count }) => [place, count])).toEqual([['one', 20], ['store', 50]])
  })
})
