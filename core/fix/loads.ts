import { heightOfRow, type Display, type Mount, type Wall } from '../job'
import type { PlateUse } from '../mount'
import { figure, words, type Figure } from '../units'

export type LoadCase = PlateUse['case']

export const CASE_NAMES: Record<LoadCase, string> = { 'stowed': 'stowed, its own weight', 'service': 'pulled out, its own weight', 'service-hand': 'pulled out, with a hand on it', 'swung': 'swung to the side', 'wind': 'wind on its face' }

/** Standard gravity, m/s². */
export const GRAVITY = 9.80665
/** A hand pulling down on a screen that is pulled out, N. */
export const HAND = 250
/** Force of wind on a face: 0.613·V² N/m² (ASCE 7, in SI) times a force coefficient. */
const WIND = { perSpeed: 0.613, coefficient: 1.3 }

/** What one case does: forces on the plate in N, how far the weight stands off the wall, and how far to the side, mm. */
export interface PlateLoad { case: LoadCase, down: number, out: number, arm: number, aside: number }

/** What one case does to the fastener that has most of it, N. */
export interface FastenerLoad { case: LoadCase, shear: number, tension: number }

/**
 * The cases that a plate must bear: stowed; pulled out where its mount does, an arm swung to the side
 * too; in wind where the wall is outside.
 *
 * @param standOff how far a rail or a board holds the plate off the wall, mm
 */
export function plateLoads(display: Display, mount: Mount, { windSpeed }: Pick<Wall, 'windSpeed'>, standOff = 0): PlateLoad[] {
  const down = (display.mass + mount.mass) * GRAVITY
  const arm = (depth: number) => standOff + depth + display.depth / 2
  const area = display.width * display.height / 1e6
  const { stowed, service } = mount.depth
  const out = service > stowed
  return [
    { case: 'stowed', down, out: 0, arm: arm(stowed), aside: 0 },
    ...out ? [{ case: 'service' as const, down, out: 0, arm: arm(service), aside: 0 }, { case: 'service-hand' as const, down: down + HAND, out: 0, arm: arm(service), aside: 0 }] : [],
    ...out && mount.kind === 'arm' ? [{ case: 'swung' as const, down, out: 0, arm: arm(stowed), aside: service }] : [],
    ...windSpeed ? [{ case: 'wind' as const, down, out: WIND.perSpeed * windSpeed ** 2 * WIND.coefficient * area, arm: arm(stowed), aside: 0 }] : [],
  ]
}

/** A row of fasteners: how many, and how far above the foot of the plate, mm; how far each is from the middle of the row, where that is known. */
export interface Row { count: number, above: number, across?: number[] }

/** The rows of a plate that must have fasteners. */
export function rowsOf({ plate, needs }: Mount): Row[] {
  return needs.rows.map((row) => {
    const slots = plate.slots.filter(slot => slot.row === row)
    return { count: needs.members, above: heightOfRow({ plate }, row) + plate.height / 2, across: slots.map(({ x1, x2 }) => (x1 + x2) / 2) }
  })
}

/** How far each fastener of a plate is from the middle of them all, mm. */
function offMiddle(rows: Row[]): number[] {
  const places = rows.flatMap(({ count, above, across = [] }) => Array.from({ length: count }, (_, n) => ({ x: across[n % Math.max(across.length, 1)] ?? 0, y: above })))
  const mean = (key: 'x' | 'y') => places.reduce((sum, place) => sum + place[key], 0) / places.length
  const [x, y] = [mean('x'), mean('y')]
  return places.map(place => Math.hypot(place.x - x, place.y - y))
}

/**
 * Load on each fastener of the row that has most: a rigid plate that turns about its foot gives a
 * row W·e·a ÷ Σ n·a² of tension; the weight is shared as shear, wind as tension, by all. A weight to
 * the side also turns the plate in its own plane, which the fasteners take as W·s·r ÷ Σ r² of shear,
 * counted in line with the rest.
 *
 * @param share how many screens' weight comes to this set of fasteners
 * @example
 * // 33.8 kg, two fasteners 420 above the foot and two at 60, 346 off the wall: shear 82.9, tension 133.8 N
 */
export function fastenerLoad(load: PlateLoad, rows: Row[], share = 1): FastenerLoad & { tensionFigure: Figure, shearFigure: Figure } {
  const [down, out] = [load.down * share, load.out * share]
  const count = rows.reduce((sum, row) => sum + row.count, 0)
  const squares = rows.reduce((sum, row) => sum + row.count * row.above ** 2, 0)
  const top = Math.max(...rows.map(({ above }) => above))
  const [even, turning, direct] = [down / count, down * load.arm * top / squares, out / count]
  const off = load.aside > 0 ? offMiddle(rows) : []
  const aside = load.aside > 0 ? down * load.aside * Math.max(...off) / off.reduce((sum, r) => sum + r * r, 0) : 0
  const shear = even + aside
  const squaresText = rows.map(({ count, above }) => `${count} × ${Math.round(above)}²`).join(' + ')
  const weight = share === 1 ? words`${load.down.toFixed(1)} N` : words`${load.down.toFixed(1)} N × ${share.toFixed(2)} screens that come to one member`
  return {
    case: load.case, shear, tension: turning + direct,
    shearFigure: figure([
      { label: 'Evenly', expression: words`${weight} ÷ ${String(count)} fasteners`, value: even, unit: 'N' },
      { label: 'Shear', expression: aside > 0 ? words`${even.toFixed(1)} + turning in its plane, ${down.toFixed(1)} N × ${load.aside} aside × ${Math.max(...off)} ÷ Σ r²` : words`${even.toFixed(1)} N`, value: shear, unit: 'N', ...aside > 0 && { source: 'a rigid plate turning about the middle of its fasteners' } },
    ]),
    tensionFigure: figure([
      { label: 'From its weight', expression: words`${weight} × ${load.arm} off the wall × ${top} above the foot ÷ (${squaresText})`, value: turning, unit: 'N', source: 'a rigid plate turning about its foot' },
      { label: 'Tension', expression: out > 0 ? words`${turning.toFixed(1)} + wind ${out.toFixed(1)} N ÷ ${String(count)}` : words`${turning.toFixed(1)} N`, value: turning + direct, unit: 'N', ...out > 0 && { source: 'ASCE 7: 0.613·V² × 1.3 × area' } },
    ]),
  }
}
