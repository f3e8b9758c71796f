import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Requirement } from './requirement'
import { smallestMargin } from './requirement'
import { singly, zone, type FixingZone } from '../holes/zones'
import { bestSlide, leastSlide, slide, type Slider } from './slide'
import { cases } from '../../../tests/fixtures/soak'

const at = (centre: number, usable: number, index = 0): FixingZone => zone(index, centre, usable)
/** Two slots either side of the centre, reaching so many members. */
const reach = (
  wanted: number,
  zones: FixingZone[],
  slots = [
    [-9, -2],
    [2, 9],
  ],
): Requirement[] => [{ spans: slots.map(([from, to]) => ({ from: from!, to: to! })), targets: singly(zones), wanted }]
const free = { half: 8, barred: [] }

/** What a plate has to spare, straight from the rule: the fasteners its row needs, each in a member of its own. */
function margin(requirements: Requirement[], x: number): number {
  const { spans, targets, wanted } = requirements[0]!
  const each = targets.flatMap(({ zones }) => zones).map(({ centre, usable }) => {
    const offs = spans.map(({ from, to }) =>
      centre < x + from ? x + from - centre : centre > x + to ? centre - x - to : 0,
    )
    return usable - Math.min(...offs)
  }).filter(spare => spare >= 0).sort((a, b) => b - a)
  return each.length >= wanted ? each[wanted - 1]! : -1
}

interface Answer { held: number, shift: number, spare: number, slides: number }
const rank = ({ held, shift, spare, slides }: Answer) => [held, -Math.abs(shift), spare, -slides]
function beats(a: Answer, b: Answer | undefined): boolean {
  if (!b) return true
  const [left, right] = [rank(a), rank(b)]
  const n = left.findIndex((value, i) => Math.abs(value - right[i]!) > 1e-6)
  return n >= 0 && left[n]! > right[n]!
}

/**
 * What the slides of one chain, tried in halves, come to at a shift: of each number held and margin the one with least
 * slides.
 */
function answersAt(shift: number, chain: Slider[]): Answer[] {
  const options = chain.map(({ nominal, travel, requirements, barred }) =>
    Array.from({ length: 4 * travel + 1 }, (_, n) => n / 2 - travel)
      .map(by => ({ by, x: nominal + shift + by }))
      .filter(({ x }) => barred.every(({ from, to }) => x <= from || x >= to))
      .map(option => ({ ...option, spare: margin(requirements, option.x) })),
  )
  const least = new Map<string, Answer>()
  const tryFrom = (n: number, before: number, answer: Answer) => {
    if (n === chain.length) {
      const key = `${answer.held} ${answer.spare}`
      if (answer.slides < (least.get(key)?.slides ?? Infinity)) least.set(key, answer)
      return
    }
    for (const { by, x, spare } of options[n]!) {
      if (x - before < (n > 0 ? chain[n - 1]!.half + chain[n]!.half : -Infinity)) continue
      tryFrom(n + 1, x, {
        held: answer.held + Number(spare >= 0),
        shift,
        spare: spare >= 0 ? Math.min(answer.spare, spare) : answer.spare,
        slides: answer.slides + Math.abs(by),
      })
    }
  }
  tryFrom(0, -Infinity, { held: 0, shift, spare: Infinity, slides: 0 })
  return [...least.values()]
}

/**
 * Every shift in whole millimetres with every slide of every chain: where all figures are whole, the best is among
 * them.
 */
function bruteForce(chains: Slider[][], tolerance: number): Answer {
  let best: Answer | undefined
  for (let shift = -tolerance; shift <= tolerance; shift++) {
    const together = chains
      .map(chain => answersAt(shift, chain))
      .reduce((all, own) =>
        all.flatMap(a =>
          own.map((b): Answer => ({
            held: a.held + b.held,
            shift,
            spare: Math.min(a.spare, b.spare),
            slides: a.slides + b.slides,
          })),
        ),
      )
    for (const answer of together) if (beats(answer, best)) best = answer
  }
  return best!
}

const zones = fc
  .array(fc.record({ gap: fc.integer({ min: 4, max: 24 }), usable: fc.integer({ min: 0, max: 3 }) }), {
    minLength: 2,
    maxLength: 7,
  })
  .map((found) => {
    let x = -12
    return found.map(({ gap, usable }, index) => at((x += gap), usable, index))
  })
const chainOf = fc
  .record({
    zones,
    wanted: fc.constantFrom(1, 2),
    half: fc.integer({ min: 7, max: 10 }),
    pitch: fc.integer({ min: 20, max: 24 }),
    travels: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 3 }),
    barred: fc.option(fc.integer({ min: 0, max: 40 })),
  })
  .map(({ zones, wanted, half, pitch, travels, barred }) =>
    travels.map((travel, n): Slider => ({
      nominal: n * pitch,
      travel,
      half,
      requirements: reach(wanted, zones),
      barred: barred === null ? [] : [{ from: barred - half, to: barred + 3 + half }],
    })),
  )

