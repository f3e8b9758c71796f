import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textToString } from '../../units'
import { learnedFrom } from '../lessons/learned'
import { lengthOf, pieceMinutes, sortTitle } from './lengths'
import type { Lessons } from '../lessons/lessons'
import { withPlanned } from './plannedMinutes'
import type { Sample, Work } from './workload'

const sample = (minutes: number, more: Partial<Sample> = {}): Sample => ({
  sort: 'hang',
  kind: 'hang',
  pieces: 1,
  minutes,
  at: '2026-11-20T08:00:00Z',
  ...more,
})
const work = (more: Partial<Work>): Work => ({
  kind: 'hang',
  sort: 'hang',
  pieces: 9,
  done: 0,
  people: 2,
  aid: false,
  ...more,
})

describe('minutes a piece', () => {
  it('are usual until there are ten logs, then the middle one, unless the firm says otherwise', () => {
    const logs = (count: number) => Array.from({ length: count }, (_, n) => sample(20 + n))
    expect(pieceMinutes('hang', 'hang', logs(9))).toMatchObject({ from: 'default', minutes: 18, logs: 9, middle: 24 })
    expect(pieceMinutes('hang', 'hang', logs(10))).toMatchObject({
      from: 'learned',
      minutes: 24.5,
      logs: 10,
      spread: [22.25, 26.75],
    })
    expect(pieceMinutes('hang', 'hang', logs(10), new Map([['hang', 30]]))).toMatchObject({
      from: 'own',
      minutes: 30,
      middle: 24.5,
    })
    expect(pieceMinutes('hang', 'hang', [])).toEqual({
      sort: 'hang',
      kind: 'hang',
      minutes: 18,
      from: 'default',
      logs: 0,
    })
  })

  it('are a piece’s and not a step’s, and learned of like walls only', () => {
    const logs = Array.from({ length: 10 }, () => sample(48, { sort: 'drill concrete', kind: 'drill', pieces: 4 }))
    expect(pieceMinutes('drill concrete', 'drill', logs).minutes).toBe(12)
    expect(pieceMinutes('drill block', 'drill', logs)).toMatchObject({ from: 'default', minutes: 7, logs: 0 })
    expect(sortTitle('drill wood-stud', 'drill')).toBe('Drill in wood stud')
    expect(sortTitle('pull', 'pull')).toBe('Pull cables')
  })

  it('of cables are the plan’s own count, times how far the firm’s logs are off it', () => {
    const pulled = (took: number[]) => took.map(minutes => sample(minutes, { sort: 'pull', kind: 'pull', byPlan: 40 }))
    const pull = work({ kind: 'pull', sort: 'pull', pieces: 4, planned: 150 })
    const length = (samples: Sample[], own?: Map<string, number>) =>
      lengthOf(pull, pieceMinutes('pull', 'pull', samples, own))
    expect(length([]).value).toBe(150)
    expect(length(pulled([20, 30, 30])).value).toBe(150)
    // Ten logs of 30 min for 40 planned: three quarters, whatever one line that stopped took.
    const ten = pulled([...Array.from({ length: 9 }, () => 30), 400])
    expect(length(ten).value).toBe(Math.ceil(150 * 0.75))
    expect(textToString(length(ten).working.at(-1)!.expression, 'metric')).toContain('150 × 0.75')
    expect(length(ten, new Map([['pull', 20]])).value).toBe(80)
  })

  it('are one of the logs or between two of them, with no more than a quarter on either side of the spread', () => {
    fc.assert(fc.property(fc.array(fc.integer({ min: 1, max: 500 }), { minLength: 10, maxLength: 40 }), (minutes) => {
      const { minutes: middle, spread } = pieceMinutes('hang', 'hang', minutes.map(each => sample(each)))
      const [low, high] = spread!
      expect(minutes.filter(each => each <= middle).length).toBeGreaterThanOrEqual(minutes.length / 2)
      expect(minutes.filter(each => each >= middle).length).toBeGreaterThanOrEqual(minutes.length / 2)
      for (const beyond of [minutes.filter(each => each < low), minutes.filter(each => each > high)])
        expect(beyond.length).toBeLessThanOrEqual(Math.ceil(minutes.length / 4))
      expect(low <= middle && middle <= high).toBe(true)
    }))
  })
})

describe('the length of some work', () => {
  const hang = pieceMinutes('hang', 'hang', [])
  it('is pieces that are left times minutes a piece, in whole minutes, and shows that', () => {
    expect(lengthOf(work({ done: 2 }), hang)).toMatchObject({ value: 126, unit: 'min' })
    expect(lengthOf(work({ pieces: 3 }), { ...hang, minutes: 2.5 }).value).toBe(8)
    expect(
      lengthOf(work({ done: 8 }), hang).working.map(({ expression }) => textToString(expression, 'metric')),
    ).toEqual(['default, until there are ten log entries', '1 screen × 18 min'])
  })
  it('is the plan’s own of cables until the firm knows better', () => {
    const pull = work({ kind: 'pull', sort: 'pull', pieces: 3, done: 1, planned: 71.2 })
    const usual = pieceMinutes('pull', 'pull', [])
    expect(lengthOf(pull, usual).value).toBe(72)
    expect(lengthOf(pull, { ...usual, minutes: 20, from: 'learned', logs: 10 }).value).toBe(40)
  })
})

