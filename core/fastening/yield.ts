import { words, type Text } from '../units'

/**
 * What bears on a dowel-type fastener in single shear: bearing strength of each member along it, lb/in, lengths, in,
 * and bending, lb·in.
 */
export interface Dowel {
  /** Bearing along the side member (the plate) and the main member (the wood): strength × diameter, lb/in. */
  side: number
  main: number
  /** Bearing lengths and the gap between the two, in. */
  sideLength: number
  mainLength: number
  gap: number
  /** Bending moment of the fastener, Fyb·D³/6, lb·in, in side and main member. */
  moment: number
}

export type YieldMode = 'Im' | 'Is' | 'II' | 'IIIm' | 'IIIs' | 'IV'

/** Reduction terms of NDS table 12.3.1B for a load along the grain; K_θ multiplies them for one at an angle. */
const REDUCTION: Record<YieldMode, number> = { Im: 4, Is: 4, II: 3.6, IIIm: 3.2, IIIs: 3.2, IV: 3.2 }

/** The positive root of A·P² + B·P + C = 0, as the equations of AWC TR12 have it. */
const root = (a: number, b: number, c: number) => (-b + Math.sqrt(b * b - 4 * a * c)) / (2 * a)

/**
 * Lateral capacity of each yield mode, lb, with a gap between the members (AWC TR12, table 1-1).
 *
 * @returns before the reduction term
 */
export function yieldModes({ side, main, sideLength, mainLength, gap, moment }: Dowel): Record<YieldMode, number> {
  const [s, m] = [side * sideLength ** 2 / 4, main * mainLength ** 2 / 4]
  return {
    Im: main * mainLength,
    Is: side * sideLength,
    II: root(1 / (4 * side) + 1 / (4 * main), sideLength / 2 + gap + mainLength / 2, -s - m),
    IIIm: root(1 / (2 * side) + 1 / (4 * main), gap + mainLength / 2, -moment - m),
    IIIs: root(1 / (4 * side) + 1 / (2 * main), sideLength / 2 + gap, -s - moment),
    IV: root(1 / (2 * side) + 1 / (2 * main), gap, -2 * moment),
  }
}

/** K_D for roots under a quarter of an inch, which takes the place of the reduction terms (NDS 12.3.1). */
function smallRoot(diameter: number): number | undefined {
  if (diameter >= 0.25) return undefined
  return diameter <= 0.17 ? 2.2 : 10 * diameter + 0.5
}

const MODES = Object.keys(REDUCTION) as YieldMode[]

/**
 * The mode that governs, its reduction term R_d, and the reference capacity, lb.
 *
 * @param diameter root diameter, in
 * @param angleFactor K_θ = 1 + θ ÷ 360 for a load at θ degrees to the grain (NDS table 12.3.1B)
 */
export function governingMode(
  dowel: Dowel,
  diameter: number,
  angleFactor = 1,
): { mode: YieldMode, reduction: number, capacity: number } {
  const small = smallRoot(diameter)
  const modes = yieldModes(dowel)
  let [mode, reduction, capacity]: [YieldMode, number, number] = ['Im', 1, Infinity]
  for (const each of MODES) {
    const divisor = (small ?? REDUCTION[each]) * angleFactor
    if (modes[each] / divisor < capacity) [mode, reduction, capacity] = [each, divisor, modes[each] / divisor]
  }
  return { mode, reduction, capacity }
}

/** What a mode is, for someone who has never read the standard. */
export const MODE_NAMES: Record<YieldMode, Text> = {
  Im: words`mode I: the wood crushes along the screw`,
  Is: words`mode I: the plate crushes`,
  II: words`mode II: the screw pivots in plate and wood`,
  IIIm: words`mode III: the screw bends at the plate`,
  IIIs: words`mode III: the screw bends in the wood`,
  IV: words`mode IV: the screw bends at two points`,
}
