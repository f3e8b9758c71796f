import type { Display, Mount, Wall } from '../job'
import type { PlateUse } from '../mount'
import { figure, words, type Figure } from '../units'

export type LoadCase = PlateUse['case']

export const CASE_NAMES: Record<LoadCase, string> = { 'stowed': 'stowed, its own weight', 'service': 'pulled out, its own weight', 'service-hand': 'pulled out, with a hand on it', 'wind': 'wind on its face' }

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665
/** A hand pulling down on a screen that is pulled out, N. */
export const HAND = 250
/** Force of wind on a face: 0.613·V² N/m² (ASCE 7, in SI) times a force coefficient. */
const WIND = { perSpeed: 0.613, coefficient: 1.3 }

/** What one case does: forces on the plate in N, and how far the weight stands off the wall, mm. */
export interface PlateLoad { case: LoadCase, down: number, out: number, arm: number }

/** What one case does to the fastener that has most of it, N. */
export interface FastenerLoad { case: LoadCase, shear: number, tension: number }

/** The cases that a plate must bear: stowed; pulled out where its mount does; in wind where the wall is outside. */
export function plateLoads(display: Display, mount: Mount, { windSpeed }: Pick<Wall, 'windSpeed'>): PlateLoad[] {
  const down = (display.mass + mount.mass) * GRAVITY
  const arm = (depth: number) => depth + display.depth / 2
  const area = display.width * display.height / 1e6
  return [
    { case: 'stowed', down, out: 0, arm: arm(mount.depth.stowed) },
    ...mount.depth.service > mount.depth.stowed
      ? [{ case: 'service' as const, down, out: 0, arm: arm(mount.depth.service) }, { case: 'service-hand' as const, down: down + HAND, out: 0, arm: arm(mount.depth.service) }]
      : [],
    ...windSpeed ? [{ case: 'wind' as const, down, out: WIND.perSpeed * windSpeed ** 2 * WIND.coefficient * area, arm: arm(mount.depth.stowed) }] : [],
  ]
}

/** A row of fasteners: how many, and how far above the foot of the plate, mm. */
export interface Row { count: number, above: number }

/** The rows of a plate that must have fasteners. */
export function rowsOf({ plate, needs }: Mount): Row[] {
  return needs.rows.map(row => ({ count: needs.members, above: (plate.slots.find(slot => slot.row === row)?.y ?? 0) + plate.height / 2 }))
}

/**
 * Load on each fastener of the row that has most: a rigid plate that turns about its foot gives a
 * row W·e·a ÷ Σ n·a² of tension; the weight is shared as shear, wind as tension, by all.
 *
 * @example
 * // 33.8 kg, two fasteners 420 above the foot and two at 60, 346 off the wall: shear 82.9, tension 133.8 N
 */
export function fastenerLoad(load: PlateLoad, rows: Row[]): FastenerLoad & { tensionFigure: Figure, shearFigure: Figure } {
  const count = rows.reduce((sum, row) => sum + row.count, 0)
  const squares = rows.reduce((sum, row) => sum + row.count * row.above ** 2, 0)
  const top = Math.max(...rows.map(({ above }) => above))
  const [shear, turning] = [load.down / count, load.down * load.arm * top / squares]
  const direct = load.out / count
  const squaresText = rows.map(({ count, above }) => `${count} × ${above}²`).join(' + ')
  return {
    case: load.case, shear, tension: turning + direct,
    shearFigure: figure([{ label: 'Shear', expression: words`${load.down.toFixed(1)} N ÷ ${String(count)} fasteners`, value: shear, unit: 'N' }]),
    tensionFigure: figure([
      { label: 'From its weight', expression: words`${load.down.toFixed(1)} N × ${load.arm} off the wall × ${top} above the foot ÷ (${squaresText})`, value: turning, unit: 'N', source: 'a rigid plate turning about its foot' },
      { label: 'Tension', expression: load.out > 0 ? words`${turning.toFixed(1)} + wind ${load.out.toFixed(1)} N ÷ ${String(count)}` : words`${turning.toFixed(1)} N`, value: turning + direct, unit: 'N', ...load.out > 0 && { source: 'ASCE 7: 0.613·V² × 1.3 × area' } },
    ]),
  }
}
