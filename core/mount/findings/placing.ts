import type { CodeOf, Finding } from '../../finding'
import { overlaps } from '../../geometry'
import type { Cell } from '../../arrange'
import {
  coveringOf, type Catalogue, type Display, type Fault, type Mount, type Orientation, type PlateChoice,
  type ScreenArray, type Wall,
} from '../../job'
import { memberAt, unsurveyedIn, type Member, type Survey, type Unsurveyed } from '../../survey'
import { counted, quantity, words, type Text } from '../../units'
import { memoize } from '../../memo'
import type { Requirement } from '../slide/requirement'
import type { Substrate } from '../slide/substrate'
import { ONE_SIDED_95 } from '../holes/zones'
import { mountModels } from '../models'
import { barredFor } from '../slide/placing'
import { holeName, type Hole, type MountedCell } from '../position'
import { bestSlide, leastSlide, type Slider } from '../slide/slide'
import { screenLabel } from '../../job/screenLabel'

const side = (by: number) => by < 0 ? 'left' : 'right'
const name = (at: MountedCell) => screenLabel(at)
const tellShift = (by: number) => words`${Math.abs(by)} to the ${side(by)}`

/** What would hold a plate: the words, and the shift to take where one is within its travel. */
export interface Remedy { remedy: Text, best?: number }

/**
 * What plates can do about a miss, calculated once for all that stand and ask alike: slide within their travel, or how
 * far they would have to.
 */
export function remediesOn(substrate: Substrate, wall: Wall): (cell: MountedCell, mount: Mount) => Remedy {
  const known = memoize((requirements: Requirement[]) =>
    memoize((nominal: number) =>
      memoize((mount: Mount) => remedyOf({ nominal, half: mount.plate.width / 2, requirements, barred: [] }, mount)),
    ),
  )
  return ({ plate }, mount) => {
    const [nominal, requirements] = [plate.centre.x - plate.lateralShift, substrate.along(mount, plate.centre.y)]
    const barred = barredFor(wall, mount, plate.centre.y)
    return barred.length === 0
      ? known(requirements)(nominal)(mount)
      : remedyOf({ nominal, half: mount.plate.width / 2, requirements, barred }, mount)
  }
}

function remedyOf(slider: Omit<Slider, 'travel'>, mount: Mount): Remedy {
  const travel = mount.adjust?.lateral ?? 0
  const best = bestSlide({ ...slider, travel })
  const least = leastSlide({ ...slider, travel: best ? travel : 2 * mount.plate.width })
  if (best && least !== undefined) {
    const justEnough = Math.abs(least - best.by) > 0.05 ? words` (at least ${tellShift(least)})` : []
    return {
      best: best.by,
      remedy: words`Shift the plate ${tellShift(best.by)} of its nominal position${justEnough}: edge clearance is
        then ${best.spare}. Its lateral adjustment is ${travel} either way.`,
    }
  }
  if (least === undefined)
    return {
      remedy: words`No nearby position of the plate works. Use a rail across the studs, a backing board or another
        mount.`,
    }
  return {
    remedy: words`The plate would have to shift ${tellShift(least)}, ${Math.abs(least) - travel} more than its
      lateral adjustment of ${travel}. Move the whole array, or use a rail, a backing board or another mount.`,
  }
}

const sdAt = (member: Member | undefined, y: number) => member ? memberAt(member, y).sd : 0

/**
 * Whether a hole is in its stud, with its edge distance. One that is made has met it: what is not known of the stud’s
 * middle is no reason to take the hole for a miss.
 */
export function lands({ margin, member, made, y }: Hole, members: Member[]): boolean {
  const known = made === 'hit' && member !== undefined ? ONE_SIDED_95 * sdAt(members[member], y) : 0
  return margin !== undefined && margin + known >= -1e-9
}

/** Whether a hole would land if its member’s centre were known: it wants a nail, not another place. */
const unsure = (hole: Hole, members: Member[]) =>
  hole.member !== undefined
  && hole.margin !== undefined
  && hole.margin + ONE_SIDED_95 * sdAt(members[hole.member], hole.y) >= -1e-9

function unsureFinding(cell: MountedCell, hole: Hole, members: Member[]): Finding {
  const { centre, sd, width } = memberAt(members[hole.member!]!, hole.y)
  return {
    severity: 'stop',
    code: 'member-unsure' as const,
    stage: 'mount',
    subject: { kind: 'hole', id: hole.id },
    message: words`${holeName(cell, hole)} at ${hole.x} is aimed at stud ${String(hole.member! + 1)}, whose centre is
      only known to ± ${1.96 * sd}: edge clearance is ${-hole.margin!} short.`,
    remedy: words`Find both edges of the stud with a nail where the plate will hide it, at about
      ${centre - width / 2} and ${centre + width / 2}.`,
  }
}

function missText(cell: MountedCell, hole: Hole): Text {
  const which = holeName(cell, hole)
  if (hole.margin === undefined) return words`${which} at ${hole.x} has no stud behind it.`
  if (hole.member === undefined)
    return words`${which} at ${hole.x}, ${hole.y} above floor, is ${-hole.margin} too close to a joint.`
  return words`${which} at ${hole.x} misses stud ${String(hole.member + 1)} by ${-hole.margin}.`
}

