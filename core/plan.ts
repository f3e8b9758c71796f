import { arrange, pixelMap, sizeFaults, viewingFindings } from './arrange'
import type { Finding } from './finding'
import type { Catalogue, Fault, Job, ScreenArray, Wall } from './job'
import { mark, type Marking } from './mark'
import { mount, mountFaults, type ArrayPlan } from './mount'
import { isFramed, nextProbe, survey, type NextProbe, type Survey } from './survey'
import { words } from './units'

/** Everything that follows for one wall. */
export interface WallPlan extends Omit<Survey, 'findings'> {
  id: string
  /** Where one more reading tells most; absent where nothing is left to settle. */
  nextProbe?: NextProbe
  arrays: ArrayPlan[]
  marking: Marking
  findings: Finding[]
}

/** Everything that follows from a job; derived afresh whenever the job changes, kept only when issued. */
export interface Plan { walls: WallPlan[] }

function planArray(array: ScreenArray, wall: Wall, surveyed: Survey, job: Pick<Job, 'catalogue' | 'rules'>): { plan?: ArrayPlan, findings: Finding[] } {
  const model = job.catalogue.displays.find(({ id }) => id === array.display)
  if (!model) {
    return { findings: [{
      severity: 'stop', code: 'display-unknown', stage: 'arrange', subject: array.id,
      message: words`The display of ${array.name} is not in the catalogue.`,
    }] }
  }
  const arrangement = arrange(array, model, wall)
  const mounting = mount(array, arrangement, wall, surveyed, job)
  const { outline, imageGap } = arrangement
  const { canvas, crops } = pixelMap(arrangement.cells, arrangement.display, imageGap)
  const mountModel = job.catalogue.mounts.find(({ id }) => id === array.mount)
  return {
    plan: { id: array.id, name: array.name, outline, imageGap, canvas, shift: { x: 0, y: 0 }, positions: mounting.positions.map((position, n) => ({ ...position, crop: crops[n]!.rounded })) },
    findings: [...arrangement.findings, ...viewingFindings(array, outline, arrangement.display, model, mountModel, wall.walkway), ...mounting.findings],
  }
}

/** Plans one wall: survey, then each array, then the marks. */
export function planWall(wall: Wall, job: Pick<Job, 'catalogue' | 'rules'>): WallPlan {
  const { findings, ...surveyed } = survey(wall, job.rules)
  const planned = wall.arrays.map(array => planArray(array, wall, { ...surveyed, findings }, job))
  const arrays = planned.flatMap(({ plan }) => plan ?? [])
  const holes = arrays.flatMap(({ positions }) => positions.flatMap(({ holes }) => holes ?? []))
  const probe = isFramed(wall) ? nextProbe(wall, surveyed.members, holes) : undefined
  return {
    id: wall.id,
    ...surveyed,
    ...probe && { nextProbe: probe },
    arrays,
    marking: mark(wall, arrays, job.rules),
    findings: [...findings, ...planned.flatMap(({ findings }) => findings)],
  }
}

/**
 * The one function that composes the stages. Pure and deterministic; takes a job that
 * `validateJob` has let through.
 */
export function plan(job: Job): Plan {
  return { walls: job.walls.map(wall => planWall(wall, job)) }
}

/**
 * What a wall asks for that cannot be, whatever the place: a grid larger than the wall, a display
 * that its mount cannot carry, a plate slid beyond its travel. An edit that brings one in is
 * refused at the field; a file that has one is planned, with a stop.
 */
export function impossibilities(wall: Wall, catalogue: Catalogue, root = '$'): Fault[] {
  return wall.arrays.flatMap((array, index) => {
    const path = `${root}.arrays[${index}]`
    const display = catalogue.displays.find(({ id }) => id === array.display)
    const model = catalogue.mounts.find(({ id }) => id === array.mount)
    if (!display) return []
    return [
      ...sizeFaults(array, arrange(array, display, wall).outline, wall, path),
      ...model ? mountFaults(array, model, display, path) : [],
    ]
  })
}

/** Whether no finding of a wall stops the work. */
export function hasStop(findings: Finding[]): boolean {
  return findings.some(({ severity }) => severity === 'stop')
}
