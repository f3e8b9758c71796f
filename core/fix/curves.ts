import { breakout, fastenerKindOf, penetration } from '../fastening'
import { coveringOf, type Fastener, type Mount, type Rules, type Wall } from '../job'
import { plateHoles, type Position, type Strip } from '../mount'
import { plateLoads, type Hung, type PlateLoad } from './cases'
import { groupLoads } from './group'
import { heldBy } from './judge'
import { strengthOf, type Bearer } from './strength'

/** What a curve is drawn with, from one end to the other. */
const STEPS = 24
/** A case that a wall without a hand load does not have. */
const NO_LOAD: PlateLoad = { case: 'stowed-hand', pulls: [], out: 0 }

/**
 * Greatest tension on any fastener of a plate, N, with the mount drawn out so that `out` mm are behind the display: by
 * its own weight, and with a hand on it.
 */
export interface PullPoint { out: number, own: number, hand: number }

/**
 * How tension grows as a mount is pulled out; one point only for a mount that stays, none for a plate that is not held.
 */
export function pullCurve(hung: Hung, position: Position, strips: Strip[] = []): PullPoint[] {
  const { mount, standOff = 0 } = hung
  const places = (standOff > 0 ? position.bolts : plateHoles(position)) ?? []
  if (!position.plate?.held || places.length === 0) return []
  const held = heldBy(position, strips.filter(({ row }) => row === position.row))
  const { stowed, service } = mount.depth
  const at = (depth: number): PullPoint => {
    const drawn: Mount = { ...mount, depth: { stowed: depth, service: depth } }
    const tension = (name: string) => {
      const loads = groupLoads(
        plateLoads({
          ...hung,
          mount: drawn,
          wall: { ...(hung.wall.handForce !== undefined && { handForce: hung.wall.handForce }) },
        }).find(one => one.case === name) ?? NO_LOAD,
        places,
        held,
      )
      return typeof loads === 'string' ? Number.NaN : Math.max(...loads.map(({ tension }) => tension))
    }
    return { out: depth + standOff, own: tension('stowed'), hand: tension('stowed-hand') }
  }
  return service > stowed
    ? Array.from({ length: STEPS + 1 }, (_, n) => at(stowed + ((service - stowed) * n) / STEPS))
    : [at(stowed)]
}

/** What a fastener bears set so deep, N; mm. */
export interface DepthPoint { embedment: number, tension: number, shear?: number }

/** What it bears against how deep it is set, where it is set now, and by what rule. */
export interface DepthCurve { points: DepthPoint[], now: number, source: string }

/**
 * What a fastener bears against its embedment: a lag screw by NDS; an anchor in concrete by the breakout of the
 * concrete, as a cross-check of its maker's one figure. Undefined where no rule tells.
 */
export function depthCurve(
  fastener: Fastener,
  wall: Wall,
  bearer: Bearer | undefined,
  rules: Rules,
): DepthCurve | undefined {
  const along = (most: number) => Array.from({ length: STEPS }, (_, n) => (most * (n + 1)) / STEPS)
  if (fastenerKindOf(fastener).wood?.drawsDepth && fastener.thread !== undefined && bearer) {
    const covering = coveringOf(wall)
    const over = bearer.thickness + covering
    const { memberDepth } = wall.structure
    const now = penetration(fastener, {
      plate: bearer.thickness,
      covering,
      ...(memberDepth !== undefined && { depth: memberDepth }),
    })
    const points = along(Math.max(now, fastener.thread)).flatMap((embedment): DepthPoint[] => {
      const known = strengthOf(
        { ...fastener, tip: 0, length: over + embedment, thread: Math.min(fastener.thread!, embedment) },
        wall,
        bearer,
        { rules },
      )
      return known.known ? [{ embedment, tension: known.strength.tension, shear: known.strength.shear(0) }] : []
    })
    return points.length > 0 ? { points, now, source: 'NDS 12.2, AWC TR12; tip excluded' } : undefined
  }
  const { strength } = wall.structure
  if (wall.structure.kind !== 'concrete' || strength === undefined || fastener.embedment === undefined) return undefined
  return {
    points: along(2 * fastener.embedment).map(embedment => ({
      embedment,
      tension: breakout(strength, embedment).value,
    })),
    now: fastener.embedment,
    source: 'concrete breakout, strength level, ACI 318 17.6.2',
  }
}
