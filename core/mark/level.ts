import type { Finding } from '../finding'
import { centreOf, type Point, type Rect } from '../geometry'
import type { Feature, Rules, Wall } from '../job'
import { holeName, type ArrayPlan, type Hole } from '../mount'
import { quantity, words } from '../units'

/** The eye compares an array with lines that run so near to it, mm. */
const NEAR = 1500
/** A near line that is off level by more is seen beside an array that is not, mm/m. */
const SEEN = 3

/** A line of the building, measured: by how much it rises to the right, mm/m. */
export type BuildingLine = Feature & { slope: number }

const between = (a: Rect, b: Rect) => Math.hypot(
  Math.max(a.x - b.x - b.width, b.x - a.x - a.width, 0),
  Math.max(a.y - b.y - b.height, b.y - a.y - a.height, 0),
)

/**
 * Of the lines of a building whose slope was measured the one that is nearest to an array, and near enough to be seen
 * beside it.
 */
export function lineBeside({ features = [] }: Wall, { outline }: Pick<ArrayPlan, 'outline'>): BuildingLine | undefined {
  return features.filter((feature): feature is BuildingLine => feature.slope !== undefined)
    .map(line => ({ line, off: between(line, outline) }))
    .filter(({ off }) => off <= NEAR).sort((a, b) => a.off - b.off)[0]?.line
}

/**
 * How everything on a wall is turned to run with a line of the building: by so much, mm/m up to the right, about a
 * point that stays.
 */
export interface Turn { slope: number, about: Point, with: string }

/**
 * The turn that the house rule asks for: none where what is level is true to gravity, or where no line was measured.
 */
export function turnOf(
  wall: Wall,
  arrays: ArrayPlan[],
  level: number,
  { level: chosen = 'gravity' }: Rules,
): Turn | undefined {
  const [first] = arrays
  const line = chosen === 'building-line' && first ? lineBeside(wall, first) : undefined
  return line && { slope: line.slope, about: { x: centreOf(first!.outline).x, y: level }, with: line.id }
}

/**
 * Where a point of the plan comes on the wall once everything is turned.
 *
 * @example
 * // 3 mm/m about (3000, 1600): a point 1000 to the right and 500 up
 * turned({ x: 4000, y: 2100 }, { slope: 3, about: { x: 3000, y: 1600 }, with: 'f1' }) // { x: 3998.5, y: 2103 } to 0.01
 */
export function turned({ x, y }: Point, turn: Turn | undefined): Point {
  if (!turn) return { x, y }
  const angle = Math.atan(turn.slope / 1000)
  const [dx, dy] = [x - turn.about.x, y - turn.about.y]
  return {
    x: turn.about.x + dx * Math.cos(angle) - dy * Math.sin(angle),
    y: turn.about.y + dx * Math.sin(angle) + dy * Math.cos(angle),
  }
}

/** How high a level line is where an upright at x crosses it, mm above the floor. */
export const levelAt = ({ y, turn }: { y: number, turn?: Turn }, x: number): number =>
  turn ? y + ((x - turn.about.x) * turn.slope) / 1000 : y

/**
 * What is left of a hole's margin once it is turned, at the least: along a member nothing is lost by what it moves up
 * or down.
 */
export function turnedMargin(
  hole: Pick<Hole, 'x' | 'y' | 'member'> & { margin: number },
  turn: Turn | undefined,
): number {
  const at = turned(hole, turn)
  const [aside, up] = [Math.abs(at.x - hole.x), Math.abs(at.y - hole.y)]
  return hole.margin - (hole.member === undefined ? Math.max(aside, up) : aside)
}

const ABOUT = { stage: 'mark' } as const

/** Arrays that are level beside a building line that is seen not to be. */
const crookedFindings = (wall: Wall, arrays: ArrayPlan[]): Finding[] =>
  arrays.flatMap(({ id, name, ...array }): Finding[] => {
    const line = lineBeside(wall, { ...array })
    if (!line || Math.abs(line.slope) <= SEEN) return []
    return [{
      ...ABOUT,
      severity: 'caution',
      code: 'line-off-level',
      subject: { kind: 'array', id },
      message: words`${name} is level, but the building line beside it ${line.slope > 0 ? 'rises' : 'falls'}
        ${quantity(Math.abs(line.slope), 'mm/m')} to the right: it will look crooked.`,
      remedy: words`Ask the client whether the array follows gravity or the line, or hide the line.`,
    }]
  })

/** Holes that no longer meet what they go into once everything is turned with a line. */
const turnedFindings = (arrays: ArrayPlan[], turn: Turn): Finding[] =>
  arrays.flatMap(({ positions }) => positions.flatMap(({ row, column, holes = [] }) =>
    holes.flatMap((hole): Finding[] => {
      if (hole.margin === undefined || hole.margin < -1e-9 || hole.made) return []
      const margin = turnedMargin({ ...hole, margin: hole.margin }, turn)
      if (margin >= -1e-9) return []
      return [{
        ...ABOUT,
        severity: 'stop',
        code: 'turned-hole-misses',
        subject: { kind: 'hole', id: hole.id },
        message: words`${holeName({ row, column }, hole)} misses by ${-margin} when everything follows the building
          line: its edge clearance was ${hole.margin}.`,
        remedy: words`Shift the array, or mark it true to gravity.`,
      }]
    })))

/**
 * Findings about the level reference: a near line that is not, or that everything runs with it, and what misses by
 * that.
 */
export function levelFindings(
  wall: Wall, arrays: ArrayPlan[], turn: Turn | undefined, { level: chosen = 'gravity' }: Rules,
): Finding[] {
  if (chosen === 'gravity') return crookedFindings(wall, arrays)
  if (arrays.length === 0) return []
  if (!turn)
    return [{
      ...ABOUT,
      severity: 'caution',
      code: 'no-line-to-follow',
      subject: { kind: 'wall', id: wall.id },
      message: words`The house rule levels to a building line, but no line near the displays has a measured slope, so
        everything is marked true to gravity.`,
      remedy: words`Measure the slope of the line, and enter it in the feature.`,
    }]
  return [
    {
      ...ABOUT,
      severity: 'note',
      code: 'level-follows-line',
      subject: { kind: 'feature', id: turn.with },
      message: words`Everything is marked ${quantity(Math.abs(turn.slope), 'mm/m')} ${turn.slope > 0 ? 'up' : 'down'} to
        the right, following a building line, about the centre of ${arrays[0]!.name}. The drawing shows it level.`,
    },
    ...turnedFindings(arrays, turn),
  ]
}