/** The holes of a plate that miss, and stand where nothing at all is known of the wall. */
export function unsurveyedOf(
  wall: Wall,
  cells: MountedCell[],
  mountOf: (cell: MountedCell) => Mount,
): (Unsurveyed & { cell: MountedCell, ids: Set<string> })[] {
  const unknown = unsurveyedIn(wall)
  return cells.flatMap((cell) => {
    const { slots } = mountOf(cell).plate
    const spanOf = ({ slot }: Hole) => ({
      from: cell.plate.centre.x + slots[slot!]!.x1,
      to: cell.plate.centre.x + slots[slot!]!.x2,
    })
    const holes = cell.holes.filter(
      hole =>
        hole.slot !== undefined
        && hole.made !== 'hit'
        && (hole.margin === undefined || hole.margin < -1e-9)
        && unknown(spanOf(hole)),
    )
    if (holes.length === 0) return []
    const spans = holes.map(spanOf)
    return [
      {
        cell,
        ids: new Set(holes.map(({ id }) => id)),
        of: name(cell),
        holes: holes.length,
        y: holes.reduce((sum, { y }) => sum + y, 0) / holes.length,
        from: Math.min(...spans.map(({ from }) => from)),
        to: Math.max(...spans.map(({ to }) => to)),
      },
    ]
  })
}

/** A stop for every plate that wants fasteners where nothing is known of the wall. */
export function unsurveyedFindings(unsurveyed: ReturnType<typeof unsurveyedOf>): Finding[] {
  return unsurveyed.map(({ cell, from, to, holes }): Finding => ({
    severity: 'stop',
    code: 'wall-not-surveyed' as const,
    stage: 'mount',
    subject: { kind: 'screen', id: cell.id },
    message: words`${name(cell)}: the wall from ${from} to ${to} has not been surveyed, and
      ${holes === 1 ? 'a hole is' : words`${counted(holes)} holes are`} required there.`,
    remedy: words`Survey the wall there with a detector, magnet or nail before moving anything.`,
  }))
}

/** A stop for every hole that misses, with the shift of its plate that would cure it. */
export function missFindings(
  array: ScreenArray,
  cell: MountedCell,
  { members, coursing }: Pick<Survey, 'members' | 'coursing'>,
  remedyAt: () => Remedy,
  but?: Set<string>,
): Finding[] {
  const short = cell.holes.filter(hole => !lands(hole, members) && !but?.has(hole.id))
  const misses = short.filter(hole => !unsure(hole, members))
  const doubts = short.filter(hole => unsure(hole, members)).map(hole => unsureFinding(cell, hole, members))
  if (misses.length === 0) return doubts
  const { remedy, best } = remedyAt()
  return [
    ...doubts,
    ...misses.map((hole): Finding => ({
      severity: 'stop',
      code: coursing ? 'joint-too-near' : 'hole-misses-member',
      stage: 'mount',
      subject: { kind: 'hole', id: hole.id },
      message: missText(cell, hole),
      remedy,
      ...(best === undefined && !coursing && { opens: { panel: 'remedies', title: 'Show remedies' } }),
      ...(best !== undefined && {
        cure: { kind: 'shift-plate', array: array.id, row: cell.row, column: cell.column, lateralShift: best },
      }),
    })),
  ]
}

/** A stop for every row of slots that has fewer holes than it needs, or two of them in one piece of timber. */
export function rowFindings({ needs }: Mount, cell: MountedCell, inOwnPieces: (row: Hole[]) => boolean): Finding[] {
  const stop = (code: CodeOf<'stop'>, message: Text, remedy?: Text): Finding => ({
    severity: 'stop',
    code,
    stage: 'mount',
    subject: { kind: 'screen', id: cell.id },
    message,
    ...(remedy && { remedy }),
  })
  return needs.rows.flatMap((rowName) => {
    const row = cell.holes.filter(hole => hole.row === rowName)
    if (row.length < needs.members)
      return [
        stop(
          'too-few-holes',
          words`${name(cell)} has ${counted(row.length)} of the ${counted(needs.members)} fasteners required in its
            ${rowName} row.`,
        ),
      ]
    return inOwnPieces(row)
      ? []
      : [
          stop(
            'holes-share-member',
            words`${name(cell)}, ${rowName} row: two of its ${counted(needs.members)} fasteners are in the same piece
              of timber or too close together; the mount’s maker requires a separate stud for each.`,
            words`Move one of them to another stud, or use the calculated hole positions.`,
          ),
        ]
  })
}

