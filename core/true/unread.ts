import { readingsOf, type End, type Reading } from './seam'
import { nameOf, type TrueScreen } from './screen'

const OTHER: Record<End, End> = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' }
const placeOf = (between: readonly string[], end: string | undefined) => `${between.join(' ')} ${end ?? ''}`

/** Every end of every seam of an array. */
function endsOf(screens: TrueScreen[]): { between: string[], end: End, upright: boolean }[] {
  const names = new Set(screens.map(nameOf))
  return screens.flatMap(({ row, column }) => {
    const from = nameOf({ row, column })
    const [beside, below] = [nameOf({ row, column: column + 1 }), nameOf({ row: row + 1, column })]
    const seam = (to: string, ends: End[], upright: boolean) =>
      names.has(to) ? ends.map(end => ({ between: [from, to], end, upright })) : []
    return [...seam(beside, ['top', 'bottom'], true), ...seam(below, ['right', 'left'], false)]
  })
}

/**
 * The gaps that were not read this time, as they are taken to be: as they were read last, as the other end of their
 * seam, or else as they were planned. None of them may be driven below nothing by what is turned for others.
 *
 * @param readings what was read this time
 * @param earlier what was read before, as it would be now, the first round first
 */
export function unreadGaps(
  readings: Reading[], earlier: Reading[][], screens: TrueScreen[], targets: { x: number, y: number },
): Reading[] {
  const gapsIn = (of: Reading[]) => of.filter(({ kind }) => kind === 'gap')
  const read = new Map(gapsIn(readings).map(({ between, end, value }) => [placeOf(between, end), value]))
  const last = new Map(earlier.flatMap(gapsIn).map(({ between, end, value }) => [placeOf(between, end), value]))
  const gaps = endsOf(screens).flatMap(({ between, end, upright }) => {
    const place = placeOf(between, end)
    if (read.has(place)) return []
    // A case is stiff: where only one end of a seam was read, the other is as wide.
    const other = read.get(placeOf(between, OTHER[end]))
    return [{ between, end, mm: last.get(place) ?? other ?? (upright ? targets.x : targets.y) }]
  })
  return readingsOf({ gaps }, screens, targets)
}
