import type { Finding } from '../finding'
import type { Catalogue, Fastener, Job, Mount, ScreenArray, Wall } from '../job'
import { mountModels, type PlateUse, type Position, type Strip } from '../mount'
import { isFramed } from '../survey'
import { words, type Figure } from '../units'
import { capacityOf, type Capacity } from './capacity'
import { chooseScrew, screwFault, type ScrewChoice } from './displayScrew'
import { driveOf, type Drive } from './drive'
import { fastenerLoad, plateLoads, type LoadCase } from './loads'
import { railUse } from './rail'
import { seatFindings } from './seat'
import { carriedSetting, nearestEdge, nearestPair, plainSetting, type Setting } from './setting'

export * from './capacity'
export * from './crowding'
export * from './curves'
export * from './displayScrew'
export * from './lag'
export * from './loads'
export * from './rail'
export * from './setting'
export * from './yield'
export { overOf } from './seat'
export type { Drive } from './drive'

/** What holds the screens of an array that are alike in display and mount. */
export interface Fixing {
  /** Id of a display and of a mount. */
  display: string
  mount: string
  /** How many screens are held so. */
  count: number
  setting: Setting
  loads: PlateUse[]
  /** The same with its workings, the case that governs first. */
  cases: { case: LoadCase, shear: Figure, tension: Figure, capacity?: Capacity, utilisation?: number }[]
  screw: ScrewChoice
  drive?: Drive
  /** How far the rail that the plates stand on is bent, where they do. */
  rail?: { figure: Figure, utilisation?: number }
}

/** What the fix stage decides for one array. */
export interface Fixed { fixings: Fixing[], findings: Finding[] }

/** Over this a fastener is used more than is wise. */
const MUCH = 0.8

type Display = Catalogue['displays'][number]
interface Pair { display: Display, mount: Mount, positions: Position[] }

/** How a pair of display and mount is held: by its own plate or by what the array stands on, and how crowded its anchors are. */
function settingOf(array: ScreenArray, wall: Wall, { mount, positions }: Pair, everyHole: { x: number, y: number }[], strips: Strip[]): Setting {
  const setting = array.carrier && isFramed(wall) ? carriedSetting(mount, array.carrier, strips) : plainSetting(mount)
  if (isFramed(wall)) return setting
  const holes = positions.flatMap(({ holes = [] }) => holes)
  return { ...setting, edge: nearestEdge(holes, wall), spacing: nearestPair(everyHole) }
}

function fixPair(array: ScreenArray, wall: Wall, fastener: Fastener | undefined, pair: Pair, setting: Setting, strips: Strip[], { catalogue, rules }: Pick<Job, 'catalogue' | 'rules'>): Fixing {
  const { display, mount, positions } = pair
  const cases = plateLoads(display, mount, wall, setting.standOff).map((load) => {
    const { shear, tension, shearFigure, tensionFigure } = fastenerLoad(load, setting.rows, setting.share)
    const known = fastener && capacityOf(fastener, wall, setting, rules, load.case)
    const utilisation = known?.known && Number.isFinite(shear) ? known.capacity.use(tension, shear) : undefined
    return { case: load.case, shear: shearFigure, tension: tensionFigure, ...known?.known && { capacity: known.capacity }, ...utilisation !== undefined && { utilisation } }
  }).sort((a, b) => (b.utilisation ?? 0) - (a.utilisation ?? 0))
  const kit = catalogue.screwKits?.find(({ thread }) => thread === display.vesa.thread)
  return {
    display: display.id, mount: mount.id, count: positions.length, setting, cases,
    loads: cases.map(({ case: name, shear, tension, utilisation }) => ({ case: name, shear: shear.value, tension: tension.value, ...utilisation !== undefined && { utilisation } })),
    screw: chooseScrew(display, mount.bracket, kit, array.spacer),
    ...fastener && { drive: driveOf(fastener, wall, setting.bearer) },
    ...setting.bearer?.kind === 'rail' && { rail: railUse(array.carrier!, strips, plateLoads(display, mount, wall, setting.standOff), mount) },
  }
}

/** Each pair of display and mount of an array, once, with the screens that it holds. */
function pairsOf(array: ScreenArray, positions: Position[], catalogue: Catalogue): Pair[] {
  const mountOf = mountModels(array, catalogue)
  const pairs = new Map<string, Pair>()
  for (const position of positions) {
    const [display, mount] = [catalogue.displays.find(({ id }) => id === position.model), mountOf(position)]
    if (!display || !mount) continue
    const key = `${display.id} ${mount.id}`
    const pair = pairs.get(key) ?? { display, mount, positions: [] }
    pair.positions.push(position)
    pairs.set(key, pair)
  }
  return [...pairs.values()]
}

