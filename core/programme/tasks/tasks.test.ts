import { describe, expect, it } from 'vitest'
import { learnedFrom } from '../lessons/learned'
import {
  finishOf, lengthOf, minuteAt, minuteOf, movedTasks, pieceMinutes, planProgramme, programmeOf, settingsFaults,
  visitsAtOnce, visitsOf, whyNotEarlier, type ProgrammeInput, type Settings,
} from '../index'
import type { Sample, Work } from './workload'

const NOW = minuteOf('2026-11-30T06:00:00Z')
const work = (kind: Work['kind'], pieces: number, more: Partial<Work> = {}): Work => ({
  kind,
  sort: kind === 'drill' ? 'drill concrete' : kind,
  pieces,
  done: 0,
  people: 1,
  aid: false,
  ...more,
})
const settings: Settings = {
  zone: 'UTC',
  aids: 1,
  betweenSites: 60,
  crews: [
    {
      id: 'one',
      name: 'One',
      people: ['a', 'b'],
      skills: ['fitting', 'decorating'],
      hours: [{ days: ['mon', 'tue', 'wed', 'thu', 'fri'], from: '08:00', to: '16:00' }],
    },
    {
      id: 'spark',
      name: 'Spark',
      people: ['c'],
      skills: ['electrical'],
      hours: [{ days: ['mon', 'tue', 'wed', 'thu', 'fri'], from: '08:00', to: '16:00' }],
    },
  ],
}
const built = (more: Partial<ProgrammeInput> = {}): ProgrammeInput => ({
  settings,
  now: NOW,
  samples: [],
  sites: [{ id: 'quay', name: 'Quay' }],
  walls: [
    {
      site: 'quay',
      id: 'hall',
      name: 'Hall',
      stops: 0,
      issued: true,
      work: [
        work('isolate', 1),
        work('mark', 40),
        work('boxes', 2),
        work('pull', 2, { planned: 90 }),
        work('inspect', 1),
        work('patch', 1),
        work('paint', 1),
        work('drill', 16),
        work('plates', 4),
        work('hang', 4, { people: 2 }),
        work('true', 4),
        work('hand-over', 1),
      ],
    },
  ],
  ...more,
})
const words = (text: unknown[]) => text.join('')

