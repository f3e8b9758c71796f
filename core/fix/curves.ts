import { coveringOf, type Display, type Fastener, type Rules, type Wall } from '../job'
import { breakout, capacityOf } from './capacity'
import { threadInWood } from './lag'
import { fastenerLoad, HAND, plateLoads } from './loads'
import type { Setting } from './setting'

/** What a curve is drawn with, from one end to the other. */
const STEPS = 24

/** Tension of the fastener that has most of it, N, with the mount drawn out so that `out` mm are behind the display: by its own weight, and with a hand on it. */
export interface PullPoint { out: number, own: number, hand: number }

/** How tension grows as a mount is pulled out; one point only for a mount that stays. */
export function pullCurve(display: Display, wall: Wall, { mount, rows, share, standOff }: Setting): PullPoint[] {
  const [stowed] = plateLoads(display, mount, wall, standOff)
  const from = mount.depth.stowed + standOff
  const travel = mount.depth.service - mount.depth.stowed
  const at = (out: number): PullPoint => {
    const arm = out + display.depth / 2
    const tension = (down: number) => fastenerLoad({ ...stowed!, down, arm }, rows, share).tension
    return { out, own: tension(stowed!.down), hand: tension(stowed!.down + HAND) }
  }
  return travel > 0 ? Array.from({ length: STEPS + 1 }, (_, n) => at(from + travel * n / STEPS)) : [at(from)]
}

/** What a fastener bears set so deep, N; mm. */
export interface DepthPoint { embedment: number, tension: number, shear?: number }

/** What it bears against how deep it is set, where it is set now, and by what rule. */
export interface DepthCurve { points: DepthPoint[], now: number, source: string }

/**
 * What a fastener bears against its embedment: a lag screw by NDS; an anchor in concrete by the
 * breakout of the concrete, as a cross-check of its maker's one figure. Undefined where no rule tells.
 */
export function depthCurve(fastener: Fastener, wall: Wall, setting: Setting, rules: Rules): DepthCurve | undefined {
  const along = (most: number) => Array.from({ length: STEPS }, (_, n) => most * (n + 1) / STEPS)
  if (fastener.kind === 'lag-screw' && fastener.thread !== undefined && setting.bearer) {
    const covering = coveringOf(wall)
    const over = setting.bearer.thickness + covering
    const points = along(fastener.thread).flatMap((embedment): DepthPoint[] => {
      const known = capacityOf({ ...fastener, length: over + embedment, thread: embedment }, wall, setting, rules, 'stowed')
      return known.known ? [{ embedment, tension: known.capacity.tension.value, shear: known.capacity.shear.value }] : []
    })
    return points.length > 0 ? { points, now: threadInWood(fastener, setting.bearer.thickness, covering, wall.structure.memberDepth), source: 'NDS 12.2, AWC TR12' } : undefined
  }
  const { strength } = wall.structure
  if (wall.structure.kind !== 'concrete' || strength === undefined || fastener.embedment === undefined) return undefined
  return {
    points: along(2 * fastener.embedment).map(embedment => ({ embedment, tension: breakout(strength, embedment).value })),
    now: fastener.embedment, source: 'breakout of the concrete, strength level, ACI 318 17.6.2',
  }
}
