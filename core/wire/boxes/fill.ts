import type { BoxModel } from '../../job'
import { figure, quantity, words, type Figure } from '../../units'

/** Room that a conductor of a cross-section takes in a box, by its size up to, mm² and cm³ (NEC 314.16(B)(1)). */
const EACH = [
  { area: 2.1, room: 32.8 },
  { area: 3.4, room: 36.9 },
  { area: 5.4, room: 41 },
  { area: 8.4, room: 49.2 },
  { area: 13.4, room: 81.9 },
]
/** Conductors of a cable of one phase beside its earth; a device counts as two, all clamps together as one. */
const LIVE = 2
const DEVICE = 2
/** Up to four earths count as one conductor, each beyond as a quarter (NEC 314.16(B)(5)). */
const earthsOf = (cables: number) => 1 + Math.max(0, cables - 4) / 4

/**
 * How full a box is with the cables that enter it, %: by its maker's own figure, or by the room that they take
 * (NEC 314.16); undefined where neither is known.
 *
 * @param cables how many power cables enter it
 * @param area cross-section of their conductors, mm²
 * @example
 * // two cables of 2.5 mm² and one device in 295 cm³: (2 × 2 + 1 + 1 + 2) × 36.9 = 295.2, 100.1 %
 */
export function fillOf(model: BoxModel, cables: number, area: number | undefined): Figure | undefined {
  const conductors = LIVE * cables + cables
  if (model.conductors !== undefined)
    return figure([{
      label: 'Conductors in the box',
      expression: words`${String(cables)} × 3 ÷ ${String(model.conductors)} allowed by its maker`,
      value: 100 * conductors / model.conductors,
      unit: '%',
      source: 'the maker’s own figure',
    }])
  const room = area === undefined ? undefined : EACH.find(row => area <= row.area)?.room
  if (model.volume === undefined || room === undefined) return undefined
  const devices = DEVICE * (model.gang ?? 1)
  const earths = earthsOf(cables)
  const counted = LIVE * cables + earths + 1 + devices
  return figure([
    {
      label: 'Counted conductors',
      expression: words`${String(cables)} × ${String(LIVE)} + ${String(earths)} for earths + 1 for clamps
        + ${String(devices)} for devices`,
      value: counted,
      unit: '',
      source: 'NEC 314.16(B)',
    },
    {
      label: 'Box fill',
      expression: words`${String(counted)} × ${quantity(room, 'cm³')} ÷ ${quantity(model.volume, 'cm³')}`,
      value: 100 * counted * room / model.volume,
      unit: '%',
      source: 'NEC 314.16; check with local code',
    },
  ])
}
