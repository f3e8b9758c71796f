import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import type { Job } from '../../job'
import { planWall } from '../../plan'
import { cases } from '../../../tests/fixtures/soak'

/** The example's grid on a wall of block, its anchors keeping 32 from the joints. */
function onBlock(
  block: Partial<NonNullable<Job['walls'][0]['structure']['block']>>,
  change: (job: Job) => void = () => {},
) {
  const job = exampleJob()
  const [wall] = job.walls
  wall!.structure = {
    kind: 'block',
    block: { length: 390, height: 190, joint: 10, bond: 'running', origin: { x: 0, y: 0 }, ...block },
  }
  wall!.arrays[0]!.shiftTolerance = { x: 20, y: 20 }
  job.catalogue.fasteners = [
    {
      id: 'lag',
      kind: 'sleeve-anchor',
      base: 'block',
      diameter: 8,
      length: 90,
      allowable: { tension: 600, shear: 1100 },
      embedment: 40,
    },
  ]
  change(job)
  return planWall(wall!, job).arrays[0]!
}

const blocks = fc
  .record({
    origin: fc.record({ x: fc.integer({ min: 0, max: 399 }), y: fc.integer({ min: 0, max: 199 }) }),
    bond: fc.constantFrom('running' as const, 'stack' as const),
    size: fc.constantFrom(
      { length: 390, height: 190, joint: 10 },
      { length: 397, height: 194, joint: 9.5 },
      { length: 440, height: 215, joint: 10 },
    ),
  })
  .map(({ origin, bond, size }) => ({ origin, bond, ...size }))

/** How near a hole is to the face of any joint, straight from the coursing. */
function clearance(
  { x, y }: { x: number, y: number },
  {
    origin,
    bond,
    length,
    height,
    joint,
  }: { origin: { x: number, y: number }, bond: string, length: number, height: number, joint: number },
) {
  const [module, course] = [length + joint, height + joint]
  const n = Math.floor((y - origin.y) / course)
  const up = y - origin.y - n * course
  const along = x - origin.x - (bond === 'running' && Math.abs(n % 2) === 1 ? module / 2 : 0)
  const into = along - Math.floor(along / module) * module
  return Math.min(up, course - up, into, module - into) - joint / 2
}

describe('plates on block', () => {
  it('that are held keep every hole its distance from every joint, by what is told', () => {
    fc.assert(fc.property(blocks, (block) => {
      const { positions, shift } = onBlock(block)
      expect(Math.max(Math.abs(shift.x), Math.abs(shift.y))).toBeLessThanOrEqual(20)
      for (const { plate, holes } of positions) {
        expect(Math.abs(plate!.heightShift)).toBeLessThanOrEqual(12 + 1e-6)
        for (const hole of holes!) {
          if (plate!.held) expect(clearance(hole, block)).toBeGreaterThanOrEqual(32 - 1e-6)
          if (plate!.held) expect(clearance(hole, block) - 32).toBeCloseTo(hole.margin!, 6)
        }
      }
    }), { numRuns: cases(60) })
  })

  it('hold as many rows of screens as trying every height does', () => {
    fc.assert(fc.property(blocks, (block) => {
      const found = onBlock(block, (job) => { job.walls[0]!.arrays[0]!.columns = 1 })
      const course = block.height + block.joint
      const clear = (y: number) => {
        const up = y - block.origin.y - Math.floor((y - block.origin.y) / course) * course
        return Math.min(up, course - up) - block.joint / 2 >= 32 - 1e-9
      }
      // The two plates' centres, 576.8 apart, with holes 210 above and 150 below.
      const nominal = found.positions.map(({ pattern }) => pattern.y - 40 - found.shift.y)
      const heldAt = (shift: number) =>
        nominal.filter(y =>
          Array.from({ length: 241 }, (_, n) => n / 10 - 12).some(
            by => clear(y + shift + by + 210) && clear(y + shift + by - 150),
          ),
        ).length
      const counts = Array.from({ length: 41 }, (_, n) => ({ shift: n - 20, held: heldAt(n - 20) }))
      const most = Math.max(...counts.map(({ held }) => held))
      const least = Math.min(...counts.filter(({ held }) => held === most).map(({ shift }) => Math.abs(shift)))
      const upHeld = found.positions.filter(({ holes }) => holes!.every(({ y }) => clear(y))).length
      expect(upHeld).toBe(most)
      expect(Math.abs(found.shift.y)).toBe(least)
    }), { numRuns: cases(60) })
  })

  it('spend the height adjusters before a shift of the whole array is asked for', () => {
    // The upper holes, at 1802, stand 25 above the face of the joint at 1772: they want 7 more, and the adjusters give
    // 12.
    const { shift, positions } = onBlock({ origin: { x: 0, y: 172 } }, (job) => { job.walls[0]!.arrays[0]!.rows = 1 })
    const [{ plate, holes }] = positions as [typeof positions[0]]
    expect(shift.y).toBe(0)
    expect(plate!.heightShift).toBeCloseTo(12, 6)
    // 25 + 12 − 32.
    expect(Math.min(...holes!.map(({ margin }) => margin!))).toBeCloseTo(5, 6)
  })
})

