import { describe, expect, it } from 'vitest'
import { exampleJob, m1, studs } from '../../tests/fixtures/job'
import type { Job, ScreenArray } from '../job'
import { factsOf, NOTHING_BUILT, withOverrides, type Override } from '../log'
import { planWall } from './index'
import { remediesFor } from './remedies'
import { textToString, words } from '../units'

/** One screen on the example wall whose plate reaches one stud of the two that it needs. */
function unheld(change: (job: Job, array: ScreenArray) => void = () => {}) {
  const job = exampleJob()
  const [wall] = job.walls
  wall!.structure.members = studs(2200, 2800, 3400, 4000)
  const array = Object.assign(wall!.arrays[0]!, { rows: 1, columns: 1, shiftTolerance: { x: 25, y: 0 } })
  job.catalogue.mounts[0]!.otherNeeds = [{ members: 1, rows: ['top', 'bottom'], capacity: 24 }]
  job.catalogue.mounts.push({
    ...m1,
    id: 'wide',
    name: 'Wide',
    kind: 'fixed',
    plate: {
      ...m1.plate,
      width: 900,
      slots: [
        ['top', 210],
        ['bottom', -150],
      ].flatMap(([row, y]) =>
        [
          [-430, -30],
          [30, 430],
        ].map(([x1, x2]) => ({ row: row as string, y: y as number, x1: x1!, x2: x2!, diameter: 10 })),
      ),
    },
  })
  change(job, array)
  return { job, wall: wall!, array, remedies: remediesFor({ array, document: wall! }, job) }
}
const held = (job: Job) => planWall(job.walls[0]!, job).arrays[0]!.positions.every(({ plate }) => plate!.held)

describe('an array that is not held', () => {
  it('is offered everything that would hold it, and each does once it is taken', () => {
    const { job, remedies } = unheld()
    expect(held(job)).toBe(false)
    expect(remedies.map(({ kind }) => kind)).toEqual(['rail', 'board', 'mount', 'slots'])
    for (const { change, held: count, total, stops } of remedies) {
      expect(count).toBe(total)
      const taken = structuredClone(job)
      Object.assign(taken.walls[0]!.arrays[0]!, change)
      expect(held(taken), textToString(remedies[0]!.title, 'metric')).toBe(true)
      expect(
        planWall(taken.walls[0]!, taken)
          .findings.filter(({ severity }) => severity === 'stop')
          .map(({ message }) => message),
      ).toEqual(stops)
    }
    // One member alone takes twice the shear, and both moments of a screen off its middle: it is reported with its
    // stop, and last.
    const [rail, board, mount, slots] = remedies.map(({ stops }) => stops.map(stop => textToString(stop, 'metric')))
    expect([rail, board, mount]).toEqual([[], [], []])
    const over = expect.stringMatching(/utilisation [123]\d\d %/)
    expect(slots).toEqual([expect.stringContaining('across the grain'), over])
  })

  it('is told how far the search is, from a little to all', () => {
    const { job, wall, array } = unheld()
    const told: number[] = []
    remediesFor({ array, document: wall }, job, NOTHING_BUILT, job.catalogue.mounts, {
      tell: share => void told.push(share),
    })
    expect(told).toEqual([...told].sort((a, b) => a - b))
    expect([told[0]! < 0.5, told.at(-1), told.length >= 4]).toEqual([true, 1, true])
  })

  it('may be shifted farther than the client allows, by what is told', () => {
    // Both are reached from 2655.3 to 2744.7; the plate slides 10 by itself: 3100 − 2754.7 = 345.3.
    const { remedies, array, job } = unheld((job, array) => {
      job.walls[0]!.structure.members = studs(2500, 2900)
      array.shiftTolerance = { x: 25, y: 0 }
      job.catalogue.mounts[0]!.adjust = { lateral: 10 }
    })
    const [shift] = remedies.filter(({ kind }) => kind === 'shift')
    expect(textToString(shift!.title, 'metric')).toBe('Shift the whole array 346 mm to the left')
    expect(textToString(shift!.says[0]!, 'metric')).toBe(
      '321 mm more than the shift of 25 mm that the client allows: ask first.',
    )
    Object.assign(array, shift!.change)
    expect(held(job)).toBe(true)
    expect(planWall(job.walls[0]!, job).arrays[0]!.shift).toEqual({ x: -346, y: 0 })
  })

  it('is not offered a use of its slots under which its maker allows less than it weighs', () => {
    const kinds = (capacity: number) =>
      unheld((job) => {
        job.catalogue.mounts[0]!.otherNeeds![0]!.capacity = capacity
      }).remedies.map(({ kind }) => kind)
    expect(kinds(21)).not.toContain('slots')
    expect(kinds(22)).toContain('slots')
  })

  it('is offered nothing where it is held already', () => {
    expect(unheld((job) => { job.walls[0]!.structure.members = studs(2900, 3300) }).remedies).toEqual([])
  })
})

