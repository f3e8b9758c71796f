import type { Cell } from './cell'

/** A seam between two neighbours, mm: what is clear between their cases, and between their pictures. */
export interface Seam {
  /** Ids of neither, but their places: the left or upper one first. */
  between: [Pick<Cell, 'row' | 'column'>, Pick<Cell, 'row' | 'column'>]
  axis: 'x' | 'y'
  gap: number
  image: number
}

/** Every seam of an array: upright ones between columns, level ones between rows. */
export function seamsOf(cells: Cell[]): Seam[] {
  const at = new Map(cells.map(cell => [`${cell.row} ${cell.column}`, cell]))
  return cells.flatMap((cell): Seam[] => {
    const right = at.get(`${cell.row} ${cell.column + 1}`)
    const below = at.get(`${cell.row + 1} ${cell.column}`)
    const place = ({ row, column }: Cell) => ({ row, column })
    return [
      ...(right
        ? [
            {
              between: [place(cell), place(right)] as Seam['between'],
              axis: 'x' as const,
              gap: right.outer.x - cell.outer.x - cell.outer.width,
              image: right.picture.x - cell.picture.x - cell.picture.width,
            },
          ]
        : []),
      ...(below
        ? [
            {
              between: [place(cell), place(below)] as Seam['between'],
              axis: 'y' as const,
              gap: cell.outer.y - below.outer.y - below.outer.height,
              image: cell.picture.y - below.picture.y - below.picture.height,
            },
          ]
        : []),
    ]
  })
}
