import { nameOf, type End, type TrueScreen } from '~~/core/true'

/** A place at which something is read: gap and step at an end of a seam, or how far a screen is out of level. */
export type Place = { key: string, label: string } & (
  { between: [string, string], end: End, target: number } | { screen: string }
)

const said = (name: string) => name.toUpperCase().replace('C', ' C')
export const isSeam = (place: Place): place is Extract<Place, { end: End }> => 'end' in place

/**
 * Every place that is read of an array, row by row; in a row the upright seams from the left, then the level ones below
 * it back from the right: nothing is walked twice.
 *
 * @param gap the target of vertical and horizontal seams, mm
 * @param reference the row along which level is read
 */
export function placesOf(screens: TrueScreen[], gap: { x: number, y: number }, reference: number): Place[] {
  const names = new Set(screens.map(nameOf))
  const ends = (a: string, b: string, of: End[], target: number): Place[] => !names.has(b)
    ? []
    : of.map(end => ({
        key: `${a} ${b} ${end}`, between: [a, b], end, target, label: `${said(a)} | ${said(b)}, ${end}`,
      }))
  const level = (screen: string): Place => ({ key: `level ${screen}`, screen, label: `Level of ${said(screen)}` })
  const rows = [...new Set(screens.map(({ row }) => row))].sort((a, b) => a - b)
  return rows.flatMap((row) => {
    const columns = screens.filter(screen => screen.row === row).map(({ column }) => column).sort((a, b) => a - b)
    return [
      ...columns.flatMap(column => ends(`r${row}c${column}`, `r${row}c${column + 1}`, ['top', 'bottom'], gap.x)),
      ...[...columns].reverse().flatMap((column): Place[] => [
        ...(row === reference ? [level(`r${row}c${column}`)] : []),
        ...ends(`r${row}c${column}`, `r${row + 1}c${column}`, ['right', 'left'], gap.y),
      ]),
    ]
  })
}
