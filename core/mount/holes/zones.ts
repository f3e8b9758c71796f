import type { Interval } from '../../geometry'
import { WOOD_DIAMETERS } from '../../fastening'
import type { Fastener, Mount, Slot } from '../../job'
import { courseAt, headJointsOf, jointSd, memberAt, piecesOf, type Coursing, type Member } from '../../survey'
import { memoize } from '../../memo'

/**
 * Where the wall can take a fastener along one axis: centre ± `usable`, mm. `index` is the member's in the
 * wall's list with the piece of it, or the block's or course's own count.
 */
export interface FixingZone extends Interval { index: number, ply: number, centre: number, usable: number }

/** Something that counts as one of those that a row must reach: it is reached where so many of its zones are. */
export interface Target { zones: FixingZone[], needed: number }

/** One-sided 95 % of a normal distribution: how far a member's or a joint's middle is allowed to be out. */
export const ONE_SIDED_95 = 1.645

export const zone = (index: number, centre: number, usable: number, ply = 0): FixingZone => ({
  index,
  ply,
  centre,
  usable,
  from: centre - usable,
  to: centre + usable,
})

/**
 * The stretch of each piece of timber or steel that can take the fastener: centre ± u with
 * u = half width − edge distance − 1.645·σ. A doubled member is two pieces, and nothing goes across their seam.
 * Pieces too narrow or too uncertain have an empty one, that no slot meets.
 */
export function zonesOf(
  members: Pick<Member, 'centre' | 'width' | 'sd' | 'plies' | 'sureWidth'>[],
  edgeDistance: number,
): FixingZone[] {
  return members.flatMap((member, index) => piecesOf(member).map(({ centre, width }, ply) =>
    zone(index, centre, width / 2 - edgeDistance - ONE_SIDED_95 * member.sd, ply)))
}

/** The same at a height: studs lean, and the farther from where they were read, the less is their place known. */
export function zonesByHeight(members: Member[], edgeDistance: number): (y: number) => FixingZone[] {
  if (members.every(({ lean }) => !lean)) {
    const everywhere = zonesOf(members, edgeDistance)
    return () => everywhere
  }
  return memoize((y: number) => zonesOf(members.map(member => memberAt(member, y)), edgeDistance))
}

/**
 * How near two fasteners in different plies of one member may be for the plies to count as two pieces, mm: the
 * maker's figure, and no less than four diameters; undefined where the maker gives none, and they count as one.
 */
export function plySpacing({ needs }: Pick<Mount, 'needs'>, fastener: Fastener | undefined): number | undefined {
  return needs.minSpacing === undefined
    ? undefined
    : Math.max(needs.minSpacing, WOOD_DIAMETERS.spacing * (fastener?.diameter ?? 0))
}

/**
 * What the zones of framing count for: every member once, by whichever ply is reached; and a doubled one twice
 * where its plies may count as two, each then used only so far from its middle that the spacing holds.
 */
export function targetsOf(zones: FixingZone[], spacing: number | undefined): Target[] {
  const byMember = new Map<number, FixingZone[]>()
  for (const each of zones) {
    const plies = byMember.get(each.index)
    if (plies) plies.push(each)
    else byMember.set(each.index, [each])
  }
  return [...byMember.values()].flatMap((plies) => {
    const once: Target = { zones: plies, needed: 1 }
    const pitch = plies.length > 1 ? plies[1]!.centre - plies[0]!.centre : 0
    if (spacing === undefined || plies.length < 2 || pitch < spacing - 1e-9) return [once]
    const apart = plies.map(({ index, centre, usable, ply }) =>
      zone(index, centre, Math.min(usable, (pitch - spacing) / 2), ply),
    )
    return [once, ...plies.slice(1).map((_, n): Target => ({ zones: apart, needed: n + 2 }))]
  })
}

/** Each of some zones as a thing of its own to be reached. */
export const singly = (zones: FixingZone[]): Target[] => zones.map(each => ({ zones: [each], needed: 1 }))

/** Stretches between joints at these places that keep a distance from them. */
function clearOfJoints(joints: { x: number, sd: number }[], joint: number, distance: number): FixingZone[] {
  return joints.slice(1).map(({ x, sd }, n) => {
    const before = joints[n]!
    const [from, to] = [
      before.x + joint / 2 + distance + ONE_SIDED_95 * before.sd,
      x - joint / 2 - distance - ONE_SIDED_95 * sd,
    ]
    return zone(n, (from + to) / 2, (to - from) / 2)
  })
}

/** Heights at which a hole keeps its distance from the bed joints, course by course. */
export function coursesOf(coursing: Coursing, distance: number, height: number): FixingZone[] {
  const { origin, height: module, joint } = coursing
  const first = Math.floor(-origin.y / module) - 1
  const beds = Array.from({ length: Math.ceil(height / module) + 3 }, (_, n) => origin.y + (first + n) * module)
  return clearOfJoints(beds.map(x => ({ x, sd: jointSd(coursing, 'y', x) })), joint, distance)
}

/**
 * Places along the course at a height at which a hole keeps its distance from the head joints, block by block; of both
 * bonds where the bond is not known.
 */
export function blocksOf(coursing: Coursing, y: number, distance: number, width: number): FixingZone[] {
  const joints = headJointsOf(coursing, courseAt(coursing, y), width)
  return clearOfJoints(joints.map(x => ({ x, sd: jointSd(coursing, 'x', x) })), coursing.joint, distance)
}

/** A slot as it lies on the wall once its plate is at `plateX`. */
export function slotOnWall(slot: Pick<Slot, 'x1' | 'x2'>, plateX: number): Interval {
  return { from: plateX + slot.x1, to: plateX + slot.x2 }
}