describe('rails and boards', () => {
  const plan = (kind: 'rail' | 'board', change: (job: Job, array: ScreenArray) => void = () => {}) => {
    const { job, wall } = unheld((job, array) => {
      array.carrier
        = kind === 'rail' ? { kind, thickness: 21, height: 41, web: 2.5, moment: 150 } : { kind, thickness: 18 }
      change(job, array)
    })
    return planWall(wall, job)
  }

  it('go from the member left of the plates to the one right of them, past both ends', () => {
    // The plate's bolts are 135 either side of 3100.
    const { arrays } = plan('rail')
    expect(arrays[0]!.strips.map(({ of, rect }) => [of, rect.x, rect.width, Math.round(rect.y * 10) / 10])).toEqual([
      ['top', 2750, 700, 1781.5],
      ['bottom', 2750, 700, 1421.5],
    ])
    expect(arrays[0]!.positions[0]!.holes!.map(({ id, x, member }) => [id, x, member])).toEqual([
      ['a1-r1c1-top-1', 2800, 1],
      ['a1-r1c1-top-2', 3400, 2],
      ['a1-r1c1-bottom-1', 2800, 1],
      ['a1-r1c1-bottom-2', 3400, 2],
    ])
    expect(
      plan('board').arrays[0]!.positions[0]!.holes!.every(({ x, margin }) => [2800, 3400].includes(x) && margin! > 0),
    ).toBe(true)
  })

  it('share a weight out among their members as a beam does, all of it', () => {
    const shares = (x: number) =>
      plan('rail', (_, array) => {
        array.at.x.value = x
      }).arrays[0]!.strips[0]!.supports.map(({ share }) => share)
    expect(shares(3100)).toEqual([0.5, 0.5])
    // Bolts at 2925 and 3195 between 2800 and 3400.
    const [left, right] = shares(3060)
    expect(left).toBeCloseTo((475 / 600 + 205 / 600) / 2, 9)
    expect(left! + right!).toBeCloseTo(1, 12)
    expect(shares(3400).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12)
  })

  it('bring the display out, so that it pulls harder, and are bent themselves', () => {
    const rail = plan('rail')
    const plain = planWall(
      unheld((job) => {
        job.walls[0]!.structure.members = studs(2900, 3300)
      }).wall,
      unheld((job) => {
        job.walls[0]!.structure.members = studs(2900, 3300)
      }).job,
    )
    const tension = (walls: typeof rail, name: string) =>
      walls.arrays[0]!.positions[0]!.loads!.find(load => load.case === name)!.tension
    // Two members with one fastener in each row, as the plate has two. The arm grows by 21, and the plate turns about
    // the lower rail's edge, not about its own foot.
    const about = (arm: number, upper: number, lower: number) => arm * upper / (2 * upper ** 2 + 2 * lower ** 2)
    expect(tension(rail, 'stowed') / tension(plain, 'stowed')).toBeCloseTo(
      about(58 + 21 + 34, 360 + 20.5, 20.5) / about(58 + 34, 450, 90),
      9,
    )
    expect(rail.findings.map(({ code }) => code)).not.toContain('rail-not-known')
    expect(
      plan('rail', (_, array) => {
        delete array.carrier!.moment
      }).findings.map(({ code }) => code),
    ).toContain('rail-not-known')
    expect(
      plan('rail', (_, array) => {
        array.carrier!.moment = 20
      }).findings.map(({ code }) => code),
    ).toContain('rail-overbent')
    expect(
      plan('rail', (_, array) => {
        delete array.carrier!.web
      }).findings.map(({ code }) => code),
    ).toContain('capacity-not-known')
  })

  it('are not held where no member is beyond the plates on one side', () => {
    const { findings, arrays } = plan('rail', (job) => { job.walls[0]!.structure.members = studs(2200, 2800, 3150) })
    expect(arrays[0]!.positions[0]!.plate!.held).toBe(false)
    expect(findings.map(({ code }) => code)).toContain('carrier-not-held')
  })
})

