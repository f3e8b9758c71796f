import { describe, expect, it } from 'vitest'
import { exampleJob, exampleWall, studs } from '../../tests/fixtures/job'
import { wiredWall } from '../../tests/fixtures/wired'
import type { Job, Wall } from '../job'
import { planWall } from '../plan'
import type { Member } from '../survey'
import { baysBetween, baysOf } from './bays'
import { placeBoxes } from './boxes/placeBoxes'
import { screensOf } from './screens'

let made: { wall: Wall, job: Job }
const { plan } = wiredWall([], (wall, job) => { made = { wall, job } })
const { wall, job } = made!
/** The studs of a wall with known framing, each leaning so many mm to a mm of height from 1000 up. */
const leaning = (slope: number, sd = 0) =>
  plan.members.map((member): Member => ({ ...member, sd: 0, lean: { slope, sd, at: 1000 } }))
const boxesOn = (members: Member[]) =>
  placeBoxes({
    wall, members, arrays: plan.arrays, screens: screensOf(wall, plan.arrays, job.catalogue),
    models: job.catalogue.boxes!, rules: {},
  })

describe('bays between leaning studs', () => {
  it('are those of plumb studs at the height at which these were read, and move with them above and below', () => {
    const [plumb, members] = [leaning(0), leaning(0.01)]
    const bays = baysOf(wall, plumb)
    expect(baysBetween(bays, plumb, { from: 0, to: 3000 })).toEqual(bays)
    const [at1000, at2000] = [1000, 2000].map(y => baysBetween(bays, members, { from: y, to: y }))
    expect(at1000).toEqual(bays)
    bays.forEach(({ from, to, left, right }, n) => {
      expect([at2000![n]!.from, at2000![n]!.to]).toEqual([
        expect.closeTo(from + (left === undefined ? 0 : 10), 9), expect.closeTo(to + (right === undefined ? 0 : 10), 9),
      ])
    })
    // From 0 to 2000 the stud on the left counts where it is farthest right, the one on the right farthest left.
    const between = bays.findIndex(({ left, right }) => left !== undefined && right !== undefined)
    expect(baysBetween(bays, members, { from: 0, to: 2000 })[between]).toMatchObject({
      from: expect.closeTo(bays[between]!.from + 10, 9), to: expect.closeTo(bays[between]!.to - 10, 9),
    })
  })

  it('are narrower by what is not known of the lean', () => {
    const [bay] = baysOf(wall, leaning(0)).filter(({ left, right }) => left !== undefined && right !== undefined)
    const [narrow] = baysBetween([bay!], leaning(0, 0.003), { from: 2000, to: 2000 })
    // 3 mm/m, 1000 from where the studs were read: 3 mm, of which 95 % to one side.
    const [left, right] = [bay!.from + 1.645 * 3, bay!.to - 1.645 * 3]
    expect(narrow).toMatchObject({ from: expect.closeTo(left, 9), to: expect.closeTo(right, 9) })
  })

  it('keep every cut-out clear of the studs as they are at its own height, 10 mm and more', () => {
    for (const slope of [-0.03, 0.03]) {
      const members = leaning(slope)
      const boxes = boxesOn(members)
      expect(boxes.length).toBeGreaterThan(1)
      for (const { held, cutout, bay } of boxes) {
        expect([held, bay.some(index => index !== undefined)]).toEqual([true, true])
        for (const y of [cutout.y, cutout.y + cutout.height]) {
          for (const { centre, width } of members) {
            const at = centre + slope * (y - 1000)
            const away = Math.max(at - width / 2 - cutout.x - cutout.width, cutout.x - at - width / 2)
            expect(away).toBeGreaterThanOrEqual(10 - 1e-6)
          }
        }
      }
    }
  })
})

describe('a bay', () => {
  it('is what lies between two members, 10 mm clear of each: studs of 38 at 400 and 800 leave 429 to 771', () => {
    const wall = { ...exampleWall(), structure: { ...exampleWall().structure, members: studs(400, 800) } }
    const members = planWall(wall, exampleJob()).members
    expect(baysOf(wall, members).map(({ from, to, left, right }) => [from, to, left, right])).toEqual([
      [10, 371, undefined, 0],
      [429, 771, 0, 1],
      [829, 6190, 1, undefined],
    ])
    // A member known to ± 6 mm is kept clear of by 1.645 × 6 more on either side.
    expect(
      baysOf(
        wall,
        members.map(member => ({ ...member, sd: 6 })),
      )[1],
    ).toMatchObject({ from: 429 + 9.87, to: 771 - 9.87 })
    expect(baysOf({ ...wall, structure: { kind: 'concrete' } }, members)).toEqual([])
  })
})
