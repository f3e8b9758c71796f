import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectedAt, runsOf, USUAL_SPACINGS, type Sighting } from './runs'
import { chance } from './simulatedReadings'
import { cases } from '../../tests/fixtures/soak'

const row = (from: number, count: number, spacing: number, sd = 2): Sighting[] =>
  Array.from({ length: count }, (_, n) => ({ centre: from + n * spacing, sd }))

describe('runs of even spacing', () => {
  it.each(USUAL_SPACINGS)('of %s are told from all others, wherever they begin', (spacing) => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 600, noNaN: true }),
        fc.integer({ min: 6, max: 14 }),
        fc.integer({ min: 1, max: 1e6 }),
        (from, count, seed) => {
          const { off } = chance(seed)
          const runs = runsOf(row(from, count, spacing).map(({ centre, sd }) => ({ centre: centre + off(2), sd })))
          expect(runs.map(run => [run.spacing, run.last])).toEqual([[spacing, count - 1]])
          expect(Math.abs(runs[0]!.start - from)).toBeLessThan(6)
        },
      ),
      { numRuns: cases(30) },
    )
  })

  it('go on over a place where none was found, and pass by one that stands beside', () => {
    const sightings = [...row(300, 3, 400), ...row(1900, 4, 400), { centre: 2030, sd: 2 }].sort(
      (a, b) => a.centre - b.centre,
    )
    const [run, ...others] = runsOf(sightings)
    expect(others).toEqual([])
    expect([...run!.places.values()]).toEqual([0, 1, 2, 4, 5, 6, 7])
  })

  it('are none of two members, of members anywhere, or of nothing', () => {
    expect(runsOf([])).toEqual([])
    expect(runsOf(row(300, 2, 400))).toEqual([])
    expect(runsOf([310, 560, 842, 1395, 1731, 1978].map(centre => ({ centre, sd: 2 })))).toEqual([])
  })

  it('of two members are one where the spacing is known already and only a bay was odd', () => {
    expect(runsOf([...row(300, 5, 400), ...row(2170, 2, 400)]).map(({ last }) => last)).toEqual([4, 1])
  })

  it('take the spacing that the surveyor named', () => {
    expect(runsOf(row(300, 6, 480), 480)[0]).toMatchObject({ spacing: 480, named: true, last: 5 })
  })

  it.each([417, 487.7, 625])('of %s are fitted where nobody named such a spacing', (spacing) => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 600, noNaN: true }), fc.integer({ min: 1, max: 1e6 }), (from, seed) => {
        const { off } = chance(seed)
        const [run, ...others] = runsOf(
          row(from, 10, spacing).map(({ centre, sd }) => ({ centre: centre + off(2), sd })),
        )
        expect(others).toEqual([])
        expect(run).toMatchObject({ named: false, last: 9 })
        expect(Math.abs(run!.spacing - spacing)).toBeLessThan(1.5)
      }),
      { numRuns: cases(30) },
    )
  })

  it('are followed where they are laid long or drift, and still tell each member’s place from those beside it', () => {
    const long = row(300, 14, 404)
    const [run] = runsOf(long)
    expect(run!.last).toBe(13)
    for (const place of [1, 6, 12])
      expect(Math.abs(expectedAt(run!, long, place, place).centre - long[place]!.centre)).toBeLessThan(2)
  })

  it('leave studs in corners aside', () => {
    // The first bay is short by half a stud.
    const sightings = [{ centre: 19, sd: 1 }, ...row(400, 8, 400, 1)]
    const [run] = runsOf(sightings, undefined, ({ centre }) => centre < 40)
    expect(run).toMatchObject({ spacing: 400, last: 7 })
    expect(run!.places.has(0)).toBe(false)
  })

  it('learn how far members stand off their places', () => {
    for (const seed of [12, 13, 14]) for (const sigma of [3, 6]) {
      const { off } = chance(seed)
      const offs = Array.from({ length: 30 }, () => off(sigma))
      const stray = Math.sqrt(offs.reduce((sum, mm) => sum + mm ** 2, 0) / offs.length)
      const [run, ...others] = runsOf(offs.map((mm, n) => ({ centre: 300 + 400 * n + mm, sd: 1 })))
      expect(others).toEqual([])
      expect(Math.abs(run!.jitter - stray)).toBeLessThan(0.9)
    }
    expect(runsOf(row(300, 30, 400, 1))[0]!.jitter).toBe(2)
  })
})

describe('what a run expects of a member', () => {
  it('leaves that member’s own sighting out of account', () => {
    const sightings = row(300, 6, 400)
    sightings[2] = { centre: 1107, sd: 2 }
    const [run] = runsOf(sightings)
    const [withIt, without] = [expectedAt(run!, sightings, 2), expectedAt(run!, sightings, 2, 2)]
    expect(withIt.centre).toBeGreaterThan(1100.5)
    expect(without.centre).toBeCloseTo(1100, 6)
    expect(without.sd).toBeGreaterThan(withIt.sd)
  })

  it('is surer the more members the run has, and never surer than they stand', () => {
    const sds = [4, 8, 16].map((count) => {
      const sightings = row(300, count, 400)
      const [run] = runsOf(sightings)
      return { sd: expectedAt(run!, sightings, 1).sd, jitter: run!.jitter }
    })
    expect(sds[0]!.sd).toBeGreaterThan(sds[1]!.sd)
    expect(sds[1]!.sd).toBeGreaterThan(sds[2]!.sd)
    for (const { sd, jitter } of sds) expect(sd).toBeGreaterThan(jitter)
  })
})