describe('choices that a file may bring', () => {
  it('are stopped where the maker or the wall does not go with them', () => {
    const codes = (change: (job: Job, array: ScreenArray) => void) => {
      const { job, wall } = unheld(change)
      return planWall(wall, job).findings.map(({ code }) => code)
    }
    expect(codes((_, array) => { array.needs = { members: 1, rows: ['top'] } })).toContain('slot-use-not-allowed')
    expect(
      codes((_, array) => {
        array.needs = { members: 1, rows: ['top', 'bottom'] }
      }),
    ).not.toContain('slot-use-not-allowed')
    expect(codes((job, array) => {
      job.walls[0]!.structure = { kind: 'concrete' }
      array.carrier = { kind: 'board', thickness: 18 }
    })).toContain('carrier-without-members')
  })
})

describe('a stop that a person takes upon themselves', () => {
  it('is a caution with name and reason from then on, and only that one', () => {
    const { job, wall } = unheld((job) => { delete job.catalogue.fasteners[0]!.yield })
    const override = {
      code: 'capacity-not-known',
      subject: 'a1',
      by: 'Isla Brand',
      reason: 'Engineer’s letter of 3 June',
      at: '2026-06-03T10:00:00Z',
    }
    const before = planWall(wall, job).findings
    const after = planWall(wall, job, { ...NOTHING_BUILT, overrides: [override] }).findings
    expect(after.filter(({ severity }) => severity === 'stop').map(({ code }) => code)).toEqual(
      before.filter(({ severity, code }) => severity === 'stop' && code !== override.code).map(({ code }) => code),
    )
    expect(after.find(({ code }) => code === override.code)).toMatchObject({
      severity: 'caution',
      overridden: { by: 'Isla Brand' },
    })
  })

  const overridden = (change: Partial<Override>, mass = 60) => {
    const { job, wall, array } = unheld()
    job.catalogue.displays[0]!.mass = mass
    const override = {
      code: 'mount-over-capacity',
      subject: array.id,
      by: 'Isla Brand',
      reason: 'Tested',
      at: '2026-06-03T10:00:00Z',
      ...change,
    }
    const { findings } = planWall(wall, job, { ...NOTHING_BUILT, overrides: [override] })
    return {
      stop: findings.find(({ code }) => code === 'mount-over-capacity')!,
      codes: findings.map(({ code }) => code),
    }
  }

  it('lapses once its figures change, and is then named to the planner', () => {
    const facts = factsOf(overridden({}).stop)
    expect(overridden({ facts }).stop.severity).toBe('caution')
    expect(overridden({ facts }).codes).not.toContain('override-lapsed')
    expect(overridden({ facts }, 60.5).stop.severity).toBe('stop')
    expect(overridden({ facts }, 60.5).codes).toContain('override-lapsed')
    expect(overridden({ facts: [...facts, 1] }).stop.severity).toBe('stop')
  })

  it('that an earlier version recorded still fits, whatever its sentence said beside the figures', () => {
    const facts = factsOf(overridden({}).stop)
    // Earlier sentences had figures of names and rules among the others, in an order of their own.
    expect(overridden({ figures: [46, ...[...facts].reverse()] }).stop.severity).toBe('caution')
    expect(overridden({ figures: [46, ...facts] }, 60.5).stop.severity).toBe('stop')
  })

  it('is found by the code and the wall’s id of its time', () => {
    const stop = {
      severity: 'stop',
      code: 'face-shell-thickness-not-known',
      stage: 'fix',
      subject: { kind: 'wall', id: 'hall' },
      message: words`Not known.`,
    } as const
    const override = {
      code: 'face-shell’s-thickness-not-known',
      subject: 'Hall 1',
      by: 'Isla Brand',
      reason: 'Drawing 12',
      at: '2026-06-03T10:00:00Z',
    }
    expect(withOverrides([stop], [override], { id: 'hall', formerId: 'Hall 1' })).toMatchObject([
      { severity: 'caution', overridden: { by: 'Isla Brand' } },
    ])
    expect(withOverrides([stop], [override], { id: 'hall' })).toMatchObject([{ severity: 'stop' }])
  })
})
