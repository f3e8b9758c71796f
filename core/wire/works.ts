import { overlaps, type Point, type Rect } from '../geometry'
import type { CableModel, Rules } from '../job'
import { routeMinutes } from '../rules'
import type { UnitSystem } from '../units'
import { boreFor, filled } from './routes/bore'
import type { CablePlan } from './cables/cables'
import { inSight } from './routes/raceway'
import type { RoutePlan } from './routes/routes'
import { methodOf } from './routes/powerMethods'
import type { Leg } from './routes/ways'

/** An opening in the covering, and the routes that share it. */
export interface OpeningPlan { id: string, rect: Rect, at: 'blocking' | 'stud', routes: string[] }
/** A hole bored for all that passes there, mm; NaN where no bit is large enough. */
export interface BorePlan {
  id: string
  x: number
  y: number
  diameter: number
  through: Leg['bores'][number]['through']
  routes: string[]
  cables: number
}

/** How much raceway there is, how much of it in sight, how wide its inside must be, mm, and its corners. */
export interface RacewayPlan {
  kind: RoutePlan['kind']
  length: number
  seen: number
  inside: number
  corners: number
}

/** What is opened, bored and closed for all routes together, each thing once. */
export interface Works {
  openings: OpeningPlan[]
  bores: BorePlan[]
  seals: number
  patches: number
  guards: number
  /** Grommets where a sheath passes sheet steel; connectors, pull boxes of metal-clad cable and conduit. */
  grommets: number
  connectors: number
  pullBoxes: number
  minutes: number
  /** Raceway of power, and of signal, which lie in runs of their own. */
  raceways: RacewayPlan[]
  /** Cables that are cut from reels: for each model the stocked lengths to have. */
  reels: { model: CableModel, lengths: number[], left: number }[]
}

/** Two holes nearer than this are one, mm. */
const NEAR = 40

function openingsOf(routes: RoutePlan[]): OpeningPlan[] {
  const out: OpeningPlan[] = []
  for (const { id, legs } of routes) {
    for (const leg of legs) {
      for (const rect of leg.openings) {
        const at = leg.method === 'across a stud' ? 'stud' : 'blocking'
        const known = out.find(other => other.at === at && overlaps(other.rect, rect))
        if (!known) {
          out.push({ id: `opening-${out.length + 1}`, rect, at, routes: [id] })
          continue
        }
        const [x, y] = [Math.min(known.rect.x, rect.x), Math.min(known.rect.y, rect.y)]
        known.rect = {
          x,
          y,
          width: Math.max(known.rect.x + known.rect.width, rect.x + rect.width) - x,
          height: Math.max(known.rect.y + known.rect.height, rect.y + rect.height) - y,
        }
        known.routes = [...new Set([...known.routes, id])]
      }
    }
  }
  return out
}

function boresOf(routes: RoutePlan[], cables: CablePlan[], { rules, units }: Given): BorePlan[] {
  const out: Omit<BorePlan, 'diameter' | 'cables'>[] = []
  for (const { id, kind, legs } of routes) {
    for (const { x, y, through } of legs.flatMap(({ bores }) => bores)) {
      // Power and signal never share a hole.
      const known = out.find(
        other =>
          other.through === through
          && Math.abs(other.x - x) < NEAR
          && Math.abs(other.y - y) < NEAR
          && routes.find(route => route.id === other.routes[0])!.kind === kind,
      )
      if (known) known.routes = [...new Set([...known.routes, id])]
      else out.push({ id: `bore-${out.length + 1}`, x, y, through, routes: [id] })
    }
  }
  return out.map((bore) => {
    const passing = cables.filter(({ route }) => route !== undefined && bore.routes.includes(route))
    const models = passing.flatMap(({ model, kind }) =>
      model ? [methodOf(kind === 'power' ? 'power' : 'signal', rules).passing(model, units)] : [])
    return {
      ...bore,
      diameter:
        models.length > 0
          ? boreFor(models, units)
          : Math.max(...routes.filter(({ id }) => bore.routes.includes(id)).map(({ hole }) => hole)),
      cables: passing.length,
    }
  })
}

/** A run of raceway: a straight line with what lies in each part of it. */
interface Run { at: (along: number) => Point, parts: { from: number, to: number, route: RoutePlan }[] }

function runsOf(routes: RoutePlan[]): Run[] {
  const runs = new Map<string, Run>()
  for (const route of routes) {
    for (const { from, to } of route.legs.filter(({ method }) => method === 'raceway')) {
      const upright = Math.abs(from.x - to.x) < 1e-6
      const key = `${route.kind} ${upright ? `x${Math.round(from.x)}` : `y${Math.round(from.y)}`}`
      const run = runs.get(key) ?? {
        at: along => (upright ? { x: from.x, y: along } : { x: along, y: from.y }),
        parts: [],
      }
      const [a, b] = upright ? [from.y, to.y] : [from.x, to.x]
      run.parts.push({ from: Math.min(a, b), to: Math.max(a, b), route })
      runs.set(key, run)
    }
  }
  return [...runs.values()]
}

/** Where raceways of some routes turn a corner, each place once. */
function cornersOf(routes: RoutePlan[]): number {
  const places = routes.flatMap(({ legs }) => {
    const runs = legs.filter(({ method }) => method === 'raceway')
    return runs.slice(1).map(({ from }) => `${Math.round(from.x)} ${Math.round(from.y)}`)
  })
  return new Set(places).size
}

