import type { Point } from '../geometry'
import { itemName, type CableModel, type Rules, type Source, type Wall } from '../job'
import { figure, words, type Figure, type Step } from '../units'
import { isSignal, type BoxPlan } from './boxes'
import { chooseCable, type Choice } from './choose'
import { carriesOf, type Link } from './ports'
import type { RoutePlan } from './routes'
import type { Screen } from './screens'
import { reachTo, slackOf } from './slack'
import { nameOfSource, placeOf } from './sources'

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
  const expression = told.reduce<Step['expression']>((text, { label, value }, n) => n === 0 ? words`${label} ${value}` : words`${text} + ${label} ${value}`, [])
  return figure([{ label: 'Required length', expression, value: total, unit: 'mm', source: 'free ends in a box: NEC 300.14' }])
}

/** A cable before it is chosen: what its length consists of, given the slack of the screens that it moves with. */
interface Given extends Pick<CablePlan, 'id' | 'kind' | 'from' | 'to' | 'port' | 'screen' | 'unknown'> {
  parts: (slack: number) => Part[]
  moves?: Screen[]
  route?: RoutePlan
  byHand?: string
  amps?: number
  instead?: string
}

/** What cables are calculated from. */
export interface Wired { wall: Wall, screens: Map<string, Screen>, boxes: BoxPlan[], routes: RoutePlan[], links: Link[], feeds: Map<string, Source>, catalogue: CableModel[], rules: Rules }

/**
 * Every cable of a wall: to the boxes, from them to the screens, from players and data plates, and from screen to
 * screen.
 */
