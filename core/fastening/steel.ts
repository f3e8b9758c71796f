import type { Fastener, Structure } from '../job'
import { figure, words, type Figure } from '../units'

/**
 * Safety factor of screws in sheet steel, and the tensile strength of the usual stud, MPa (AISI S100 J4; ASTM A1003
 * grade 33).
 */
const SHEET = { factor: 3, strength: 310 }
/** Full threads that must stand out behind the steel. */
const THREADS_BEYOND = 3
/** A thread's pitch in diameters, where its maker does not give it: no less than that of any usual size. */
const PITCH_SHARE = 1 / 3

/** Allowable pull-out of a screw in sheet steel, N (AISI S100 J4.4.1): 0.85·t·d·F_u over Ω. */
export function pullOut(
  { diameter }: Pick<Fastener, 'diameter'>,
  { gauge = 0, steelStrength }: Pick<Structure, 'gauge' | 'steelStrength'>,
): Figure {
  const strength = steelStrength ?? SHEET.strength
  const assumed = steelStrength === undefined ? ' (grade 33 steel assumed)' : ''
  return figure([
    {
      label: 'Pull-out',
      expression: words`0.85 × ${gauge.toFixed(2)} mm × ${diameter.toFixed(2)} mm ×
        ${String(strength)} MPa${assumed} ÷ ${String(SHEET.factor)}`,
      value: (0.85 * gauge * diameter * strength) / SHEET.factor,
      unit: 'N',
      source: 'AISI S100 J4.4.1',
    },
  ])
}

/** Allowable shear of a screw in sheet steel, N, for sheets in contact (AISI S100 J4.3.1). */
export function sheetShear(
  { diameter: d }: Pick<Fastener, 'diameter'>,
  { gauge: t = 0, steelStrength = SHEET.strength }: Pick<Structure, 'gauge' | 'steelStrength'>,
): Figure {
  const [tilting, bearing] = [4.2 * Math.sqrt(t ** 3 * d) * steelStrength, 2.7 * t * d * steelStrength]
  return figure([
    {
      label: 'Tilting or bearing',
      expression: words`the lesser of 4.2 × √((${t.toFixed(2)} mm)³ × ${d.toFixed(2)} mm) and 2.7 ×
        ${t.toFixed(2)} mm × ${d.toFixed(2)} mm, × ${String(steelStrength)} MPa ÷ ${String(SHEET.factor)}`,
      value: Math.min(tilting, bearing) / SHEET.factor,
      unit: 'N',
      source: 'AISI S100 J4.3.1',
    },
  ])
}

/**
 * How much of a screw must be behind the steel's front face, mm: the steel, three threads beyond it, and the drill
 * point, one diameter where it is not given.
 */
export function reachThroughSteel(
  { diameter, pitch, tip }: Pick<Fastener, 'diameter' | 'pitch' | 'tip'>,
  gauge: number,
): number {
  return gauge + THREADS_BEYOND * (pitch ?? PITCH_SHARE * diameter) + (tip ?? diameter)
}
