import { turnVector } from '../arrange'
import type { Behind, Display, Mount, Orientation, Wall } from '../job'
import type { PlateUse } from '../mount'
import { mountKindOf } from '../mount/kinds'

export type LoadCase = PlateUse['case']

export const CASE_NAMES: Record<LoadCase, string> = {
  'stowed': 'stowed, own weight', 'stowed-hand': 'stowed, plus hand load', 'service': 'pulled out, own weight', 'service-hand': 'pulled out, plus hand load',
  'swung': 'swung to the side, own weight', 'swung-hand': 'swung to the side, plus hand load', 'wind': 'wind on the face',
}

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665
/** A hand pulling down on a screen at its face, N. */
export const HAND = 250
/** Force of wind on a face: 0.613·V² N/m² (ASCE 7, in SI) times a force coefficient. */
const WIND = { perSpeed: 0.613, coefficient: 1.3 }

/** A force down on a mount, N: how far off the wall it acts, and how far to the right of the display's centre; mm. */
export interface Pull { what: 'weight' | 'hand', down: number, arm: number, aside: number }

/**
 * What one case does to a plate: forces down, and one away from the wall (towards it where negative) at the display's
 * centre, N.
 */
export interface PlateLoad { case: LoadCase, pulls: Pull[], out: number }

/** A screen as it loads its mount. */
export interface Hung { display: Display, mount: Mount, orientation?: Orientation, behind?: Behind, wall: Pick<Wall, 'windSpeed'>, standOff?: number }

/** The weight that hangs on a plate, N: display, mount, player and what else is on it. */
export const weightOf = ({ display, mount, behind }: Pick<Hung, 'display' | 'mount' | 'behind'>) => (display.mass + mount.mass + (behind?.mass ?? 0)) * GRAVITY

/**
 * The cases that a plate must bear. Stowed; pulled out where its mount does, by its weight and with a hand on
 * it; a hand also on a mount that stays; an arm swung to either side, with and without the hand; wind both ways
 * where the wall is outside. A case that stands twice is judged by the worse.
 *
 * @param hung `standOff` is how far a rail or a board holds the plate off the wall, mm
 */
export function plateLoads({ display, mount, orientation = 'landscape', behind, wall: { windSpeed }, standOff = 0 }: Hung): PlateLoad[] {
  const { stowed, service } = mount.depth
  const gravity = display.centreOfGravity
  const beside = gravity ? turnVector(gravity, orientation).x : 0
  const weight = (depth: number, aside = 0): Pull => ({ what: 'weight', down: weightOf({ display, mount, behind }), arm: standOff + depth + (gravity?.z ?? display.depth / 2), aside: beside + aside })
  const hand = (depth: number, aside = 0): Pull => ({ what: 'hand', down: HAND, arm: standOff + depth + display.depth, aside })
  const comesOut = service > stowed
  const area = display.width * display.height / 1e6
  const wind = windSpeed ? WIND.perSpeed * windSpeed ** 2 * WIND.coefficient * area : 0
  return [
    { case: 'stowed', pulls: [weight(stowed)], out: 0 },
    ...comesOut
      ? [{ case: 'service' as const, pulls: [weight(service)], out: 0 }, { case: 'service-hand' as const, pulls: [weight(service), hand(service)], out: 0 }]
      : [{ case: 'stowed-hand' as const, pulls: [weight(stowed), hand(stowed)], out: 0 }],
    ...comesOut && mountKindOf(mount).swings
      ? [service, -service].flatMap((aside): PlateLoad[] => [
          { case: 'swung', pulls: [weight(stowed, aside)], out: 0 }, { case: 'swung-hand', pulls: [weight(stowed, aside), hand(stowed, aside)], out: 0 },
        ])
      : [],
    ...wind > 0 ? [wind, -wind].map((out): PlateLoad => ({ case: 'wind', pulls: [weight(stowed)], out })) : [],
  ]
}
