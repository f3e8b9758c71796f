import type { Chance } from '../survey/simulatedReadings'
import type { Adjuster, TrueScreen } from './screen'
import type { End } from './seam'

/**
 * Where a case really is against where it was planned: aside and up, turned in the plane, out, and leaning by its top
 * and by its right; mm and rad.
 */
export interface Pose { right: number, up: number, turn: number, out: number, lean: number, twist: number }

/**
 * How cases hang that nobody has trued yet: every corner so far off at the most, and each so much farther from the next
 * than planned, mm.
 */
export function hungBy(
  screens: Pick<TrueScreen, 'name' | 'row' | 'column' | 'width' | 'height'>[],
  off: number,
  rng: Chance,
  apart = 0,
): Map<string, Pose> {
  const within = (by: number) => rng.between(-by, by)
  const [rows, columns] = [Math.max(...screens.map(({ row }) => row)), Math.max(...screens.map(({ column }) => column))]
  return new Map(
    screens.map(({ name, row, column, width, height }) => [
      name,
      {
        right: within(off) + apart * (column - (columns + 1) / 2),
        up: within(off) + apart * ((rows + 1) / 2 - row),
        turn: within(off / width),
        out: within(off),
        lean: within(off / height),
        twist: within(off / width),
      },
    ]),
  )
}

/** Where a case is once its screws were turned, as its mount moves it; the moves by adjuster, mm. */
export function turned(
  pose: Pose,
  { span, depthSpan }: Pick<TrueScreen, 'span' | 'depthSpan'>,
  by: Partial<Record<Adjuster, number>>,
): Pose {
  const of = (adjuster: Adjuster) => by[adjuster] ?? 0
  const [left, right] = span === undefined ? [of('height'), of('height')] : [of('height-left'), of('height-right')]
  const [tl, tr, bl, br] = [
    of('depth-top-left'),
    of('depth-top-right'),
    of('depth-bottom-left'),
    of('depth-bottom-right'),
  ]
  return {
    right: pose.right + of('lateral'),
    up: pose.up + (left + right) / 2,
    turn: pose.turn + (span === undefined ? 0 : (right - left) / span),
    out: pose.out + (tl + tr + bl + br) / 4,
    lean: pose.lean + (depthSpan ? (tl + tr - bl - br) / 2 / depthSpan.y : 0),
    twist: pose.twist + (depthSpan ? (tr + br - tl - bl) / 2 / depthSpan.x : 0),
  }
}

/** A corner of a case as it hangs, from the middle of the case as planned; x to the right, y up, z out. */
function corner({ right, up, turn, out, lean, twist }: Pose, x: number, y: number) {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  return { x: x * cos - y * sin + right, y: x * sin + y * cos + up, z: out + y * Math.tan(lean) + x * Math.tan(twist) }
}

/**
 * What a gauge finds between two cases as they hang: the gap and the step at an end of their seam, mm. By plane
 * geometry, not by the equations that are solved for.
 */
export function gauged(
  a: TrueScreen,
  b: TrueScreen,
  end: End,
  poses: Map<string, Pose>,
  target: number,
): { gap: number, step: number } {
  const upright = end === 'top' || end === 'bottom'
  const sign = end === 'top' || end === 'right' ? 1 : -1
  const at = (screen: TrueScreen, x: number, y: number) =>
    corner(poses.get(screen.name)!, (x * screen.width) / 2, (y * screen.height) / 2)
  const [one, other] = upright ? [at(a, 1, sign), at(b, -1, sign)] : [at(a, sign, -1), at(b, sign, 1)]
  const gap = upright ? other.x + b.width / 2 - (one.x - a.width / 2) : one.y + a.height / 2 - (other.y - b.height / 2)
  return { gap: target + gap, step: other.z - one.z }
}

/** What a level laid on a case tells, mm/m, right end up. */
export const levelled = ({ turn }: Pose): number => 1000 * Math.tan(turn)
