import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { exampleJob, studs } from '../../../tests/fixtures/job'
import type { Catalogue } from '../../job'
import { contextOf, planWall } from '../../plan'

const shipped = JSON.parse(readFileSync('demo/catalogue.json', 'utf8')) as Catalogue
const MARRAM = shipped.displays.find(({ id }) => id === 'marram-98q')!
const QUAY = shipped.mounts.find(({ id }) => id === 'quay-f4')!

/** A display of 98 in on a wide plate over three studs, its centre at 3000. */
function wide(...centres: number[]) {
  const job = exampleJob()
  const [wall] = job.walls
  wall!.structure.members = studs(...centres)
  job.catalogue.displays = [structuredClone(MARRAM)]
  job.catalogue.mounts = [structuredClone(QUAY)]
  Object.assign(wall!.arrays[0]!, {
    rows: 1, columns: 1, display: MARRAM.id, mount: QUAY.id, shiftTolerance: { x: 0, y: 0 },
    at: { x: { edge: 'centre', value: 3000 }, y: { edge: 'centre', value: 1650 } },
  })
  const { arrays, findings } = planWall(wall!, contextOf(job))
  return { position: arrays[0]!.positions[0]!, codes: findings.map(({ code }) => code) }
}
const membersIn = ({ position }: ReturnType<typeof wide>, of: string) =>
  position.holes!.filter(({ row }) => row === of).map(({ member }) => member)

it('a wide plate is held by three studs in each row, and its weight is shared by all six fasteners', () => {
  const found = wide(2200, 2600, 3000, 3400, 3800)
  expect(found.position.plate).toMatchObject({ held: true, lateralShift: 0 })
  expect([membersIn(found, 'top'), membersIn(found, 'bottom')]).toEqual([[1, 2, 3], [1, 2, 3]])
  // 78.4 and 9.8 kg: 864.9 N on six, its centre over theirs.
  const stowed = found.position.loads!.find(({ case: name }) => name === 'stowed')!
  expect(stowed.shear).toBeCloseTo((78.4 + 9.8) * 9.80665 / 6, 1)
})

it('takes studs at 600 as well, and is not held where only two are within its slots', () => {
  const at600 = wide(1800, 2400, 3000, 3600, 4200)
  expect([membersIn(at600, 'top'), at600.position.plate!.held]).toEqual([[1, 2, 3], true])
  const two = wide(1700, 2700, 3300, 4300)
  expect(two.position.plate!.held).toBe(false)
  expect(two.codes).toContain('hole-misses-member')
})