const percent = (share: number) => `${Math.round(100 * share)} %`

function useFindings(array: ScreenArray, fixing: Fixing, fastener: Fastener, wall: Wall, mount: Mount, job: Pick<Job, 'rules'>): Finding[] {
  const about = { stage: 'fix', subject: array.id } as const
  const name = fastener.name ?? fastener.id
  const [governing] = fixing.cases
  if (governing?.utilisation === undefined) {
    const known = capacityOf(fastener, wall, fixing.setting, job.rules, 'stowed')
    return known.known
      ? []
      : [{ ...about, severity: 'stop', code: 'capacity-not-known', message: words`What ${name} bears is not known: ${known.why}.`, remedy: words`Give the figure, or take a fastener whose sheet has it.` }]
  }
  const { utilisation } = governing
  if (utilisation <= MUCH) return []
  const told = words`${name} under ${mount.name} is used to ${percent(utilisation)}, ${governing.case.replace('-', ' ')}: tension ${governing.tension.value.toFixed(0)} N, shear ${governing.shear.value.toFixed(0)} N.`
  return [utilisation > 1
    ? { ...about, severity: 'stop', code: 'fastener-overloaded', message: told, remedy: words`Take a larger fastener or more of them, a mount with its rows farther apart, or one that comes out less.` }
    : { ...about, severity: 'caution', code: 'fastener-much-used', message: told }]
}

function railFindings(array: ScreenArray, { rail }: Fixing): Finding[] {
  const about = { stage: 'fix', subject: array.id } as const
  if (!rail) return []
  if (rail.utilisation === undefined) return [{ ...about, severity: 'stop', code: 'rail-not-known', message: words`What the rail bears in bending is not known; it is bent by ${rail.figure.value.toFixed(0)} N·m.`, remedy: words`Give the figure from its maker’s table.` }]
  if (rail.utilisation <= MUCH) return []
  const told = words`The rail is bent to ${percent(rail.utilisation)} of what it bears, by ${rail.figure.value.toFixed(0)} N·m.`
  return [rail.utilisation > 1
    ? { ...about, severity: 'stop', code: 'rail-overbent', message: told, remedy: words`Take a stiffer rail, or fix it to more members.` }
    : { ...about, severity: 'caution', code: 'rail-much-bent', message: told }]
}

function screwFindings(array: ScreenArray, { screw }: Fixing, display: string): Finding[] {
  const about = { stage: 'fix', subject: array.id } as const
  if (!screw.range) return [{ ...about, severity: 'stop', code: 'display-screw-not-known', message: words`Which screw goes into ${display} is not known: ${screw.fits ? '' : screw.why}.`, remedy: words`Give the figure in the catalogue.` }]
  const fault = array.screw === undefined ? undefined : screwFault(array.screw, screw.range)
  if (fault) {
    return [{
      ...about, severity: 'stop', code: `display-screw-${fault.kind}`,
      message: fault.kind === 'too-long'
        ? words`A screw of ${array.screw!} is ${fault.by} too long for ${display}: it breaks what is behind the insert.`
        : words`A screw of ${array.screw!} is ${fault.by} too short for ${display}: its thread strips.`,
      remedy: words`Take ${screw.range.shortest.value} to ${screw.range.longest.value}, or change what lies under its head.`,
    }]
  }
  return screw.fits || array.screw !== undefined
    ? []
    : [{ ...about, severity: 'caution', code: 'display-screw-to-buy', message: words`For ${display}: ${screw.why}.` }]
}

/**
 * Works out what holds an array: screws into the displays, and what each load case does to the
 * fasteners in the wall.
 *
 * @param strips the rails or boards that its plates stand on
 */
export function fix(array: ScreenArray, positions: Position[], wall: Wall, job: Pick<Job, 'catalogue' | 'rules'>, strips: Strip[] = []): Fixed {
  const fastener = job.catalogue.fasteners.find(({ id }) => id === array.fastener)
  const pairs = pairsOf(array, positions, job.catalogue)
  const everyHole = positions.flatMap(({ holes = [] }) => holes)
  const settings = pairs.map(pair => settingOf(array, wall, pair, everyHole, strips))
  const fixings = pairs.map((pair, n) => fixPair(array, wall, fastener, pair, settings[n]!, strips, job))
  return {
    fixings,
    findings: fixings.flatMap((fixing, n) => [
      ...fastener ? [...seatFindings(array, fastener, wall, settings[n]!), ...useFindings(array, fixing, fastener, wall, pairs[n]!.mount, job)] : [],
      ...railFindings(array, fixing),
      ...screwFindings(array, fixing, pairs[n]!.display.name),
    ]),
  }
}