describe('furring over block', () => {
  const furred = (furring: 'through' | 'into-furring' | undefined) => {
    const job = exampleJob()
    const [wall] = job.walls
    job.rules = furring ? { furring } : {}
    wall!.structure = {
      kind: 'block',
      specificGravity: 0.42,
      block: { length: 390, height: 190, joint: 10, bond: 'running', origin: { x: 0, y: 0 } },
      members: wall!.structure.members,
    }
    wall!.covering = [
      { material: 'furring', thickness: 38, width: 45, spacing: 400 },
      { material: 'gypsum-board', thickness: 12.5 },
    ]
    const { arrays, findings } = planWall(wall!, job)
    return {
      codes: findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code),
      holes: arrays[0]!.positions[0]!.holes!,
    }
  }
  it('is gone through unless the house rule fixes into it; a screw then stays within it', () => {
    expect(furred(undefined).codes).toContain('fastener-of-another-base')
    expect(furred('through').holes.every(({ member }) => member === undefined)).toBe(true)
    const into = furred('into-furring')
    expect(into.holes.map(({ x, member }) => [x, member])).toEqual([[1900, 0], [2300, 1], [1900, 0], [2300, 1]])
    // 76 long, less the plate of 2.5, the board and 38 of furring.
    expect(into.codes).toEqual(['fastener-through-member'])
  })
})

describe('the mirror image of a wall', () => {
  it('has the mirror image of its plan', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 6200 }), { minLength: 6, maxLength: 18 }),
        fc.integer({ min: 0, max: 40 }),
        (centres, tolerance) => {
          const planOf = (mirrored: boolean) => {
            const job = exampleJob()
            const [wall] = job.walls
            const at = (x: number) => (mirrored ? 6200 - x : x)
            wall!.structure.members = [...new Set(centres)].map(centre => ({ centre: at(centre), width: 38 }))
            Object.assign(wall!.arrays[0]!, {
              at: { x: { edge: 'centre', value: at(3100) }, y: { edge: 'centre', value: 1650 } },
              shiftTolerance: { x: tolerance, y: 0 },
            })
            return planWall(wall!, job).arrays[0]!
          }
          const [one, other] = [planOf(false), planOf(true)]
          const heldIn = ({ positions }: typeof one) => positions.filter(({ plate }) => plate!.held).length
          const leastIn = ({ positions }: typeof one) =>
            Math.min(
              ...positions
                .filter(({ plate }) => plate!.held)
                .flatMap(({ holes }) => holes!.map(({ margin }) => margin!)),
            )
          expect(heldIn(other)).toBe(heldIn(one))
          expect(Math.abs(other.shift.x)).toBe(Math.abs(one.shift.x))
          if (heldIn(one) > 0) expect(leastIn(other)).toBeCloseTo(leastIn(one), 6)
          const slidesIn = ({ positions }: typeof one) =>
            positions.reduce((sum, { plate }) => sum + Math.abs(plate!.lateralShift), 0)
          expect(slidesIn(other)).toBeCloseTo(slidesIn(one), 4)
        },
      ),
      { numRuns: cases(60) },
    )
  })
})
