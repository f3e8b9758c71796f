/** The id of a hole of a plate: its screen's, its row of slots, and its number there. */
export const holeId = (screen: string, row: string, number: number): string => `${screen}-${row}-${number}`

/** What stands behind the row: the number and, in a hole that was issued, what no other device makes. */
const NUMBERED = /-(\d+)(-[0-9a-z]{6})?$/

/**
 * The number of a hole in its row, by which people call it.
 *
 * @example numberOfHole('a1-r1c1-top-3') // 3
 * @example numberOfHole('a1-r1c1-top-3-k7q2pq') // 3
 */
export const numberOfHole = (id: string): number => Number(NUMBERED.exec(id)?.[1] ?? 0)

/** Whether an id is that of a hole in a row of a screen's plate. */
export function isHoleIn(screen: string, row: string, id: string): boolean {
  const before = `${screen}-${row}`
  return id.startsWith(`${before}-`) && NUMBERED.exec(id)?.index === before.length
}
