import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import type { Feature, Job } from '../../job'
import { planWall } from '../../plan'
import { textToString } from '../../units'

/** What is said of holes where cables run, on the example's wall of studs or of concrete with one accessory. */
function saidOf(feature: Partial<Feature> | undefined, change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  const [wall] = job.walls
  wall!.features = feature ? [{ id: 'f', kind: 'outlet', x: 0, y: 300, width: 76, height: 120, ...feature }] : []
  change(job)
  return planWall(wall!, job)
    .findings.filter(({ code }) => code === 'hole-where-cables-run')
    .map(({ severity, subject, message }) => `${severity} ${subject.id}: ${textToString(message, 'metric')}`)
}
const solid = (job: Job) => {
  job.walls[0]!.structure = { kind: 'concrete', thickness: 200 }
}

describe('a hole where cables run by rule', () => {
  // The example's holes into stud 1900 are at four heights.
  it('straight above an outlet or a switch is a caution in studs, and a stop in a solid wall', () => {
    const above = { x: 1900 - 38 }
    expect(saidOf(above)).toEqual([
      expect.stringMatching(
        /^caution f: (Four|4) holes of Departures are straight above or below the outlet at 1900 mm/,
      ),
    ])
    expect(saidOf({ ...above, kind: 'switch' })).toEqual([expect.stringContaining('the switch at 1900 mm')])
    const inSolid = saidOf({ x: 2078 - 38 - 135 }, solid)
    expect(inSolid.length === 0 || inSolid.every(text => text.startsWith('stop f'))).toBe(true)
    expect(saidOf({ x: 1900 - 38 + 51 })).toEqual([])
    expect(saidOf({ ...above, kind: 'counter' })).toEqual([])
  })

  it('level with it, too, within 50 mm', () => {
    const [hole] = planWall(exampleJob().walls[0]!, exampleJob()).arrays[0]!.positions[0]!.holes!
    expect(saidOf({ x: 5500, y: hole!.y - 60 + 49 })).toEqual([
      expect.stringContaining('level with the outlet at 5538 mm'),
    ])
    expect(saidOf({ x: 5500, y: hole!.y + 200 })).toEqual([])
  })

  it('near the ceiling and the corners', () => {
    expect(saidOf(undefined)).toEqual([])
    expect(
      saidOf(undefined, (job) => {
        job.walls[0]!.height = 2_000
      }).join(),
    ).toContain('within 150 mm of the ceiling')
  })

  it('in concrete stops, until it is overridden with how it was detected', () => {
    const job = exampleJob()
    solid(job)
    const holes = planWall(job.walls[0]!, job).arrays[0]!.positions[0]!.holes!
    expect(saidOf({ x: holes[0]!.x - 38 }, solid)).toEqual([expect.stringMatching(/^stop f: /)])
  })
})
