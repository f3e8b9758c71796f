import type { Point } from '../geometry'
import { heightOfRow, type Carrier, type Fastener, type Mount, type Rules, type Wall } from '../job'
import { memoize } from '../memo'
import { courseAt, isFramed, standsAt, type Coursing, type Survey } from '../survey'
import type { Requirement } from './requirement'
import { holesOnBlock, holesOnFraming, holesOnSolid, slotSegments, type HolePlace } from './holes'
import { blocksOf, coursesOf, edgeDistanceOf, jointDistanceOf, zonesOf, type FixingZone } from './zones'

/** What plates are fixed to: what they ask of it along the wall and up it, and where their holes then are. */
export interface Substrate {
  /** Whether a fastener holds wherever it is put. */
  allOver: boolean
  /** Demands along the wall of a plate whose centre is at a height. */
  along: (mount: Mount, plateY: number) => Requirement[]
  /** Demands up the wall. */
  up: (mount: Mount) => Requirement[]
  holes: (mount: Mount, centre: Point) => HolePlace[]
  /** What a fastener at a place would meet, and with how much to spare. */
  at: (x: number, y: number) => Pick<HolePlace, 'member' | 'margin'>
}

/** Coverings that share a load among anchors. */
const TIMBER = ['furring', 'plywood']
const NOTHING: Requirement[] = []
const spansOf = ({ plate }: Mount, row: string) => plate.slots.filter(slot => slot.row === row).map(({ x1, x2 }) => ({ from: x1, to: x2 }))

/** Those rows whose slots differ along the wall: rows above each other reach alike. */
const unlike = (mount: Mount) => [...new Map(mount.needs.rows.map(row => [spansOf(mount, row).map(({ from, to }) => `${from} ${to}`).sort().join(), row])).values()]

/** Studs and their like: every row reaches so many different members that stand at its height. */
function framing({ members }: Pick<Survey, 'members'>, fastener: Fastener | undefined): Substrate {
  const zones = zonesOf(members, edgeDistanceOf(fastener))
  const all = members.every(({ stretches }) => !stretches)
  const standing = (y: number) => all ? zones : zones.filter(({ index }) => standsAt(members[index]!, y))
  const requirements = memoize((mount: Mount) => memoize((plateY: number) =>
    (all ? unlike(mount) : mount.needs.rows).map((row): Requirement => ({ spans: spansOf(mount, row), zones: standing(plateY + heightOfRow(mount, row)), wanted: mount.needs.members }))))
  return {
    allOver: false,
    along: (mount, plateY) => requirements(mount)(all ? 0 : plateY),
    up: () => NOTHING,
    holes: (mount, { x, y }) => holesOnFraming(mount, x, zones, row => standing(y + heightOfRow(mount, row))),
    at: (x, y) => {
      const [near] = standing(y).map(({ index, centre, usable }) => ({ member: index, margin: usable - Math.abs(x - centre) })).sort((a, b) => b.margin - a.margin)
      return near ?? {}
    },
  }
}

/** Block: every fastener keeps clear of bed and head joints. */
function block(coursing: Coursing, wall: Wall, fastener: Fastener | undefined): Substrate {
  const distance = jointDistanceOf(fastener)
  const courses = coursesOf(coursing, distance, wall.height)
  const blocks = memoize((course: number): FixingZone[] => blocksOf(coursing, coursing.origin.y + (course + 0.5) * coursing.height, distance, wall.width))
  const up = memoize((mount: Mount) => [...new Set(mount.plate.slots.filter(({ row }) => mount.needs.rows.includes(row)).map(({ y }) => y))]
    .map((y): Requirement => ({ spans: [{ from: y, to: y }], zones: courses, wanted: 1 })))
  const along = memoize((mount: Mount) => memoize((plateY: number) =>
    slotSegments(mount).map(({ row, from, to }): Requirement => ({ spans: [{ from, to }], zones: blocks(courseAt(coursing, plateY + heightOfRow(mount, row))), wanted: 1 }))))
  const spareUp = (y: number) => Math.max(...courses.map(({ centre, usable }) => usable - Math.abs(y - centre)))
  return {
    allOver: false,
    along: (mount, plateY) => along(mount)(plateY),
    up,
    holes: (mount, { x, y }) => holesOnBlock(mount, x, row => blocks(courseAt(coursing, y + heightOfRow(mount, row))), row => spareUp(y + heightOfRow(mount, row))),
    at: (x, y) => ({ margin: Math.min(spareUp(y), Math.max(...blocks(courseAt(coursing, y)).map(({ centre, usable }) => usable - Math.abs(x - centre)))) }),
  }
}

/** A wall that carries all over; also one whose blocks are not known, where nothing is held yet. */
const solid = (allOver: boolean): Substrate => ({
  allOver,
  along: () => NOTHING,
  up: () => NOTHING,
  holes: (mount, { x }) => holesOnSolid(mount, x),
  at: () => ({}),
})

/** What the plates of a wall are fixed to with a fastener: on a rail or a board they may be anywhere. */
export function substrateOf(wall: Wall, survey: Pick<Survey, 'members' | 'coursing'>, fastener: Fastener | undefined, rules: Rules, carrier?: Carrier): Substrate {
  if (carrier) return solid(false)
  if (isFramed(wall)) return framing(survey, fastener)
  const joints = rules.blockJoints !== 'anywhere-under-timber' || !wall.covering.some(({ material }) => TIMBER.includes(material))
  if (wall.structure.kind === 'block' && joints) return survey.coursing ? block(survey.coursing, wall, fastener) : solid(false)
  return solid(true)
}
