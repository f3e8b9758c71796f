import { arrange, sizeFaults } from '../arrange'
import type { Catalogue, Fault, Wall } from '../job'
import { mountFaults } from '../mount/findings/placing'

/**
 * What a wall asks for that cannot be, whatever the place: a grid larger than the wall, a display
 * that its mount cannot carry, a plate slid beyond its travel. An edit that brings one in is
 * refused at the field; a file that has one is planned, with a stop.
 */
export function infeasibleInputs(wall: Wall, catalogue: Catalogue, root = '$'): Fault[] {
  return wall.arrays.flatMap((array, index) => {
    if (array.alternative !== undefined && array.alternative !== wall.alternative) return []
    const path = `${root}.arrays[${index}]`
    const arrangement = arrange(array, catalogue.displays, wall)
    if (!arrangement) return []
    return [
      ...sizeFaults(array, arrangement.outline, wall, path),
      ...mountFaults(array, arrangement.cells, catalogue, path),
    ]
  })
}