describe('tasks', () => {
  it('follow from the work that is left, in the order of the trades', () => {
    const { programme, info } = programmeOf(built())
    const after = (kind: string) =>
      programme.tasks
        .find(({ id }) => id === `quay/hall/${kind}`)!
        .after.map(({ task, wait }) => `${info.get(task)!.kind} ${wait}`)
        .sort()
    expect(after('isolate')).toEqual([])
    expect(after('boxes')).toEqual(['isolate 0', 'mark 0'])
    expect(after('patch')).toEqual(['boxes 0', 'inspect 0', 'pull 0'])
    expect(after('paint')).toEqual(['patch 720'])
    expect(after('hang')).toEqual(['inspect 0', 'paint 240', 'plates 0', 'pull 0'])
    // What the wall does not have is passed over: nothing to test, so that handing over comes after truing and
    // painting.
    expect(after('hand-over')).toEqual(['hang 0', 'inspect 0', 'paint 0', 'true 0'])
    expect(programme.tasks.find(({ id }) => id.endsWith('drill'))).toMatchObject({
      minutes: 144,
      noisy: true,
      splits: true,
      people: 1,
    })
    expect(programme.tasks.find(({ id }) => id.endsWith('pull'))!.minutes).toBe(90)
  })

  it('are as long as the firm’s own logs tell, once there are ten of them', () => {
    const logs = (count: number): Sample[] =>
      Array.from({ length: count }, (_, n) => ({
        sort: 'hang',
        kind: 'hang',
        pieces: 1,
        minutes: 10 + n,
        at: '2026-11-01T00:00:00Z',
      }))
    expect(pieceMinutes('hang', 'hang', logs(9))).toMatchObject({ minutes: 18, from: 'default', logs: 9, middle: 14 })
    expect(pieceMinutes('hang', 'hang', logs(11))).toMatchObject({
      minutes: 15,
      from: 'learned',
      logs: 11,
      spread: [12.5, 17.5],
    })
    expect(pieceMinutes('hang', 'hang', logs(11), new Map([['hang', 22]]))).toMatchObject({ minutes: 22, from: 'own' })
    const length = lengthOf(work('hang', 4, { done: 1 }), pieceMinutes('hang', 'hang', logs(11)))
    expect(length.value).toBe(45)
    expect(words(length.working[1]!.expression)).toBe('3 screens × 15 min')
    // Drilling differs by what is drilled into; a kind that nobody logged stays as it is usual.
    expect(pieceMinutes('drill concrete', 'drill', []).minutes).toBeGreaterThan(
      pieceMinutes('drill wood-stud', 'drill', []).minutes,
    )
    expect(
      learnedFrom(logs(3), [
        {
          holes: [
            { proof: 'probe', hit: true },
            { proof: 'one-sign', hit: false },
            { proof: 'one-sign', hit: true },
          ],
          truing: [
            { mount: 'M', rounds: 2, closed: true },
            { mount: 'M', rounds: 3, closed: false },
          ],
          stops: [
            { by: 'hole', minutes: 12 },
            { by: 'hole', minutes: 20 },
          ],
        },
      ]),
    ).toMatchObject({
      minutes: [{ title: 'Hang', logs: 3, middle: 11, usual: 18 }],
      proofs: [
        { proof: 'probe', holes: 1, missed: 0, perHundred: 0 },
        { proof: 'two-kinds', holes: 0 },
        { proof: 'one-sign', holes: 2, missed: 1, perHundred: 50 },
        { proof: 'none', holes: 0 },
      ],
      mounts: [{ mount: 'M', walls: 2, closed: 1, rounds: 2 }],
      stops: [
        { by: 'hole', times: 2, middle: 16, total: 32 },
        { by: 'line', times: 0 },
        { by: 'question', times: 0 },
      ],
    })
  })

  it('are shorter by what is done, gone once all is done, and move what comes after', () => {
    const first = planProgramme(built()).planned
    const wall = built().walls[0]!
    const half = planProgramme(
      built({
        walls: [
          {
            ...wall,
            work: wall.work!.map(each =>
              each.kind === 'drill' ? { ...each, done: 8 } : each.kind === 'mark' ? { ...each, done: 40 } : each,
            ),
          },
        ],
      }),
    ).planned
    expect(half.tasks.some(({ kind }) => kind === 'mark')).toBe(false)
    expect(half.tasks.find(({ kind }) => kind === 'drill')!.minutes).toBe(72)
    const drilled = (placed: typeof first.placed) => placed.find(({ task }) => task === 'quay/hall/drill')!.end
    expect(drilled(half.placed)).toBeLessThan(drilled(first.placed))
    expect(movedTasks(first.placed, half.placed).find(({ task }) => task === 'quay/hall/mark')).toMatchObject({
      before: { crew: 'one' },
    })
  })

  it('that are under way go on, and are taken to be on time', () => {
    const { planned } = planProgramme(
      built({
        now: minuteOf('2026-11-30T09:00:00Z'),
        underWay: [
          {
            task: 'quay/hall/mark',
            crew: 'one',
            spans: [{ from: minuteOf('2026-11-30T08:30:00Z'), to: minuteOf('2026-11-30T09:30:00Z') }],
          },
        ],
      }),
    )
    expect(planned.placed.find(({ task }) => task === 'quay/hall/mark')).toMatchObject({
      crew: 'one',
      start: minuteOf('2026-11-30T09:00:00Z'),
      end: minuteOf('2026-11-30T09:30:00Z'),
    })
    expect(planned.notFixed).toEqual([])
    // One that is over before the next quarter of an hour is not planned again; of one that goes on tomorrow that is
    // left, too.
    const soon = (spans: [string, string][]) =>
      planProgramme(
        built({
          now: minuteOf('2026-11-30T09:01:00Z'),
          underWay: [
            {
              task: 'quay/hall/mark',
              crew: 'one',
              spans: spans.map(([from, to]) => ({ from: minuteOf(from), to: minuteOf(to) })),
            },
          ],
        }),
      ).planned.placed.find(({ task }) => task === 'quay/hall/mark')
    expect(soon([['2026-11-30T08:30:00Z', '2026-11-30T09:10:00Z']])).toBeUndefined()
    expect(
      soon([
        ['2026-11-30T08:30:00Z', '2026-11-30T09:25:00Z'],
        ['2026-12-01T08:00:00Z', '2026-12-01T08:20:00Z'],
      ])!.spans.reduce((sum, { from, to }) => sum + to - from, 0),
    ).toBe(30)
  })

  it('are worked out again without a day that is lost', () => {
    const [before, after] = [
      planProgramme(built()),
      planProgramme(built({ settings: { ...settings, lost: [{ day: '2026-11-30', reason: 'Storm' }] } })),
    ].map(({ planned }) => planned)
    expect(before!.placed.some(({ start }) => start < minuteAt('2026-12-01', '00:00', 'UTC'))).toBe(true)
    expect(after!.placed.every(({ start }) => start >= minuteAt('2026-12-01', '08:00', 'UTC'))).toBe(true)
    expect(after!.finish).toBeGreaterThan(before!.finish)
  })

  it('say why they are not earlier', () => {
    const { planned, programme } = planProgramme(
      built({ sites: [{ id: 'quay', name: 'Quay', noise: [{ days: ['wed'], from: '10:00', to: '14:00' }] }] }),
    )
    const why = whyNotEarlier(programme, planned.placed, 'quay/hall/drill')!
    expect(planned.placed.find(({ task }) => task === 'quay/hall/drill')!.start).toBe(
      minuteAt('2026-12-02', '10:00', 'UTC'),
    )
    expect(why.waits.map(({ why }) => words(why))).toContain('noisy work is allowed at Quay')
    expect(why.waits.at(-1)!.until).toBe(minuteAt('2026-12-02', '10:00', 'UTC'))
    const paint = whyNotEarlier(programme, planned.placed, 'quay/hall/paint')!
    expect(words(paint.waits[0]!.why)).toBe('“Patch, Hall” is finished, including its wait of 12 h')
  })

  it('come with words for what keeps them from being planned, and a schedule of what can be', () => {
    const cautions = (more: Partial<ProgrammeInput>) => programmeOf(built(more)).cautions.map(words)
    expect(cautions({ settings: { ...settings, crews: [] } })[0]).toContain('There is no crew yet')
    expect(
      cautions({ settings: { ...settings, crews: [{ ...settings.crews[0]!, people: [] }, settings.crews[1]!] } }),
    ).toContain('One has no people, so it is given no tasks.')
    expect(cautions({ settings: { ...settings, crews: [settings.crews[0]!] } }).join()).toContain(
      'No crew has the skill licensed electrical work',
    )
    expect(
      cautions({
        settings: { ...settings, crews: [settings.crews[0]!, { ...settings.crews[1]!, people: ['a'] }] },
      }).join(),
    ).toContain('One and Spark share people')
    expect(
      cautions({ sites: [{ id: 'quay', name: 'Quay', windows: [{ days: [], from: '08:00', to: '12:00' }] }] }).join(),
    ).toContain('Quay never opens')
    expect(
      cautions({
        sites: [{ id: 'quay', name: 'Quay', windows: [{ days: ['sun'], from: '08:00', to: '12:00' }] }],
      }).join(),
    ).toContain('No crew works while Quay is open.')
    const wall = built().walls[0]!
    expect(cautions({})).toEqual([])
    expect(cautions({ walls: [{ ...wall, stops: 2 }] })).toEqual([
      'Hall, Quay, has stops: do not drill or hang there until resolved. The schedule assumes that.',
    ])
    expect(cautions({ walls: [{ ...wall, issued: false }] })).toEqual([
      'Hall, Quay, has no issued mark-out yet. The schedule assumes that it has.',
    ])
    const looped = built({
      settings: { ...settings, links: [{ before: 'quay/hall/hang', after: 'quay/hall/mark', wait: 0 }] },
    })
    expect(programmeOf(looped).cautions.map(words).join()).toContain('“Hang, Hall” before “Mark out, Hall” is ignored')
    const { planned } = planProgramme(looped)
    expect(planned.unplaced).toEqual([])
    expect(planned.finish).toBe(planProgramme(built()).planned.finish)
    // The one crew that cannot be planned stops only what needs it.
    const without = planProgramme(built({ settings: { ...settings, crews: [settings.crews[0]!] } })).planned
    expect(without.unplaced.map(({ task }) => task)).toContain('quay/hall/isolate')
    expect(finishOf(without, without.from)).toBe(without.from)
  })

  it('refuses settings that cannot be, each at its place', () => {
    const faults = (more: object) =>
      settingsFaults({ ...settings, ...more }).map(({ path, message }) => `${path} ${message}`)
    expect(faults({})).toEqual([])
    expect(faults({ zone: 'Mars/Olympus' })[0]).toContain('$.zone is not a time zone')
    expect(faults({ aids: -1 })[0]).toContain('$.aids must not be negative')
    expect(faults({ crews: [...settings.crews, settings.crews[0]] })).toEqual(['$.crews[2].id is used twice: “one”'])
    expect(
      faults({ crews: [{ ...settings.crews[0]!, hours: [{ days: ['mon'], from: '08:00', to: '08:00' }] }] })[0],
    ).toContain('starts and ends at the same time')
    expect(
      faults({ crews: [{ ...settings.crews[0]!, hours: [{ days: ['mon'], from: '25:00', to: '08:00' }] }] })[0],
    ).toContain('must be a time of day such as 07:30')
    expect(faults({ betweenSites: 44.5 })[0]).toBe('$.betweenSites must be a whole number')
    expect(faults({ travel: [{ from: 'quay', to: 'pier', minutes: -1 }] })[0]).toContain(
      '$.travel[0].minutes must not be negative',
    )
    expect(faults({ lost: [{ day: '2026-02-30', reason: 'x' }] })[0]).toContain('must be a date such as')
  })
})

