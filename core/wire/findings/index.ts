import type { Finding } from '../../finding'
import type { PlanContext, Wall } from '../../job'
import type { ArrayPlan } from '../../mount'
import { isFramed } from '../../survey'
import { screensOf } from '../screens'
import type { Wiring } from '../wiring'
import { boxFindings } from './boxes'
import { cableFindings } from './cables'
import { circuitFindings } from './circuits'
import { powerFindings } from './power'
import { signalFindings } from './signal'
import { wayFindings } from './ways'

/**
 * What is wrong, doubtful or not known in the wiring of a wall; nothing is said of one where nobody has begun to wire.
 */
export function wireFindings(
  wall: Wall,
  arrays: ArrayPlan[],
  wiring: Wiring,
  { catalogue, rules }: PlanContext,
): Finding[] {
  if ((wall.sources ?? []).length === 0 && wiring.boxes.length === 0) return []
  const screens = screensOf(wall, arrays, catalogue)
  return [
    ...circuitFindings(wall, wiring),
    ...powerFindings(wall, wiring, rules),
    ...boxFindings(wiring),
    ...wayFindings(wall, wiring, screens, rules),
    ...signalFindings(wall, wiring, screens, isFramed(wall)),
    ...cableFindings(wall, wiring),
  ]
}
