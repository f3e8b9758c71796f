import type { Finding } from '../finding'
import { isAt, type AsBuilt, type MadeHole } from '../log'
import type { ArrayPlan, Hole, Position } from '../mount'
import { words } from '../units'
import type { DeadHole } from './dead'

export * from './change'
export * from './dead'
export * from './holeOfWall'
export * from './kit'
export * from './kitSheet'
export * from './lifting'
export * from './open'
export * from './order'
export * from './preset'
export * from './run'

/** One hole to make, in the order of the work. */
export interface HoleStep { hole: Hole, position: Position, label: string }

/** What is said of a hole by what the drill met. */
const SAYS: Record<MadeHole['result'], string> = {
  hit: 'was drilled', miss: 'missed', void: 'hit a void', steel: 'hit steel', mortar: 'hit a mortar joint', blown: 'blew out the face', stripped: 'stripped', other: 'cannot be used',
}

/**
 * So far a new hole keeps from one that hit and that nothing uses, mm: three diameters of the thickest screws that are
 * usual.
 */
const KEEP_OFF = 30

/** Every hole of a wall in the order of drilling: along each height from the top down, left to right. */
export function holeSteps(arrays: ArrayPlan[]): HoleStep[] {
  return arrays
    .flatMap(({ positions }) => positions.flatMap(position => (position.holes ?? []).map(hole => ({
      hole,
      position,
      label: `R${position.row} C${position.column} ${hole.row} ${hole.rank}`,
    }))))
    .sort((a, b) => Math.round((b.hole.y - a.hole.y) * 10) || a.hole.x - b.hole.x)
}

/** By id: what the drill met at each planned hole that is made where the plan has it. */
export function drilledHoles(arrays: ArrayPlan[], { holes }: AsBuilt): Map<string, MadeHole> {
  const planned = new Map(holeSteps(arrays).map(({ hole }) => [hole.id, hole]))
  return new Map(holes.flatMap((made) => {
    const hole = planned.get(made.hole)
    return hole && isAt(hole, made) ? [[made.hole, made] as const] : []
  }))
}

/**
 * Holes in the wall that nothing planned is made of: those that missed, and those that the plan has moved away from.
 */
export function leftBehind(arrays: ArrayPlan[], built: AsBuilt): MadeHole[] {
  const used = new Set(drilledHoles(arrays, built).values())
  return built.holes.filter(hole => !used.has(hole))
}

/**
 * What the log says against the plan: holes that missed, and holes that nothing planned uses any more; a stop while
 * something is planned right beside one.
 */
export function hangFindings(arrays: ArrayPlan[], built: AsBuilt, dead: DeadHole[] = []): Finding[] {
  const { holes } = built
  if (holes.length === 0) return []
  const steps = holeSteps(arrays)
  const named = new Map(steps.map(step => [step.hole.id, step]))
  const unused = new Set(leftBehind(arrays, built))
  return holes.flatMap((made): Finding[] => {
    const step = named.get(made.hole)
    const label = step?.label ?? made.hole
    const { keepOff = KEEP_OFF, fill = 'Fill it' } = dead.find(({ entry }) => entry === made.entry) ?? {}
    const beside = steps.some(({ hole }) => Math.hypot(hole.x - made.x, hole.y - made.y) < keepOff - 1e-6 && !(hole.made === 'hit' && isAt(hole, made)))
    const about = { stage: 'hang', subject: { kind: 'hole', id: made.hole } } as const
    if (made.result !== 'hit') {
      const message = words`${label} at ${made.x} ${SAYS[made.result]}: ${made.note || 'no note'}.`
      return beside
        ? [{ ...about, severity: 'stop', code: 'hole-missed', message, remedy: words`Leave it empty and survey the spot before drilling beside it.` }]
        : [{ ...about, severity: 'note', code: 'hole-dead', message, remedy: words`${fill[0]!.toUpperCase()}${fill.slice(1)}; the plan keeps new holes ${keepOff} away from it.` }]
    }
    if (!unused.has(made)) return []
    return [{
      ...about, severity: beside ? 'stop' : 'caution', code: 'hole-unused',
      message: step
        ? words`${label} was drilled at ${made.x}, ${made.y} above floor, ${Math.hypot(made.x - step.hole.x, made.y - step.hole.y)} from its planned position.`
        : words`The hole drilled at ${made.x}, ${made.y} above floor is no longer in the plan.`,
      remedy: beside ? words`Move the planned hole at least ${KEEP_OFF} away, or plan a plate that uses the drilled hole.` : words`Fill the hole, or plan a plate that uses it.`,
    }]
  })
}
