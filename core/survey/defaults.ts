import type { UnitSystem } from '../units'

/**
 * Where a wall is usually read and probed, and the first centre that is tried from a corner: round in the wall's own
 * unit, mm.
 */
export const USUAL_PLACES: Record<UnitSystem, { height: number, spacing: number }> = {
  metric: { height: 1500, spacing: 400 },
  // 5' and 1' 4".
  imperial: { height: 1524, spacing: 406.4 },
}
