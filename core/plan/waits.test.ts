import { describe, expect, it } from 'vitest'
import { exampleJob, studs } from '../../tests/fixtures/job'
import type { Finding, Stage } from '../finding'
import { planWall } from './index'
import { waitOf } from './waits'

const finding = (stage: Stage, severity: Finding['severity'] = 'stop') =>
  ({ stage, severity, code: 'array-off-wall', subject: { kind: 'array', id: 'a' }, message: [] }) as Finding

describe('a stage', () => {
  it('waits for the first one before it that has a stop, and says how many', () => {
    expect(waitOf('fix', [finding('mount'), finding('mount'), finding('fix')])).toEqual({ stage: 'mount', stops: 2 })
    expect(waitOf('hang', [finding('fix'), finding('mount')])).toEqual({ stage: 'mount', stops: 1 })
    expect(waitOf('mount', [finding('mount'), finding('fix')])).toBeUndefined()
    expect(waitOf('mark', [finding('mount', 'caution')])).toBeUndefined()
    expect(waitOf('arrange', [finding('survey')])).toBeUndefined()
  })

  it('has no loads for a plate that Mount does not hold', () => {
    const job = exampleJob()
    job.walls[0]!.structure.members = studs(1900, 2300, 2900, 3300)
    const { arrays, findings } = planWall(job.walls[0]!, job)
    const held = arrays[0]!.positions.map(({ plate, loads }) => [plate!.held, loads !== undefined])
    expect(held).toEqual(expect.arrayContaining([[true, true], [false, false]]))
    expect(held.every(([holds, loaded]) => holds === loaded)).toBe(true)
    expect(waitOf('fix', findings)).toMatchObject({ stage: 'mount' })
  })
})
