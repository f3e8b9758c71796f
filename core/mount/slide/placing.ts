import { screenId, type Cell } from '../../arrange'
import type { Interval, Point } from '../../geometry'
import type { Mount, PlateChoice, ScreenArray, Wall } from '../../job'
import { NOTHING_BUILT, type AsBuilt } from '../../log'
import { barredByPin, pinFor } from './made'
import type { Substrate } from './substrate'
import { slide, type Slider } from './slide'

/**
 * Where the plates of an array go: the shift of the whole array, and each plate's own slide, in the order of its cells.
 */
export interface Placing { shift: Point, plates: { lateralShift: number, heightShift: number }[] }

/** What a person decided for one plate. */
export const choiceFor = (
  { plates }: Pick<ScreenArray, 'plates'>,
  { row, column }: Pick<Cell, 'row' | 'column'>,
): PlateChoice | undefined => plates?.find(plate => plate.row === row && plate.column === column)

/** Where a plate's centre may not be along the wall, because it would cover what must stay reachable. */
export function barredFor({ features = [] }: Wall, { plate }: Mount, y: number): Interval[] {
  return features
    .filter(
      feature =>
        feature.keepReachable && feature.y < y + plate.height / 2 && feature.y + feature.height > y - plate.height / 2,
    )
    .map(({ x, width }) => ({ from: x - plate.width / 2, to: x + width + plate.width / 2 }))
}

/** A slider at its nominal place, or held where a person put it. */
function sliderOf(
  nominal: number,
  own: number | undefined,
  travel: number,
  rest: Omit<Slider, 'nominal' | 'travel'>,
): Slider {
  return own === undefined ? { nominal, travel, ...rest } : { nominal: nominal + own, travel: 0, ...rest }
}

/** Slides cells along one axis in chains that share a line; answers in the order of the cells. */
function slideCells(
  cells: Cell[],
  sliders: Slider[],
  line: (cell: Cell) => number,
  tolerance: number,
): { shift: number, by: number[] } {
  const chains = new Map<number, number[]>()
  cells.forEach((cell, n) => {
    const chain = chains.get(line(cell))
    if (chain) chain.push(n)
    else chains.set(line(cell), [n])
  })
  const ordered = [...chains.values()].map(chain => chain.sort((a, b) => sliders[a]!.nominal - sliders[b]!.nominal))
  const { shift, by } = slide(
    ordered.map(chain => chain.map(n => sliders[n]!)),
    tolerance,
  )
  const slides = cells.map(() => 0)
  ordered.forEach((chain, c) =>
    chain.forEach((n, i) => {
      slides[n] = by[c]![i]!
    }),
  )
  return { shift, by: slides }
}

/**
 * Places the plates of an array, exactly: on block first up the wall, by the array's shift and the
 * height adjusters against the bed joints; then along it, by the array's shift and each plate's
 * slide. What a person decided for a plate stays, and a plate with holes that are made keeps to them where it can.
 *
 * @param cells as they lie before any shift
 */
export function placePlates(
  { array, cells, mountOf }: { array: ScreenArray, cells: Cell[], mountOf: (cell: Cell) => Mount },
  { wall, substrate }: { wall: Wall, substrate: Substrate },
  built: AsBuilt = NOTHING_BUILT,
): Placing {
  const own = cells.map(cell => choiceFor(array, cell))
  // Holes of a rail or board are not those of a plate's slots.
  const pins = cells.map(cell =>
    substrate.carries ? undefined : pinFor(screenId(array, cell.row, cell.column), mountOf(cell), built),
  )
  const tolerance = { x: array.shiftTolerance?.x ?? 0, y: array.shiftTolerance?.y ?? 0 }
  const up = slideCells(
    cells,
    cells.map((cell, n) => {
      const mount = mountOf(cell)
      const requirements = substrate.up(mount)
      const [nominal, travel] = [
        cell.pattern.y - mount.interface.y,
        requirements.length > 0 || pins[n] ? (mount.adjust?.height ?? 0) : 0,
      ]
      return sliderOf(nominal, own[n]?.heightShift, travel, {
        half: mount.plate.height / 2,
        requirements,
        barred: barredByPin(pins[n]?.y, nominal, travel + tolerance.y),
        pinned: pins[n] !== undefined,
      })
    }),
    ({ column }) => column,
    tolerance.y,
  )
  const heights = cells.map((_, n) => own[n]?.heightShift ?? up.by[n]!)
  const along = slideCells(
    cells,
    cells.map((cell, n) => {
      const mount = mountOf(cell)
      const y = cell.pattern.y - mount.interface.y + up.shift + heights[n]!
      const [nominal, travel] = [cell.pattern.x - mount.interface.x, mount.adjust?.lateral ?? 0]
      return sliderOf(nominal, own[n]?.lateralShift, travel, {
        half: mount.plate.width / 2,
        requirements: substrate.along(mount, y),
        barred: [...barredFor(wall, mount, y), ...barredByPin(pins[n]?.x, nominal, travel + tolerance.x)],
        pinned: pins[n] !== undefined,
      })
    }),
    ({ row }) => row,
    tolerance.x,
  )
  return {
    shift: { x: along.shift, y: up.shift },
    plates: cells.map((_, n) => ({ lateralShift: own[n]?.lateralShift ?? along.by[n]!, heightShift: heights[n]! })),
  }
}
