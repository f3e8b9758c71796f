import { expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { freeze } from '../../core/revision'
import { savesOf } from '../archive/saves'
import { TASKS } from './tasks'

it('what was frozen is read where it is one, and refused unread where it is countless or bottomless', () => {
  const { job, wall } = demoWall('holm-point', 'ticket-hall')
  const built = asBuilt(job.log, wall)
  const frozen = freeze(wall, job, built, planWall(wall, contextOf(job), built), {})
  expect(TASKS.revision({ text: JSON.stringify(frozen) })).toEqual({ frozen })
  const refused = (text: string) => TASKS.revision({ text })
  expect(refused(`[${'{},'.repeat(600_000)}{}]`)).toEqual({
    faults: [{ path: '$', message: 'has more than 500000 values' }],
  })
  expect(refused('['.repeat(2_000_000))).toEqual({
    faults: [{ path: '$', message: 'is nested deeper than 64 levels' }],
  })
  expect(refused('{"frozen":')).toEqual({ notJson: expect.any(String) })
})

it('what an archive says of its saves counts where it is a list of them, and is not read where it is heavier', () => {
  const line = { wall: 'w1', by: 'Isla', at: '2026-11-12T09:00:00Z' }
  const text = (walls: object[]) => JSON.stringify({ format: 'wide-trellis-saves', version: 1, walls })
  expect(savesOf(text([line])).get('w1')).toEqual({ by: 'Isla', at: '2026-11-12T09:00:00Z' })
  expect(savesOf(text(Array.from({ length: 5_000 }, (_, n) => ({ ...line, wall: `w${n}` }))))).toEqual(new Map())
  expect(savesOf(text([{ ...line, by: [[[['Isla']]]] }]))).toEqual(new Map())
})
