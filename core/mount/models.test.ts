import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Job, ScreenArray } from '../job'
import { infeasibleInputs, planWall } from '../plan'
import { textToString } from '../units'

/** The example with a light mount, a heavy display and a single-member mount beside its own. */
function mixed(change: Partial<ScreenArray>): Job {
  const job = exampleJob()
  const upright = {
    ...m1,
    id: 'one',
    name: 'One',
    capacity: 30,
    adjust: {},
    needs: { members: 1, rows: ['top', 'bottom'] },
  }
  job.catalogue.mounts.push(upright)
  job.catalogue.displays.push({ ...d46, id: 'heavy', name: 'Heavy', mass: 40 })
  Object.assign(job.walls[0]!.arrays[0]!, change)
  return job
}

describe('screens on mounts of their own', () => {
  it('have as many holes as their own mount needs, in their own slots', () => {
    const job = mixed({ cells: [{ row: 1, column: 1, mount: 'one' }] })
    const { positions } = planWall(job.walls[0]!, job).arrays[0]!
    expect(positions.map(({ holes }) => holes!.length)).toEqual([2, 4, 4, 4, 4, 4])
    expect(new Set(positions.map(({ mount }) => mount))).toEqual(new Set(['one', undefined]))
  })

  it('may carry a display only where their mount does', () => {
    const faults = (cells: ScreenArray['cells']) => {
      const job = mixed({ cells })
      return infeasibleInputs(job.walls[0]!, job.catalogue).map(({ path, message }) => `${path} ${message}`)
    }
    expect(faults([{ row: 1, column: 1, display: 'heavy' }])).toEqual([])
    expect(faults([{ row: 1, column: 1, display: 'heavy', mount: 'one' }])).toEqual([
      '$.arrays[0].mount One carries at most 30 kg; Heavy weighs 40 kg',
    ])
    expect(faults([{ row: 1, column: 1, mount: 'one' }])).toEqual([])
  })

  it('slide no farther than their own mount lets them', () => {
    const job = mixed({
      cells: [{ row: 1, column: 1, mount: 'one' }],
      plates: [
        { row: 1, column: 1, lateralShift: 5 },
        { row: 1, column: 2, lateralShift: 44 },
      ],
    })
    expect(infeasibleInputs(job.walls[0]!, job.catalogue)).toEqual([
      {
        path: '$.arrays[0].plates[0].lateralShift',
        message: 'The lateral adjustment is 0 mm either way; 5 mm was entered',
      },
    ])
  })

  it('say once what each pair of mount and display cannot do, in the way it hangs', () => {
    const job = mixed({
      cells: [
        { row: 1, column: 1, orientation: 'inverted' },
        { row: 2, column: 1, orientation: 'inverted' },
      ],
    })
    const said = planWall(job.walls[0]!, job).findings.filter(({ code }) => code === 'mount-orientation')
    expect(said.map(({ message }) => textToString(message, 'metric'))).toEqual([
      'Slipway P2 does not allow a display hung inverted.',
    ])
  })

  it('wait for all to be chosen', () => {
    const job = mixed({ mount: undefined, cells: [{ row: 1, column: 1, mount: 'one' }] })
    const { findings, arrays } = planWall(job.walls[0]!, job)
    expect(findings.map(({ code }) => code)).toContain('mount-not-chosen')
    expect(arrays[0]!.positions.every(({ holes }) => holes === undefined)).toBe(true)
  })
})
