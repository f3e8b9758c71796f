import type { Point } from '../../geometry'
import { itemName, type CableModel, type Rules, type Source, type Wall } from '../../job'
import { figure, words, type Figure, type Step } from '../../units'
import { isSignal, type BoxPlan } from '../boxes/boxes'
import { chooseCable, type Choice } from './choose'
import { cableTypeOf, LINK_KINDS } from './linkKinds'
import { carriesOf, type Link } from './ports'
import { methodOf } from '../routes/powerMethods'
import type { RoutePlan } from '../routes/routes'
import type { Screen } from '../screens'
import { reachTo, slackOf } from './slack'
import { nameOfSource, placeOf } from '../sources'
import { areaForDrop, type Stretch } from '../circuits/drop'
import { leastArea, type ElectricalRules } from '../circuits/conductors'
import type { Current } from '../circuits/circuits'

/** A cable from one end to the other. */
export interface CablePlan {
  id: string
  kind: string
  /** The route that it runs in; absent behind displays and on the face. */
  route?: string
  /** What its ends are plugged into. */
  from: string
  to: string
  port?: number
  /** What it needs at its ends, beside its plugs. */
  ends?: string
  screen: string
  /** How long it has to be, with its working: the way, tails at both ends, slack of the pull-out. */
  needed: Figure
  slack: number
  /** What is not known of its way, so that no length can be taken. */
  unknown?: string
  model?: CableModel
  /** The stocked length that is taken, and what is left of it, mm. */
  taken?: number
  offcut?: number
  choice: Choice
}

/** Free at the ends, mm: in a box (NEC 300.14), at a panel or rack, at a source on the wall, at a screen's socket. */
export const TAILS = { box: 150, panel: 500, source: 300, screen: 200 }
/** A cable whose model is not known yet is taken to be so thick, mm. */
const USUAL = 8

const along = (a: Point, b: Point) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y)
const isAlike = (a: Screen, b: Screen) => a.model === b.model && a.orientation === b.orientation

interface Part { label: string, value: number }
/** The sum of a cable's parts; those that are 0 are left out. */
function sumOf(parts: Part[]): Figure {
  const told = parts.filter(({ value }) => value > 0)
  const total = told.reduce((sum, { value }) => sum + value, 0)
  const expression = told.reduce<Step['expression']>(
    (text, { label, value }, n) => (n === 0 ? words`${label} ${value}` : words`${text} + ${label} ${value}`),
    [],
  )
  return figure([
    { label: 'Required length', expression, value: total, unit: 'mm', source: 'free ends in a box: NEC 300.14' },
  ])
}

/** A cable before it is chosen: what its length consists of, given the slack of the screens that it moves with. */
interface Given extends Pick<CablePlan, 'id' | 'kind' | 'from' | 'to' | 'port' | 'screen' | 'unknown'> {
  parts: (slack: number) => Part[]
  moves?: Screen[]
  route?: RoutePlan
  byHand?: string
  amps?: number
  instead?: string
  /** What is carried, where that goes less far than its cable. */
  by?: string
  /** The least cross-section by voltage drop, mm². */
  area?: number
}

/** What cables are calculated from. */
export interface Wired {
  wall: Wall
  screens: Map<string, Screen>
  boxes: BoxPlan[]
  routes: RoutePlan[]
  links: Link[]
  feeds: Map<string, Source>
  /** What the screens of each circuit draw, by its source. */
  currents: Map<string, Current>
  catalogue: CableModel[]
  rules: Rules
  electricalRules: ElectricalRules
}

const byHand = (model: string | undefined) => model === undefined ? {} : { byHand: model }

/** What runs beyond the wall to a source that is not on it. */
const beyond = (source: Source, wall: Wall): Part[] =>
  placeOf(source, wall) ? [] : [{ label: 'beyond the wall', value: source.away ?? 0 }]

const beyondUnknown = (source: Source, wall: Wall) =>
  !placeOf(source, wall) && source.away === undefined
    ? `the distance from ${nameOfSource(source)} to where its cable enters`
    : undefined

const feedOf = ({ for: screens }: BoxPlan, { feeds }: Wired) =>
  screens.map(id => feeds.get(id)).find(found => found !== undefined)

const routeTo = (box: BoxPlan, { routes }: Wired, from?: string) =>
  routes.find(route => route.to === box.id && (from === undefined || route.from === from))

