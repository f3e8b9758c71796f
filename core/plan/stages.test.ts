import { expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { STAGES } from '../finding'
import { NOTHING_BUILT } from '../log'
import { contextOf, planWall } from './index'
import { ON_DEMAND } from './onDemand'
import { PLANNED } from './stages'

it('works out every stage of a wall, in the order in which it is worked, True and Close on demand', () => {
  expect([...PLANNED.map(({ id }) => id), ...Object.keys(ON_DEMAND)]).toEqual([...STAGES])
})

it('tells all that its stages say, and shows all that they show, once', () => {
  const { job, wall } = demoWall('holm-point', 'ticket-hall')
  const plan = planWall(wall, contextOf(job), NOTHING_BUILT)
  const stages = new Set(plan.findings.map(({ stage }) => stage))
  for (const stage of ['survey', 'fix', 'wire'] as const) expect(stages).toContain(stage)
  const told = plan.findings.map(finding => JSON.stringify(finding))
  expect(new Set(told).size).toBe(told.length)
  expect(Object.keys(plan))
    .toEqual(expect.arrayContaining(['members', 'arrays', 'wiring', 'marking', 'dead', 'hanging']))
})
