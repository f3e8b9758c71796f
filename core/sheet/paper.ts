import type { UnitSystem } from '../units'

export type PaperName = 'a3' | 'a4' | 'letter'

/** A sheet of paper lying on its long side, mm. */
export interface Paper { name: PaperName, title: string, width: number, height: number, margin: number }

/** ISO 216 A3 and A4, and ANSI Letter of 11 × 8 1/2 in. */
export const PAPERS: Record<PaperName, Paper> = {
  a3: { name: 'a3', title: 'A3', width: 420, height: 297, margin: 10 },
  a4: { name: 'a4', title: 'A4', width: 297, height: 210, margin: 9 },
  letter: { name: 'letter', title: 'Letter', width: 279.4, height: 215.9, margin: 9 },
}

/** Reductions that scale rulers carry: those of ISO 5455 with 1:25 and 1:75 between, and inches to the foot. */
const SCALES: Record<UnitSystem, number[]> = {
  metric: [1, 2, 5, 10, 20, 25, 50, 75, 100, 200, 500, 1000],
  imperial: [1, 2, 4, 8, 12, 16, 24, 32, 48, 64, 96, 128, 192, 384, 768],
}

/** The least reduction at which a wall fits a space on paper, 1:n. Falls back on a round number for huge walls. */
export function scaleFor(wall: { width: number, height: number }, space: { width: number, height: number }, units: UnitSystem): number {
  const least = Math.max(wall.width / space.width, wall.height / space.height)
  return SCALES[units].find(n => n >= least) ?? Math.ceil(least / 100) * 100
}
