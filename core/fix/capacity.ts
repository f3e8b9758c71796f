import { coveringOf, type Fastener, type Rules, type Wall } from '../job'
import { figure, words, type Figure, type Step, type Text } from '../units'
import { crowdingOf } from './crowding'
import { DURATION, lagShear, lagUse, lagWithdrawal, threadInWood } from './lag'
import type { LoadCase } from './loads'
import type { Setting } from './setting'

/** What a fastener bears in one load case; `use` is 1 where it bears just that. */
export interface Capacity {
  tension: Figure
  shear: Figure
  use: (tension: number, shear: number) => number
  /** The rule by which tension and shear count together. */
  together: string
}

/** A capacity, or why it is not known. */
export type Known = { known: true, capacity: Capacity } | { known: false, why: Text }

const unknown = (why: Text): Known => ({ known: false, why })

function lagCapacity(lag: Fastener, wall: Wall, { bearer }: Setting, rules: Rules, duration: number): Known {
  const gravity = wall.structure.specificGravity
  if (gravity === undefined) return unknown(words`the wood’s specific gravity is not given`)
  if (lag.thread === undefined) return unknown(words`the sheet of ${lag.name ?? lag.id} gives no thread length`)
  if (!bearer) return unknown(words`how thick the rail’s steel is is not given`)
  const covering = coveringOf(wall)
  const joint = { gravity, plate: bearer.thickness, board: bearer.kind === 'board', gap: rules.coveringCountsAsGap === false ? 0 : covering, duration }
  const inWood = threadInWood(lag, bearer.thickness, covering, wall.structure.memberDepth)
  const shear = lagShear(lag, joint, inWood)
  if (!shear) return unknown(words`the sheet of ${lag.name ?? lag.id} gives no ${lag.root === undefined ? 'root diameter' : 'bending yield'}`)
  const tension = lagWithdrawal(lag, joint, inWood)
  return { known: true, capacity: { tension, shear, use: (t, v) => lagUse(t, v, tension.value, shear.value), together: 'Z_α = W·Z ÷ (W·cos²α + Z·sin²α), NDS 12.4.1' } }
}

/** Safety factor of screws in sheet steel, and the tensile strength of the usual stud, MPa (AISI S100 J4; ASTM A1003 grade 33). */
const SHEET = { factor: 3, strength: 310 }

function sheetCapacity(screw: Fastener, { structure }: Wall): Known {
  const t = structure.gauge
  if (t === undefined) return unknown(words`the steel’s thickness is not given`)
  const d = screw.diameter
  const strength = structure.steelStrength ?? SHEET.strength
  const assumed = structure.steelStrength === undefined ? ', taken for grade 33 steel' : ''
  const tension = figure([{ label: 'Pull-out', expression: words`0.85 × ${t} × ${d} × ${String(strength)} MPa${assumed} ÷ ${String(SHEET.factor)}`, value: 0.85 * t * d * strength / SHEET.factor, unit: 'N', source: 'AISI S100 J4.4.1' }])
  const [tilt, bear] = [4.2 * Math.sqrt(t ** 3 * d) * strength, 2.7 * t * d * strength]
  const shear = figure([{ label: 'Tilting or bearing', expression: words`the lesser of 4.2 × √(${t}³ × ${d}) and 2.7 × ${t} × ${d}, × ${String(strength)} MPa ÷ ${String(SHEET.factor)}`, value: Math.min(tilt, bear) / SHEET.factor, unit: 'N', source: 'AISI S100 J4.3.1' }])
  return { known: true, capacity: { tension, shear, use: (t, v) => t / tension.value + v / shear.value, together: 'T ÷ Ta + V ÷ Va' } }
}

/** An anchor that its maker has tested: the allowables of its sheet, less what edges and neighbours take. */
function makersCapacity(anchor: Fastener, { structure }: Wall, setting: Setting): Known {
  const { allowable } = anchor
  if (!allowable) return unknown(words`the sheet of ${anchor.name ?? anchor.id} gives no allowable tension and shear`)
  const { factor, steps } = crowdingOf(anchor, setting)
  const given = (label: string, value: number) => {
    const sheet: Step = { label, expression: words`as the maker allows${anchor.embedment === undefined ? words`` : words` at ${anchor.embedment} of embedment`}`, value, unit: 'N', source: 'maker’s sheet' }
    return steps.length === 0 ? figure([sheet]) : figure([sheet, ...steps, { label: `${label}, here`, expression: words`${value.toFixed(0)} N × ${factor.toFixed(3)}`, value: value * factor, unit: 'N' }])
  }
  const [tension, shear] = [given('Tension', allowable.tension), given('Shear', allowable.shear)]
  const power = structure.kind === 'concrete' ? 5 / 3 : 1
  return {
    known: true,
    capacity: {
      tension, shear,
      use: (t, v) => (t / tension.value) ** power + (v / shear.value) ** power,
      together: power === 1 ? 'T ÷ Ta + V ÷ Va' : '(T ÷ Ta)^5/3 + (V ÷ Va)^5/3',
    },
  }
}

/** What one fastener bears in a wall in its setting, or why that is not known. */
export function capacityOf(fastener: Fastener, wall: Wall, setting: Setting, rules: Rules, load: LoadCase): Known {
  const duration = load === 'wind' ? DURATION.wind : DURATION.permanent
  if (fastener.kind === 'hollow-wall-anchor') {
    const rule = rules.hollowWallAnchors ?? 'supplement'
    if (rule !== 'counted') return unknown(words`by the house rule a hollow-wall anchor ${rule === 'never' ? 'is never used' : 'is a supplement that carries nothing in the sums'}`)
    return makersCapacity(fastener, wall, setting)
  }
  if (fastener.base === 'wood-stud') return lagCapacity(fastener, wall, setting, rules, duration)
  if (fastener.kind === 'self-drilling') return sheetCapacity(fastener, wall)
  return makersCapacity(fastener, wall, setting)
}

/**
 * Concrete breakout of one anchor in cracked concrete, as a cross-check of a maker's figure:
 * N_b = 17·√f′c·h_ef^1.5, lbf, psi, in (ACI 318 17.6.2.2).
 *
 * @example
 * breakout(27.58, 63.5).value // 18,905 N, 4250 lbf at 4000 psi and 2.5 in
 */
export function breakout(strength: number, embedment: number): Figure {
  const lbf = 17 * Math.sqrt(strength * 145.0377377) * (embedment / 25.4) ** 1.5
  return figure([{ label: 'Breakout of the concrete', expression: words`17 × √${(strength * 145.0377377).toFixed(0)} × ${(embedment / 25.4).toFixed(2)}^1.5 lbf`, value: lbf * 4.4482216, unit: 'N', source: 'ACI 318 17.6.2.2, strength level' }])
}
