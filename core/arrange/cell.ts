import type { Point, Rect } from '../geometry'
import type { CellChoice, Display, Orientation, ScreenArray } from '../job'
import { orientDisplay, type OrientedDisplay } from './orientation'

/** One screen's place in an array. Row 1 is the top row, column 1 the left one. */
export interface Cell {
  row: number
  column: number
  /** Id of its model, how it hangs, and the model as it is then seen. */
  model: string
  orientation: Orientation
  display: OrientedDisplay
  /** The case. */
  outer: Rect
  /** The picture area. */
  picture: Rect
  /** Centre of the display's mounting pattern. */
  pattern: Point
  /** Its own mount, where it does not take the array's. */
  mount?: string
}

/** What hangs in a cell: the array's model in the array's orientation unless the cell has its own. */
export type Hung = Pick<Cell, 'row' | 'column' | 'model' | 'orientation' | 'display' | 'mount'>

/** A screen whose case has its lower left corner at a point. */
export function cellAt(hung: Hung, x: number, y: number): Cell {
  const { width, height, bezel, picture, pattern } = hung.display
  return {
    ...hung,
    outer: { x, y, width, height },
    picture: { x: x + bezel.left, y: y + bezel.bottom, ...picture },
    pattern: { x: x + width / 2 + pattern.x, y: y + height / 2 + pattern.y },
  }
}

/** The same screen elsewhere. */
export function movedBy(cell: Cell, dx: number, dy: number): Cell {
  const move = <P extends Point>(at: P): P => ({ ...at, x: at.x + dx, y: at.y + dy })
  return { ...cell, outer: move(cell.outer), picture: move(cell.picture), pattern: move(cell.pattern) }
}

/** What an array's cells choose for themselves, by their place. */
export function choicesOf({
  cells = [],
}: Pick<ScreenArray, 'cells'>): (row: number, column: number) => CellChoice | undefined {
  const byPlace = new Map(cells.map(choice => [`${choice.row} ${choice.column}`, choice]))
  return (row, column) => byPlace.get(`${row} ${column}`)
}

/**
 * What hangs in each cell that is not left empty, row by row from the top, left to right. A model
 * that the catalogue does not have is taken for the array's own.
 */
export function hungIn(array: ScreenArray, main: Display, displays: Display[]): Hung[] {
  const choiceOf = choicesOf(array)
  const seen = new Map<string, OrientedDisplay>()
  const oriented = (model: Display, orientation: Orientation) => {
    const key = `${model.id} ${orientation}`
    const known = seen.get(key) ?? orientDisplay(model, orientation)
    seen.set(key, known)
    return known
  }
  return Array.from({ length: array.rows * array.columns }, (_, index) => ({
    row: Math.floor(index / array.columns) + 1,
    column: (index % array.columns) + 1,
  })).flatMap(({ row, column }): Hung[] => {
    const choice = choiceOf(row, column)
    if (choice?.empty) return []
    const model = displays.find(({ id }) => id === choice?.display) ?? main
    const orientation = choice?.orientation ?? array.orientation
    return [
      {
        row,
        column,
        model: model.id,
        orientation,
        display: oriented(model, orientation),
        ...(choice?.mount !== undefined && { mount: choice.mount }),
      },
    ]
  })
}
