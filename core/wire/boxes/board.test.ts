import { expect, it } from 'vitest'
import { powerBox, wiredWall } from '../../../tests/fixtures/wired'
import { USUAL_CARRIERS } from '../../mount'

const ON_BOARD = { kind: 'board', thickness: 18, bolt: { tension: 2500, shear: 1500 } } as const
const onBoard = (clampsTo: number) =>
  wiredWall([], (wall, job) => {
    wall.arrays[0]!.carrier = { ...ON_BOARD }
    job.catalogue.boxes![0]!.clamps = { min: 6, max: clampsTo }
  })

it('a box behind a screen on a backing board is cut into the board, away from every fastener in it', () => {
  const { boxes, plan, said } = onBoard(32)
  expect(boxes.every(({ held }) => held)).toBe(true)
  const held = plan.arrays.flatMap(({ positions }) =>
    positions.flatMap(({ holes = [], bolts = [] }) => [...holes, ...bolts]),
  )
  const { width, height } = powerBox.cutout
  for (const box of boxes) {
    for (const { x, y } of held) {
      const away = Math.max(Math.abs(x - box.x) - width / 2, Math.abs(y - box.y) - height / 2)
      expect(away).toBeGreaterThanOrEqual(50 - 1e-6)
    }
  }
  expect(said.map(({ message }) => message).join()).toContain('cut board and covering alike')
})

it('one whose clamps do not take board and covering together does not fit', () => {
  // 12.5 of board on the studs, and 18 of plywood before it.
  const { boxes, said } = onBoard(30)
  expect(boxes.some(({ held }) => held)).toBe(false)
  const [stop] = said.filter(({ code }) => code === 'box-no-place')
  expect(stop).toMatchObject({
    message: expect.stringContaining('the covering is 30.5 mm'),
    remedy: expect.stringContaining('rails in place of the board'),
  })
  // As it says: on rails nothing is in front of the covering, and each box has a place.
  const onRails = wiredWall([], (wall, job) => {
    wall.arrays[0]!.carrier = { ...USUAL_CARRIERS.rail }
    job.catalogue.boxes![0]!.clamps = { min: 6, max: 30 }
  })
  expect(onRails.codes).not.toContain('box-no-place')
})
