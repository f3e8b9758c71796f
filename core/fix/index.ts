import type { Finding } from '../finding'
import type { Catalogue, Fastener, Job, Mount, ScreenArray, Wall } from '../job'
import type { PlateUse, Position } from '../mount'
import { words, type Figure } from '../units'
import { capacityOf, type Capacity } from './capacity'
import { chooseScrew, screwFault, type ScrewChoice } from './displayScrew'
import { fastenerLoad, plateLoads, rowsOf, type LoadCase } from './loads'
import { seatFindings } from './seat'

export * from './capacity'
export * from './displayScrew'
export * from './lag'
export * from './loads'
export * from './yield'
export { overOf } from './seat'

/** What holds the screens of an array that are alike in display and mount. */
export interface Fixing {
  /** Id of a display and of a mount. */
  display: string
  mount: string
  /** How many screens are held so. */
  count: number
  loads: PlateUse[]
  /** The same with its workings, the case that governs first. */
  cases: { case: LoadCase, shear: Figure, tension: Figure, capacity?: Capacity, utilisation?: number }[]
  screw: ScrewChoice
}

/** What the fix stage decides for one array. */
export interface Fixed { fixings: Fixing[], findings: Finding[] }

/** Over this a fastener is used more than is wise. */
const MUCH = 0.8

function fixPair(array: ScreenArray, wall: Wall, fastener: Fastener | undefined, pair: { display: Catalogue['displays'][number], mount: Mount, count: number }, { catalogue, rules }: Pick<Job, 'catalogue' | 'rules'>): Fixing {
  const { display, mount, count } = pair
  const cases = plateLoads(display, mount, wall).map((load) => {
    const { shear, tension, shearFigure, tensionFigure } = fastenerLoad(load, rowsOf(mount))
    const known = fastener && capacityOf(fastener, wall, mount, rules, load.case)
    const utilisation = known?.known ? known.capacity.use(tension, shear) : undefined
    return { case: load.case, shear: shearFigure, tension: tensionFigure, ...known?.known && { capacity: known.capacity }, ...utilisation !== undefined && { utilisation } }
  }).sort((a, b) => (b.utilisation ?? 0) - (a.utilisation ?? 0))
  const kit = catalogue.screwKits?.find(({ thread }) => thread === display.vesa.thread)
  return {
    display: display.id, mount: mount.id, count, cases,
    loads: cases.map(({ case: name, shear, tension, utilisation }) => ({ case: name, shear: shear.value, tension: tension.value, ...utilisation !== undefined && { utilisation } })),
    screw: chooseScrew(display, mount.bracket, kit, array.spacer),
  }
}

/** Each pair of display and mount of an array, once, with how many screens it holds. */
function pairsOf(array: ScreenArray, positions: Position[], { displays, mounts }: Catalogue) {
  const pairs = new Map<string, { display: Catalogue['displays'][number], mount: Mount, count: number }>()
  for (const { model, mount: own } of positions) {
    const [display, mount] = [displays.find(({ id }) => id === model), mounts.find(({ id }) => id === (own ?? array.mount))]
    if (!display || !mount) continue
    const key = `${display.id} ${mount.id}`
    pairs.set(key, { display, mount, count: (pairs.get(key)?.count ?? 0) + 1 })
  }
  return [...pairs.values()]
}

const percent = (share: number) => `${Math.round(100 * share)} %`

function useFindings(array: ScreenArray, fixing: Fixing, fastener: Fastener, wall: Wall, mount: Mount, job: Pick<Job, 'rules'>): Finding[] {
  const about = { stage: 'fix', subject: array.id } as const
  const name = fastener.name ?? fastener.id
  const [governing] = fixing.cases
  if (governing?.utilisation === undefined) {
    const known = capacityOf(fastener, wall, mount, job.rules, 'stowed')
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

/** Works out what holds an array: screws into the displays, and what each load case does to the fasteners in the wall. */
export function fix(array: ScreenArray, positions: Position[], wall: Wall, job: Pick<Job, 'catalogue' | 'rules'>): Fixed {
  const fastener = job.catalogue.fasteners.find(({ id }) => id === array.fastener)
  const pairs = pairsOf(array, positions, job.catalogue)
  const fixings = pairs.map(pair => fixPair(array, wall, fastener, pair, job))
  return {
    fixings,
    findings: fixings.flatMap((fixing, n) => [
      ...fastener ? [...seatFindings(array, fastener, wall, pairs[n]!.mount), ...useFindings(array, fixing, fastener, wall, pairs[n]!.mount, job)] : [],
      ...screwFindings(array, fixing, pairs[n]!.display.name),
    ]),
  }
}
