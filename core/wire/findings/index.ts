import type { Finding } from '../../finding'
import type { PlanContext, Wall } from '../../job'
import type { ArrayPlan } from '../../mount'
import { isFramed } from '../../survey'
import { screensOf } from '../screens'
import type { Wiring } from '../wiring'
import { boxFindings } from './boxes'
import { cableFindings } from './cables'
import { circuitFindings } from './circuits'
import { conductorFindings } from './conductors'
import { methodFindings } from './methods'
import { poeFindings } from './poe'
import { powerFindings } from './power'
import { signalFindings } from './signal'
import { sourceFindings } from './sources'
import { wayFindings } from './ways'

/**
 * What is wrong, doubtful or not known in the wiring of a wall; nothing is said of one where nobody has begun to wire.
 */
export function wireFindings(
  wall: Wall,
  arrays: ArrayPlan[],
  wiring: Wiring,
  context: PlanContext,
): Finding[] {
  const { catalogue, rules } = context
  if ((wall.sources ?? []).length === 0 && wiring.boxes.length === 0) return []
  const screens = screensOf(wall, arrays, catalogue)
  return [
    ...sourceFindings(wall, wiring),
    ...circuitFindings(wall, wiring),
    ...conductorFindings(wall, wiring, context),
    ...poeFindings(wall, wiring),
    ...powerFindings(wall, wiring, context),
    ...boxFindings(wiring),
    ...wayFindings(wall, wiring, screens, rules),
    ...methodFindings(wall, wiring, context),
    ...signalFindings(wall, wiring, screens, isFramed(wall)),
    ...cableFindings(wall, wiring),
  ]
}
