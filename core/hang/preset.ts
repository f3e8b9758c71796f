import type { Mount } from '../job'

/** Rows are set so much farther apart than they will be, mm: so that nothing touches while a screen is lifted past another. */
export const APART = 2

/**
 * How far each row of a wall is set above or below its place before anything is hung, mm: upper rows up, lower rows
 * down, the middle as it is, and no row farther than its height adjuster goes.
 *
 * @param rows how many
 * @param adjust travel of the height adjuster, either way
 * @example
 * presetsOf(3, { height: 12 }) // [2, 0, -2]
 */
export function presetsOf(rows: number, adjust: Pick<NonNullable<Mount['adjust']>, 'height'> | undefined): number[] {
  const travel = adjust?.height ?? 0
  const middle = (rows - 1) / 2
  const step = middle === 0 ? 0 : Math.min(APART, travel / middle)
  return Array.from({ length: rows }, (_, row) => (middle - row) * step)
}
