import type { Finding } from '../finding'
import type { Point } from '../geometry'
import { choiceName, type Base } from '../job'
import { isAt, type AsBuilt, type MadeHole } from '../log'
import type { ArrayPlan } from '../mount'
import { words, type Text } from '../units'
import type { DeadHole } from './dead'
import { holeSteps, leftBehind, type HoleStep } from './steps'

/** What is said of a hole by what the drill met. */
const SAYS: Record<MadeHole['result'], string> = {
  hit: 'was drilled',
  miss: 'missed',
  void: 'hit a void',
  steel: 'hit steel',
  mortar: 'hit a mortar joint',
  blown: 'blew out the face',
  stripped: 'stripped',
  other: 'cannot be used',
}

/**
 * So far a new hole keeps from one that hit and that nothing uses, mm: three diameters of the thickest screws that are
 * usual.
 */
const KEEP_OFF = 30
/** So many holes are named. */
const NAMED = 3
/** So near to a place where a backing was not met it may not be there either, mm. */
const NEAR = 150
/** Results by which a hole did not meet what it was drilled for. */
const UNMET: string[] = ['miss', 'void']

const STEEL: Partial<Record<Base | 'other', string>> = {
  concrete: 'a bar or a tendon', other: 'possibly the plate that protects a cable or pipe',
}

/**
 * Steel that the drill met: over a stud it is first of all the plate that protects a cable or pipe (NEC 300.4), in
 * concrete a bar or a tendon. Nothing is planned on until somebody has looked.
 */
const steelFinding = (label: string, { hole, x, y, by }: MadeHole, base: Base): Finding => ({
  stage: 'hang',
  subject: { kind: 'hole', id: hole },
  severity: 'stop',
  code: 'steel-met',
  message: words`${label} at ${x}, ${y} above floor: ${by} hit steel, ${STEEL[base] ?? STEEL.other!}.`,
  remedy: words`Do not drill on. A lead or planner looks, and records in Hang what was found, with a photo.`,
})

const capital = (text: string) => text.replace(/^./, letter => letter.toUpperCase())
const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)

/** Whether the drill met steel at a planned hole, and nobody has looked at it since. */
export const steelUnchecked = ({ dead, checked }: Pick<AsBuilt, 'dead' | 'checked'>, hole: string): boolean =>
  !checked.includes(hole) && dead.some(made => made.hole === hole && made.result === 'steel')

const about = ({ hole }: MadeHole) => ({ stage: 'hang', subject: { kind: 'hole', id: hole } }) as const

const DRILL_AGAIN: Text = [
  'The stud is there. Use a larger or longer fastener, or glue in a dowel and drill again in the same place, ',
  'and record in Hang that it was drilled again. Or use the next slot.',
]

/** What failed: a stop where something is planned right beside it. */
function failedFinding(made: MadeHole, label: string, beside: boolean, dead?: DeadHole): Finding {
  const message = words`${label} at ${made.x} ${SAYS[made.result]}: ${made.note || 'no note'}.`
  if (beside && made.result === 'stripped') {
    return { ...about(made), severity: 'stop', code: 'hole-stripped', message, remedy: DRILL_AGAIN }
  }
  if (beside) {
    const remedy = words`Leave it empty and survey the spot before drilling beside it.`
    return { ...about(made), severity: 'stop', code: 'hole-missed', message, remedy }
  }
  const { keepOff = KEEP_OFF, fill = 'Fill it' } = dead ?? {}
  const remedy = words`${capital(fill)}; the plan keeps new holes ${keepOff} away from it.`
  return { ...about(made), severity: 'note', code: 'hole-dead', message, remedy }
}

/**
 * Steel in concrete is a line, and which way it runs is not known from one hole: a stop where holes are planned beside
 * it, up and down or sideways of it, wherever along the wall.
 */
