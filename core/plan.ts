import { apartFindings, arrange, displayFaults, pixelMap, sizeFaults, viewingFindings } from './arrange'
import { contradictoryFigures } from './catalogue/fastenerFaults'
import { plateFaults } from './catalogue/plateFaults'
import type { Finding } from './finding'
import type { Rect } from './geometry'
import { arraysOf, type Catalogue, type Fault, type Job, type PlanContext, type ScreenArray, type Wall } from './job'
import { fix } from './fix'
import { hangFindings } from './hang'
import { asBuilt, NOTHING_BUILT, withDrilled, withOverrides, type AsBuilt } from './log'
import { mark, type Marking } from './mark'
import { mount, mountFaults, mountModels, place, type ArrayPlan, type Mounting } from './mount'
import { carryingWall, isFramed, nextProbe, survey, type NextProbe, type Survey, type Unheld } from './survey'
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

/** An array with its plates and holes where they are placed, and what its displays' pictures make. */
interface MountedArray { array: ScreenArray, mounting: Mounting, plan: Omit<ArrayPlan, 'positions'>, crops: Rect[], findings: Finding[] }

function mountArray(array: ScreenArray, wall: Wall, surveyed: Survey, job: PlanContext, built: AsBuilt): MountedArray | Finding {
  const nominal = arrange(array, job.catalogue.displays, wall)
  if (!nominal) {
    return {
      severity: 'stop', code: 'display-unknown', stage: 'arrange', subject: { kind: 'array', id: array.id },
      message: words`The display of ${array.name} is not in the catalogue.`,
    }
  }
  const placing = place(array, nominal.cells, wall, surveyed, job, built)
  const { x, y } = placing.shift
  const arrangement = x === 0 && y === 0 ? nominal : arrange(array, job.catalogue.displays, wall, placing.shift)!
  const { outline, imageGap, cells } = arrangement
  const mounting = mount(array, cells, placing, wall, surveyed, job, built)
  const model = job.catalogue.displays.find(({ id }) => id === array.display)!
  const mountModel = job.catalogue.mounts.find(({ id }) => id === array.mount)
  const map = cells.length > 0 ? pixelMap(cells, imageGap) : undefined
  return {
    array, mounting,
    plan: { id: array.id, name: array.name, outline, imageGap, canvas: map?.canvas ?? { width: 0, height: 0 }, shift: placing.shift, strips: mounting.strips },
    crops: map?.crops.map(({ rounded }) => rounded) ?? [],
    findings: [...modelFindings(array, cells, job.catalogue), ...arrangement.findings, ...viewingFindings(array, outline, cells, model, mountModel, job.site?.units ?? 'metric', wall.walkway), ...mounting.findings],
  }
}

/** What holds each array, once the holes of all are known: anchors of one weaken those of another beside it. */
function fixArrays(mounted: MountedArray[], wall: Wall, { members }: Survey, job: PlanContext): { plan: ArrayPlan, findings: Finding[] }[] {
  const everyHole = mounted.flatMap(({ mounting }) => mounting.positions.flatMap(({ holes = [] }) => holes))
  return mounted.map(({ array, mounting: { positions, strips }, plan, crops, findings }) => {
    const fixed = fix(array, positions, wall, job, { strips, members, everyHole })
    return {
      plan: { ...plan, positions: positions.map((position, n) => {
        const loads = fixed.loads.get(position.id)
        return { ...position, crop: crops[n]!, ...loads && { loads } }
      }) },
      findings: [...findings, ...fixed.findings],
    }
  })
}

/** A stop for each model of an array whose own figures cannot be, as a file may bring one. */
function modelFindings(array: ScreenArray, cells: { model: string, mount?: string }[], { displays, mounts, fasteners }: Catalogue): Finding[] {
  const stops = (stage: 'arrange' | 'mount' | 'fix', code: string, name: string, faults: Fault[]) => faults.map(({ message }): Finding => ({
    severity: 'stop', code, stage, subject: { kind: 'array', id: array.id }, message: words`${name}: ${message.charAt(0).toLowerCase()}${message.slice(1)}.`, remedy: words`Set its figures right in the catalogue.`,
  }))
  const used = new Set(cells.flatMap(({ model, mount = array.mount }) => [`display ${model}`, `mount ${mount}`]))
  return [
    ...displays.filter(({ id }) => used.has(`display ${id}`)).flatMap(model => stops('arrange', 'display-impossible', model.name, displayFaults(model))),
    ...mounts.filter(({ id }) => used.has(`mount ${id}`)).flatMap(model => stops('mount', 'mount-impossible', model.name, plateFaults(model))),
    ...fasteners.filter(({ id }) => id === array.fastener).flatMap(model => stops('fix', 'fastener-impossible', model.name ?? model.id, contradictoryFigures(model))),
  ]
}

