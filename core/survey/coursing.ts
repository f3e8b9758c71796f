import type { Finding } from '../finding'
import type { Point } from '../geometry'
import type { Evidence, Wall } from '../job'
import { figure, words, type Figure } from '../units'

/** How well a joint's middle can be read, one σ, mm. */
const JOINT_SIGMA = 2
/** Joints that stand off the coursing by more than this on the whole do not fit it, mm. */
const MISFIT = 6

/** The coursing behind a wall: modules of `length` × `height`, joints of `joint` between; mm. */
export interface Coursing {
  /** Lower left corner of one unit's module; the joints lie half on each side. */
  origin: Point
  /** One σ of the origin; absent where no joint was read that way. */
  sd: { x?: number, y?: number }
  length: number
  height: number
  joint: number
  bond: 'running' | 'stack'
  /** Whether the joints themselves tell the bond. */
  bondTold: boolean
  /** How far the joints read stand off the coursing, root mean square; absent where too few were read. */
  misfit?: number
}

const wrap = (x: number, module: number) => x - module * Math.round(x / module)

/** Where a row of evenly spaced joints begins: the mean of their phases, robust to none being first. */
function phaseOf(places: number[], module: number): { phase: number, misfit: number } {
  const angle = (x: number) => 2 * Math.PI * x / module
  const [sin, cos] = places.reduce(([s, c], x) => [s + Math.sin(angle(x)), c + Math.cos(angle(x))], [0, 0])
  const phase = Math.atan2(sin, cos) / (2 * Math.PI) * module
  const misfit = Math.sqrt(places.reduce((sum, x) => sum + wrap(x - phase, module) ** 2, 0) / places.length)
  return { phase, misfit }
}

const joints = ({ evidence = [] }: Wall, direction: Evidence['direction']) =>
  evidence.filter(reading => reading.method === 'joint' && reading.setAside === undefined && reading.direction === direction)

/** Which course a height is in, counted from the origin's. */
export function courseAt({ origin, height }: Pick<Coursing, 'origin' | 'height'>, y: number): number {
  return Math.floor((y - origin.y) / height)
}

/** How far the head joints of a course are shifted from those of the origin's: half a unit in every other one. */
export function bondShift({ bond, length }: Pick<Coursing, 'bond' | 'length'>, course: number): number {
  return bond === 'running' && Math.abs(course % 2) === 1 ? length / 2 : 0
}

/**
 * Fits a wall's coursing to the joints that were read: beds give the courses, heads the units along
 * them. Where heads were read in courses of both kinds, they tell running bond from stack bond.
 *
 * @returns undefined for a wall that is not of block
 */
export function fitCoursing(wall: Wall): Coursing | undefined {
  const { block } = wall.structure
  if (wall.structure.kind !== 'block' || !block) return undefined
  const [length, height] = [block.length + block.joint, block.height + block.joint]
  const beds = joints(wall, 'bed').map(({ y }) => y)
  const heads = joints(wall, 'head')
  const bed = beds.length > 0 ? phaseOf(beds, height) : undefined
  const y = bed ? bed.phase : block.origin.y
  const fitHeads = (bond: Coursing['bond']) => phaseOf(heads.map(head => head.x - bondShift({ bond, length }, courseAt({ origin: { x: 0, y }, height }, head.y))), length)
  const parities = new Set(heads.map(head => Math.abs(courseAt({ origin: { x: 0, y }, height }, head.y) % 2)))
  const told = bed !== undefined && heads.length >= 2 && parities.size === 2
  const other = block.bond === 'running' ? 'stack' : 'running'
  const bond = told && fitHeads(other).misfit < fitHeads(block.bond).misfit ? other : block.bond
  const head = heads.length > 0 ? fitHeads(bond) : undefined
  const misfit = Math.max(bed && beds.length > 1 ? bed.misfit : 0, head && heads.length > 1 ? head.misfit : 0)
  return {
    origin: { x: head ? head.phase : block.origin.x, y },
    sd: { ...head && { x: JOINT_SIGMA / Math.sqrt(heads.length) }, ...bed && { y: JOINT_SIGMA / Math.sqrt(beds.length) } },
    length, height, joint: block.joint, bond, bondTold: told,
    ...(beds.length > 1 || heads.length > 1) && { misfit },
  }
}

/** The coursing's origin with its working. */
export function coursingFigure({ origin, length, height, sd }: Coursing, axis: 'x' | 'y'): Figure {
  const [module, what] = axis === 'x' ? [length, 'unit'] : [height, 'course']
  return figure([{
    label: `Where a ${what} begins`,
    expression: sd[axis] === undefined ? words`as entered; no joint was read` : words`mean place of the joints read within a ${what} of ${module}, ± ${1.96 * sd[axis]}`,
    value: origin[axis], unit: 'mm',
  }])
}

export function coursingFindings(wall: Wall, coursing: Coursing | undefined): Finding[] {
  if (wall.structure.kind !== 'block') return []
  const about = { stage: 'survey', subject: wall.id } as const
  if (!coursing) return [{
    ...about, severity: 'stop', code: 'coursing-unknown', message: words`The size of this wall’s blocks is not known.`, remedy: words`Enter unit, joint and bond.`,
  }]
  const findings: Finding[] = []
  if (coursing.sd.x === undefined || coursing.sd.y === undefined) findings.push({
    ...about, severity: 'caution', code: 'coursing-not-surveyed',
    message: words`No ${coursing.sd.y === undefined ? coursing.sd.x === undefined ? 'joint' : 'bed joint' : 'head joint'} of this wall was read; the coursing is as entered.`,
    remedy: words`Read at least one crossing of a bed and a head joint, better several.`,
  })
  if (coursing.bondTold && coursing.bond !== wall.structure.block!.bond) findings.push({
    ...about, severity: 'caution', code: 'bond-differs', message: words`The joints read are those of ${coursing.bond} bond; ${wall.structure.block!.bond} bond was entered.`,
  })
  if (coursing.misfit !== undefined && coursing.misfit > MISFIT) findings.push({
    ...about, severity: 'caution', code: 'joints-disagree', message: words`The joints read stand ${coursing.misfit} off one coursing on the whole.`,
    remedy: words`Check unit and joint, and set aside the reading that does not fit.`,
  })
  return findings
}