/** The power cable in the wall to a box: from its source, from the box before it, or from the lower box of a kit. */
function powerTo(box: BoxPlan, wired: Wired): Given[] {
  const { wall, boxes } = wired
  const route = routeTo(box, wired)
  if (!route || isSignal(box.kind)) return []
  const source = feedOf(box, wired)
  const before = boxes.find(({ id }) => id === route.from)
  const unknown = before || !source ? undefined : beyondUnknown(source, wall)
  return [{
    id: `power-${box.id}`,
    kind: 'power',
    route,
    from: before ? `box ${itemName(before)}` : nameOfSource(source!),
    to: `box ${itemName(box)}`,
    screen: box.for[0]!,
    ...byHand(box.cable ?? source?.cable),
    ...(unknown !== undefined && { unknown }),
    ...(source?.amps !== undefined && { amps: source.amps }),
    parts: () => [
      { label: 'route', value: route.length },
      ...(before || !source ? [] : beyond(source, wall)),
      { label: 'free length in the box', value: TAILS.box },
      {
        label: 'free length at the start',
        value: before ? TAILS.box : placeOf(source!, wall) ? TAILS.source : TAILS.panel,
      },
    ],
  }]
}

const PLUGGED_IN: string[] = ['power', 'kit-upper', 'floor'] satisfies BoxPlan['kind'][]

/** The cords from a box to the screens that are plugged into it. */
function cordsFrom(box: BoxPlan, { screens, feeds }: Wired): Given[] {
  if (!PLUGGED_IN.includes(box.kind)) return []
  return box.for.flatMap(id => screens.get(id) ?? []).map(screen => ({
    id: `cord-${screen.id}`,
    kind: 'cord',
    from: `box ${itemName(box)}`,
    to: screen.label,
    screen: screen.id,
    moves: [screen],
    ...byHand(feeds.get(screen.id)?.cord),
    parts: slack => [
      { label: 'box to farthest socket', value: reachTo(screen, box) },
      { label: 'pull-out slack', value: slack },
      { label: 'at the socket', value: TAILS.screen },
    ],
  }))
}

/** The cord from an outlet on the wall to the lower box of a kit. */
function feedTo(box: BoxPlan, wired: Wired): Given[] {
  if (box.kind !== 'kit-lower') return []
  const source = feedOf(box, wired)
  const at = source && placeOf(source, wired.wall)
  return [{
    id: `feed-${box.id}`,
    kind: 'cord',
    from: source ? nameOfSource(source) : 'an outlet',
    to: `box ${itemName(box)}`,
    screen: box.for[0]!,
    ...byHand(source?.cord),
    ...(!at && { unknown: 'the position of the outlet that feeds it' }),
    parts: () => [
      { label: 'along the wall face', value: at ? along(at, box) : 0 },
      { label: 'at both ends', value: 2 * TAILS.screen },
    ],
  }]
}

/** The cords of screens that are plugged into an outlet which is there, where the house rules have it so. */
function cordsToOutlets({ wall, screens, boxes, feeds, rules }: Wired): Given[] {
  if (rules.power !== 'outlet') return []
  const isBoxed = ({ id }: Screen) => boxes.some(box => !isSignal(box.kind) && box.for.includes(id))
  return [...screens.values()].flatMap((screen): Given[] => {
    const source = feeds.get(screen.id)
    if (source?.kind !== 'outlet' || isBoxed(screen)) return []
    const at = placeOf(source, wall)
    return [{
      id: `cord-${screen.id}`,
      kind: 'cord',
      from: nameOfSource(source),
      to: screen.label,
      screen: screen.id,
      moves: [screen],
      ...(!at && { unknown: `the position of ${nameOfSource(source)} on the wall` }),
      ...byHand(source.cord),
      parts: slack => [
        { label: 'along the wall face to the farthest socket', value: at ? reachTo(screen, at) : 0 },
        { label: 'pull-out slack', value: slack },
        { label: 'at both ends', value: TAILS.screen + TAILS.source },
      ],
    }]
  })
}

const middleOf = ({ outer }: Screen): Point => ({ x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 })

