import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { kitOf } from '../hang'
import { planWall } from '../plan'
import { textToString } from '../units'

/** The example's wall with studs at 600, its array on a board. */
function onBoard() {
  const job = exampleJob()
  const wall = job.walls[0]!
  wall.structure.members = Array.from({ length: 11 }, (_, n) => ({ centre: 100 + 600 * n, width: 38 }))
  wall.arrays[0]!.carrier = { kind: 'board', thickness: 18, bolt: { tension: 900, shear: 800 } }
  return { job, wall, plan: planWall(wall, job) }
}

it('cuts a board no wider than its plates, or than half a stud beyond its outer screws', () => {
  const { plan: { arrays: [array] } } = onBoard()
  for (const { rect, supports, row } of array!.strips) {
    const plates = array!.positions.filter(position => position.row === row).map(({ plate }) => plate!.rect)
    const screws = supports.map(({ x }) => x)
    expect(rect.x).toBeCloseTo(Math.min(...plates.map(({ x }) => x), Math.min(...screws) - 19), 6)
    expect(rect.x + rect.width).toBeCloseTo(
      Math.max(...plates.map(({ x, width }) => x + width), Math.max(...screws) + 19),
      6,
    )
  }
})

it('names the thickness of a board on the parts list', () => {
  const { job, wall, plan } = onBoard()
  const kit = kitOf({ wall, ...plan, catalogue: job.catalogue, units: 'metric' })
  const [board] = kit.filter(({ id }) => id.includes('strip-board'))
  expect(textToString(board!.name, 'metric')).toMatch(/^Board [\d.]+ × [\d.]+ mm, 18 mm thick$/)
})
