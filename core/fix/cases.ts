import { orientDisplay, turnVector } from '../arrange'
import type { Behind, Display, Mount, Orientation, Rules, Wall } from '../job'
import type { LoadCase } from '../mount'
import { mountKindOf } from '../mount/kinds'
import { chosenFigure } from '../rules'
import { pressureOf, type Exposed } from './wind'

export type { LoadCase }

/** In which state a mount is loaded. */
type State = 'stowed' | 'service' | 'swung'
/** Where a hand pulls: down at the centre or at a side edge, outwards at the top, sideways at a corner. */
type Grip = 'centre' | 'edge' | 'out' | 'side'
/** What a case is: how it is called, the state of the mount, and where a hand pulls, if one does. */
interface CaseKind {
  title: string
  state: State
  grip?: Grip
}

/** The cases of one state: by its own weight, and with a hand wherever it pulls. */
const inState = (state: State, title: string) => ({
  [state]: { title: `${title}, own weight`, state },
  [`${state}-hand`]: { title: `${title}, plus hand load`, state, grip: 'centre' },
  [`${state}-hand-edge`]: { title: `${title}, hand down at a side edge`, state, grip: 'edge' },
  [`${state}-hand-out`]: { title: `${title}, hand outwards at the top`, state, grip: 'out' },
  [`${state}-hand-side`]: { title: `${title}, hand sideways at a corner`, state, grip: 'side' },
})

const CASES = {
  ...inState('stowed', 'stowed'),
  ...inState('service', 'pulled out'),
  ...inState('swung', 'swung to the side'),
  maker: { title: 'the load times the maker’s factor', state: 'service' },
  wind: { title: 'wind on the face', state: 'stowed' },
} as Record<LoadCase, CaseKind>

/** What a case is called. */
export const caseTitle = (name: LoadCase): string => CASES[name].title
/** Whether a hand does it; whether that pulls elsewhere than at the centre; and the state that the mount is in. */
export const isByHand = (name: LoadCase): boolean => CASES[name].grip !== undefined
export const isOffCentre = (name: LoadCase): boolean => isByHand(name) && CASES[name].grip !== 'centre'
export const stateOf = (name: LoadCase): State => CASES[name].state
/** The case that stands for several in a chart: the hand's, wherever it pulls. */
export const familyOf = (name: LoadCase): LoadCase => isOffCentre(name) ? `${stateOf(name)}-hand` : name

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665
/** Force coefficient of wind on a flat face. */
const WIND_COEFFICIENT = 1.3

/** A force down on a mount, N: how far off the wall it acts, and how far to the right of the display's centre; mm. */
export interface Pull {
  what: 'weight' | 'hand'
  down: number
  arm: number
  aside: number
}

/**
 * A hand that pulls outwards or sideways (to the right where positive), N: how far off the wall, how far right of the
 * display's centre and above it; mm. `pries` where its being aside turns the plate about an upright edge too.
 */
export interface Push {
  out: number
  side: number
  arm: number
  aside: number
  up: number
  pries: boolean
}

/**
 * What one case does to a plate: forces down, one away from the wall (towards it where negative) at the display's
 * centre, N, and a hand that pulls another way.
 */
export interface PlateLoad {
  case: LoadCase
  pulls: Pull[]
  out: number
  push?: Push
}

/** A screen as it loads its mount. */
export interface Hung {
  display: Display
  mount: Mount
  orientation?: Orientation
  behind?: Behind
  wall: Exposed & Pick<Wall, 'handForce'>
  rules?: Rules
  /** How far a rail, a board or packers hold the plate off the wall, mm. */
  standOff?: number
}

/** The weight that hangs on a plate, N: display, mount, player and what else is on it. */
export const weightOf = ({ display, mount, behind }: Pick<Hung, 'display' | 'mount' | 'behind'>) =>
  (display.mass + mount.mass + (behind?.mass ?? 0)) * GRAVITY

/** The force of a hand on a screen of a wall, N: the wall's own, or the firm's. */
export const handForceOf = ({ handForce }: Pick<Wall, 'handForce'>, rules: Rules = {}): number =>
  handForce ?? chosenFigure('handForce', rules, 'metric')

