import type { Catalogue, Rules, Site, Wall } from '../job'
import type { AsBuilt, LogEntry } from '../log'
import type { Shown } from '../mark/sheet/drawing'
import { chosenFigure } from '../rules'
import { isOutside } from '../wire'
import { testedCircuits, type TestedCircuit } from './circuitTests'
import { checksOf, type Check } from './checks'
import { comparedWith, type Compared } from './compared'
import { inspectionOf, type Inspection } from './inspections'
import { missingFor, type Missing } from './missing'
import { recordOf, type ClosingRecord } from './record'

/** What a handover is made of: the wall as it is planned with what was made, what was issued, and the log. */
export interface HandedOver {
  site: Pick<Site, 'id' | 'name' | 'units' | 'contacts' | 'zone'>
  wall: Wall
  /** The plan with what was made in its place. */
  plan: Shown
  /** Arrays as they were issued last, against which it was built; as planned where nothing was. */
  issued: Shown['arrays']
  revision?: string
  built: AsBuilt
  catalogue: Catalogue
  rules: Rules
  log: LogEntry[]
}

/** What follows of a wall for its handover. */
export interface Handover {
  record: ClosingRecord
  compared: Compared
  checks: Check[]
  circuits: TestedCircuit[]
  missing: Missing[]
  inspection: Inspection
}

/** What follows of a wall for its handover. */
export function handoverOf({ wall, plan, issued, built, catalogue, rules, log }: HandedOver): Handover {
  const record = recordOf(log, wall)
  const compared = comparedWith(
    issued,
    built,
    record,
    new Map(wall.arrays.map(({ id, gap }) => [id, gap])),
    chosenFigure('seamTolerance', rules, 'metric'),
  )
  const circuits = testedCircuits(plan.wiring, record.circuitTests)
  const checks = checksOf(plan.arrays, wall, catalogue, record)
  const models = new Set(wall.arrays.flatMap(({ mount, cells = [] }) => [mount, ...cells.map(cell => cell.mount)]))
  const mounts = catalogue.mounts.filter(({ id }) => models.has(id))
  return {
    record,
    compared,
    checks,
    circuits,
    missing: missingFor(plan.arrays, built, { record, compared, checks, circuits }, plan.findings),
    inspection: inspectionOf(record, mounts, isOutside(wall), rules),
  }
}