/** The lead of a daisy chain from one screen to the next. */
function leadBetween({ id, kind, source, by }: Link, before: Screen, screen: Screen, { catalogue }: Wired): Given {
  const between = along(middleOf(before), middleOf(screen))
  const uneven = isAlike(before, screen)
    ? 0
    : [before, screen].reduce((sum, { outer }) => sum + outer.width / 2 + outer.height / 2, 0)
  return {
    id,
    kind,
    from: before.label,
    to: screen.label,
    screen: screen.id,
    moves: [screen, before],
    // Where no lead made for chains is long enough, what the source is plugged in with does.
    instead: cableTypeOf(carriesOf(source, catalogue)),
    by,
    parts: slack => [
      { label: 'socket to socket', value: between + uneven },
      { label: 'slack of both pull-outs', value: slack },
      { label: 'at both sockets', value: 2 * TAILS.screen },
    ],
  }
}

/** The signal cable from a source to a screen: through the wall where it has a route, otherwise on its face. */
function signalTo(screen: Screen, { id, kind, source, port, by }: Link, wired: Wired): Given {
  const { wall, boxes } = wired
  const box = boxes.find(each => isSignal(each.kind) && each.held && each.for.includes(screen.id))
  const route = box && routeTo(box, wired, source.id)
  const at = placeOf(source, wall)
  const missing = box ? 'its route through the wall' : 'the point where it comes out behind the display'
  const unknown = beyondUnknown(source, wall) ?? (route || at ? undefined : missing)
  const way: Part[] = route
    ? [
        { label: 'route', value: route.length },
        ...beyond(source, wall),
        { label: 'pass-through to farthest socket', value: reachTo(screen, box!) },
      ]
    : [
        { label: 'along the wall face to the farthest socket', value: at ? reachTo(screen, at) : 0 },
        ...beyond(source, wall),
      ]
  return {
    id,
    kind,
    ...(route && { route }),
    from: nameOfSource(source),
    to: screen.label,
    port,
    screen: screen.id,
    moves: [screen],
    by,
    ...byHand(box?.cable),
    ...(unknown !== undefined && { unknown }),
    parts: slack => [
      ...way,
      { label: 'pull-out slack', value: slack },
      { label: 'at both ends', value: TAILS.screen + (at ? TAILS.source : TAILS.panel) },
    ],
  }
}

/** The cable of a link: from screen to screen of a daisy chain, or from a source. */
function linkCable(link: Link, wired: Wired): Given[] {
  const screen = wired.screens.get(link.to)
  if (!screen) return []
  const before = link.from === undefined ? undefined : wired.screens.get(link.from)
  return [before ? leadBetween(link, before, screen, wired) : signalTo(screen, link, wired)]
}

const isInAir = (route: RoutePlan | undefined, wall: Wall) =>
  route?.legs.some(
    ({ method, to, from }) =>
      (method === 'void' || method === 'bored plate')
      && wall.void?.[Math.max(to.y, from.y) > 0 ? 'above' : 'below'] === 'plenum',
  ) ?? false

/** The power cables from the source to a box, the one into it first: all that is before it on its circuit. */
function upTo<Cable extends { route?: string }>(box: string, cables: Cable[], routes: RoutePlan[]): Cable[] {
  const route = routes.find(({ to, kind }) => to === box && kind === 'power')
  const cable = route && cables.find(each => each.route === route.id)
  return cable ? [cable, ...upTo(route.from, cables, routes)] : []
}

/** Of some boxes of a circuit the one that most cable leads to, as that cable; the source's end last. */
function farthestOf<Cable extends { route?: string }>(
  boxes: string[], cables: Cable[], routes: RoutePlan[], lengthOf: (cable: Cable) => number,
): Cable[] {
  const total = (way: Cable[]) => way.reduce((sum, cable) => sum + lengthOf(cable), 0)
  return boxes.map(box => upTo(box, cables, routes)).reduce<Cable[]>(
    (best, way) => total(way) > total(best) + 1e-9 ? way : best, [])
}

/**
 * The cable from a circuit's source to its farthest box with its cross-sections; undefined where a length or a model
 * is not known, or there is none.
 */
export function stretchesTo(boxes: string[], cables: CablePlan[], routes: RoutePlan[]): Stretch[] | undefined {
  const way = farthestOf(boxes, cables, routes, ({ needed }) => needed.value)
  const known = way.flatMap(({ unknown, needed, model }) =>
    unknown === undefined && model?.area !== undefined ? [{ length: needed.value, area: model.area }] : [])
  return way.length > 0 && known.length === way.length ? known : undefined
}

