import type { Fastener } from '../job'
import { figure, quantity, words, type Figure } from '../units'
import { fastenerKindOf } from './kinds'
import { lagScrew } from './kinds/lagScrew'
import { INCH, POUND, PSI } from './units'
import { governingMode, MODE_NAMES } from './yield'

/**
 * Bearing strength, psi, of what the head bears on: of a steel plate whose steel is not given (AWC TR12,
 * for ASTM A653 grade 33, the weakest that plates are made of), and of plywood (NDS table 12.3.3B).
 */
const BEARING = { steel: 61_850, plywood: 3_350 }

/** Load duration factors (NDS table 2.3.2): for all that may last, and for wind. */
export const DURATION = { permanent: 0.9, wind: 1.6 } as const
/** Wet service factor of lag and wood screws, withdrawal and shear alike (NDS table 11.3.3). */
export const WET_SERVICE = 0.7

/** Whether a fastener is reckoned by the equations for screws in wood. */
export const isWoodScrew = (fastener: Pick<Fastener, 'kind'>): boolean => fastenerKindOf(fastener).wood !== undefined

/** How a screw is reckoned in wood; one of a kind without rules of its own as a lag screw. */
const woodRule = (screw: Pick<Fastener, 'kind'>) => fastenerKindOf(screw).wood ?? lagScrew.wood!

/**
 * How much of a screw's end is its point, which holds nothing, mm; a wood screw's thread runs to its end (NDS 12.2.2).
 */
export function tipOf({ kind, diameter, tip }: Pick<Fastener, 'kind' | 'diameter' | 'tip'>): number {
  return tip ?? fastenerKindOf({ kind }).wood?.tip(diameter) ?? 0
}

/** What a screw is driven through and into; lengths in mm. */
export interface WoodJoint {
  gravity: number
  /** Thickness of what the head bears on, and whether that is a board of plywood and not steel. */
  plate: number
  board?: boolean
  /** Bearing strength of the plate's steel, MPa, where its maker gives it. */
  plateBearing?: number
  /** Between plate and wood: the covering, which the screw must bridge. */
  covering: number
  /** Whether the covering counts as a gap in shear. */
  coveringIsGap?: boolean
  /** How deep the member is, where that is known. */
  depth?: number
  duration: number
  wet?: boolean
}

/** How far a screw goes into the wood, its tip left out, mm: no farther than the wood is deep. */
export function penetration(
  screw: Fastener,
  { plate, covering, depth = Infinity }: Pick<WoodJoint, 'plate' | 'covering' | 'depth'>,
): number {
  return Math.max(Math.min(screw.length - plate - covering - tipOf(screw), depth), 0)
}

/** How much of the thread is in the wood, its tip left out, mm. */
export function threadInWood(screw: Fastener, joint: Pick<WoodJoint, 'plate' | 'covering' | 'depth'>): number {
  return Math.min(screw.thread ?? 0, penetration(screw, joint))
}

/** Load duration and wet service together, and how they are reported. */
function adjusted({ duration, wet }: Pick<WoodJoint, 'duration' | 'wet'>): {
  factor: number
  told: string
  source: string
} {
  return wet
    ? {
        factor: duration * WET_SERVICE,
        told: `load duration ${duration} × wet service ${WET_SERVICE}`,
        source: 'NDS 2.3.2, 11.3.3',
      }
    : { factor: duration, told: `load duration ${duration}`, source: 'NDS 2.3.2' }
}

/**
 * Withdrawal of a screw for each inch of thread in the wood, lbf/in: a lag screw by NDS 12.2.1, a wood screw by NDS
 * 12.2.2.
 */
function withdrawalPerInch(screw: Pick<Fastener, 'kind' | 'diameter'>, gravity: number): number {
  return woodRule(screw).withdrawal(screw.diameter / INCH, gravity)
}

/** Allowable withdrawal, N, with so much thread in the wood, mm. */
export function withdrawal(screw: Fastener, joint: WoodJoint, inWood = threadInWood(screw, joint)): number {
  return withdrawalPerInch(screw, joint.gravity) * POUND / INCH * inWood * adjusted(joint).factor
}

/**
 * Allowable withdrawal with its working.
 *
 * @example
 * // 3/8 in lag, 57 mm of thread in G 0.42, permanent load: 2109 N
 */
export function withdrawalFigure(screw: Fastener, joint: WoodJoint, inWood = threadInWood(screw, joint)): Figure {
  const each = withdrawalPerInch(screw, joint.gravity)
  const perMm = each * POUND / INCH
  const { told, source } = adjusted(joint)
  const { source: rule, withdrawalSum } = woodRule(screw)
  const sum = words`${withdrawalSum(screw.diameter / INCH, joint.gravity)} = ${each.toFixed(1)} lbf/in`
  return figure([
    { label: 'Withdrawal value W, per length of thread', expression: sum, value: perMm, unit: 'N/mm', source: rule },
    {
      label: 'Allowable withdrawal W′',
      expression: words`${quantity(perMm, 'N/mm')} × ${quantity(inWood, 'mm')} thread penetration, tip excluded, ×
        ${told}`,
      value: withdrawal(screw, joint, inWood),
      unit: 'N',
      source: `${rule}, ${source}`,
    },
  ])
}

/** Whether a screw is thick enough for its bearing to depend on the grain (NDS 12.3.3). */
const feelsGrain = (screw: Pick<Fastener, 'kind' | 'diameter'>) => woodRule(screw).feelsGrain(screw.diameter)

