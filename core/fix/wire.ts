import type { Finding } from '../finding'
import type { Point } from '../geometry'
import { coveringOf, hasSafetyWire, uncovered, type Display, type Mount } from '../job'
import type { Position } from '../mount'
import { isFramed } from '../survey'
import { figure, quantity, words, type Figure, type Text } from '../units'
import { GRAVITY } from './cases'
import { bearerOf, type Judging } from './judge'
import { strengthOf } from './strength'
import { screenLabel } from '../job/screenLabel'

type Wire = NonNullable<Mount['wire']>

/** Twice the greatest force of a fall is what a line that arrests it has to carry (29 CFR 1926.502(d)(8)). */
const SAFETY = 2
/** What stretches a wire by a millimetre, N/mm. */
const stiffnessOf = ({ length, breakingLoad, stretch }: Pick<Wire, 'length' | 'breakingLoad' | 'stretch'>) =>
  breakingLoad / (length * stretch / 100)

/**
 * The greatest force on a safety wire as a display falls through its slack and is caught, N: what the weight does on
 * its way is taken up by the wire alone, W·(s + u) = k·u² ÷ 2, with k the breaking load over the stretch at it. A wire
 * without slack carries twice the weight.
 *
 * @param weight of the display and what hangs on it, N
 *
 * @example
 * wireForce({ length: 400, slack: 0, breakingLoad: 8_000, stretch: 2 }, 300) // 600
 */
export function wireForce({ length, slack, breakingLoad, stretch }: Wire, weight: number): number {
  const stiffness = stiffnessOf({ length, breakingLoad, stretch })
  return weight * (1 + Math.sqrt(1 + 2 * slack * stiffness / weight))
}

/** The greatest slack with which a wire is loaded by no more than a force, mm; negative where none is short enough. */
export function slackFor({ length, breakingLoad, stretch }: Wire, weight: number, most: number): number {
  const stiffness = stiffnessOf({ length, breakingLoad, stretch })
  return ((most / weight - 1) ** 2 - 1) * weight / (2 * stiffness)
}

interface Pair { display: Display, mount: Mount, positions: Position[] }

/** How far from the upright a wire pulls at its anchor: towards the display's pattern, degrees. */
const pullAngle = ({ x, y }: Point, { pattern }: Position): number =>
  Math.atan2(Math.abs(x - pattern.x), Math.abs(y - pattern.y)) * 180 / Math.PI

/**
 * What the weakest of some anchors carries, in tension or in shear as its wire pulls, N; undefined where that is not
 * known. A fall is over in an instant: wood bears it as it bears wind, C_D 1.6, the most that connections may have (NDS
 * 11.3.2).
 */
function anchorStrength(
  { array, wall, fastener, rules, around }: Judging, { mount, positions }: Pair,
): number | undefined {
  const anchors = positions.flatMap(position => (position.holes ?? []).filter(({ secures }) => secures)
    .map(hole => ({ hole, angle: pullAngle(hole, position) })))
  if (!fastener || anchors.length === 0) return undefined
  const base = array.wireBare ? uncovered(wall) : wall
  let least = Infinity
  for (const { hole, angle } of anchors) {
    // It bears on the wall beside the plate, whatever carries that.
    const bearer = bearerOf(mount, array)
    const known = strengthOf(fastener, base, bearer, {
      rules,
      wind: true,
      around: isFramed(wall) ? undefined : around(hole),
    })
    if (!known.known) return undefined
    const { tension, shear } = known.strength
    least = Math.min(least, tension, shear(angle))
  }
  return least
}

/** What a safety wire is loaded with by a fall, what it and its anchor may bear, N, and how far the weaker is used. */
export interface WireUse { force: Figure, wire: number, anchor?: number, utilisation: number }

/** How far the safety wires of one pair of display and mount are used; undefined where the mount gives no figures. */
export function wireUse(judging: Judging, pair: Pair): WireUse | undefined {
  const { display, mount: { wire } } = pair
  if (!wire) return undefined
  const { array } = judging
  const mass = display.mass + (array.behind?.mass ?? 0)
  const weight = mass * GRAVITY
  const stiffness = stiffnessOf(wire)
  const [allowed, anchor] = [wire.breakingLoad / SAFETY, anchorStrength(judging, pair)]
  const [w, k] = [quantity(weight, 'N'), quantity(stiffness, 'N/mm')]
  const force = figure([
    { label: 'Weight', expression: words`${quantity(mass, 'kg')} × g`, value: weight, unit: 'N' },
    {
      label: 'Stiffness of the wire',
      expression: words`${quantity(wire.breakingLoad, 'N')} ÷ (${wire.length} × ${String(wire.stretch)} %)`,
      value: stiffness,
      unit: 'N/mm',
    },
    {
      label: 'Force of the fall',
      expression: words`${w} × (1 + √(1 + 2 × ${k} × ${wire.slack} ÷ ${w}))`,
      value: wireForce(wire, weight),
      unit: 'N',
      source: 'energy of the fall, taken up by the wire alone',
    },
  ])
  const may = Math.min(allowed, anchor ?? Infinity)
  return { force, wire: allowed, ...(anchor !== undefined && { anchor }), utilisation: force.value / may }
}