function barFindings(made: MadeHole, label: string, steps: HoleStep[], { keepOff }: DeadHole): Finding[] {
  const along = steps.filter(({ hole }) => hole.made !== 'hit'
    && Math.min(Math.abs(hole.x - made.x), Math.abs(hole.y - made.y)) < keepOff - 1e-6)
  if (along.length === 0) return []
  const met = words`${label} at ${made.x}, ${made.y} above floor, met a bar or a tendon`
  const names = along.slice(0, NAMED).map(step => step.label).join(', ')
  const more = along.length > NAMED ? ` and ${along.length - NAMED} more` : ''
  return [{
    ...about(made),
    severity: 'stop',
    code: 'hole-on-bar-line',
    facts: [along.length],
    message: words`${met}. It may run through ${names}${more}.`,
    remedy: words`Scan which way it runs: move the array ${keepOff} off its line, or override with what was scanned.`,
  }]
}

/** A sheet that a hole did not meet is not behind all of the wall: a stop while holes are planned near there. */
function backingFinding(made: MadeHole, label: string, into: Base, steps: HoleStep[]): Finding {
  const near = steps.some(({ hole }) => hole.into && hole.made !== 'hit' && apart(hole, made) < NEAR)
  const sheet = choiceName(into)
  return {
    ...about(made),
    severity: near ? 'stop' : 'caution',
    code: 'backing-not-met',
    message: words`${label} at ${made.x}, ${made.y} above floor, did not meet the ${sheet}: it ends before.`,
    remedy: words`Find its end with a nail. Move the array on to it, ${NEAR} or more from here, or fix to the studs.`,
  }
}

/** What hit, and the plan does not use any more. */
function unusedFinding(made: MadeHole, step: HoleStep | undefined, beside: boolean): Finding {
  const off = step ? apart(made, step.hole) : 0
  return {
    ...about(made), severity: beside ? 'stop' : 'caution', code: 'hole-unused',
    message: step
      ? words`${step.label} was drilled at ${made.x}, ${made.y} above floor, ${off} from its planned position.`
      : words`The hole drilled at ${made.x}, ${made.y} above floor is no longer in the plan.`,
    remedy: beside
      ? words`Move the planned hole at least ${KEEP_OFF} away, or plan a plate that uses the drilled hole.`
      : words`Fill the hole, or plan a plate that uses it.`,
  }
}

/**
 * What the log says against the plan: holes that missed, and holes that nothing planned uses any more; a stop while
 * something is planned right beside one.
 */
export function hangFindings(
  arrays: ArrayPlan[], built: AsBuilt, dead: DeadHole[] = [], base: Base = 'wood-stud',
): Finding[] {
  const { holes } = built
  if (holes.length === 0) return []
  const steps = holeSteps(arrays)
  const named = new Map(steps.map(step => [step.hole.id, step]))
  const unused = new Set(leftBehind(arrays, built))
  return holes.flatMap((made): Finding[] => {
    const step = named.get(made.hole)
    const label = step?.label ?? made.hole
    const known = dead.find(({ entry }) => entry === made.entry)
    // A plate that nothing holds has a stop of its own, with what would hold it; a stripped hole is cured where it is.
    const asked = steps.filter(({ position }) => position.plate?.held || made.result === 'stripped')
    const beside = asked.some(({ hole }) =>
      apart(hole, made) < (known?.keepOff ?? KEEP_OFF) - 1e-6 && !(hole.made === 'hit' && isAt(hole, made)))
    if (made.result === 'steel' && steelUnchecked(built, made.hole)) return [steelFinding(label, made, base)]
    const into = step?.hole.into
    if (into && UNMET.includes(made.result)) return [backingFinding(made, label, into, asked)]
    const isBar = made.result === 'steel' && base === 'concrete'
    const barred = isBar && known ? barFindings(made, label, asked, known) : []
    if (made.result !== 'hit') return [failedFinding(made, label, beside, known), ...barred]
    return unused.has(made) ? [unusedFinding(made, step, beside)] : []
  })
}
