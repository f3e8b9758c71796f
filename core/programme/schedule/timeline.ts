import type { Interval } from '../../geometry'
import type { Minute } from '../clock'

/** A stretch that something or a person is taken for, and where. */
export interface Block { start: Minute, end: Minute, site: string, task: string }

/**
 * What a crew, a wall or a lifting aid is taken for, in order of time; no two overlap. Between two sites there is the
 * way
 * from one to the other.
 */
export class Timeline {
  readonly blocks: Block[] = []
  constructor(private readonly travel: (from: string, to: string) => number) {}

  add(block: Block): void {
    const at = this.firstEndingAfter(block.start)
    this.blocks.splice(at, 0, block)
  }

  remove(task: string): void {
    const at = this.blocks.findIndex(block => block.task === task)
    if (at >= 0) this.blocks.splice(at, 1)
  }

  /** Where the first block stands that ends after a moment. */
  private firstEndingAfter(moment: Minute): number {
    let [low, high] = [0, this.blocks.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.blocks[middle]!.end > moment) high = middle
      else low = middle + 1
    }
    return low
  }

  /** What is booked last before a moment. */
  before(moment: Minute): Block | undefined {
    return this.blocks[this.firstEndingAfter(moment) - 1]
  }

  /**
   * What stands in the way of something at a site from start to end, the way there and from there included; the first
   * of it.
   */
  inTheWay(start: Minute, end: Minute, site: string): { block: Block, freeAt: Minute } | undefined {
    const at = this.firstEndingAfter(start)
    const before = this.blocks[at - 1]
    if (before) {
      const freeAt = before.end + this.travel(before.site, site)
      if (freeAt > start) return { block: before, freeAt }
    }
    const next = this.blocks[at]
    if (next && end + this.travel(site, next.site) > next.start)
      return { block: next, freeAt: next.end + this.travel(next.site, site) }
    return undefined
  }
}

/** So short a rest of a window is not begun in, min. */
export const LEAST_SPAN = 30

/** The first of some stretches that ends after a moment. */
function firstEndingAfter(stretches: Interval[], moment: Minute): number {
  let [low, high] = [0, stretches.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (stretches[middle]!.to > moment) high = middle
    else low = middle + 1
  }
  return low
}

/**
 * The spans in which something of a length is done from a moment on: in one window, or, where it can be left, in as
 * many as it takes. Undefined where there are too few windows for it.
 */
export function spansFrom(times: Interval[], from: Minute, minutes: number, splits: boolean): Interval[] | undefined {
  const spans: Interval[] = []
  let left = minutes
  for (let n = firstEndingAfter(times, from); n < times.length; n++) {
    const start = Math.max(times[n]!.from, from)
    const room = times[n]!.to - start
    if (room >= left) return [...spans, { from: start, to: start + left }]
    if (!splits || room < Math.min(LEAST_SPAN, left)) continue
    spans.push({ from: start, to: times[n]!.to })
    left -= room
  }
  return undefined
}
