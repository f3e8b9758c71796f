/** What the clock of the machine and the time for which the server has run show, ms; for tests others. */
interface Hands { system: () => number, running: () => number }

/** A clock that was put back by so much at most is seen through, ms; one that was far ahead before is believed. */
const PUT_BACK = 2 * 24 * 60 * 60 * 1_000

/** The time of the server, where the clock of its machine may be wrong. */
export interface Clock {
  /** The present moment: what was recorded before lies before it, also where the machine’s clock was put back a day. */
  now: () => Date
  /**
   * For how long something was not seen, ms: at most the time that the server had gone on without it, and has run
   * since. A clock that jumps ahead by weeks, or weeks in which the server was off, are no time in which it was away.
   */
  unseen: (seenAt: string) => number
}

/** @param last the newest moment that was recorded before the server started, ms since 1970; 0 where none was */
export function clockFrom(
  last: number, { system, running }: Hands = { system: Date.now, running: () => performance.now() },
): Clock {
  const began = running()
  // Of a new server nothing was recorded: from then on only what it runs counts.
  const newest = last === 0 ? system() : last
  let known = { at: last, running: began }
  function now(): Date {
    const [shown, runs] = [system(), running()]
    const steady = known.at + runs - known.running
    if (shown < steady && steady - shown <= PUT_BACK) return new Date(steady)
    known = { at: shown, running: runs }
    return new Date(shown)
  }
  return {
    now,
    unseen: (seenAt) => {
      const seen = Date.parse(seenAt)
      return Math.min(now().getTime() - seen, Math.max(0, newest - seen) + running() - began)
    },
  }
}

let clock = clockFrom(0)

/** Has the server go by what was recorded before it started. */
export const startClock = (last: number): void => void (clock = clockFrom(last))

/** The present moment. */
export const timeNow = (): Date => clock.now()

/** For how long something was not seen, ms. */
export const unseenFor = (seenAt: string): number => clock.unseen(seenAt)
