import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob, studs } from '../../../tests/fixtures/job'
import type { BoxModel, Job, Wall } from '../../job'
import { enterRecovered, enterStopped } from '../../edits/wiring'
import { planWall } from '../../plan'
import { textToString } from '../../units'
import { mayBore } from './bore'
import { routeMinutes } from '../../rules'
import { cases } from '../../../tests/fixtures/soak'

const SPENT = routeMinutes({})

const box: BoxModel = {
  id: 'p1',
  kind: 'power',
  cutout: { width: 70, height: 108 },
  depth: 62,
  clamps: { min: 6, max: 32 },
}
/** The example job with a power box behind each display of the top row, fed by one circuit. */
function wired(change: (wall: Wall, job: Job) => void = () => {}) {
  const job = exampleJob()
  job.catalogue.boxes = [structuredClone(box)]
  job.catalogue.displays[0]!.power = { typical: 118, max: 165 }
  const [wall] = job.walls
  Object.assign(wall!, {
    void: { above: 'open', below: 'none' },
    sources: [1, 2, 3].map(n => ({ id: `s${n}`, kind: 'circuit', amps: 16, volts: 230, for: [`a1-r1c${n}`] })),
    blocking: [],
    boxes: [1, 2, 3].map(n => ({ id: `b${n}`, kind: 'power', model: 'p1', for: [`a1-r1c${n}`] })),
  })
  change(wall!, job)
  const { wiring, findings } = planWall(wall!, job)
  return {
    ...wiring,
    said: findings
      .filter(({ code }) => code === 'no-way' || code === 'void-not-known')
      .map(({ code, message }) => [code, textToString(message, 'metric')]),
  }
}
const minutes = (change?: (wall: Wall) => void) => wired(change).routes.map(route => route.minutes)

