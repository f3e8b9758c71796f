import type { Rect } from '../geometry'
import type { Fault, ScreenArray, Wall } from '../job'
import type { Finding } from '../finding'
import { textToString, words } from '../units'

/** Case and wall sizes are compared to a hundredth of a millimetre, finer than either is made. */
const FIT = 0.01

/** Faults of an array that no place on the wall could hold, by field. */
export function sizeFaults(array: ScreenArray, outline: Rect, wall: Wall, path: string): Fault[] {
  const show = (mm: number) => textToString(words`${mm}`, 'metric')
  const faults: Fault[] = []
  if (outline.width > wall.width + FIT)
    faults.push({
      path: `${path}.columns`,
      message: `${array.columns} columns are ${show(outline.width)} wide; the wall is ${show(wall.width)}`,
    })
  if (outline.height > wall.height + FIT)
    faults.push({
      path: `${path}.rows`,
      message: `${array.rows} rows are ${show(outline.height)} high; the wall is ${show(wall.height)}`,
    })
  return faults
}

/** Findings of an array that leaves the wall: which edge, and by how much. */
export function fitFindings(array: ScreenArray, outline: Rect, wall: Wall): Finding[] {
  const past = [
    ['left edge', -outline.x],
    ['right edge', outline.x + outline.width - wall.width],
    ['bottom edge', -outline.y],
    ['top edge', outline.y + outline.height - wall.height],
  ] as const
  const tooLarge = outline.width > wall.width + FIT || outline.height > wall.height + FIT
  return past
    .filter(([, by]) => by > FIT)
    .map(([edge, by]) => ({
      severity: 'stop',
      code: tooLarge ? 'array-larger-than-wall' : 'array-off-wall',
      stage: 'arrange',
      subject: { kind: 'array', id: array.id },
      message: words`${array.name} extends past the wall’s ${edge} by ${by}.`,
      remedy: tooLarge
        ? words`Use fewer screens or a smaller display, or choose a larger wall.`
        : words`Move the array back by ${by}.`,
    }))
}
