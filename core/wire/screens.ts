import { arraysOf, backDepth, type Catalogue, type Display, type Mount, type ScreenArray, type Wall } from '../job'
import { mountModels, type ArrayPlan, type Position } from '../mount'
import { screenLabel } from '../job/screenLabel'

/** A screen of the plan with all that wiring asks about it; what no model tells is absent. */
export interface Screen extends Position {
  label: string
  array: ScreenArray
  shown: Display | undefined
  mounting: Mount | undefined
  /** From the wall's face to its back, stowed and pulled out, mm. */
  stowed?: number
  service?: number
}

/** Every screen of a wall, in the order of the plan. */
export function screensOf(wall: Wall, arrays: ArrayPlan[], catalogue: Catalogue): Screen[] {
  const documents = new Map(arraysOf(wall).map(array => [array.id, array]))
  return arrays.flatMap(({ id, name, positions }) => {
    const array = documents.get(id)
    if (!array) return []
    const mountOf = mountModels(array, catalogue)
    return positions.map((position): Screen => {
      const mounting = mountOf(position)
      return {
        ...position, array, mounting, shown: catalogue.displays.find(display => display.id === position.model),
        label: `${arrays.length > 1 ? `${name} ` : ''}${screenLabel(position)}`,
        ...mounting && { stowed: backDepth(array, mounting), service: backDepth(array, mounting, 'service') },
      }
    })
  })
}
