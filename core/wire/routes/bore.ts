import type { CableModel, Wall } from '../../job'
import type { UnitSystem } from '../../units'
import type { Passing } from './powerMethods'

/**
 * Of a hole, a conduit or a raceway so much may be filled by one, two, three and more cables (NEC chapter 9, table 1).
 */
const FILL = [0.53, 0.31, 0.4]
/** What is bored for one cable, mm. */
const LEAST = 20
const inches = (...sizes: number[]) => sizes.map(inch => inch * 25.4)
/** The sizes in which bits for timber are sold, mm: in whole millimetres, or in eighths and quarters of an inch. */
const BITS: Record<UnitSystem, number[]> = {
  metric: [20, 22, 25, 28, 30, 32, 35, 38, 40, 44, 48, 51, 57, 64, 70, 76, 83, 92, 102, 114, 127],
  imperial: inches(
    0.875, 1, 1.125, 1.25, 1.375, 1.5, 1.75, 2, 2.125, 2.25, 2.5, 2.75, 3, 3.25, 3.625, 4, 4.5, 5,
  ),
}
/** A moulded plug wants so much beside its own width, mm. */
const BESIDE_PLUG = 4
/** A conduit wants so much beside its own width, mm. */
const BESIDE_CONDUIT = 3

/** A bored hole is at most this share of a stud's depth, and this far from its edge, mm (IRC R602.6). */
const MOST_BORED = { bearing: 0.4, notBearing: 0.6 }
const EDGE = 16
/** A hole in the web of a steel stud is at most so wide, and half the web, mm (AISI S240). */
const STEEL = 38
/** A cable nearer to the face of a stud is kept from screws by a steel plate, mm (NEC 300.4). */
const FROM_FACE = 32

/** How much room cables take together, as the diameter of what they fill to what is allowed, mm. */
export function filled(cables: Pick<CableModel, 'diameter'>[]): number {
  if (cables.length === 0) return 0
  const share = FILL[Math.min(cables.length, 3) - 1]!
  return Math.sqrt(cables.reduce((sum, { diameter }) => sum + diameter ** 2, 0) / share)
}

/**
 * The bit for a bundle: what its cables fill to what is allowed, what the largest plug that is on one of them passes
 * (its width and 4, and its diagonal, as the hole is round), a conduit’s width and 3, and 20 at the least. NaN where no
 * bit is large enough.
 *
 * @example
 * // two of 8.6: √(2 × 8.6² ÷ 0.31) = 21.8, so 22; one with a plug of 21 × 11: 21 + 4 = 25
 */
export function boreFor(cables: Passing[], units: UnitSystem = 'metric'): number {
  const plugs = cables.flatMap(({ plug }) =>
    plug ? [Math.max(plug.width, plug.height) + BESIDE_PLUG, Math.hypot(plug.width, plug.height)] : [],
  )
  const conduits = cables.flatMap(({ conduit }) => conduit === undefined ? [] : [conduit + BESIDE_CONDUIT])
  const free = filled(cables.filter(({ conduit }) => conduit === undefined))
  const needed = Math.max(LEAST, free, ...plugs, conduits.reduce((sum, width) => sum + width, 0))
  return BITS[units].find(bit => bit >= needed - 1e-9) ?? Number.NaN
}

/** Whether a hole of a diameter may be bored through a stud. One that may bear is taken to bear. */
export function mayBore({ structure, bearing }: Pick<Wall, 'structure' | 'bearing'>, hole: number): boolean {
  const { memberDepth, kind } = structure
  if (memberDepth === undefined || !Number.isFinite(hole)) return false
  if (kind === 'steel-stud') return hole <= Math.min(STEEL, memberDepth / 2) + 1e-9
  return (
    hole <= (bearing === false ? MOST_BORED.notBearing : MOST_BORED.bearing) * memberDepth + 1e-9
    && hole + 2 * EDGE <= memberDepth + 1e-9
  )
}

/** Steel plates that a hole in the middle of a stud wants: one on each face that it comes too near to. */
export const guardPlates = (memberDepth: number, hole: number): number =>
  (memberDepth - hole) / 2 < FROM_FACE - 1e-9 ? 2 : 0
