import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
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
