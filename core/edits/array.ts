import { placeOf } from '../arrange'
import type { Behind, CellChoice, HoleChoice, PlateChoice, ScreenArray, Wall } from '../job'

/** The array of a wall by its id; an edit of one that is gone is an error in the program. */
export function arrayOf(wall: Wall, id: string): ScreenArray {
  const array = wall.arrays.find(array => array.id === id)
  if (!array) throw new Error(`no array ${id}`)
  return array
}

/**
 * Sets what a person decides for one plate; one for which nothing is decided any more is placed again by what is
 * calculated.
 */
export function setPlate(wall: Wall, arrayId: string, row: number, column: number, change: Partial<PlateChoice>): void {
  const array = arrayOf(wall, arrayId)
  const others = (array.plates ?? []).filter(plate => plate.row !== row || plate.column !== column)
  const before = array.plates?.find(plate => plate.row === row && plate.column === column)
  const choice = Object.fromEntries(
    Object.entries({ ...before, row, column, ...change }).filter(([, value]) => value !== undefined && value !== ''),
  ) as unknown as PlateChoice
  const decided = choice.lateralShift !== undefined || choice.heightShift !== undefined
  const plates = decided ? [...others, choice] : others
  if (plates.length > 0) array.plates = plates.sort((a, b) => a.row - b.row || a.column - b.column)
  else delete array.plates
}

/** Puts one hole elsewhere than it would be calculated, or, without a change, leaves it to that again. */
export function setHole(wall: Wall, arrayId: string, hole: HoleChoice, change: Partial<HoleChoice> | undefined): void {
  const array = arrayOf(wall, arrayId)
  const isSame = (other: HoleChoice) =>
    other.row === hole.row && other.column === hole.column && other.of === hole.of && other.rank === hole.rank
  const others = (array.holes ?? []).filter(other => !isSame(other))
  const { reason, ...rest } = { ...hole, ...array.holes?.find(isSame), ...change }
  const holes = change ? [...others, { ...rest, ...reason !== undefined && { reason } }] : others
  if (holes.length > 0)
    array.holes = holes.sort(
      (a, b) => a.row - b.row || a.column - b.column || a.of.localeCompare(b.of) || a.rank - b.rank,
    )
  else delete array.holes
}

/** Says no more of one thing that is behind the displays of an array; it is then not known. */
export function clearWhatIsBehind(array: ScreenArray, key: keyof Behind): void {
  Reflect.deleteProperty(array.behind ?? {}, key)
  if (Object.keys(array.behind ?? {}).length === 0) delete array.behind
}

/** Takes another way to hold an array; what is undefined in it goes. */
export function applyRemedy(wall: Wall, arrayId: string, change: Partial<ScreenArray>): void {
  const array = arrayOf(wall, arrayId)
  for (const [key, value] of Object.entries(change)) {
    if (value === undefined) Reflect.deleteProperty(array, key)
    else Object.assign(array, { [key]: value })
  }
}

/** Sets the size of an array; decisions about plates and cells that are no longer there go with them. */
export function setGrid(array: ScreenArray, rows: number, columns: number): void {
  array.rows = rows
  array.columns = columns
  const plates = array.plates?.filter(plate => plate.row <= rows && plate.column <= columns) ?? []
  if (plates.length > 0) array.plates = plates
  else delete array.plates
  const holes = array.holes?.filter(hole => hole.row <= rows && hole.column <= columns) ?? []
  if (holes.length > 0) array.holes = holes
  else delete array.holes
  const cells = array.cells?.filter(cell => cell.row <= rows && cell.column <= columns) ?? []
  if (cells.length > 0) array.cells = cells
  else delete array.cells
}

/**
 * Puts an array where it lies now, so that it can be moved from there manually; it no longer follows anything on that
 * axis.
 */
export function holdPlace(wall: Wall, array: ScreenArray, axis: 'x' | 'y'): void {
  Object.assign(array.at, { [axis]: placeOf(array, wall)[axis] })
  if (!array.follows) return
  Reflect.deleteProperty(array.follows, axis)
  if (Object.keys(array.follows).length === 0) delete array.follows
}

/** Sets what one cell chooses for itself; a choice of nothing leaves no entry behind. */
export function setCell(array: ScreenArray, row: number, column: number, change: Partial<CellChoice>): void {
  const others = (array.cells ?? []).filter(cell => cell.row !== row || cell.column !== column)
  const before = array.cells?.find(cell => cell.row === row && cell.column === column)
  const { row: _r, column: _c, ...choice } = { ...before, ...change } as CellChoice
  const given = Object.fromEntries(Object.entries(choice).filter(([, value]) => value !== undefined && value !== false))
  const cells = Object.keys(given).length > 0 ? [...others, { row, column, ...given }] : others
  if (cells.length > 0) array.cells = cells.sort((a, b) => a.row - b.row || a.column - b.column)
  else delete array.cells
}
