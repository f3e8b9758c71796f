import type { Turning } from './turned'

/** How far an adjuster goes from where its screen is planned, mm: down, left or in as a negative, up, right or out. */
export interface Reach { least: number, most: number }

/** A screen as the study sees it, mm. */
export interface StudiedScreen {
  row: number
  column: number
  /** What is left of each adjuster's travel. */
  x: Reach
  y: Reach
  depth: Reach
  /** How far its case may be off its sheet either way, evenly. */
  size: number
  /**
   * How far the wall's face stands out behind it, and how far that may be misread, one σ; absent where it was not
   * surveyed.
   */
  face?: { out: number, sigma: number }
}

/** A wall as the study sees it: its screens, the gaps that it is to have, and how far a seam may be off, mm. */
export interface StudiedWall {
  screens: StudiedScreen[]
  gap: { x: number, y: number }
  tolerance: number
  /** What a crew turns in two rounds; absent where only the travel of the adjusters is looked at. */
  turning?: Turning
}

/** Screens of a row or a column one after the other, by their index; a place without a screen ends a line. */
export type Line = number[]

/** The lines of a wall that have seams: along its rows, and down its columns from the top. */
export function linesOf(screens: Pick<StudiedScreen, 'row' | 'column'>[]): { rows: Line[], columns: Line[] } {
  const at = new Map(screens.map(({ row, column }, n) => [`${row} ${column}`, n]))
  const from = (down: number, across: number) => screens.flatMap(({ row, column }, n) => {
    if (at.has(`${row - down} ${column - across}`)) return []
    const line: Line = [n]
    for (let k = 1; at.has(`${row + k * down} ${column + k * across}`); k++)
      line.push(at.get(`${row + k * down} ${column + k * across}`)!)
    return line.length > 1 ? [line] : []
  })
  return { rows: from(0, 1), columns: from(1, 0) }
}

/** How many seams lie between two screens at the least, for every two that are joined by seams. */
export function seamsBetween(
  { rows, columns }: { rows: Line[], columns: Line[] },
  count: number,
): { a: number, b: number, seams: number }[] {
  const beside: number[][] = Array.from({ length: count }, () => [])
  for (const line of [...rows, ...columns]) {
    for (let n = 1; n < line.length; n++) {
      beside[line[n - 1]!]!.push(line[n]!)
      beside[line[n]!]!.push(line[n - 1]!)
    }
  }
  return beside.flatMap((_, a) => {
    const far = new Map([[a, 0]])
    // Screens are added to the map while it is gone through, the nearest first.
    for (const [at, seams] of far) for (const next of beside[at]!) if (!far.has(next)) far.set(next, seams + 1)
    return [...far].flatMap(([b, seams]) => (seams > 0 ? [{ a, b, seams }] : []))
  })
}
