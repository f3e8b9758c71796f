import type { Rect } from '../geometry'
import type { Display, Rules } from '../job'
import { figure, quantity, words, type Figure, type Text } from '../units'

/** Who and what lifts a display to its place. */
export interface Lifting {
  people: number
  /** Whether a lifting aid takes the weight, and people only guide it. */
  aid: boolean
  /** What its highest edge is reached from. */
  from: 'floor' | 'platform' | 'tower'
  /** What one person may lift there, kg, with its working. */
  share: Figure
  handling: 'upright' | 'face-down'
  why: Text
}

/**
 * What one person may lift up to the shoulder, kg, and how much of it is left above it: 1 − 0.003 × (175 − 75), the
 * hands at 175 cm.
 */
const EACH = 23
const ABOVE_SHOULDER = 0.7
const SHOULDER = 1400
/** Nobody holds both ends of what is longer, mm. */
const ARMS = 1000
/** Edges above these are reached from a platform, and from a tower, mm. */
const PLATFORM = 2000
const TOWER = 3500

/** What one person may lift to where a display's middle comes, kg. */
function shareAt(height: number): Figure {
  const above = height > SHOULDER
  return figure([
    {
      label: above ? 'Limit for one person, above shoulder height' : 'Limit for one person, up to shoulder height',
      expression: above
        ? words`${quantity(EACH, 'kg')} × ${String(ABOVE_SHOULDER)}, centre of the display ${height} above floor`
        : words`${quantity(EACH, 'kg')}, centre of the display ${height} above floor`,
      value: above ? EACH * ABOVE_SHOULDER : EACH,
      unit: 'kg',
      source: 'revised NIOSH lifting equation, 1991; check with local rules',
    },
  ])
}

/**
 * Who lifts a display, and with what, by its mass, its size and how high it goes, and by the house rules.
 *
 * @param outer its case on the wall
 * @example
 * // 21.5 kg with its middle at 1938: one may lift 16.1 kg so high
 * liftingOf(display, outer, {}).people // 2
 */
export function liftingOf(
  { mass, handling: allowed }: Display,
  outer: Rect,
  { lifting = 'by-mass', handling = 'upright' }: Rules,
): Lifting {
  const share = shareAt(outer.y + outer.height / 2)
  const byMass = Math.ceil(mass / share.value - 1e-9)
  const long = Math.max(outer.width, outer.height) > ARMS
  const aid = byMass > 2 || (lifting === 'lift-aid' && byMass > 1)
  const people = aid || lifting === 'always-two' ? 2 : Math.max(byMass, long ? 2 : 1)
  const top = outer.y + outer.height
  const masses = words`${quantity(mass, 'kg')}; the limit for one person there is ${quantity(share.value, 'kg')}`
  return {
    people,
    aid,
    share,
    from: top > TOWER ? 'tower' : top > PLATFORM ? 'platform' : 'floor',
    handling: handling === 'face-down' && allowed === 'face-down' ? 'face-down' : 'upright',
    why: aid
      ? words`${masses}: use a lifting aid, with two people to guide it.`
      : people > byMass
        ? long
          ? words`${masses}, but the display is too long for one person.`
          : words`${masses}; the house rule is two people for every lift.`
        : words`${masses}.`,
  }
}