export function cablesOf({ wall, screens, boxes, routes, links, feeds, catalogue, rules }: Wired): CablePlan[] {
  const routeTo = (box: BoxPlan, from?: string) => routes.find(route => route.to === box.id && (from === undefined || route.from === from))
  const label = (id: string) => screens.get(id)?.label ?? id
  const carriesAir = (route: RoutePlan | undefined) => route?.legs.some(({ method, to, from }) => (method === 'void' || method === 'bored plate') && wall.void?.[Math.max(to.y, from.y) > 0 ? 'above' : 'below'] === 'plenum') ?? false
  /** What runs beyond the wall to a source that is not on it. */
  const beyond = (source: Source): Part[] => placeOf(source, wall) ? [] : [{ label: 'beyond the wall', value: source.away ?? 0 }]
  const beyondUnknown = (source: Source) => !placeOf(source, wall) && source.away === undefined ? `the distance from ${nameOfSource(source)} to where its cable enters` : undefined

  /** The diameter of the thickest cable of a kind, while none is chosen: its bend is the widest. */
  const thickness = (kind: string) => Math.max(0, ...catalogue.filter(cable => cable.kind === kind && !cable.retired).map(({ diameter }) => diameter)) || USUAL

  function cable({ parts, moves = [], route, byHand, amps, instead, ...rest }: Given): CablePlan {
    const slackAt = (diameter: number) => moves.reduce((sum, screen) => sum + slackOf(screen, diameter).value, 0)
    const sumAt = (diameter: number) => sumOf(parts(slackAt(diameter)))
    const needed = ({ diameter }: CableModel) => sumAt(diameter).value
    const inWall = route !== undefined && route.way !== 'surface'
    const choose = (kind: string) => chooseCable({ kind, needed, inWall, plenum: carriesAir(route), ...amps !== undefined && { amps } }, catalogue, catalogue.find(({ id }) => id === byHand))
    const [first, other] = [choose(rest.kind), instead === undefined ? undefined : choose(instead)]
    const choice = first.fault && other && !other.fault ? other : first
    const diameter = (choice.model ?? choice.judged)?.diameter ?? thickness(rest.kind)
    const known = rest.unknown === undefined
    return {
      ...rest, needed: sumAt(diameter), slack: slackAt(diameter), choice, ...route && { route: route.id },
      ...choice.model && { model: choice.model },
      ...known && choice.taken !== undefined && { taken: choice.taken, offcut: choice.taken - needed(choice.model!) },
    }
  }

  const byHand = (model: string | undefined) => model === undefined ? {} : { byHand: model }
  const out: CablePlan[] = []
  for (const box of boxes) {
    const route = routeTo(box)
    if (route && !isSignal(box.kind)) {
      const source = box.for.map(id => feeds.get(id)).find(found => found !== undefined)
      const lower = boxes.find(({ id }) => id === route.from)
      const unknown = lower || !source ? undefined : beyondUnknown(source)
      out.push(
        cable({
          id: `power-${box.id}`,
          kind: 'power',
          route,
          from: lower ? `box ${itemName(lower)}` : nameOfSource(source!),
          to: `box ${itemName(box)}`,
          screen: box.for[0]!,
          ...byHand(box.cable ?? source?.cable),
          ...(unknown !== undefined && { unknown }),
          ...(source?.amps !== undefined && { amps: source.amps }),
          parts: () => [
            { label: 'route', value: route.length },
            ...(lower || !source ? [] : beyond(source)),
            { label: 'free length in the box', value: TAILS.box },
            {
              label: 'free length at the start',
              value: lower ? TAILS.box : placeOf(source!, wall) ? TAILS.source : TAILS.panel,
            },
          ],
        }),
      )
    }
    if (box.kind === 'power' || box.kind === 'kit-upper' || box.kind === 'floor') {
      for (const id of box.for) {
        const screen = screens.get(id)
        if (!screen) continue
        out.push(cable({
          id: `cord-${id}`, kind: 'cord', from: `box ${itemName(box)}`, to: label(id), screen: id, moves: [screen],
          ...byHand(feeds.get(id)?.cord),
          parts: slack => [{ label: 'box to farthest socket', value: reachTo(screen, box) }, { label: 'pull-out slack', value: slack }, { label: 'at the socket', value: TAILS.screen }],
        }))
      }
    }
    if (box.kind === 'kit-lower') {
      const source = box.for.map(id => feeds.get(id)).find(found => found !== undefined)
      const at = source && placeOf(source, wall)
      out.push(
        cable({
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
        }),
      )
    }
  }
  if (rules.power === 'outlet') {
    for (const screen of screens.values()) {
      const source = feeds.get(screen.id)
      const at = source && placeOf(source, wall)
      if (!source || source.kind !== 'outlet' || boxes.some(box => !isSignal(box.kind) && box.for.includes(screen.id))) continue
      out.push(cable({
        id: `cord-${screen.id}`, kind: 'cord', from: nameOfSource(source), to: screen.label, screen: screen.id, moves: [screen], ...!at && { unknown: `the position of ${nameOfSource(source)} on the wall` },
        ...byHand(source.cord),
        parts: slack => [{ label: 'along the wall face to the farthest socket', value: at ? reachTo(screen, at) : 0 }, { label: 'pull-out slack', value: slack }, { label: 'at both ends', value: TAILS.screen + TAILS.source }],
      }))
    }
  }
  for (const { id, kind, source, from, to, port } of links) {
    const screen = screens.get(to)
    if (!screen) continue
    const before = from === undefined ? undefined : screens.get(from)
    if (before) {
      const between = along({ x: before.outer.x + before.outer.width / 2, y: before.outer.y + before.outer.height / 2 }, { x: screen.outer.x + screen.outer.width / 2, y: screen.outer.y + screen.outer.height / 2 })
      const uneven = isAlike(before, screen) ? 0 : [before, screen].reduce((sum, { outer }) => sum + outer.width / 2 + outer.height / 2, 0)
      out.push(cable({
        id, kind, from: before.label, to: screen.label, screen: to, moves: [screen, before],
        // Where no lead made for chains is long enough, what the source is plugged in with does.
        instead: carriesOf(source, catalogue),
        parts: slack => [{ label: 'socket to socket', value: between + uneven }, { label: 'slack of both pull-outs', value: slack }, { label: 'at both sockets', value: 2 * TAILS.screen }],
      }))
      continue
    }
    const box = boxes.find(each => isSignal(each.kind) && each.held && each.for.includes(to))
    const route = box && routeTo(box, source.id)
    const at = placeOf(source, wall)
    const end = (slack: number) => [{ label: 'pull-out slack', value: slack }, { label: 'at both ends', value: TAILS.screen + (at ? TAILS.source : TAILS.panel) }]
    const unknown = beyondUnknown(source) ?? (route || at ? undefined : box ? 'its route through the wall' : 'the point where it comes out behind the display')
    out.push(cable({
      id, kind, ...route && { route }, from: nameOfSource(source), to: screen.label, port, screen: to, moves: [screen], ...box?.cable !== undefined && { byHand: box.cable }, ...unknown !== undefined && { unknown },
      parts: slack => route
        ? [{ label: 'route', value: route.length }, ...beyond(source), { label: 'pass-through to farthest socket', value: reachTo(screen, box!) }, ...end(slack)]
        : [{ label: 'along the wall face to the farthest socket', value: at ? reachTo(screen, at) : 0 }, ...beyond(source), ...end(slack)],
    }))
  }
  return out
}
