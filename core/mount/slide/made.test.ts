import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import type { Job } from '../../job'
import { asBuilt, type EntryOf } from '../../log'
import { planWall, type WallPlan } from '../../plan'
import { cases } from '../../../tests/fixtures/soak'

const AT = '2026-11-12T09:00:00Z'
const planOf = (job: Job) => planWall(job.walls[0]!, job, asBuilt(job.log, job.walls[0]!))
const held = ({ arrays: [array] }: WallPlan) => array!.positions.filter(({ plate }) => plate!.held)

/** The example with the holes of one held plate drilled as planned. */
function drilled(pick: number) {
  const job = exampleJob()
  job.walls[0]!.arrays[0]!.shiftTolerance = { x: 10, y: 0 }
  job.walls[0]!.structure.members = Array.from({ length: 15 }, (_, n) => ({ centre: 200 + 400 * n, width: 38 }))
  const plates = held(planOf(job))
  const { id, holes, plate } = plates[pick % plates.length]!
  const made = holes!.map((hole, n): EntryOf<'hole'> => ({
    id: `l${n}`,
    at: AT,
    by: 'Odd',
    wall: 'w1',
    kind: 'hole',
    hole: hole.id,
    x: hole.x,
    y: hole.y,
    result: 'hit',
  }))
  // Where the plate's centre may be, with its slots over all its holes, and where it is with nothing shifted.
  const spans = holes!.map(({ x, slot }) => ({
    from: x - job.catalogue.mounts[0]!.plate.slots[slot!]!.x2,
    to: x - job.catalogue.mounts[0]!.plate.slots[slot!]!.x1,
  }))
  const keeps = { from: Math.max(...spans.map(({ from }) => from)), to: Math.min(...spans.map(({ to }) => to)) }
  return {
    job: { ...job, log: made },
    screen: id,
    made,
    keeps,
    nominal: plate!.centre.x - plate!.lateralShift - planOf({ ...job, log: [] }).arrays[0]!.shift.x,
  }
}

describe('holes that are made', () => {
  it('are made where they were planned, and change nothing else', () => {
    const { job, screen, made } = drilled(1)
    const [before, after] = [planOf({ ...job, log: [] }), planOf(job)]
    const bare = ({ arrays: [array] }: WallPlan) =>
      array!.positions.map(({ holes }) => holes!.map(({ made: _, ...hole }) => hole))
    expect(bare(after)).toEqual(bare(before))
    expect(
      after.arrays[0]!.positions.flatMap(({ id, holes }) =>
        holes!.filter(({ made }) => made).map(hole => [id, hole.id, hole.made]),
      ),
    ).toEqual(made.map(({ hole }) => [screen, hole, 'hit']))
  })

  it('that were left behind and made again elsewhere ask nothing more', () => {
    const { job, screen, made } = drilled(1)
    const elsewhere = made.map((entry, n) => ({ ...entry, id: `old${n}`, x: entry.x - 430 }))
    const plan = planOf({ ...job, log: [...elsewhere, ...made] })
    expect(plan.findings.filter(({ code }) => code === 'hole-left-behind')).toEqual([])
    expect(plan.arrays[0]!.positions.find(({ id }) => id === screen)!.holes!.map(({ x, made }) => [x, made])).toEqual(
      made.map(({ x }) => [x, 'hit']),
    )
  })

  it('never move, wherever the array goes and whatever is read: the plate keeps them, or a stop says by how much it cannot', () => {
    fc.assert(
      fc.property(
        fc.nat(20),
        fc.integer({ min: -200, max: 200 }),
        fc.integer({ min: -30, max: 30 }),
        fc.nat(14),
        fc.boolean(),
        (pick, dx, dy, member, shifted) => {
          const { job, screen, made, keeps, nominal } = drilled(pick)
          const wall = job.walls[0]!
          wall.arrays[0]!.at.x.value += dx
          wall.arrays[0]!.at.y.value += dy
          if (shifted) wall.structure.members![member]!.centre += 17
          const plan = planOf(job)
          const position = plan.arrays[0]!.positions.find(({ id }) => id === screen)!
          const slots = job.catalogue.mounts[0]!.plate.slots
          const { x, y } = position.plate!.centre
          const covers = ({ x: at, y: up }: EntryOf<'hole'>) =>
            slots.some(
              slot => at >= x + slot.x1 - 1e-6 && at <= x + slot.x2 + 1e-6 && Math.abs(up - y - slot.y) <= 1 + 1e-6,
            )
          const stop = plan.findings.some(
            ({ code, severity, subject }) =>
              code === 'hole-left-behind' && severity === 'stop' && subject.id === screen,
          )
          const kept = made.every(entry =>
            position.holes!.some(
              hole => hole.id === entry.hole && hole.made === 'hit' && hole.x === entry.x && hole.y === entry.y,
            ),
          )
          expect(kept).toBe(!stop)
          if (kept) expect(made.every(covers)).toBe(true)
          // What is said to be made is where a hole was made.
          for (const hole of plan.arrays[0]!.positions.flatMap(({ holes }) => holes!).filter(({ made }) => made))
            expect(made.some(({ x, y }) => Math.hypot(x - hole.x, y - hole.y) <= 1)).toBe(true)
          // Within reach of slide and adjusters nothing is left behind.
          const { lateral = 0, height = 0 } = job.catalogue.mounts[0]!.adjust!
          const reach = nominal + dx
          if (reach - lateral < keeps.to - 1 && reach + lateral > keeps.from + 1 && Math.abs(dy) <= height)
            expect(stop).toBe(false)
          expect(new Set(plan.arrays[0]!.positions.flatMap(({ holes }) => holes!.map(({ id }) => id))).size).toBe(
            plan.arrays[0]!.positions.flatMap(({ holes }) => holes!).length,
          )
        },
      ),
      {
        numRuns: cases(60),
        // Slid to the very end of what the holes allow, with a rest of a hundred-millionth.
        examples: [
          [0, -119, 0, 0, false],
          [0, -121, 0, 0, false],
        ],
      },
    )
  })
})
