import { expect, it } from 'vitest'
import { d46, exampleJob } from '../../tests/fixtures/job'
import type { Display } from '../job'
import { planWall } from '../plan'
import { chooseScrew } from './index'

const KIT = { id: 'k', name: 'Kit', thread: 6, lengths: [12, 14, 25, 30, 32], washers: [1.6], spacers: [15] }
const rangeOf = (vesa: Partial<Display['vesa']>, spacer?: number) => {
  const { range } = chooseScrew({ ...d46, vesa: { ...d46.vesa, ...vesa } }, 2.5, KIT, spacer)
  return [range!.shortest.value, range!.longest.value].map(value => Number(value.toFixed(1)))
}

it('a spacer across a recess lets the screw bridge it; one on its floor does not; not known is the shorter', () => {
  // M6, bracket 2.5, washer 1.6, insert 12: by hand.
  expect(rangeOf({})).toEqual([10.1, 15.1])
  expect(rangeOf({}, 15)).toEqual([25.1, 30.1])
  expect(rangeOf({ recess: 4, spacerIn: 'across' }, 15)).toEqual([29.1, 34.1])
  expect(rangeOf({ recess: 4, spacerIn: 'recess' }, 15)).toEqual([25.1, 30.1])
  expect(rangeOf({ recess: 4 }, 15)).toEqual([25.1, 30.1])
  // Nothing fills the recess: the screw goes through it.
  expect(rangeOf({ recess: 4 })).toEqual([14.1, 19.1])
})

it('it is asked where the spacer sits, where that matters', () => {
  const codes = (vesa: Partial<Display['vesa']>, spacer?: number) => {
    const job = exampleJob()
    Object.assign(job.catalogue.displays[0]!.vesa, vesa)
    if (spacer !== undefined) job.walls[0]!.arrays[0]!.spacer = spacer
    const { findings } = planWall(job.walls[0]!, job)
    return findings.map(({ code }) => code).filter(code => code.startsWith('spacer'))
  }
  expect(codes({ recess: 4 }, 15)).toEqual(['spacer-seat-not-known'])
  expect([codes({ recess: 4, spacerIn: 'across' }, 15), codes({}, 15), codes({ recess: 4 })]).toEqual([[], [], []])
})
