import { describe, expect, it } from 'vitest'
import { demoJob, demoWall } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import { hasStop, infeasibleInputs, plan, planWall, type WallPlan } from './index'
import { planFile } from './planFile'

const demo = (...[site, id]: Parameters<typeof demoWall>): WallPlan => {
  const { job, wall } = demoWall(site, id)
  return planWall(wall, job)
}
const codes = ({ findings }: WallPlan, severity: string) => [
  ...new Set(findings.filter(finding => finding.severity === severity).map(({ code }) => code)),
]

describe('the demo', () => {
  it('at the ticket hall meets an odd bay, a doubled stud, an unread stud and a stray screw', () => {
    const hall = demo('holm-point', 'ticket-hall')
    expect(hall.members).toHaveLength(16)
    expect(hall.members.filter(({ kind }) => kind === 'double').map(({ centre }) => Math.round(centre))).toEqual([3800])
    expect(
      hall.members.filter(({ source }) => source === 'inferred').map(({ centre }) => Math.round(centre / 10)),
    ).toEqual([500])
    expect(hall.runs.map(({ spacing }) => spacing)).toEqual(expect.arrayContaining([400]))
    expect(hall.unexplained).toHaveLength(1)
    expect(codes(hall, 'stop')).toEqual([])
    expect(hall.arrays[0]!.positions.map(({ plate }) => [plate!.held, Math.round(plate!.lateralShift)])).toEqual(
      [1, 2, 3].flatMap(() => [
        [true, -7],
        [true, 0],
        [true, 0],
      ]),
    )
    expect(hall.nextProbe).toBeUndefined()
  })

  it('has every hole of the ticket hall on a member that is proved', () => {
    const { members, arrays } = demo('holm-point', 'ticket-hall')
    const under = new Set(arrays[0]!.positions.flatMap(({ holes = [] }) => holes.map(({ member }) => member!)))
    expect([...under].sort((a, b) => a - b).map(index => members[index]!.proved)).toEqual([
      true,
      true,
      true,
      true,
      true,
      true,
    ])
  })

  it('at the pier was read from behind, and what its rails stand on is proved by nails from the front', () => {
    const { job, wall } = demoWall('ravel-sands', 'pier')
    const nails = wall.evidence!.filter(({ side }) => side !== 'back')
    const after = planWall(wall, job)
    expect([hasStop(after.findings), after.nextProbe]).toEqual([false, undefined])
    expect(after.findings.map(({ code }) => code)).not.toContain('references-disagree')
    // Without those about the middle member it is not proved: the next probe goes there, and one hit is enough.
    wall.evidence = wall.evidence!.filter(reading => reading.side === 'back' || Math.abs(reading.x - 2401.5) > 30)
    expect(nails.length - wall.evidence.filter(({ side }) => side !== 'back').length).toBe(4)
    const before = planWall(wall, job)
    const { x, y } = before.nextProbe!
    expect(Math.abs(x - 2401.5)).toBeLessThan(6)
    wall.evidence.push({ id: 'n99', method: 'probe', x, y, hit: true })
    expect([hasStop(before.findings), hasStop(planWall(wall, job).findings)]).toEqual([true, false])
  })

  it('at Stennick tells running bond from its joints, at Ravel Sands a bulge that the adjusters can take up', () => {
    expect(demo('stennick', 'departures-row').coursing).toMatchObject({ bond: 'running', bondTold: true })
    const { relief } = demo('ravel-sands', 'arrivals')
    expect(relief!.highest).toMatchObject({ x: 3000, y: 1700 })
    expect(relief!.flatness).toBeGreaterThan(3)
  })

  it('asks for nothing that cannot be', () => {
    for (const site of ['holm-point', 'ravel-sands', 'stennick'] as const) {
      const job = demoJob(site)
      for (const wall of job.walls) expect(infeasibleInputs(wall, job.catalogue), wall.id).toEqual([])
    }
  })
})

describe('a plan', () => {
  it('is the same however often it is made, and changes nothing of the job', () => {
    const job = demoJob('holm-point')
    const before = structuredClone(job)
    expect(plan(job)).toEqual(plan(job))
    expect(job).toEqual(before)
  })

  it('goes on where a display is not in the catalogue, with a stop', () => {
    const job = exampleJob()
    job.walls[0]!.arrays[0]!.display = 'gone'
    expect(planWall(job.walls[0]!, job)).toMatchObject({
      arrays: [],
      findings: [{ severity: 'stop', code: 'display-unknown' }],
    })
  })
})

describe('the published plan', () => {
  const ravelSands = demoJob('ravel-sands')
  // Without its nails, and before it was drilled.
  ravelSands.log = []
  for (const wall of ravelSands.walls) wall.evidence = wall.evidence?.filter(({ side }) => side === 'back')
  const [pier] = planFile(ravelSands).walls.filter(({ id }) => id === 'pier')

  it('has members, runs, the next probe in words, and every hole', () => {
    expect(pier!.members[0]).toMatchObject({
      kind: 'single',
      source: 'observed',
      proved: true,
      evidence: expect.arrayContaining(['e1', 'e2']),
    })
    expect(pier!.runs[0]).toMatchObject({ spacing: 600, found: expect.any(Number) })
    expect(pier!.nextProbe).toMatchObject({
      x: expect.any(Number),
      y: expect.any(Number),
      why: expect.stringContaining('is unconfirmed'),
    })
    expect(pier!.arrays[0]!.positions[0]).toMatchObject({
      row: 1,
      column: 1,
      crop: { x: 0, y: 0 },
      mount: { held: expect.any(Boolean) },
      holes: [],
    })
    // With no member known well enough, no rail has a hole; the next probe goes behind the sign all the same.
    expect(Math.abs(pier!.nextProbe!.x - 2300)).toBeLessThan(1400)
    const [hall] = planFile(demoJob('holm-point')).walls
    expect(hall!.arrays[0]!.positions[0]!.holes[0]).toMatchObject({ row: 'top', member: expect.any(Number), bit: 6.5 })
    expect(hall!.members.find(({ kind }) => kind === 'double')).toMatchObject({ plies: 2, width: 76 })
  })

  it('is JSON as it stands: nothing in it is lost on the way', () => {
    const file = planFile(demoJob('holm-point'))
    expect(JSON.parse(JSON.stringify(file))).toEqual(file)
  })
})