/** Power cables with the cross-section that voltage drop to the farthest box of their circuit asks for. */
function withAreas(given: Given[], wired: Wired): Given[] {
  const { boxes, currents, routes } = wired
  const cables = given.map(each => ({ ...each, route: each.route?.id }))
  const areas = new Map([...currents].map(([source, { amps, volts }]) => {
    const fed = boxes.filter(box => !isSignal(box.kind) && feedOf(box, wired)?.id === source).map(({ id }) => id)
    const lengthOf = ({ parts }: { parts: Given['parts'] }) => parts(0).reduce((sum, { value }) => sum + value, 0)
    const length = farthestOf(fed, cables, routes, lengthOf).reduce((sum, cable) => sum + lengthOf(cable), 0)
    return [source, areaForDrop(length, amps, volts)] as const
  }))
  return given.map((each) => {
    const box = boxes.find(({ id }) => id === each.route?.to)
    const area = box && areas.get(feedOf(box, wired)?.id ?? '')
    return area === undefined ? each : { ...each, area }
  })
}

/** Whether a route is the inside of a listed kit, which comes with its cable. */
const isOfKit = (route: RoutePlan | undefined, boxes: BoxPlan[]) =>
  boxes.some(({ id, kind }) => id === route?.to && kind === 'kit-upper')

/** What a cable has to do, whatever its kind and length. */
function dutyOf({ route, amps, area, by, kind }: Given, { wall, electricalRules, rules, boxes }: Wired) {
  const link = LINK_KINDS[by ?? '']
  const { construction } = methodOf('power', rules)
  return {
    inWall: route !== undefined && route.way !== 'surface',
    plenum: isInAir(route, wall),
    ...(kind === 'power' && { construction: isOfKit(route, boxes) ? 'sheathed' as const : construction }),
    ...(amps !== undefined && { amps, least: leastArea(amps, electricalRules) }),
    ...(area !== undefined && { area }),
    ...(link && { link }),
  }
}

/** The choice of the first of some kinds that has a cable for it; of the first kind where none has. */
function firstThatDoes([kind, ...others]: string[], choose: (kind: string) => Choice): Choice {
  const first = choose(kind!)
  return first.fault ? others.map(choose).find(({ fault }) => !fault) ?? first : first
}

/** Chooses the cable of each that is given, by kind, way and current. */
function choosing(wired: Wired): (given: Given) => CablePlan {
  const { catalogue } = wired
  /** The diameter of the thickest cable of a kind, while none is chosen: its bend is the widest. */
  const thickness = (kind: string) =>
    Math.max(0, ...catalogue.filter(cable => cable.kind === kind && !cable.retired).map(({ diameter }) => diameter))
    || USUAL
  return (given) => {
    const { parts, moves = [], route, byHand, amps: _, instead, area: __, by, ...rest } = given
    const [duty, ends] = [dutyOf(given, wired), LINK_KINDS[by ?? '']?.ends]
    const slackAt = (diameter: number) => moves.reduce((sum, screen) => sum + slackOf(screen, diameter).value, 0)
    const sumAt = (diameter: number) => sumOf(parts(slackAt(diameter)))
    const needed = ({ diameter }: CableModel) => sumAt(diameter).value
    const choose = (kind: string) => chooseCable({ ...duty, kind, needed }, catalogue, byHand)
    const choice = firstThatDoes([rest.kind, ...instead === undefined ? [] : [instead]], choose)
    const diameter = (choice.model ?? choice.judged)?.diameter ?? thickness(rest.kind)
    const known = rest.unknown === undefined
    return {
      ...rest,
      needed: sumAt(diameter),
      slack: slackAt(diameter),
      choice,
      ...(ends && { ends }),
      ...(route && { route: route.id }),
      ...(choice.model && { model: choice.model }),
      ...(known && choice.taken !== undefined && { taken: choice.taken, offcut: choice.taken - needed(choice.model!) }),
    }
  }
}

/**
 * Every cable of a wall: to the boxes, from them to the screens, from players and data plates, and from screen to
 * screen.
 */
export function cablesOf(wired: Wired): CablePlan[] {
  const given = [
    ...withAreas(wired.boxes.flatMap(box => powerTo(box, wired)), wired),
    ...wired.boxes.flatMap(box => [...cordsFrom(box, wired), ...feedTo(box, wired)]),
    ...cordsToOutlets(wired),
    ...wired.links.flatMap(link => linkCable(link, wired)),
  ]
  return given.map(choosing(wired))
}
