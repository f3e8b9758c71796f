import { STAGES, type Stage } from '../finding'
import { words, type Text } from '../units'
import { plural } from '../units/plural'
import { stageState, type Standing } from './stageStates'
import { waitOf } from './waits'

/** What is to be done next at a wall, in one line, and where: a stage, and of its bench the panel. */
export interface WhatNow { says: Text, stage: Stage, panel?: string }

type Open = (now: Standing) => Omit<WhatNow, 'stage'> | undefined
const say = (text: string, panel?: string): Omit<WhatNow, 'stage'> =>
  ({ says: words`${text}`, ...(panel !== undefined && { panel }) })

/** The first thing that is missing of a circuit, a box, a route or a cable. */
function missingInWire({ wall, plan }: Standing): ReturnType<Open> {
  const { left = [], boxes = [], noWay = [], cables = [] } = plan?.wiring ?? {}
  const [unplaced, unchosen] = [boxes.filter(({ held }) => !held), cables.filter(({ taken }) => taken === undefined)]
  if ((wall.sources ?? []).length === 0) return say('Add the circuits and outlets that feed the screens.', 'power')
  if (left.length > 0) return say(`Put ${plural(left.length, 'screen')} on a circuit.`, 'power')
  if (boxes.length === 0) return say('Add the boxes behind the screens.', 'boxes')
  if (unplaced.length > 0) return say(`Find a place for ${plural(unplaced.length, 'box', 'boxes')}.`, 'boxes')
  if (noWay.length > 0) return say(`Find a route to ${plural(noWay.length, 'box', 'boxes')}.`, 'routes')
  if (unchosen.length > 0) return say(`Choose ${plural(unchosen.length, 'cable')}.`, 'schedule')
  return undefined
}

/** What is missing at each stage for it to be complete, once nothing stops it. */
const OPEN: Record<Stage, Open> = {
  survey: () => say('Enter readings until the studs are found.', 'readings'),
  arrange: () => say('Add an array of screens.', 'grid'),
  mount: () => say('Choose a mount for each array.', 'plates'),
  fix: () => say('Choose the fastener that goes into the wall.', 'wall'),
  wire: missingInWire,
  mark: ({ issued }) => issued ? undefined : say('Issue the mark-out.', 'issue'),
  hang: ({ holes, drilled, stepsLeft, screensLeft }) => {
    if (drilled < holes) return say(`Drill ${plural(holes - drilled, 'hole')}.`, 'holes')
    if (stepsLeft > 0) return say(`Do ${plural(stepsLeft, 'step')} of the work.`, 'steps')
    return screensLeft > 0 ? say(`Hang ${plural(screensLeft, 'screen')}.`, 'screens') : undefined
  },
  true: ({ read }) => read
    ? say('Turn adjusters, and read the seams that are out of tolerance again.', 'turn')
    : say('Read the seams.', 'read'),
  close: () => say('Record locks, serial numbers and checks, then sign off.', 'hand'),
}

/**
 * What is to be done next while a stage is worked on: its stops first, then what it waits for, then what it lacks; once
 * it is complete, the next stage that is not. Undefined where the whole wall is done.
 *
 * @example
 * // a wall with an array, and no mount chosen
 * whatNow('mount', now) // { says: ['Choose a mount for each array.'], stage: 'mount', panel: 'plates' }
 */
export function whatNow(stage: Stage, now: Standing): WhatNow | undefined {
  const stops = now.findings.filter(finding => finding.stage === stage && finding.severity === 'stop')
  const [first] = stops
  if (first) {
    const says = words`Cure ${plural(stops.length, 'stop')}: ${stops.length === 1 ? 'it is' : 'they are'} listed above.`
    return { says, stage, ...(first.opens && { panel: first.opens.panel }) }
  }
  const wait = waitOf(stage, now.findings)
  if (wait) return { says: words`Cure ${plural(wait.stops, 'stop')} first.`, stage: wait.stage }
  const isDone = (of: Stage) => ['settled', 'caution'].includes(stageState(of, now)) && !lacking(of, now)
  const open = isDone(stage) ? undefined : lacking(stage, now)
  if (open) return { ...open, stage }
  const next = [...STAGES.slice(STAGES.indexOf(stage) + 1), ...STAGES].find(other => !isDone(other))
  return next && next !== stage ? { says: words`This stage is complete.`, stage: next } : undefined
}

/** What a stage lacks, where it is not complete but for cautions. */
function lacking(stage: Stage, now: Standing): Omit<WhatNow, 'stage'> | undefined {
  const quiet = { ...now, findings: now.findings.filter(({ severity }) => severity === 'stop') }
  return stageState(stage, quiet) === 'settled' ? undefined : OPEN[stage](now)
}
