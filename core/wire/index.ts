import type { PlanContext, Source, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import type { Member } from '../survey'
import { routeMinutes } from '../rules'
import { words } from '../units'
import { baysOf } from './bays'
import { boreFor } from './routes/bore'
import { isSignal, type BoxPlan } from './boxes/boxes'
import { placeBoxes } from './boxes/placeBoxes'
import { cablesOf, stretchesTo, type CablePlan } from './cables/cables'
import { thickestOf } from './cables/choose'
import { packCircuits, type Feed } from './circuits/circuits'
import { heatOf, shareOf, type Load } from './circuits/draw'
import { isPoe, poeOf } from './cables/poe'
import { dropOf } from './circuits/drop'
import { lookFirst } from './routes/lookFirst'
import { methodOf } from './routes/powerMethods'
import { looped } from './routes/looped'
import { reaching } from './routes/reach'
import { portsOf, type Link } from './cables/ports'
import { endsOf, routesOf, type NoWay, type RoutePlan, type Wanted } from './routes/routes'
import { screensOf, type Screen } from './screens'
import { isOutside } from './boxes/fit'
import { isFeed, nameOfSource } from './sources'
import { waysOf } from './routes/ways'
import type { CircuitPlan, Wiring } from './wiring'
import { worksOf } from './works'

export { baysOf, type Bay } from './bays'
export { blockingIn } from './blocking'
export type { BoxPlan } from './boxes/boxes'
export type { CablePlan } from './cables/cables'
export { isCord } from './cables/choose'
export { carriedTo, missesBay, type Carried } from './routes/carriedBay'
export { CONTINUOUS, type Load } from './circuits/draw'
export { cavityOf, isOutside } from './boxes/fit'
export { LEG_NAMES } from './routes/legNames'
export { carriesOf, type Link } from './cables/ports'
export { timeOf, type RoutePlan } from './routes/routes'
export { nameOfSource } from './sources'
export type { Leg, Method } from './routes/ways'
export type { CircuitPlan, Wiring } from './wiring'
export type { Works, OpeningPlan, BorePlan } from './works'
export { wireFindings } from './findings'
export { scheduleOf, type ScheduleLine } from './print/schedule'
export { drawElectrician } from './print/electrician'
export { drawLabels } from './print/labels'
export { drawOneLine } from './print/oneLine'

/** Screens that wait for no delay of their own start so long after one another, s. */
const STAGGER = 1

const loadsOf = (screens: Screen[]): Load[] =>
  screens.filter(screen => !isPoe(screen)).map(({ id, label, outer, shown }) => ({
    screen: id,
    x: outer.x + outer.width / 2,
    y: outer.y + outer.height / 2,
    label,
    ...(shown?.power && { power: shown.power }),
  }))

/** What screens that are powered over Ethernet give off. */
const heatOfPoe = (screens: Screen[]): Load[] => screens.filter(isPoe).map(({ id, label, shown }) =>
  ({ screen: id, x: 0, y: 0, label, power: { typical: shown!.poe!, max: shown!.poe! } }))

function startsOf(loads: Load[]): CircuitPlan['starts'] {
  let after = 0
  return loads.map(({ screen, power }, n) => {
    if (n > 0) after += power?.delay ?? STAGGER
    return { screen, after }
  })
}

/**
 * Which boxes a way is asked for, from where, and what its bundle has bored; those of a kit that lack a lower box are
 * reported.
 */
function wantedWays(
  wall: Wall,
  boxes: BoxPlan[],
  feeds: Map<string, Source>,
  links: Link[],
  { catalogue: { cables = [] }, site, rules }: PlanContext,
): { wanted: Wanted[], noWay: NoWay[] } {
  const noWay: NoWay[] = []
  const wanted = boxes.flatMap((box): Wanted[] => {
    if (!box.held) return []
    const fedBy = box.for.map(id => feeds.get(id)).find(found => found !== undefined)
    const chosen = cables.find(({ id }) => id === (box.cable ?? fedBy?.cable))
    const method = methodOf(isSignal(box.kind) || box.kind === 'kit-upper' ? 'signal' : 'power', rules)
    const bundle = (kinds: string[]) =>
      boreFor(
        kinds.flatMap((kind) => {
          const thickest = thickestOf(kind, method.construction, cables, chosen)
          return thickest ? [method.passing(thickest, site?.units ?? 'metric')] : []
        }),
        site?.units,
      )
    if (isSignal(box.kind)) {
      const fed = links.filter(({ to, from }) => from === undefined && box.for.includes(to))
      // What comes from elsewhere comes by a way of its own.
      return [...new Set(fed.map(({ source }) => source))].map((source, n) => ({
        id: n === 0 ? `to-${box.id}` : `to-${box.id}-from-${source.id}`,
        box,
        kind: 'signal',
        method,
        source,
        hole: bundle(fed.filter(link => link.source === source).map(({ kind }) => kind)),
      }))
    }
    if (box.kind === 'kit-upper') {
      const lower = boxes.find(
        other => other.kind === 'kit-lower' && other.held && other.for.some(id => box.for.includes(id)),
      )
      if (lower)
        return [{
          id: `to-${box.id}`, box, kind: 'power', method, source: undefined, before: lower, hole: bundle(['power']),
        }]
      noWay.push({ box: box.id, why: words`it has no lower box to feed it` })
      return []
    }
    const source = box.for.map(screen => feeds.get(screen)).find(found => found !== undefined)
    return box.kind === 'power' && source
      ? [{ id: `to-${box.id}`, box, kind: 'power', method, source, hole: bundle(['power']) }]
      : []
  })
  return { wanted, noWay }
}

/** A circuit with the screens that it feeds, and how far it is used. */
function circuitOf(feed: Feed, source: Source, loads: Load[]): Omit<CircuitPlan, 'chain' | 'drop'> {
  const share = shareOf(loads, feed)
  return {
    id: feed.id,
    name: nameOfSource(source),
    screens: loads.map(({ screen }) => screen),
    watts: loads.reduce((sum, { power }) => sum + power!.max, 0),
    typical: loads.reduce((sum, { power }) => sum + power!.typical, 0),
    amps: share.working[0]!.value,
    share,
    starts: startsOf(loads),
    breaker: feed.amps,
    volts: feed.volts,
  }
}

/** A circuit with its boxes in the order in which they are fed, and what it loses to the farthest. */
function asWired(
  circuit: Omit<CircuitPlan, 'chain' | 'drop'>, routes: RoutePlan[], cables: CablePlan[],
): CircuitPlan {
  const chain: CircuitPlan['chain'] = []
  // A route from a box follows the one to it: boxes come in the order in which they are fed.
  for (const { from, to, kind } of routes) {
    const isFed = from === circuit.id || chain.some(({ box }) => box === from)
    if (kind === 'power' && isFed) chain.push({ box: to, from })
  }
  const stretches = stretchesTo(chain.map(({ box }) => box), cables, routes)
  return { ...circuit, chain, ...(stretches && { drop: dropOf(stretches, circuit.amps, circuit.volts) }) }
}

/** The screens of a wall shared out among its circuits: what each feeds, what feeds each screen, and what is left. */
function sharedOut(wall: Wall, loads: Load[]) {
  const known = (wall.sources ?? []).filter(isFeed).flatMap((source): { source: Source, feed: Feed }[] => {
    const { id, amps, volts, loaded = 0, for: only } = source
    if (amps === undefined || volts === undefined) return []
    return [{ source, feed: { id, amps, volts, loaded, ...(only && { for: only }) } }]
  })
  const { fed, left } = packCircuits(loads.filter(({ power }) => power), known.map(({ feed }) => feed))
  return {
    drawn: known.map(({ source, feed }, n) => circuitOf(feed, source, fed[n]!)),
    feeding: new Map(known.flatMap(({ source }, n) => fed[n]!.map(({ screen }) => [screen, source] as const))),
    left,
  }
}

/**
 * Works out how the arrays of a wall are wired: which circuit and which port feed which screen, where the boxes go, and
 * the ways and cables to them.
 */
export function wire(
  wall: Wall,
  members: Member[],
  arrays: ArrayPlan[],
  context: PlanContext,
): Wiring {
  const { catalogue, rules, site } = context
  const screens = screensOf(wall, arrays, catalogue)
  const loads = loadsOf(screens)
  const { drawn, feeding, left } = sharedOut(wall, loads)
  const { links, unported } = portsOf(wall, screens, catalogue.cables ?? [])

  const boxes = placeBoxes({ wall, members, arrays, screens, models: catalogue.boxes ?? [], rules })
  const { wanted, noWay } = wantedWays(wall, boxes, feeding, links, context)
  const bays = baysOf(wall, members)
  const [plates, cases] = [
    screens.flatMap(({ plate }) => (plate ? [plate.rect] : [])),
    screens.map(({ outer }) => outer),
  ]
  const apart = (rules.signalBesidePower ?? 'own-bay') === 'own-bay'
  const spent = routeMinutes(rules)
  const ways = waysOf({ wall, bays, members, spent }, endsOf(wanted, wall), plates)
  const reach = reaching(ways)
  const chained = looped(wanted, { ways, rules, reach })
  const found = routesOf(ways, chained, { cases, apart, rules, reach })
  const cables = cablesOf({
    wall,
    screens: new Map(screens.map(screen => [screen.id, screen])),
    boxes,
    routes: found.routes,
    links,
    feeds: feeding,
    currents: new Map(drawn.map(({ id, amps, volts }) => [id, { amps, volts }])),
    catalogue: catalogue.cables ?? [],
    rules,
    electricalRules: site?.electricalRules,
  })
  const look = bays.length > 0 ? lookFirst(ways, chained, found.routes, apart, rules) : undefined
  return {
    routes: found.routes,
    noWay: [...noWay, ...found.noWay],
    links,
    unported,
    cables,
    works: worksOf(found.routes, cables, {
      cases, outside: isOutside(wall), rules, units: site?.units ?? 'metric',
    }),
    bays,
    ...(look && { look }),
    circuits: drawn.map(circuit => asWired(circuit, found.routes, cables)),
    boxes,
    loads,
    left: drawn.length > 0 ? left : [],
    ...poeOf(screens, links),
    heat: heatOf([...loads, ...heatOfPoe(screens)], site?.units),
  }
}
