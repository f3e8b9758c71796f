import { describe, expect, it } from 'vitest'
import { clockFrom } from './clock'

const DAY = 86_400_000
const START = Date.parse('2026-11-20T08:00:00Z')
/** A machine whose clock shows what it is set to, and a server that runs on it. */
function machine(last: number, shows = START) {
  const hands = { shows, runs: 5_000 }
  const clock = clockFrom(last, { system: () => hands.shows, running: () => hands.runs })
  const goes = (ms: number) => void Object.assign(hands, { shows: hands.shows + ms, runs: hands.runs + ms })
  return { hands, goes, clock, ago: (ms: number) => new Date(START - ms).toISOString() }
}

describe('the server’s clock', () => {
  it('goes on from what was recorded where the machine’s was put back a day, at the start or while it runs', () => {
    const { clock, hands, goes } = machine(START, START - DAY)
    goes(60_000)
    expect(clock.now().getTime()).toBe(START + 60_000)
    const running = machine(START - 10_000)
    running.goes(1_000)
    running.clock.now()
    running.hands.shows -= DAY
    running.goes(1_000)
    expect(running.clock.now().getTime()).toBe(START + 2_000)
    hands.shows = START + 5 * DAY
    expect(clock.now().getTime()).toBe(START + 5 * DAY)
  })

  it('believes a clock that is set right after it was weeks ahead', () => {
    const { clock } = machine(START + 20 * DAY)
    expect(clock.now().getTime()).toBe(START)
  })

  it('counts no jump ahead and no rest of the server as time in which a device was away', () => {
    const ahead = machine(START - 3_600_000, START + 20 * DAY)
    ahead.goes(60_000)
    expect(ahead.clock.unseen(ahead.ago(2 * 3_600_000))).toBe(3_600_000 + 60_000)
    const running = machine(START - 3_600_000)
    running.hands.shows += 20 * DAY
    running.goes(60_000)
    expect(running.clock.unseen(running.ago(0))).toBe(60_000)
    const fresh = machine(0)
    fresh.hands.shows += 20 * DAY
    fresh.goes(60_000)
    expect(fresh.clock.unseen(fresh.ago(0))).toBe(60_000)
  })

  it('counts the days for which it runs, and those between what was seen last before', () => {
    const { clock, goes, ago } = machine(START - 3_600_000)
    expect(clock.unseen(ago(10 * DAY))).toBe(10 * DAY - 3_600_000)
    goes(15 * DAY)
    expect(clock.unseen(ago(0))).toBe(15 * DAY)
    expect(clock.unseen(new Date(START + 14 * DAY).toISOString())).toBe(DAY)
  })
})
