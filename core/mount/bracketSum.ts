import type { Point, Rect } from '../geometry'
import type { Mount, Slot } from '../job'
import { figure, words, type Figure } from '../units'
import type { Cell } from '../arrange'

/**
 * Centre of the wall plate, mm: the display's pattern centre less the mount's interface offset,
 * plus the plate's own shifts along the wall and up it. Adjusters that are only preset for hanging
 * move no hole; a plate that is shifted up is taken back by its height adjusters.
 */
export function plateCentre(
  pattern: Point,
  mount: Mount,
  { lateralShift, heightShift }: { lateralShift: number, heightShift: number },
): Point {
  return { x: pattern.x - mount.interface.x + lateralShift, y: pattern.y - mount.interface.y + heightShift }
}

/** The plate's rectangle on the wall, about its centre. */
export function plateRect(centre: Point, { plate }: Mount): Rect {
  return { x: centre.x - plate.width / 2, y: centre.y - plate.height / 2, width: plate.width, height: plate.height }
}

/** The same height reckoned from the display's bottom edge, as it is checked with a tape at the wall. */
export function holeHeightFromBottomEdge(cell: Cell, mount: Mount, slot: Slot, heightShift = 0): Figure {
  const bottom = cell.outer.y
  const toPattern = cell.pattern.y - bottom
  const value = bottom + toPattern - mount.interface.y + heightShift + slot.y
  return figure([
    {
      label: `Height of the ${slot.row} holes above floor`,
      expression: words`bottom edge ${bottom} + to mounting pattern ${toPattern} − hook to plate centre
        ${mount.interface.y}${heightShift === 0 ? [] : words` + plate shift ${heightShift}`} + plate centre to hole
          ${slot.y}`,
      value,
      unit: 'mm',
      source: 'mount maker’s drawing',
    },
  ])
}

/** How far along the wall a plate’s centre lies, with its working. */
export function plateAcross(cell: Cell, mount: Mount, lateralShift: number): Figure {
  return figure([
    {
      label: 'Plate centre along the wall',
      expression: words`mounting pattern ${cell.pattern.x} − hook to plate centre ${mount.interface.x} + plate shift
        ${lateralShift}`,
      value: plateCentre(cell.pattern, mount, { lateralShift, heightShift: 0 }).x,
      unit: 'mm',
    },
  ])
}
