import type { Finding } from '../finding'
import type { Catalogue, Rules, Source, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import type { Member } from '../survey'
import { words, type Figure } from '../units'
import { baysOf } from './bays'
import { placeBoxes, type BoxPlan } from './boxes'
import { packCircuits, type Feed } from './circuits'
import { routesOf, type NoWay, type RoutePlan } from './routes'
import { CONTINUOUS, heatOf, shareOf, type Load } from './draw'

export { baysOf, type Bay } from './bays'
export { cavityOf, type BoxPlan } from './boxes'
export { CONTINUOUS, type Load } from './draw'
export type { RoutePlan } from './routes'
export type { Method } from './ways'

/** A circuit with the screens that it feeds. */
export interface CircuitPlan {
  id: string
  name: string
  screens: string[]
  /** What its screens draw at most, and as a rule, W. */
  watts: number
  typical: number
  /** The same at most, A, without what is on it already. */
  amps: number
  /** Share of its breaker that is used, %, with its working. */
  share: Figure
  /** When each screen starts after the first, s. */
  starts: { screen: string, after: number }[]
}

/** How a wall is wired. */
export interface Wiring {
  circuits: CircuitPlan[]
  boxes: BoxPlan[]
  routes: RoutePlan[]
  /** Boxes that nothing leads to. */
  noWay: NoWay[]
  /** Every screen that draws power, and those that no circuit feeds. */
  loads: Load[]
  left: Load[]
  heat: Figure
}

/** Screens that wait for no delay of their own start so long after one another, s. */
const STAGGER = 1

const nameOf = ({ id, name, kind }: Source) => name ?? `${kind} ${id}`
const isFeed = ({ kind }: Source) => kind === 'circuit' || kind === 'outlet'

function loadsOf(arrays: ArrayPlan[], { displays }: Catalogue): Load[] {
  return arrays.flatMap(({ name, positions }) => positions.map(({ id, row, column, model, outer }): Load => {
    const power = displays.find(display => display.id === model)?.power
    return { screen: id, x: outer.x + outer.width / 2, y: outer.y + outer.height / 2, label: `${arrays.length > 1 ? `${name} ` : ''}R${row} C${column}`, ...power && { power } }
  }))
}

function startsOf(loads: Load[]): CircuitPlan['starts'] {
  let after = 0
  return loads.map(({ screen, power }, n) => {
    if (n > 0) after += power?.delay ?? STAGGER
    return { screen, after }
  })
}

/** Works out how the arrays of a wall are wired: which circuit feeds which screen, and where the boxes go. */
export function wire(wall: Wall, members: Member[], arrays: ArrayPlan[], catalogue: Catalogue, rules: Rules): Wiring {
  const loads = loadsOf(arrays, catalogue)
  const sources = (wall.sources ?? []).filter(isFeed)
  const feeds = sources.flatMap(({ id, amps, volts, loaded = 0 }): Feed[] => amps !== undefined && volts !== undefined ? [{ id, amps, volts, loaded }] : [])
  const boxes = placeBoxes(wall, members, arrays, catalogue)
  const { fed, left } = packCircuits(loads.filter(({ power }) => power), feeds)
  const feeding = new Map(feeds.flatMap((feed, n) => fed[n]!.map(({ screen }) => [screen, sources.find(({ id }) => id === feed.id)!] as const)))
  return {
    ...routesOf(wall, baysOf(wall, members), members, boxes, feeding, rules),
    circuits: feeds.map((feed, n): CircuitPlan => {
      const share = shareOf(fed[n]!, feed)
      return {
        id: feed.id, name: nameOf(sources.find(({ id }) => id === feed.id)!), screens: fed[n]!.map(({ screen }) => screen),
        watts: fed[n]!.reduce((sum, { power }) => sum + power!.max, 0), typical: fed[n]!.reduce((sum, { power }) => sum + power!.typical, 0),
        amps: share.working[0]!.value, share, starts: startsOf(fed[n]!),
      }
    }),
    boxes, loads, left: feeds.length > 0 ? left : [], heat: heatOf(loads),
  }
}

/** What is wrong, doubtful or not known in the wiring of a wall; nothing is said of one where nobody has begun to wire. */
export function wireFindings(wall: Wall, { circuits, boxes, loads, left, noWay }: Wiring): Finding[] {
  const sources = (wall.sources ?? []).filter(isFeed)
  if (sources.length === 0 && boxes.length === 0) return []
  const about = { stage: 'wire', subject: { kind: 'wall', id: wall.id } } as const
  const unknown = loads.filter(({ power }) => !power)
  const labels = (list: Load[]) => list.slice(0, 6).map(({ label }) => label).join(', ') + (list.length > 6 ? ` and ${list.length - 6} more` : '')
  const over = circuits.filter(({ share }) => share.value > 100 * CONTINUOUS + 1e-9)
  return [
    ...sources.filter(({ amps, volts }) => amps === undefined || volts === undefined).map((source): Finding => ({
      ...about, severity: 'stop', code: 'circuit-not-known', message: words`The ${source.amps === undefined ? 'breaker' : 'voltage'} of ${nameOf(source)} is not known: nothing can be put on it.`, remedy: words`Read it at the panel and enter it.`,
    })),
    ...(wall.sources ?? []).filter(({ feature }) => feature !== undefined && !(wall.features ?? []).some(({ id }) => id === feature)).map((source): Finding => ({
      ...about, severity: 'stop', code: 'source-gone', message: words`${nameOf(source)} was at ${source.feature!}, which is not on the wall any more.`, remedy: words`Say where it is now, or take it away.`,
    })),
    ...unknown.length > 0 && sources.length > 0 ? [{ ...about, severity: 'stop' as const, code: 'power-not-known', message: words`What ${labels(unknown)} ${unknown.length === 1 ? 'draws' : 'draw'} is not known: no circuit can be chosen for ${unknown.length === 1 ? 'it' : 'them'}.`, remedy: words`Give typical and most in the catalogue, from the display’s sheet.` }] : [],
    ...left.length > 0 ? [{ ...about, severity: 'stop' as const, code: 'circuit-full', message: words`No circuit has room for ${labels(left)}: ${String(Math.round(left.reduce((sum, { power }) => sum + power!.max, 0)))} W at most.`, remedy: words`Have another circuit brought, or take load off one that is there.` }] : [],
    ...over.map((circuit): Finding => ({ ...about, severity: 'stop', code: 'circuit-overloaded', message: words`What is on ${circuit.name} already is over 80 % of its breaker.`, remedy: words`Take load off it; nothing more may go on.` })),
    ...circuits.some(({ screens }) => screens.length > 0) ? [{ ...about, severity: 'note' as const, code: 'licensed-people', message: words`Fixed wiring, its protection and its testing are for licensed people under local code. Isolate, lock and prove dead before a box is opened; detect live cables before cutting.` }] : [],
    ...noWay.map(({ box, why }): Finding => ({
      stage: 'wire', subject: { kind: 'box', id: box }, severity: wall.void === undefined ? 'caution' : 'stop', code: wall.void === undefined ? 'void-not-known' : 'no-way', message: words`Nothing leads to box ${box}: ${why}.`,
      remedy: wall.void === undefined ? words`Say in Wire, under Routes, what is open.` : words`Feed it from an outlet in its bay, run a raceway on the face, or have a void opened.`,
    })),
    ...boxes.filter(({ held }) => !held).map((box): Finding => ({
      stage: 'wire', subject: { kind: 'box', id: box.id }, severity: 'stop', code: 'box-no-place', message: words`Box ${box.id}: ${box.wrong.reduce((text, each, n) => n === 0 ? each : words`${text}; ${each}`, [])}.`,
      ...box.nearest ? { remedy: words`It would do at ${box.nearest.x} along and ${box.nearest.y} up.` } : { remedy: words`Take a smaller or shallower box, another bay, or a surface box.` },
    })),
  ]
}