/** A caution while the arrays that are planned are not those that the client chose among several. */
function alternativeFindings({ id, alternatives = [], alternative, chosen }: Wall): Finding[] {
  if (alternatives.length < 2 || (chosen !== undefined && chosen === alternative)) return []
  const name = (wanted: string | undefined) => alternatives.find(({ id }) => id === wanted)?.name ?? 'none'
  return [{
    severity: 'caution', code: 'alternative-open', stage: 'arrange', subject: { kind: 'wall', id },
    message: chosen === undefined
      ? words`${String(alternatives.length)} alternatives are kept and none is chosen yet.`
      : words`“${name(chosen)}” is chosen, and this is “${name(alternative)}”.`,
    remedy: words`Nothing should be marked out before the client has chosen.`,
  }]
}

const laidOf = (arrays: ArrayPlan[]) => arrays.map(({ id, name, outline, positions }) => ({ id, name, outline, cells: positions }))

/** The stretch of wall whose members the plates of some arrays may be fixed to, by themselves or by rails: a bay past their outlines. */
function besidePlates(arrays: ArrayPlan[]): { from: number, to: number } {
  const BAY = 610
  return { from: Math.min(...arrays.map(({ outline }) => outline.x)) - BAY, to: Math.max(...arrays.map(({ outline }) => outline.x + outline.width)) + BAY }
}

/** The plates of an array that nothing holds, and where along the wall each could reach members, as far as it and the array may be shifted. */
function unheldIn({ array, mounting }: MountedArray, { catalogue }: PlanContext): Unheld[] {
  const modelOf = mountModels(array, catalogue)
  return mounting.positions.flatMap((position) => {
    const { row, column, plate } = position
    if (!plate || plate.held) return []
    const reach = (array.shiftTolerance?.x ?? 0) + (modelOf(position)?.adjust?.lateral ?? 0)
    return [{ from: plate.rect.x - reach, to: plate.rect.x + plate.rect.width + reach, y: plate.centre.y, of: `${array.name} R${row} C${column}` }]
  })
}

/**
 * Plans one wall: survey, then each array, then the marks.
 *
 * @param built what stands there by the log: made holes keep their place, and one that missed is a reading
 */
export function planWall(document: Wall, job: PlanContext, built: AsBuilt = NOTHING_BUILT): WallPlan {
  const wall = carryingWall(withDrilled({ ...document, arrays: arraysOf(document) }, built), job.rules)
  const { findings, ...surveyed } = survey(wall, job.rules)
  const whole = { ...surveyed, findings }
  const mounted = wall.arrays.map(array => mountArray(array, wall, whole, job, built))
  const unknown = mounted.filter((each): each is Finding => 'code' in each)
  const planned = fixArrays(mounted.filter((each): each is MountedArray => 'mounting' in each), wall, whole, job)
  const arrays = planned.map(({ plan }) => plan)
  const probe = isFramed(wall)
    ? nextProbe(wall, surveyed.members, arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes)), {
        unsurveyed: mounted.flatMap(each => 'mounting' in each ? each.mounting.unsurveyed : []), unheld: mounted.flatMap(each => 'mounting' in each ? unheldIn(each, job) : []), runs: surveyed.runs, units: job.site?.units ?? 'metric', ...arrays.length > 0 && { near: besidePlates(arrays) },
      })
    : undefined
  return {
    id: wall.id,
    ...surveyed,
    ...probe && { nextProbe: probe },
    arrays,
    marking: mark(wall, arrays, job.rules),
    findings: withOverrides([...findings, ...hangFindings(arrays, built), ...alternativeFindings(wall), ...unknown, ...planned.flatMap(({ findings }) => findings), ...apartFindings(laidOf(arrays), wall.clearance)], built.overrides),
  }
}

/**
 * The one function that composes the stages. Pure and deterministic; takes a job that
 * `validateJob` has let through.
 */
export function plan(job: Job): Plan {
  return { walls: job.walls.map(wall => planWall(wall, job, asBuilt(job.log, wall.id))) }
}

/**
 * What a wall asks for that cannot be, whatever the place: a grid larger than the wall, a display
 * that its mount cannot carry, a plate slid beyond its travel. An edit that brings one in is
 * refused at the field; a file that has one is planned, with a stop.
 */
export function infeasibleInputs(wall: Wall, catalogue: Catalogue, root = '$'): Fault[] {
  return wall.arrays.flatMap((array, index) => {
    if (array.alternative !== undefined && array.alternative !== wall.alternative) return []
    const path = `${root}.arrays[${index}]`
    const arrangement = arrange(array, catalogue.displays, wall)
    if (!arrangement) return []
    return [...sizeFaults(array, arrangement.outline, wall, path), ...mountFaults(array, arrangement.cells, catalogue, path)]
  })
}

/** Whether no finding of a wall stops the work. */
export function hasStop(findings: Finding[]): boolean {
  return findings.some(({ severity }) => severity === 'stop')
}