/** A stop for each pair of plates that lie on each other: by how much, along the wall or up it, whichever is less. */
export function collisionFindings(cells: MountedCell[]): Finding[] {
  const sorted = [...cells].sort((a, b) => a.plate.rect.x - b.plate.rect.x)
  return sorted.flatMap((cell, index) => {
    const findings: Finding[] = []
    const { rect } = cell.plate
    for (let next = index + 1; next < sorted.length; next++) {
      const other = sorted[next]!
      const { rect: beside } = other.plate
      if (beside.x >= rect.x + rect.width) break
      if (!overlaps(rect, beside)) continue
      const along = rect.x + rect.width - beside.x
      const up = Math.min(rect.y + rect.height, beside.y + beside.height) - Math.max(rect.y, beside.y)
      findings.push({
        severity: 'stop', code: 'plates-collide' as const, stage: 'mount', subject: { kind: 'screen', id: cell.id },
        message: up < along
          ? words`The plates of ${name(cell)} and ${name(other)} overlap by ${up} in height.`
          : words`The plates of ${name(cell)} and ${name(other)} overlap by ${along}.`,
        remedy: up < along
          ? words`Use a mount whose plate is at least ${up} lower, or a larger vertical gap.`
          : words`Shift one of them, or use a narrower mount.`,
      })
    }
    return findings
  })
}

/** Each pair of a display and the mount that carries it, once, with how the display hangs. */
function pairsOf(
  cells: Cell[],
  mountOf: (cell: Cell) => Mount | undefined,
  { displays }: Catalogue,
): { display: Display, mount: Mount, orientation: Orientation }[] {
  const pairs = new Map(cells.map(cell => [`${cell.model} ${cell.mount ?? ''} ${cell.orientation}`, cell]))
  return [...pairs.values()].flatMap((cell) => {
    const [display, mount] = [displays.find(({ id }) => id === cell.model), mountOf(cell)]
    return display && mount ? [{ display, mount, orientation: cell.orientation }] : []
  })
}

/** Whether mounts, displays and covering suit each other by the maker's figures. */
export function suitFindings(
  array: ScreenArray,
  cells: Cell[],
  mountOf: (cell: Cell) => Mount,
  catalogue: Catalogue,
  wall: Wall,
): Finding[] {
  const covering = coveringOf(wall)
  const stop = (code: CodeOf<'stop'>, message: Text): Finding => ({
    severity: 'stop',
    code,
    stage: 'mount',
    subject: { kind: 'array', id: array.id },
    message,
  })
  const hung = array.behind?.mass ?? 0
  const found = pairsOf(cells, mountOf, catalogue).flatMap(({ display, mount, orientation }) => [
    ...(display.mass + hung > mount.capacity
      ? [
          stop(
            'mount-over-capacity',
            words`${mount.name} carries at most ${quantity(mount.capacity, 'kg')}; ${display.name} weighs
              ${quantity(display.mass, 'kg')}${hung > 0 ? words` with ${quantity(hung, 'kg')} behind it` : ''}.`,
          ),
        ]
      : []),
    ...(!mount.orientations.includes(orientation)
      ? [stop('mount-orientation', words`${mount.name} does not allow a display hung ${orientation}.`)]
      : []),
    ...(mount.maxCovering !== undefined && covering > mount.maxCovering
      ? [
          stop(
            'covering-too-thick',
            words`The covering is ${covering} thick; ${mount.name} allows at most ${mount.maxCovering}.`,
          ),
        ]
      : []),
  ])
  return [...new Map(found.map(finding => [JSON.stringify(finding.message), finding])).values()]
}

/** Faults of an array that its mounts could never carry or reach, by field. */
export function mountFaults(array: ScreenArray, cells: Cell[], catalogue: Catalogue, path: string): Fault[] {
  const { mounts } = catalogue
  const travelAt = (row: number, column: number) => {
    const own = cells.find(cell => cell.row === row && cell.column === column)?.mount ?? array.mount
    return mounts.find(({ id }) => id === own)?.adjust ?? {}
  }
  const beyond = ({ row, column, lateralShift = 0, heightShift = 0 }: PlateChoice, at: string): Fault[] => {
    const { lateral = 0, height = 0 } = travelAt(row, column)
    const tell = (mm: number) => Math.round(mm * 10) / 10
    return [
      ...(Math.abs(lateralShift) > lateral + 1e-9
        ? [
            {
              path: `${at}.lateralShift`,
              message: `The lateral adjustment is ${lateral} mm either way; ${tell(lateralShift)} mm was entered`,
            },
          ]
        : []),
      ...(Math.abs(heightShift) > height + 1e-9
        ? [
            {
              path: `${at}.heightShift`,
              message: `The height adjustment is ${height} mm either way; ${tell(heightShift)} mm was entered`,
            },
          ]
        : []),
    ]
  }
  const tooHeavy = pairsOf(cells, mountModels(array, catalogue), catalogue).filter(
    ({ display, mount }) => display.mass > mount.capacity,
  )
  return [
    ...tooHeavy
      .slice(0, 1)
      .map(({ display, mount }) => ({
        path: `${path}.mount`,
        message: `${mount.name} carries at most ${mount.capacity} kg; ${display.name} weighs ${display.mass} kg`,
      })),
    ...(array.plates ?? []).flatMap((choice, index) => beyond(choice, `${path}.plates[${index}]`)),
  ]
}