describe('placing plates', () => {
  it('gives what trying every place gives, for rows that share one shift: held, shift, margin and slides', () => {
    fc.assert(
      fc.property(
        fc.array(chainOf, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 0, max: 3 }),
        (chains, tolerance) => {
          // Where a plate has no free place at all the search has none either; what is then done is distinguished
          // below.
          fc.pre(
            chains
              .flat()
              .every(({ nominal, travel, barred }) =>
                [nominal - travel - tolerance, nominal + travel + tolerance].every(x =>
                  barred.every(({ from, to }) => x <= from || x >= to),
                ),
              ),
          )
          const { shift, spare, by, held } = slide(chains, tolerance)
          const slides = by.flat().reduce((sum, each) => sum + Math.abs(each), 0)
          const answer = { held: held.flat().filter(Boolean).length, shift, spare, slides }
          const best = bruteForce(chains, tolerance)
          expect(answer.held).toBe(best.held)
          expect(Math.abs(shift)).toBe(Math.abs(best.shift))
          if (best.held > 0) expect(spare).toBeCloseTo(best.spare, 6)
          expect(slides).toBeCloseTo(best.slides, 5)
          // The places themselves are what they are said to be.
          chains.forEach((chain, row) => {
            const places = chain.map(({ nominal }, n) => nominal + shift + by[row]![n]!)
            chain.forEach(({ requirements, travel, half }, n) => {
              expect(Math.abs(by[row]![n]!)).toBeLessThanOrEqual(travel + 1e-6)
              if (held[row]![n]) expect(smallestMargin(requirements, places[n]!)).toBeGreaterThanOrEqual(spare - 1e-6)
              if (n > 0) expect(places[n]! - places[n - 1]!).toBeGreaterThanOrEqual(half + chain[n - 1]!.half - 1e-6)
            })
          })
        },
      ),
      { numRuns: cases(300) },
    )
  })

  it('gives the mirror image for the mirror image of a wall', () => {
    fc.assert(fc.property(chainOf, fc.integer({ min: 0, max: 3 }), (chain, tolerance) => {
      const mirrored = [...chain].reverse().map(({ nominal, requirements, barred, ...rest }): Slider => ({
        ...rest,
        nominal: -nominal,
        barred: barred.map(({ from, to }) => ({ from: -to, to: -from })),
        requirements: reach(
          requirements[0]!.wanted,
          requirements[0]!.targets
            .flatMap(({ zones }) => zones)
            .map(({ centre, usable, index }) => at(-centre, usable, index))
            .reverse(),
        ),
      }))
      const [one, other] = [slide([chain], tolerance), slide([mirrored], tolerance)]
      expect(other.held[0]!.filter(Boolean).length).toBe(one.held[0]!.filter(Boolean).length)
      expect(Math.abs(other.shift)).toBe(Math.abs(one.shift))
      if (Number.isFinite(one.spare)) expect(other.spare).toBeCloseTo(one.spare, 6)
    }), { numRuns: cases(200) })
  })

  it('shifts the whole array by the least that holds most, and only then slides', () => {
    // Both plates reach their member once all goes 3 to the right; their own travel is none.
    const members = [at(12, 0), at(32, 0)]
    const chain = [0, 20].map(nominal => ({ ...free, nominal, travel: 0, requirements: reach(1, members) }))
    expect(slide([chain], 5)).toMatchObject({ shift: 3, by: [[0, 0]], held: [[true, true]] })
    expect(slide([chain], 2)).toMatchObject({ shift: 0, held: [[false, true]] })
    expect(slide([chain.map(slider => ({ ...slider, travel: 4 }))], 5)).toMatchObject({
      shift: 0,
      held: [[true, true]],
    })
  })

  it('slides one plate alone by the least that holds it, or to where most is to spare', () => {
    const slider: Slider = { ...free, nominal: 0, travel: 6, requirements: reach(1, [at(13, 2)]) }
    expect(leastSlide(slider)).toBeCloseTo(2, 6)
    expect(bestSlide(slider)!.by).toBeCloseTo(4, 6)
    expect(bestSlide(slider)!.spare).toBeCloseTo(2, 6)
    expect(bestSlide({ ...slider, travel: 1 })).toBeUndefined()
    expect(leastSlide({ ...slider, travel: 1 })).toBeUndefined()
  })

  it('keeps plates off what must stay reachable, or says that it is not held', () => {
    const slider: Slider = {
      ...free,
      nominal: 0,
      travel: 6,
      requirements: reach(1, [at(0, 20)]),
      barred: [{ from: -2, to: 5 }],
    }
    expect(slide([[slider]], 0)).toMatchObject({ by: [[-2]], held: [[true]] })
    expect(slide([[{ ...slider, travel: 1 }]], 0)).toMatchObject({ by: [[0]], held: [[false]] })
  })
})
