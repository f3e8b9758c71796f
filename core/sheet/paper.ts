import type { UnitSystem } from '../units'

export type PaperName = 'a1' | 'a2' | 'a3' | 'a4' | 'letter' | 'tabloid' | 'ansi-c' | 'ansi-d'

/** A sheet of paper lying on its long side, mm. */
export interface Paper { name: PaperName, title: string, width: number, height: number, margin: number }

/** ISO 216 from A1 to A4, and ANSI Y14.1 from Letter of 11 × 8 1/2 in to D of 34 × 22 in. */
export const PAPERS: Record<PaperName, Paper> = {
  'a1': { name: 'a1', title: 'A1', width: 841, height: 594, margin: 12 },
  'a2': { name: 'a2', title: 'A2', width: 594, height: 420, margin: 12 },
  'a3': { name: 'a3', title: 'A3', width: 420, height: 297, margin: 10 },
  'a4': { name: 'a4', title: 'A4', width: 297, height: 210, margin: 9 },
  'letter': { name: 'letter', title: 'Letter', width: 279.4, height: 215.9, margin: 9 },
  'tabloid': { name: 'tabloid', title: 'ANSI B', width: 431.8, height: 279.4, margin: 10 },
  'ansi-c': { name: 'ansi-c', title: 'ANSI C', width: 558.8, height: 431.8, margin: 12 },
  'ansi-d': { name: 'ansi-d', title: 'ANSI D', width: 863.6, height: 558.8, margin: 12 },
}

/** Reductions that scale rulers carry: those of ISO 5455 with 1:25 and 1:75 between, and inches to the foot. */
const SCALES: Record<UnitSystem, number[]> = {
  metric: [1, 2, 5, 10, 20, 25, 50, 75, 100, 200, 500, 1000],
  imperial: [1, 2, 4, 8, 12, 16, 24, 32, 48, 64, 96, 128, 192, 384, 768],
}

/** The least reduction at which a wall fits a space on paper, 1:n. Falls back on a round number for huge walls. */
export function scaleFor(
  wall: { width: number, height: number },
  space: { width: number, height: number },
  units: UnitSystem,
): number {
  const least = Math.max(wall.width / space.width, wall.height / space.height)
  return SCALES[units].find(n => n >= least) ?? Math.ceil(least / 100) * 100
}