describe('planned against actual', () => {
  const at = (day: number, minutes: number, more: Partial<Sample> = {}) =>
    sample(minutes, { at: `2026-11-${day}T08:00:00+01:00`, ...more })
  const published = [
    { kind: 'hang' as const, minutes: 22, since: '2026-11-23T07:00:00.000Z' },
    { kind: 'hang' as const, minutes: 18, since: '2026-11-16T07:00:00.000Z' },
  ]
  it('goes by what was published last when a log was made, and not by what came later', () => {
    const found = withPlanned(
      [at(13, 30), at(16, 31), at(20, 24), at(23, 25), at(24, 26), at(24, 40, { sort: 'true', kind: 'true' })],
      published,
    )
    expect(found.map(({ planned }) => planned)).toEqual([undefined, 18, 18, 22, 22, undefined])
  })
  it('adds up what was planned and what it took, of the logs of which something was planned', () => {
    const {
      minutes: [hang, plates],
    } = learnedFrom(
      withPlanned(
        [at(13, 300), at(20, 54, { pieces: 2 }), at(24, 11), at(24, 12, { sort: 'plates', kind: 'plates' })],
        published,
      ),
      [],
    )
    // 2 × 18 + 22 planned, 54 + 11 taken; what came before anything was published is in the firm's own middle alone.
    expect([plates, hang].map(each => [each!.kind, each!.logs, each!.compared])).toEqual([
      ['hang', 3, { logs: 2, pieces: 3, planned: 58, actual: 65 }],
      ['plates', 1, undefined],
    ])
  })
})

describe('what a firm learns', () => {
  const lessons = (more: Partial<Lessons>): Lessons => ({ holes: [], truing: [], stops: [], ...more })
  it('has with every figure how many cases it rests on, and no figure of none', () => {
    const { proofs, mounts, stops, minutes } = learnedFrom([], [])
    expect([mounts, minutes]).toEqual([[], []])
    expect(proofs.map(({ holes, perHundred }) => [holes, perHundred])).toEqual([
      [0, undefined],
      [0, undefined],
      [0, undefined],
      [0, undefined],
    ])
    expect(stops.every(({ times, middle, total }) => times === 0 && middle === undefined && total === 0)).toBe(true)
  })
  it('counts holes that missed by what the stud was known by, rounds by mount, and what stops took', () => {
    const found = learnedFrom(
      [sample(20, { sort: 'test', kind: 'test' }), sample(12, { sort: 'drill block', kind: 'drill' })],
      [
        lessons({
          holes: [
            { proof: 'probe', hit: true },
            { proof: 'one-sign', hit: false },
            { proof: 'one-sign', hit: true },
          ],
          truing: [
            { mount: 'Slipway', rounds: 2, closed: true },
            { mount: 'Anchor', rounds: 4, closed: false },
          ],
          stops: [{ by: 'hole', minutes: 13 }],
        }),
        lessons({
          holes: [
            { proof: 'one-sign', hit: true },
            { proof: 'one-sign', hit: true },
          ],
          truing: [
            { mount: 'Slipway', rounds: 1, closed: true },
            { mount: 'Slipway', rounds: 5, closed: false },
          ],
          stops: [
            { by: 'hole', minutes: 27 },
            { by: 'line', minutes: 40 },
          ],
        }),
      ],
    )
    expect(found.proofs.filter(({ holes }) => holes > 0)).toEqual([
      { proof: 'probe', holes: 1, missed: 0, perHundred: 0 },
      { proof: 'one-sign', holes: 4, missed: 1, perHundred: 25 },
    ])
    // Rounds are those of walls that closed; one that did not is counted, and has none to show.
    expect(found.mounts).toEqual([
      { mount: 'Anchor', walls: 1, closed: 0 },
      { mount: 'Slipway', walls: 3, closed: 2, rounds: 1.5 },
    ])
    expect(found.stops).toEqual([
      { by: 'hole', times: 2, middle: 20, total: 40 },
      { by: 'line', times: 1, middle: 40, total: 40 },
      { by: 'question', times: 0, total: 0 },
    ])
    expect(found.minutes.map(({ title, usual, logs, from }) => [title, usual, logs, from])).toEqual([
      ['Drill in block', 7, 1, 'default'],
      ['Test', 6, 1, 'default'],
    ])
  })
})