describe('visits', () => {
  const stretch = (from: string, to: string, more = {}) => ({
    task: from,
    site: 'quay',
    wall: 'hall',
    crew: 'one',
    from: minuteOf(from),
    to: minuteOf(to),
    ...more,
  })
  it('are what a crew does at a site one after the other, a night with the day on which it begins', () => {
    const visits = visitsOf(
      [
        stretch('2026-11-30T22:00:00Z', '2026-12-01T01:00:00Z'),
        stretch('2026-12-01T01:30:00Z', '2026-12-01T03:00:00Z'),
        stretch('2026-12-01T20:00:00Z', '2026-12-01T21:00:00Z'),
        stretch('2026-12-01T21:00:00Z', '2026-12-01T22:00:00Z', { site: 'pier' }),
      ],
      () => 'UTC',
    )
    expect(visits.map(({ id, stretches }) => [id, stretches.length])).toEqual([
      ['one-quay-2026-11-30', 2],
      ['one-quay-2026-12-01', 1],
      ['one-pier-2026-12-01', 1],
    ])
  })
  it('of one person in two crews at one time are told', () => {
    const visits = visitsOf(
      [
        stretch('2026-12-01T08:00:00Z', '2026-12-01T10:00:00Z'),
        stretch('2026-12-01T09:00:00Z', '2026-12-01T11:00:00Z', { crew: 'two', site: 'pier' }),
        stretch('2026-12-01T11:00:00Z', '2026-12-01T12:00:00Z', { crew: 'three' }),
      ],
      () => 'UTC',
    )
    const people: Record<string, string[]> = { one: ['a', 'b'], two: ['b'], three: ['a'] }
    expect(visitsAtOnce(visits, crew => people[crew]!).map(pair => pair.map(({ crew }) => crew))).toEqual([
      ['one', 'two'],
    ])
  })
})
