import type { Point } from '../../geometry'
import { edgeDistanceOf, jointDistanceOf, keepOffOf } from '../../fastening'
import { isSheet, structureKindOf, type Carrier, type Fastener, type Mount, type Rules, type Wall } from '../../job'
import { memoize } from '../../memo'
import { courseAt, isFramed, standsAt, type Coursing, type Survey } from '../../survey'
import { clearOf, clearPlace, NONE_DEAD, type DeadHoles } from '../holes/deadHoles'
import { holesOnBlock, holesOnFraming, holesOnSolid, slotSegments, type HolePlace } from '../holes/holes'
import type { Requirement } from './requirement'
import type { Seat } from './seats'
import {
  blocksOf, coursesOf, plySpacing, singly, targetsOf, zone, zonesByHeight, type FixingZone,
} from '../holes/zones'

/** What plates are fixed to: what they ask of it along the wall and up it, and where their holes then are. */
export interface Substrate {
  /** Whether a fastener holds wherever it is put. */
  allOver: boolean
  /** Whether it is a rail or board, to which plates are bolted anywhere. */
  carries?: boolean
  /** Requirements along the wall of a plate whose centre is at a height. */
  along: (mount: Mount, plateY: number) => Requirement[]
  /** Requirements up the wall. */
  up: (mount: Mount) => Requirement[]
  holes: (mount: Mount, centre: Point) => HolePlace[]
  /** Where the fasteners of a plate whose centre is at a height may go, row by row. */
  seats: (mount: Mount, plateY: number) => Seat[]
  /** What a fastener at a place would meet, and with how much margin. */
  at: (x: number, y: number) => Pick<HolePlace, 'member' | 'ply' | 'margin'>
  /**
   * How near fasteners in two plies of one member may be for the plies to count as two; undefined where they count as
   * one.
   */
  plySpacing: (mount: Mount) => number | undefined
}

/** Coverings that share a load among anchors. */
const TIMBER = ['furring', 'plywood', 'osb']
const NOTHING: Requirement[] = []
const slotsOf = ({ plate }: Mount, row: string) => plate.slots.filter(slot => slot.row === row)
const spansOf = (mount: Mount, row: string) => slotsOf(mount, row).map(({ x1, x2 }) => ({ from: x1, to: x2 }))

/** Those rows whose slots differ along the wall: rows above each other reach alike. */
const unlike = (mount: Mount) => [
  ...new Map(
    mount.needs.rows.map(row => [
      spansOf(mount, row)
        .map(({ from, to }) => `${from} ${to}`)
        .sort()
        .join(),
      row,
    ]),
  ).values(),
]

/** Studs and their like: every row reaches so many different members that stand at the height of its slots. */
function framing({ members }: Pick<Survey, 'members'>, fastener: Fastener | undefined, dead: DeadHoles): Substrate {
  const zonesAt = zonesByHeight(members, edgeDistanceOf(fastener))
  const all = dead.at.length === 0 && members.every(({ stretches, lean }) => !stretches && !lean)
  const plied = (index: number) => members[index]!.plies > 1
  const metAt = (x: number, { index, ply, centre, usable }: FixingZone) =>
    ({ member: index, ...(plied(index) && { ply }), margin: usable - Math.abs(x - centre) })
  const zonesIn = (heights: number[]) => zonesAt(heights[0] ?? 0)
  const standing = (heights: number[]) =>
    all
      ? zonesIn(heights)
      : clearOf(
          dead,
          zonesIn(heights).filter(({ index }) => heights.every(y => standsAt(members[index]!, y))),
          heights,
        )
  const heightsOf = (mount: Mount, row: string, plateY: number) => slotsOf(mount, row).map(({ y }) => plateY + y)
  const spacing = memoize((mount: Mount) => plySpacing(mount, fastener))
  const requirements = memoize((mount: Mount) =>
    memoize((plateY: number) =>
      (all ? unlike(mount) : mount.needs.rows).map((row): Requirement => ({
        spans: spansOf(mount, row),
        targets: targetsOf(standing(heightsOf(mount, row, plateY)), spacing(mount)),
        wanted: mount.needs.members,
      })),
    ),
  )
  return {
    allOver: false,
    along: (mount, plateY) => requirements(mount)(all ? 0 : plateY),
    up: () => NOTHING,
    holes: (mount, { x, y }) =>
      holesOnFraming(
        mount,
        x,
        {
          zones: row => clearOf(dead, zonesIn(heightsOf(mount, row, y)), heightsOf(mount, row, y)),
          standing: row => standing(heightsOf(mount, row, y)),
          placeIn: row => (span, wanted) => clearPlace(dead, span, wanted, heightsOf(mount, row, y)[0] ?? y),
        },
        plied,
        spacing(mount),
      ),
    seats: (mount, plateY) =>
      mount.needs.rows.map((row): Seat => ({
        row,
        spans: mount.plate.slots.flatMap(({ row: of, x1, x2, y }, slot) =>
          of === row ? [{ from: x1, to: x2, slot, y }] : [],
        ),
        zones: standing(heightsOf(mount, row, plateY)),
        wanted: mount.needs.members,
        ...(spacing(mount) !== undefined && { plySpacing: spacing(mount) }),
        at: metAt,
      })),
    at: (x, y) => standing([y]).map(zone => metAt(x, zone)).sort((a, b) => b.margin - a.margin)[0] ?? {},
    plySpacing: spacing,
  }
}

