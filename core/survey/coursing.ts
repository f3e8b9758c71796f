import type { Finding } from '../finding'
import type { Point } from '../geometry'
import { structureKindOf, unitsOf, type Evidence, type Wall } from '../job'
import { figure, words, type Figure } from '../units'

/** How well a joint's middle can be read, and how much a module may differ from what is nominal, one σ, mm. */
const JOINT_SIGMA = 2
const MODULE_SIGMA = 1
/** Joints that stand off the coursing by more than this on the whole do not fit it, mm. */
const MISFIT = 6

/**
 * How well the joints along one axis are known: one σ at the middle of those that were read, what each module away from
 * there adds, and how far a joint by itself stands off its place.
 */
export interface JointSpread { at: number, sd: number, each: number, own: number }

/** The coursing behind a wall: modules of `length` × `height`, joints of `joint` between; mm. */
export interface Coursing {
  /** Lower left corner of one unit's module; the joints lie half on each side. */
  origin: Point
  /** One σ of the joints at the middle of those that were read; absent where no joint was read that way. */
  sd: { x?: number, y?: number }
  spread: { x?: JointSpread, y?: JointSpread }
  length: number
  height: number
  joint: number
  bond: 'running' | 'stack'
  /** Whether the joints themselves tell the bond. */
  bondTold: boolean
  /**
   * Where heads were read but do not tell the bond: the kind of course they are in, 0 for the origin's and 1 for the
   * others.
   */
  headsIn?: 0 | 1
  /** How far the joints read stand off the coursing, root mean square; absent where too few were read. */
  misfit?: number
}

/** Evenly spaced joints: start + n × module. */
interface Fitted { start: number, module: number, misfit: number, spread: JointSpread }

/**
 * Fits a row of joints to places that were read: the start is learned from all, the module from as far apart as
 * they stand, both against what is nominal. What does not fit widens the uncertainty, and so does each module
 * away from the joints that were read.
 *
 * @param start where a joint is near, which settles which joint is which
 */
function fitJoints(places: number[], start: number, nominal: number): Fitted {
  // Which joint is which: counted from the first one read on, so that a module a little off does not lose count.
  const sorted = [...places].sort((a, b) => a - b)
  const first = Math.round((sorted[0]! - start) / nominal)
  const counts = sorted.map(x => first + Math.round((x - sorted[0]!) / nominal))
  const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length
  const [middle, centre] = [mean(counts), mean(sorted)]
  const spread = counts.reduce((sum, n) => sum + (n - middle) ** 2, 0)
  // The nominal module counts as a reading of its own.
  const prior = (JOINT_SIGMA / MODULE_SIGMA) ** 2
  const module
    = (prior * nominal + counts.reduce((sum, n, i) => sum + (n - middle) * (sorted[i]! - centre), 0)) / (prior + spread)
  const residuals = sorted.map((x, i) => x - centre - (counts[i]! - middle) * module)
  const squares = residuals.reduce((sum, off) => sum + off * off, 0)
  const misfit = Math.sqrt(squares / places.length)
  const sigma = Math.max(JOINT_SIGMA, places.length > 2 ? Math.sqrt(squares / (places.length - 2)) : misfit)
  return {
    start: centre - middle * module,
    module,
    misfit,
    spread: {
      at: centre,
      sd: sigma / Math.sqrt(places.length),
      each: sigma / Math.sqrt((sigma / MODULE_SIGMA) ** 2 + spread),
      own: Math.sqrt(sigma ** 2 - JOINT_SIGMA ** 2),
    },
  }
}

/** One σ of where a joint near a place lies, mm; 0 where the coursing is as entered. */
export function jointSd({ spread, length, height }: Coursing, axis: 'x' | 'y', place: number): number {
  const known = spread[axis]
  return known ? Math.hypot(known.sd, known.own, known.each * (place - known.at) / (axis === 'x' ? length : height)) : 0
}

const joints = ({ evidence = [] }: Wall, direction: Evidence['direction']) =>
  evidence.filter(
    reading => reading.method === 'joint' && reading.setAside === undefined && reading.direction === direction,
  )

/** Which course a height is in, counted from the origin's. */
export function courseAt({ origin, height }: Pick<Coursing, 'origin' | 'height'>, y: number): number {
  return Math.floor((y - origin.y) / height)
}

const kindOf = (course: number) => Math.abs(course % 2) as 0 | 1

/** How far the head joints of a course are shifted from those of the origin's: half a unit in every other one. */
export function bondShift({ bond, length }: Pick<Coursing, 'bond' | 'length'>, course: number): number {
  return bond === 'running' && kindOf(course) === 1 ? length / 2 : 0
}

/**
 * Head joints of a course from left to right, past both ends of a wall so wide, mm: those of both bonds where the bond
 * is not known.
 */
export function headJointsOf(coursing: Coursing, course: number, width: number): number[] {
  const { origin, length, headsIn } = coursing
  const both = headsIn !== undefined && kindOf(course) !== headsIn
  const [from, step] = [origin.x + bondShift(coursing, course), both ? length / 2 : length]
  const first = Math.floor(-from / step) - 1
  return Array.from({ length: Math.ceil(width / step) + 4 }, (_, n) => from + (first + n) * step)
}

/** How sure the fits of joints are, as far as any were read. */
const spreadOf = (x: ReturnType<typeof fitJoints> | undefined, y: ReturnType<typeof fitJoints> | undefined) => ({
  sd: { ...x && { x: x.spread.sd }, ...y && { y: y.spread.sd } },
  spread: { ...x && { x: x.spread }, ...y && { y: y.spread } },
})