describe('a way to a box', () => {
  it('from above bores the plate and drops: 3300 to the box, 10 min to begin, 12 for the plate, a minute a metre', () => {
    const { routes, boxes } = wired()
    expect(routes.map(({ way, path }) => [way, path.at(-1)!.x, path.at(-1)!.y])).toEqual(
      boxes.map(({ x, y }) => ['above', x, y]),
    )
    for (const [n, route] of routes.entries()) {
      expect(route.length).toBeCloseTo(3300 - boxes[n]!.y, 9)
      expect(route.minutes).toBeCloseTo(SPENT.minutesEnter + SPENT.minutesPlate + (3300 - boxes[n]!.y) / 1000, 9)
      expect([route.openings.length, route.seals, route.patches, route.people]).toEqual([0, 1, 0, 1])
    }
  })

  it('meets blocking that was found: an opening of 150 × 100 there, a seal and a patch more', () => {
    const { routes: [route] } = wired((wall) => { wall.blocking = [{ id: 'k1', y: 2700, found: true }] })
    expect(route!.openings).toEqual([{ x: route!.path[0]!.x - 75, y: 2650, width: 150, height: 100 }])
    expect([route!.seals, route!.patches, route!.minutes - minutes()[0]!]).toEqual([
      2,
      1,
      expect.closeTo(SPENT.minutesOpening, 9),
    ])
    // What is only suspected costs half of that, and opens nothing yet.
    const { routes: [maybe] } = wired((wall) => { wall.blocking = [{ id: 'k1', y: 2700, found: false }] })
    expect([maybe!.openings.length, maybe!.minutes - minutes()[0]!]).toEqual([
      0,
      expect.closeTo(SPENT.minutesOpening / 2, 9),
    ])
  })

  it('recovers a weight that was left behind blocking by a second hole beside the first, until it is out', () => {
    const stopped = (lost?: 'weight') => wired((wall) => {
      enterStopped(wall, 2700, { from: 0, to: 6200 }, lost)
    })
    const [plain, left] = [stopped().routes[0]!, stopped('weight').routes[0]!]
    expect([left.minutes - plain.minutes, left.seals - plain.seals]).toEqual([
      expect.closeTo(SPENT.minutesRecover, 9), 1,
    ])
    expect(left.legs.filter(({ lost }) => lost === 'weight')).toHaveLength(1)
    const bores = left.legs.flatMap(({ bores: all }) => all).filter(({ through }) => through === 'blocking')
    expect([bores.length, Math.abs(bores[0]!.x - bores[1]!.x)]).toEqual([2, 45])
    const out = wired((wall) => {
      enterStopped(wall, 2700, { from: 0, to: 6200 }, 'weight')
      enterRecovered(wall, wall.blocking!.at(-1)!.id)
    }).routes[0]!
    expect(out).toEqual(plain)
  })

  it('takes the cheaper side, or the one of the house rule, and tells what the other would take', () => {
    const both = (wall: Wall) => { wall.void = { above: 'open', below: 'open' } }
    const cheaper = wired(both).routes[0]!
    expect([cheaper.way, cheaper.otherwise!.way, cheaper.otherwise!.minutes > cheaper.minutes]).toEqual([
      'above',
      'below',
      true,
    ])
    const ruled = wired((wall) => {
      both(wall)
      wall.rules = { cableEntry: 'below' }
    }).routes[0]!
    expect([ruled.way, ruled.otherwise]).toEqual([
      'below',
      { way: 'above', minutes: cheaper.minutes, openings: 0, seals: 1, patches: 0 },
    ])
  })

  it('has its openings on the wall whole, wherever its outlet is', () => {
    let opened = 0
    fc.assert(fc.property(fc.integer({ min: 30, max: 6_170 }), fc.integer({ min: 0, max: 3_300 }), (x, y) => {
      const { routes } = wired((wall) => {
        wall.void = { above: 'none', below: 'none' }
        wall.sources = [{ id: 's1', kind: 'outlet', x, y, amps: 16, volts: 230 }]
      })
      for (const opening of routes.flatMap(({ openings }) => openings)) {
        opened++
        expect(Math.min(opening.x, opening.y, 6_200 - opening.x - opening.width, 3_300 - opening.y - opening.height))
          .toBeGreaterThanOrEqual(0)
      }
    }), { numRuns: cases(30) })
    expect(opened).toBeGreaterThan(30)
  })

  it('is never faster with insulation, with more blocking, or with what nobody looked for', () => {
    // Blocking where the boxes are would move them.
    const height = fc.oneof(fc.integer({ min: 100, max: 1700 }), fc.integer({ min: 2200, max: 3200 }))
    fc.assert(
      fc.property(
        fc.array(height, { maxLength: 4 }),
        fc.constantFrom(undefined, 'mineral wool'),
        height,
        (heights, insulation, more) => {
          const set = (ys: number[]) => (wall: Wall) => {
            wall.blocking = ys.map((y, n) => ({ id: `k${n}`, y, found: true }))
            if (insulation) wall.insulation = insulation
          }
          const plain = minutes(set(heights))
          minutes(set([...heights, more])).forEach((each, n) =>
            expect(each).toBeGreaterThanOrEqual((plain[n] ?? 0) - 1e-9),
          )
          minutes((wall) => {
            set(heights)(wall)
            wall.insulation = 'mineral wool'
          }).forEach((each, n) => expect(each).toBeGreaterThanOrEqual(plain[n]! - 1e-9))
        },
      ),
      { numRuns: cases(20) },
    )
    minutes((wall) => {
      delete wall.blocking
    }).forEach((each, n) => expect(each).toBeGreaterThanOrEqual(minutes()[n]! - 1e-9))
  })

  it('is mirrored where the wall is', () => {
    const straight = wired((wall) => { wall.structure.members = studs(1900, 2300, 2900, 3300, 3950, 4350) })
    const mirrored = wired((wall) => {
      wall.structure.members = studs(...[1900, 2300, 2900, 3300, 3950, 4350].map(x => 6200 - x))
    })
    const told = ({ routes }: ReturnType<typeof wired>) =>
      routes.map(({ length, minutes }) => [Math.round(length * 100), Math.round(minutes * 100)])
    expect(told(mirrored).reverse()).toEqual(told(straight))
  })

  it('from a place on the wall goes across studs where no void is open, boring each and opening at it', () => {
    // 20 mm through 140 mm of stud: far under 40 %.
    const { routes: [route], boxes: [placed] } = wired((wall) => {
      wall.void = { above: 'none', below: 'none' }
      wall.sources![0]!.feature = 'o1'
    })
    // The outlet's middle is at 3020 + 38.
    const studsBetween = [1900, 2300, 2900, 3300, 3950, 4350].filter(x => x > placed!.x && x < 3058).length
    expect(route!.path[0]).toMatchObject({ y: 360 })
    expect(
      route!.legs.filter(({ method }) => method === 'across a stud').flatMap(({ openings }) => openings),
    ).toHaveLength(route!.openings.length)
    expect([studsBetween > 0, route!.way, route!.openings.length, route!.seals]).toEqual([
      true,
      'bay',
      studsBetween,
      studsBetween,
    ])
  })

  it('that begins beside its box in the same bay slants over to it: as long as up and along', () => {
    const {
      routes: [route],
      boxes: [placed],
    } = wired((wall) => {
      Object.assign(wall.sources![0]!, { kind: 'outlet', x: 1600, y: 360 })
    })
    expect(route!.path[0]).toMatchObject({ x: 1600, y: 360 })
    expect(placed!.x).toBeGreaterThan(1600)
    expect(route!.length).toBeCloseTo(placed!.x - 1600 + placed!.y - 360, 9)
  })

  it('is missing where nothing is open, and where it is not known what is: that is said', () => {
    expect(
      wired((wall) => {
        wall.void = { above: 'none', below: 'none' }
      }).said[0],
    ).toEqual([
      'no-way',
      'No cable route reaches box b1: no void is open above or below, and no stud on the way may be bored.',
    ])
    expect(
      wired((wall) => {
        delete wall.void
      }).said.map(([code]) => code),
    ).toEqual(['void-not-known', 'void-not-known', 'void-not-known'])
  })

  it('on concrete is a raceway, six minutes a metre and eight for each end', () => {
    const { routes: [route] } = wired((wall, job) => {
      wall.structure = { kind: 'concrete', thickness: 200, strength: 28 }
      Object.assign(job.catalogue.boxes![0]!, { surface: true, depth: 42 })
    })
    expect([route!.way, route!.minutes]).toEqual(['surface', expect.closeTo(10 + route!.length * 0.006 + 16, 9)])
  })
})

it('a stud takes a hole of 40 % of its depth where it bears or that is not known, of 60 % where it does not, 16 mm from its edges', () => {
  const wall = (memberDepth: number | undefined, bearing?: boolean) => ({
    ...exampleJob().walls[0]!,
    bearing,
    structure: { kind: 'wood-stud' as const, memberDepth },
  })
  expect(
    [
      [35.6, undefined],
      [35.7, undefined],
      [53.4, false],
      [53.5, false],
    ].map(([hole, bearing]) => mayBore(wall(89, bearing as undefined), hole as number)),
  ).toEqual([true, false, true, false])
  expect([mayBore(wall(50, false), 18), mayBore(wall(50, false), 18.1), mayBore(wall(undefined), 5)]).toEqual([
    true,
    false,
    false,
  ])
})