/** Raceways of a kind that lie over each other are one run, as wide as what is in its fullest stretch. */
function racewayOf(kind: RoutePlan['kind'], all: RoutePlan[], cables: CablePlan[], cases: Rect[]): RacewayPlan[] {
  const routes = all.filter(route => route.kind === kind)
  const runs = runsOf(routes)
  if (runs.length === 0) return []
  const raceway: RacewayPlan = { kind, length: 0, seen: 0, inside: 0, corners: cornersOf(routes) }
  for (const { at, parts } of runs) {
    const ends = [...new Set(parts.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b)
    for (const [n, to] of ends.slice(1).entries()) {
      const from = ends[n]!
      const here = parts.filter(part => part.from < to && part.to > from)
      if (here.length === 0) continue
      raceway.length += to - from
      raceway.seen += inSight({ from: at(from), to: at(to) }, cases)
      raceway.inside = Math.max(
        raceway.inside,
        filled(
          here.flatMap(({ route }) =>
            cables.flatMap(cable => (cable.route === route.id && cable.model ? [cable.model] : [])),
          ),
        ),
      )
    }
  }
  return [raceway]
}

/**
 * Pieces cut from reels: the longest first, each from the first reel that still holds it, else from the least new one
 * that does.
 */
function reelsOf(cables: CablePlan[]): Works['reels'] {
  const byModel = new Map<string, CablePlan[]>()
  for (const cable of cables)
    if (cable.model && !cable.model.plug && cable.taken !== undefined)
      byModel.set(cable.model.id, [...(byModel.get(cable.model.id) ?? []), cable])
  return [...byModel.values()].map((pieces) => {
    const { model } = pieces[0]!
    const reels: { length: number, left: number }[] = []
    for (const { needed } of [...pieces].sort((a, b) => b.needed.value - a.needed.value)) {
      const reel = reels.find(({ left }) => left >= needed.value) ?? (() => {
        const length = [...model!.lengths].sort((a, b) => a - b).find(each => each >= needed.value)!
        const begun = { length, left: length }
        reels.push(begun)
        return begun
      })()
      reel.left -= needed.value
    }
    return {
      model: model!,
      lengths: reels.map(({ length }) => length),
      left: reels.reduce((sum, { left }) => sum + left, 0),
    }
  })
}

/** By what a wall is worked: cases that hide raceway, whether it is outside, its rules and units. */
interface Given { cases: Rect[], outside: boolean, rules: Rules, units: UnitSystem }

/** How many grommets: one for each bore through sheet steel that a sheath passes. */
function grommetsOf(bores: BorePlan[], routes: RoutePlan[]): number {
  const sheathed = new Set(routes.filter(({ grommets }) => grommets > 0).map(({ id }) => id))
  return bores.filter(({ routes: of }) => of.some(id => sheathed.has(id))).length
}

/** What all routes together have opened, bored and closed; outside, what is cut for each box is sealed too. */
export function worksOf(routes: RoutePlan[], cables: CablePlan[], given: Given): Works {
  const { cases, outside, rules } = given
  const spent = routeMinutes(rules)
  const [openings, bores] = [openingsOf(routes), boresOf(routes, cables, given)]
  const { construction } = methodOf('power', rules)
  const armoured = construction === 'sheathed' ? [] : routes.filter(({ kind }) => kind === 'power')
  const each = (of: (leg: Leg) => number) =>
    routes.reduce((sum, { legs }) => sum + legs.reduce((total, leg) => total + of(leg), 0), 0)
  const plates = bores.filter(({ through }) => through === 'plate').length
  // An opening that several share is made and closed once, and so is a hole in a plate.
  const spared = {
    openings: each(({ openings }) => openings.length) - openings.length,
    plates: each(({ method }) => (method === 'bored plate' ? 1 : 0)) - plates,
  }
  // What was left behind blocking is recovered once, whichever routes open it.
  const recoveries = routes.flatMap(({ legs }) =>
    legs.flatMap(({ lost, openings: [opening] }) => lost && opening ? [`${opening.x} ${opening.y}`] : []))
  const blocked = openings.filter(({ at }) => at === 'blocking').length
  const sparedBlocked
    = each(({ method, openings }) => (method === 'opening at blocking' ? openings.length : 0)) - blocked
  return {
    openings,
    bores,
    raceways: [...racewayOf('power', routes, cables, cases), ...racewayOf('signal', routes, cables, cases)],
    grommets: grommetsOf(bores, routes),
    connectors: 2 * armoured.length,
    pullBoxes: routes.reduce((sum, { pullBoxes }) => sum + pullBoxes, 0),
    reels: reelsOf(cables),
    seals: bores.length + (outside ? routes.length : 0),
    patches: openings.length,
    guards: each(({ guards }) => guards),
    minutes:
      routes.reduce((sum, { minutes }) => sum + minutes, 0)
      - sparedBlocked * spent.minutesOpening
      - (recoveries.length - new Set(recoveries).size) * spent.minutesRecover
      - (spared.openings - sparedBlocked) * spent.minutesStud
      - Math.max(spared.plates, 0) * spent.minutesPlate,
  }
}