/** The fit of the head joints that were read; where both kinds of courses were read, in the bond they fit better. */
function fitHeads(
  heads: ReturnType<typeof joints>,
  { bond: given, origin }: Pick<NonNullable<ReturnType<typeof unitsOf>>, 'bond' | 'origin'>,
  length: number,
  courses: Parameters<typeof courseAt>[0],
) {
  const fitIn = (bond: Coursing['bond']) =>
    fitJoints(heads.map(({ x, y }) => x - bondShift({ bond, length }, courseAt(courses, y))), origin.x, length)
  const kinds = [...new Set(heads.map(({ y }) => kindOf(courseAt(courses, y))))]
  const other = given === 'running' ? 'stack' : 'running'
  const bond = kinds.length === 2 && fitIn(other).misfit < fitIn(given).misfit ? other : given
  return { head: heads.length > 0 ? fitIn(bond) : undefined, bond, kinds }
}

/**
 * Fits a wall's coursing to the joints that were read: beds give the courses, heads the units along them. Which
 * course is which follows from the crossing that was entered. Where heads were read in courses of both kinds,
 * they tell running bond from stack bond.
 *
 * @returns undefined for a wall that is laid of no units
 */
export function fitCoursing(wall: Wall): Coursing | undefined {
  const block = unitsOf(wall.structure)
  if (!block) return undefined
  const nominal = { x: block.length + block.joint, y: block.height + block.joint }
  const beds = joints(wall, 'bed').map(({ y }) => y)
  const bed = beds.length > 0 ? fitJoints(beds, block.origin.y, nominal.y) : undefined
  const { start, module } = bed ?? { start: block.origin.y, module: nominal.y }
  const courses = { origin: { x: 0, y: start }, height: module }
  const heads = joints(wall, 'head')
  const { head, bond, kinds } = fitHeads(heads, block, nominal.x, courses)
  const told = kinds.length === 2
  const misfits = [...(beds.length > 1 ? [bed] : []), ...(heads.length > 1 ? [head] : [])].map(fit => fit!.misfit)
  return {
    origin: { x: head?.start ?? block.origin.x, y: courses.origin.y },
    ...spreadOf(head, bed),
    length: head?.module ?? nominal.x, height: courses.height, joint: block.joint, bond, bondTold: told,
    ...head && !told && { headsIn: kinds[0] },
    ...misfits.length > 0 && { misfit: Math.max(...misfits) },
  }
}

/** The coursing's origin with its working. */
export function coursingFigure(coursing: Coursing, axis: 'x' | 'y'): Figure {
  const { origin, length, height, spread } = coursing
  const [module, what] = axis === 'x' ? [length, 'head joint'] : [height, 'bed joint']
  const known = spread[axis]
  return figure([
    {
      label: `Position of a ${what}`,
      expression:
        known === undefined
          ? words`as entered; no joint read`
          : words`from the joints read, ${what}s ${module} apart: ± ${1.96 * known.sd} at ${known.at}, plus ±
            ${1.96 * known.each} for each ${what} away from there`,
      value: origin[axis],
      unit: 'mm',
    },
  ])
}

export function coursingFindings(wall: Wall, coursing: Coursing | undefined): Finding[] {
  const { units } = structureKindOf(wall.structure)
  if (!units) return []
  const about = { stage: 'survey', subject: { kind: 'wall', id: wall.id } } as const
  if (!coursing) return [{
    ...about, severity: 'stop', code: 'coursing-unknown',
    message: words`The size of this wall’s ${units}s is not known.`,
    remedy: words`Enter ${units} size, joint and bond in Survey.`,
  }]
  const findings: Finding[] = []
  if (coursing.length > wall.width || coursing.height > wall.height) findings.push({
    ...about, severity: 'stop', code: 'block-larger-than-wall',
    message: words`A ${units} with its joint is ${coursing.length} × ${coursing.height}; the wall is ${
      wall.width} × ${wall.height}.`,
    remedy: words`Correct the ${units} size.`,
  })
  const { sd } = coursing
  const unread = sd.y !== undefined ? 'head joint' : sd.x === undefined ? 'joint' : 'bed joint'
  if (sd.x === undefined || sd.y === undefined) findings.push({
    ...about,
    severity: 'caution',
    code: 'coursing-not-surveyed',
    message: words`No ${unread} of this wall has been read; the coursing is as entered.`,
    remedy: words`Read at least one crossing of a bed joint and a head joint, preferably several.`,
  })
  if (coursing.headsIn !== undefined) findings.push({
    ...about,
    severity: 'caution',
    code: 'bond-not-told',
    message: words`All head joints read are in alternate courses: running bond and stack bond cannot be told apart,
      and holes in the courses between keep clear of the joints of both.`,
    remedy: words`Read a head joint one course above or below.`,
  })
  if (coursing.bondTold && coursing.bond !== unitsOf(wall.structure)!.bond) findings.push({
    ...about, severity: 'caution', code: 'bond-differs',
    message: words`The joints read show ${coursing.bond} bond; ${
      unitsOf(wall.structure)!.bond} bond was entered.`,
  })
  if (coursing.misfit !== undefined && coursing.misfit > MISFIT) findings.push({
    ...about,
    severity: 'caution',
    code: 'joints-disagree',
    message: words`The joints read deviate ${coursing.misfit} overall from one regular coursing.`,
    remedy: words`Check ${units} size and joint, and exclude the reading that does not fit.`,
  })
  return findings
}