/** Where a mount is while a hand pulls: its name, the back's distance from the wall, how far it is swung aside; mm. */
interface Stand {
  name: State
  depth: number
  aside: number
}

/** Every way in which a hand pulls on a screen in one state: at its centre, and at the worst points of its outline. */
function handCases(
  { display, mount, orientation = 'landscape', standOff = 0 }: Hung,
  { name, depth, aside }: Stand,
  weight: Pull,
  force: number,
): PlateLoad[] {
  const { width, height } = orientDisplay(display, orientation)
  const arm = standOff + depth + display.depth
  const down = (off: number): Pull => ({ what: 'hand', down: force, arm, aside: aside + off })
  const swings = mountKindOf(mount).swings
  const both = (half: number) => [half, -half]
  const push = (what: Partial<Push>): Push => ({ out: 0, side: 0, arm, aside, up: 0, pries: false, ...what })
  return [
    { case: `${name}-hand`, pulls: [weight, down(0)], out: 0 },
    ...both(width / 2).map((off): PlateLoad => ({ case: `${name}-hand-edge`, pulls: [weight, down(off)], out: 0 })),
    ...(swings ? both(width / 2) : [0]).map((off): PlateLoad => ({
      case: `${name}-hand-out`,
      pulls: [weight],
      out: 0,
      push: push({ out: force, aside: aside + off, up: height / 2, pries: swings }),
    })),
    ...both(force).flatMap(side =>
      both(height / 2).map((up): PlateLoad => ({
        case: `${name}-hand-side`,
        pulls: [weight],
        out: 0,
        push: push({ side, up }),
      })),
    ),
  ]
}

/**
 * The cases that a plate must bear. Stowed; pulled out where its mount does, by its weight and with a hand on it; a
 * hand also on a mount that stays; an arm swung to either side, with and without the hand; what its maker says that the
 * wall must carry; wind both ways where the wall is outside. A hand pulls down at the centre and at a side edge,
 * outwards at the top and sideways at a corner. A case that stands twice is judged by the worse.
 */
export function plateLoads(hung: Hung): PlateLoad[] {
  const { display, mount, orientation = 'landscape', behind, wall, rules, standOff = 0 } = hung
  const { stowed, service } = mount.depth
  const gravity = display.centreOfGravity
  const beside = gravity ? turnVector(gravity, orientation).x : 0
  const weighs = (depth: number, aside = 0, down = weightOf({ display, mount, ...(behind && { behind }) })): Pull => ({
    what: 'weight',
    down,
    arm: standOff + depth + (gravity?.z ?? display.depth / 2),
    aside: beside + aside,
  })
  const force = handForceOf(wall, rules)
  const hand = (state: Stand, weight: Pull) => (force > 0 ? handCases(hung, state, weight, force) : [])
  const comesOut = service > stowed
  const area = (display.width * display.height) / 1e6
  const wind = (pressureOf(wall)?.value ?? 0) * WIND_COEFFICIENT * area
  const on = (display.mass + (behind?.mass ?? 0)) * GRAVITY
  const swung = (aside: number): PlateLoad[] => [
    { case: 'swung', pulls: [weighs(stowed, aside)], out: 0 },
    ...hand({ name: 'swung', depth: stowed, aside }, weighs(stowed, aside)),
  ]
  return [
    { case: 'stowed', pulls: [weighs(stowed)], out: 0 },
    ...(comesOut
      ? [
          { case: 'service' as const, pulls: [weighs(service)], out: 0 },
          ...hand({ name: 'service', depth: service, aside: 0 }, weighs(service)),
        ]
      : hand({ name: 'stowed', depth: stowed, aside: 0 }, weighs(stowed))),
    ...(comesOut && mountKindOf(mount).swings ? [service, -service].flatMap(swung) : []),
    ...(mount.mustCarry !== undefined
      ? [{ case: 'maker' as const, pulls: [weighs(service, 0, mount.mustCarry * on)], out: 0 }]
      : []),
    ...(wind > 0 ? [wind, -wind].map((out): PlateLoad => ({ case: 'wind', pulls: [weighs(stowed)], out })) : []),
  ]
}
