import type { Finding } from '../finding'
import { RESULT_NAMES, type AsBuilt, type DisputedHole } from '../log'
import type { ArrayPlan } from '../mount'
import { words } from '../units'
import { holeSteps } from './steps'

/** What the people who disagree recorded. */
const saidOf = ({ results }: DisputedHole) =>
  results.map(({ by, result }) => `${by} recorded ${RESULT_NAMES[result]}`).join(', ')

const SETTLES = 'The person who recorded a wrong result withdraws it in Hang; otherwise a lead or planner decides.'

/** What is said of the results at other holes of the plate. */
function besides(count: number): string {
  if (count === 0) return ''
  if (count === 1) return ' 1 other result at this plate stands: check it too.'
  return ` ${count} other results at this plate stand: check them too.`
}

/**
 * Holes of which people recorded unlike results, none of whom corrects another: nobody knows what is in the wall there,
 * so that they count as not drilled. Results at other holes of the plate hold, and are counted.
 */
export function disputedFindings(
  arrays: ArrayPlan[],
  { disputed, holes }: Pick<AsBuilt, 'disputed' | 'holes'>,
): Finding[] {
  if (disputed.length === 0) return []
  const steps = holeSteps(arrays)
  const byHole = new Map(steps.map(step => [step.hole.id, step]))
  return disputed.map((each): Finding => {
    const step = byHole.get(each.hole)
    const plate = new Set(step?.position.holes?.map(({ id }) => id))
    const label = step?.label ?? each.hole
    const others = holes.filter(({ hole }) => hole !== each.hole && plate.has(hole)).length
    return {
      stage: 'hang',
      subject: { kind: 'hole', id: each.hole },
      severity: 'caution',
      code: 'hole-disputed',
      message: words`${label} is disputed: ${saidOf(each)}. It counts as not drilled.${besides(others)}`,
      remedy: words`Look at the hole. ${SETTLES}`,
    }
  })
}
