import type { Interval } from '~~/core/geometry'
import { clip, union } from '~~/core/intervals'

/** A stretch of time at which a person works, and where it is drawn, px. */
export interface Stretch extends Interval { x: number, width: number }

/** Time without the hours at which nobody works: those are folded into a narrow strip. */
export interface Folded {
  stretches: Stretch[]
  width: number
  x: (minute: number) => number
  minute: (x: number) => number
}

/** So wide is a fold, px; and so short a gap is not folded, min. */
const [FOLD, SHORT] = [14, 60]

/** Folds time between two moments round the hours at which a person works. */
export function foldTime(from: number, to: number, works: Interval[], pxPerMinute: number): Folded {
  const open = union(clip({ from, to }, works).filter(each => each.to > each.from))
  const joined: Interval[] = []
  for (const each of open) {
    const last = joined.at(-1)
    if (last && each.from - last.to <= SHORT) last.to = each.to
    else joined.push({ ...each })
  }
  let x = 0
  const stretches = joined.map(({ from, to }): Stretch => {
    const stretch = { from, to, x, width: (to - from) * pxPerMinute }
    x += stretch.width + FOLD
    return stretch
  })
  return {
    stretches, width: Math.max(0, x - FOLD),
    x: (minute) => {
      const here = stretches.findLast(stretch => stretch.from <= minute)
      if (!here) return 0
      return minute <= here.to ? here.x + (minute - here.from) * pxPerMinute : here.x + here.width + FOLD / 2
    },
    minute: (at) => {
      const here = stretches.findLast(stretch => stretch.x <= at) ?? stretches[0]
      return here ? Math.min(here.to, here.from + Math.max(0, at - here.x) / pxPerMinute) : from
    },
  }
}
