import type { Figure } from '../units'
import type { Bay } from './bays'
import type { BoxPlan } from './boxes/boxes'
import type { CablePlan } from './cables/cables'
import type { Load } from './circuits/draw'
import type { Drop } from './circuits/drop'
import type { LookFirst } from './routes/lookFirst'
import type { PoeLoad, PoePlan } from './cables/poe'
import type { Link, Ports } from './cables/ports'
import type { NoWay, RoutePlan } from './routes/routes'
import type { Works } from './works'

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
  /** Its breaker, A, and its voltage. */
  breaker: number
  volts: number
  /** Its power boxes in the order in which they are fed: each from the one before it, or from the source. */
  chain: { box: string, from: string }[]
  /** What it loses to its farthest box; absent where a length, a model or its cross-section is not known. */
  drop?: Drop
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
  /** Which port feeds which screen, and screens for which a source has none. */
  links: Link[]
  unported: Ports['unported']
  cables: CablePlan[]
  /** What switches give over data cables, and screens powered over one that nothing feeds. */
  poe: PoePlan[]
  unpowered: PoeLoad[]
  works: Works
  /** The bays of the wall; none where it is solid. */
  bays: Bay[]
  /** Where to look for blocking first; absent where it is known, or nothing rests on it. */
  look?: LookFirst
  /** Every screen that draws power, and those that no circuit feeds. */
  loads: Load[]
  left: Load[]
  heat: Figure
}
