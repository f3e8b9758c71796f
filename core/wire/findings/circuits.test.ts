import { describe, expect, it } from 'vitest'
import { boxedWall } from '../../../tests/fixtures/boxed'
import type { Job, Wall } from '../../job'

describe('what is said of circuits', () => {
  const fed = (sources: Wall['sources'], change: (job: Job) => void = () => {}) => boxedWall([], (job) => {
    job.catalogue.displays[0]!.power = { typical: 118, max: 165 }
    job.walls[0]!.sources = sources
    change(job)
  })
  it('is nothing where they bear the screens, and which screens where they do not', () => {
    expect(fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230 }]).said).toEqual([])
    const { said, plan } = fed([{ id: 's1', kind: 'circuit', name: 'B7', amps: 6, volts: 120 }])
    // 0.8 × 6 A bear three screens of 1.375 A.
    expect([plan.wiring.circuits[0]!.screens.length, said[0]![0], said[0]![1]]).toEqual([
      3,
      'circuit-full',
      expect.stringContaining('495 W'),
    ])
    expect(plan.wiring.circuits[0]!.starts.map(({ after }) => after)).toEqual([0, 1, 2])
  })

  it('is what is not known and what that holds up', () => {
    expect(fed([{ id: 's1', kind: 'circuit', volts: 230 }]).said[0]).toEqual([
      'circuit-not-known',
      'The breaker rating of circuit s1 is not known: no screen can be put on it.',
      'Read it at the panel and enter it.',
    ])
    expect(
      fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230 }], (job) => {
        delete job.catalogue.displays[0]!.power
      }).said.map(([code]) => code),
    ).toEqual(['power-not-known'])
    expect(
      fed([{ id: 's1', kind: 'outlet', feature: 'gone', amps: 16, volts: 230 }]).said.map(([code]) => code),
    ).toEqual(['source-gone'])
    expect(fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230, loaded: 14 }]).said.map(([code]) => code)).toEqual([
      'circuit-full',
      'circuit-overloaded',
    ])
    expect(boxedWall([]).said).toEqual([])
  })
})