/** Block and brick: every fastener keeps clear of bed and head joints. */
function block(coursing: Coursing, wall: Wall, fastener: Fastener | undefined, dead: DeadHoles): Substrate {
  const distance = jointDistanceOf(fastener)
  const courses = coursesOf(coursing, distance, wall.height)
  const blocks = memoize((course: number): FixingZone[] =>
    blocksOf(coursing, coursing.origin.y + (course + 0.5) * coursing.height, distance, wall.width),
  )
  const up = memoize((mount: Mount) =>
    [...new Set(mount.plate.slots.filter(({ row }) => mount.needs.rows.includes(row)).map(({ y }) => y))].map(
      (y): Requirement => ({ spans: [{ from: y, to: y }], targets: singly(courses), wanted: 1 }),
    ),
  )
  const along = memoize((mount: Mount) =>
    memoize((plateY: number) =>
      slotSegments(mount).map(({ y, from, to }): Requirement => ({
        spans: [{ from, to }],
        targets: singly(clearOf(dead, blocks(courseAt(coursing, plateY + y)), [plateY + y])),
        wanted: 1,
      })),
    ),
  )
  const marginUp = (y: number) => Math.max(...courses.map(({ centre, usable }) => usable - Math.abs(y - centre)))
  return {
    allOver: false,
    along: (mount, plateY) => along(mount)(plateY),
    up,
    holes: (mount, { x, y }) =>
      holesOnBlock(
        mount,
        x,
        at => clearOf(dead, blocks(courseAt(coursing, y + at)), [y + at]),
        at => marginUp(y + at),
      ),
    seats: (mount, plateY) =>
      slotSegments(mount).map(({ row, slot, y, from, to }): Seat => ({
        row,
        spans: [{ from, to, slot, y }],
        zones: clearOf(dead, blocks(courseAt(coursing, plateY + y)), [plateY + y]),
        wanted: 1,
        at: (x, { centre, usable }) => ({ margin: Math.min(usable - Math.abs(x - centre), marginUp(plateY + y)) }),
      })),
    at: (x, y) => ({
      margin: Math.min(
        marginUp(y),
        Math.max(...blocks(courseAt(coursing, y)).map(({ centre, usable }) => usable - Math.abs(x - centre))),
      ),
    }),
    plySpacing: () => undefined,
  }
}

/** A wall that takes a fastener wherever it is put. */
const EVERYWHERE = zone(0, 0, 1e7)

/** A wall that carries all over; also one whose blocks are not known, where nothing is held yet. */
const solid = (allOver: boolean, dead: DeadHoles = NONE_DEAD): Substrate => ({
  allOver,
  along: () => NOTHING,
  up: () => NOTHING,
  holes: (mount, { x, y }) => holesOnSolid(mount, x, (span, wanted, at) => clearPlace(dead, span, wanted, y + at)),
  seats: (mount, plateY) =>
    slotSegments(mount).map(({ row, slot, y, from, to }): Seat => ({
      row,
      spans: [{ from, to, slot, y }],
      zones: clearOf(dead, [EVERYWHERE], [plateY + y]),
      wanted: 1,
      at: () => ({}),
    })),
  at: () => ({}),
  plySpacing: () => undefined,
})

/**
 * What the plates of a wall are fixed to with a fastener: on a rail or a board they may be anywhere.
 *
 * @param dead holes that serve nothing any more, of which a new one keeps off
 */
export function substrateOf(
  wall: Wall,
  survey: Pick<Survey, 'members' | 'coursing'>,
  fastener: Fastener | undefined,
  rules: Rules,
  { carrier, dead = [] }: { carrier?: Carrier, dead?: (Point & { result?: string })[] } = {},
): Substrate {
  const bars = wall.structure.kind === 'concrete' ? dead.filter(({ result }) => result === 'steel') : []
  const kept = { at: dead, keepOff: keepOffOf(fastener, wall.structure.kind), bars }
  if (carrier) return { ...solid(false), carries: true }
  if (isFramed(wall)) return framing(survey, fastener, kept)
  if (isSheet(wall.structure.kind)) return solid(true, kept)
  const joints
    = rules.blockJoints !== 'anywhere-under-timber' || !wall.covering.some(({ material }) => TIMBER.includes(material))
  if (structureKindOf(wall.structure).units && joints)
    return survey.coursing ? block(survey.coursing, wall, fastener, kept) : solid(false)
  return solid(true, kept)
}