/**
 * Bearing strength of wood, psi, at an angle to its grain: 11200·G along it, 6100·G^1.45 ÷ √D across it,
 * between by Hankinson (NDS 12.3.3, 12.3.4); for thin wood screws 16600·G^1.84 whatever the angle.
 */
export function woodBearing(screw: Pick<Fastener, 'kind' | 'diameter'>, gravity: number, angle: number): number {
  if (!feelsGrain(screw)) return 16_600 * gravity ** 1.84
  const [along, across] = [11_200 * gravity, 6_100 * gravity ** 1.45 / Math.sqrt(screw.diameter / INCH)]
  const sin2 = Math.sin(angle * Math.PI / 180) ** 2
  return along * across / (along * sin2 + across * (1 - sin2))
}

/**
 * The mode by which a screw fails in shear at an angle to the grain; undefined where its root or yield is not given.
 */
function lateral(screw: Fastener, joint: WoodJoint, angle: number, inWood: number) {
  if (screw.root === undefined || screw.yield === undefined) return undefined
  const d = screw.root / INCH
  const wood = woodBearing(screw, joint.gravity, angle)
  const plate = joint.board
    ? BEARING.plywood
    : joint.plateBearing === undefined
      ? BEARING.steel
      : joint.plateBearing * PSI
  const gap = joint.coveringIsGap === false ? 0 : joint.covering
  const angleFactor = feelsGrain(screw) ? 1 + angle / 360 : 1
  const governs = governingMode(
    {
      side: plate * d,
      main: wood * d,
      sideLength: joint.plate / INCH,
      mainLength: inWood / INCH,
      gap: gap / INCH,
      moment: (screw.yield * PSI * d ** 3) / 6,
    },
    d,
    angleFactor,
  )
  return { ...governs, wood, plate, gap }
}

/**
 * Allowable shear, N, under a steel plate or a board, at an angle to the grain in degrees: the least of the
 * yield modes on the root diameter, the covering being a gap. Undefined where root or yield are not given.
 */
export function lateralStrength(
  screw: Fastener,
  joint: WoodJoint,
  angle = 0,
  inWood = penetration(screw, joint),
): number | undefined {
  const governs = lateral(screw, joint, angle, inWood)
  return governs && governs.capacity * POUND * adjusted(joint).factor
}

/**
 * The same with its working.
 *
 * @example
 * // 3/8 in (root 0.265 in, 45,000 psi), 57 mm in G 0.42, plate of 2.5 mm and 87,000 psi: 790 N,
 * // and 369 N through 12.5 mm of board
 */
export function lateralFigure(
  screw: Fastener,
  joint: WoodJoint,
  angle = 0,
  inWood = penetration(screw, joint),
): Figure | undefined {
  const governs = lateral(screw, joint, angle, inWood)
  if (!governs) return undefined
  const { mode, reduction, wood, plate, gap, capacity } = governs
  const newtons = capacity * POUND
  const { told, source, factor } = adjusted(joint)
  const bearing = feelsGrain(screw)
    ? angle < 0.05
      ? words`11200 × ${String(joint.gravity)} psi, along the grain`
      : words`between 11200 × ${String(joint.gravity)} along and 6100 × ${String(joint.gravity)}^1.45 ÷
        √${(screw.diameter / INCH).toFixed(3)} psi across the grain, at ${angle.toFixed(0)}°`
    : words`16600 × ${String(joint.gravity)}^1.84 psi`
  return figure([
    {
      label: 'Dowel bearing strength of the wood',
      expression: bearing,
      value: wood / PSI,
      unit: 'MPa',
      source: 'NDS 12.3.3, 12.3.4',
    },
    {
      label: `Dowel bearing strength of the ${joint.board ? 'board' : 'plate'}`,
      expression:
        joint.plateBearing === undefined || joint.board
          ? words`${String(plate)} psi, default: material not known`
          : words`maker’s figure`,
      value: plate / PSI,
      unit: 'MPa',
      source: joint.board ? 'NDS table 12.3.3B' : 'AWC TR12',
    },
    {
      label: 'Governing yield mode',
      expression: words`${MODE_NAMES[mode]}; root diameter ${screw.root!},
        ${joint.board ? 'board' : 'plate'} ${joint.plate}, gap ${gap}, penetration ${inWood}, ÷ R_d
        ${reduction.toFixed(2)}`,
      value: newtons,
      unit: 'N',
      source: 'AWC TR12, NDS table 12.3.1B',
    },
    {
      label: 'Allowable shear Z′',
      expression: words`${quantity(newtons, 'N')} × ${told}`,
      value: newtons * factor,
      unit: 'N',
      source: `NDS 12.3, ${source}`,
    },
  ])
}

/**
 * Utilisation of a screw by tension and shear: the greatest of the load over Z_α = W·Z ÷ (W·cos²α + Z·sin²α)
 * (NDS 12.4.1), of shear alone and of tension alone, so that more load never lowers it.
 */
export function screwUse(tension: number, shear: number, withdraws: number, shears: number): number {
  const load = Math.hypot(tension, shear)
  if (load === 0) return 0
  const [cos2, sin2] = [(shear / load) ** 2, (tension / load) ** 2]
  return Math.max(load * (withdraws * cos2 + shears * sin2) / (withdraws * shears), shear / shears, tension / withdraws)
}