/** What is said of covering that is cut away at the anchors. */
const cutFindings = ({ array, wall }: Judging): Finding[] => array.wireBare && coveringOf(wall) > 0
  ? [{
      severity: 'note',
      code: 'safety-wire-covering-cut',
      stage: 'fix',
      subject: { kind: 'array', id: array.id },
      message: words`Cut the covering away where the safety wires of ${array.name} are anchored, so that they bear on
        what carries them; close a fire-rated wall again as its system asks.`,
    }]
  : []

/** What to do first about a weak anchor: less slack where that is enough, and covering cut away where there is any. */
function first(shorter: Text | undefined, cuttable: boolean): Text {
  const cut = words`ut the covering away at the anchor`
  if (shorter) return cuttable ? words`${shorter}; c${cut}` : shorter
  return cuttable ? words`C${cut}` : words`Use another mount`
}

/** What is said of a wire that its mount has, by one pair of display and mount. */
function sizeFindings(judging: Judging, pair: Pair): Finding[] {
  const { array, wall, members } = judging
  const { display, mount: { name, wire }, positions } = pair
  const about = { stage: 'fix', subject: { kind: 'array', id: array.id } } as const
  const use = wireUse(judging, pair)
  if (!wire || !use) {
    return [{
      ...about,
      severity: 'caution',
      code: 'safety-wire-not-sized',
      message: words`${name} is secured by a safety wire, and its figures are not known.`,
      remedy: words`Enter them in the catalogue, or fit it as its maker says, anchored apart from the plate.`,
    }]
  }
  // Before studs are known there is nothing to look for a place in.
  const known = !isFramed(wall) || members.length > 0
  const without = positions.filter(({ plate, holes = [] }) => known && plate && !holes.some(({ secures }) => secures))
  const names = without.map(screenLabel).join(', ')
  const { force: { value: force, working: [weight] }, wire: may, anchor: carried } = use
  const loads = words`loads the safety wire of ${display.name} with ${quantity(force, 'N')}`
  const fall = words`A fall through ${wire.slack} of slack ${loads}`
  const cuttable = coveringOf(wall) > 0 && !array.wireBare
  const shorter = (most: number) => {
    const slack = slackFor(wire, weight!.value, most)
    return slack > 0 ? words`Use a slack of ${Math.floor(slack)}` : undefined
  }
  const stop = { ...about, severity: 'stop' } as const
  return [
    ...without.length > 0
      ? [{
          ...stop,
          code: 'safety-wire-without-anchor' as const,
          message: words`No place behind ${names} takes the anchor of its safety wire of ${wire.length}.`,
          remedy: words`Move the array, use a longer wire, rails in place of a board, or another mount.`,
        }]
      : [],
    ...force > may + 1e-6
      ? [{
          ...stop,
          code: 'safety-wire-too-weak' as const,
          message: words`${fall}; half of its breaking load is ${quantity(may, 'N')}.`,
          remedy: words`${shorter(may) ?? words`Use another mount`}, or a stronger wire that stretches more.`,
        }]
      : [],
    ...carried !== undefined && force > carried + 1e-6
      ? [{
          ...stop,
          code: 'safety-wire-anchor-too-weak' as const,
          message: words`${fall}; its anchor carries ${quantity(carried, 'N')}.`,
          remedy: words`${first(shorter(carried), cuttable)}, use a stronger fastener, or override this with an
            engineer’s design of the anchor.`,
        }]
      : [],
  ]
}

/** Whether safety wires are sized for what they catch, and anchored to what carries that apart from the mount. */
export function wireFindings(judging: Judging, pairs: Pair[]): Finding[] {
  return pairs.filter(({ mount }) => hasSafetyWire(mount))
    .flatMap(pair => [...pair.mount.wire ? cutFindings(judging) : [], ...sizeFindings(judging, pair)])
}
