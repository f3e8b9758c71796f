import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt } from '../log'
import { asReal, isSimulated, simulatedFaults } from './simulated'

const reading = (id: string, more: object = {}) => ({ id, method: 'magnet' as const, x: 100, y: 1500, ...more })

it('readings of simulated instruments are of no real wall: refused in an edit, excluded in a file', () => {
  const job = exampleJob()
  job.site.demo = true
  job.walls[0]!.evidence = [reading('e1'), reading('e2', { simulated: true })]
  expect(isSimulated(job.walls[0]!)).toBe(true)
  const real = asReal(job)
  expect(real.site).not.toHaveProperty('demo')
  expect(real.walls[0]!.evidence!.map(({ setAside }) => setAside)).toEqual([
    undefined,
    'Simulated reading: it is of no real wall',
  ])
  expect(isSimulated(real.walls[0]!)).toBe(false)
  expect(simulatedFaults(real.walls[0]!, real.walls[0]!)).toEqual([])
  const edited = { evidence: [...real.walls[0]!.evidence!, reading('e3', { simulated: true })] }
  expect(simulatedFaults(edited, real.walls[0]!).map(({ path }) => path)).toEqual(['$.evidence[2].simulated'])
  expect(simulatedFaults(job.walls[0]!, real.walls[0]!).map(({ path }) => path)).toEqual(['$.evidence[1].simulated'])
})

it('seams that a simulated gauge read are of no real wall: their entry stays in the log and does not count', () => {
  const job = exampleJob()
  const entry = { at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'seams', array: 'a1' } as const
  const gaps = (mm: number) => [{ between: ['r1c1', 'r1c2'], end: 'top' as const, mm }]
  job.log = [
    { ...entry, id: 's1', round: 1, gaps: gaps(1.2) },
    { ...entry, id: 's2', round: 2, gaps: gaps(0.4), simulated: true },
  ]
  const { log } = asReal(job)
  expect(log.slice(0, 2)).toEqual(job.log)
  expect(asBuilt(log, job.walls[0]!).seams.map(({ id }) => id)).toEqual(['s1'])
  // Taken in once more it is excluded already.
  expect(asReal({ ...job, log }).log).toEqual(log)
})
