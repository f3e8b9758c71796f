import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Evidence, Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'

const stops = (change: (job: Job) => void) => {
  const job = exampleJob()
  change(job)
  return planWall(job.walls[0]!, job).findings.filter(({ severity }) => severity === 'stop')
}
/**
 * The example wall, known from readings: every stud by a nail walked out to both faces, but for those at `alone`, by
 * this alone.
 */
const readings = (job: Job, alone: number, by: Partial<Evidence>[]) => {
  const wall = job.walls[0]!
  const centres = wall.structure.members!.map(({ centre }) => centre)
  delete wall.structure.members
  const sure = (centre: number): Partial<Evidence>[] =>
    [-20, -18, 18, 20].map(off => ({ method: 'probe', hit: Math.abs(off) < 19, x: centre + off }))
  wall.evidence = centres
    .flatMap(centre => (centre === alone ? by : sure(centre)))
    .map((reading, n) => ({ id: `e${n}`, y: 1622, ...reading }) as Evidence)
}

describe('a hole near what must not be drilled', () => {
  const pipe
    = (x: number, kind = 'pipe') =>
      (job: Job) =>
        void job.walls[0]!.features!.push({ id: 'p1', kind, x, y: 0, width: 20, height: 3000 })
  it('is a stop within 50 mm, for every hole, and says how near', () => {
    const found = stops(pipe(1930))
    expect(found.map(({ code }) => code)).toEqual([
      'hole-near-pipe',
      'hole-near-pipe',
      'hole-near-pipe',
      'hole-near-pipe',
    ])
    expect(textToString(found[0]!.message, 'metric')).toContain('at 1900 mm is 30 mm from a pipe; the minimum is 50 mm')
    expect(textToString(stops(pipe(1890))[0]!.message, 'metric')).toContain('is on a pipe')
  })

  it('is none from 50 mm on, nor beside a door', () => {
    expect(stops(pipe(1950))).toEqual([])
    expect(stops(pipe(1930, 'door')).map(({ code }) => code)).toEqual(['array-over-opening'])
  })

  it.each(['live-cable', 'rated-junction'])('counts %s alike', kind =>
    expect(stops(pipe(1930, kind))[0]!.code).toBe(`hole-near-${kind}`),
  )
})

describe('a hole on a member that is not proved', () => {
  it('is a stop that says what the member is known from and where to probe', () => {
    const [stop, ...more] = stops(job => readings(job, 2300, [-1, 0, 1].flatMap(off => [
      { method: 'detector-edge', edge: 'left', x: 2281 + off, y: 1622 + 400 * off },
      { method: 'detector-edge', edge: 'right', x: 2319 + off, y: 1622 + 400 * off },
    ])))
    expect(more).toEqual([])
    expect(stop).toMatchObject({ code: 'framing-unproved' })
    expect(textToString(stop!.message, 'metric')).toContain(
      '4 holes of Departures rely on stud 2, which is unconfirmed: it is only known from a detector edge (6 times).',
    )
    expect(textToString(stop!.remedy!, 'metric')).toContain('Probe at 2300')
  })

  it('whose centre is not sure enough asks for a nail and not for another place', () => {
    const found = stops(job =>
      readings(job, 2300, [
        { method: 'magnet', x: 2300 },
        { method: 'detector-centre', x: 2300 },
      ]),
    )
    expect(new Set(found.map(({ code }) => code))).toEqual(new Set(['member-unsure']))
    expect(textToString(found[0]!.remedy!, 'metric')).toContain('Find both edges')
  })

  it('is none once it is proved', () => expect(stops(job => readings(job, 0, []))).toEqual([]))
})
