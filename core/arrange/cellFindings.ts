import type { Finding } from '../finding'
import type { ScreenArray } from '../job'
import { words } from '../units'
import type { Cell } from './cell'
import type { OrientedDisplay } from './orientation'
import { pixelPitch } from './pixels'
import { screenId } from './screenId'
import { screenLabel } from '../job/screenLabel'

/** Cases are compared to a hundredth of a millimetre, finer than they are made. */
const FIT = 0.01
/** Pixels that differ by more than this share are seen to differ across a seam. */
const ALIKE = 0.01

/** A stop for each screen of a grid that is not of its cell's size, and a caution for pixels of unlike size. */
export function cellFindings(array: ScreenArray, display: OrientedDisplay, cells: Cell[]): Finding[] {
  if (cells.length === 0) {
    return [
      {
        severity: 'stop',
        code: 'array-empty' as const,
        stage: 'arrange',
        subject: { kind: 'array', id: array.id },
        message: words`${array.name} has no screens: every position is empty.`,
        remedy: words`Add a screen in at least one position, or delete the array.`,
      },
    ]
  }
  const pitch = pixelPitch(display)
  return cells.flatMap((cell): Finding[] => {
    const about = { stage: 'arrange', subject: { kind: 'screen', id: screenId(array, cell.row, cell.column) } } as const
    const name = `${screenLabel(cell)} of ${array.name}`
    const { width, height } = cell.display
    const unlike
      = array.align === undefined && (Math.abs(width - display.width) > FIT || Math.abs(height - display.height) > FIT)
    const own = pixelPitch(cell.display)
    const coarser = Math.max(own.x / pitch.x, pitch.x / own.x) - 1
    return [
      ...(unlike
        ? [
            {
              ...about,
              severity: 'stop' as const,
              code: 'cell-of-another-size' as const,
              message: words`${name} is ${width} × ${height}; the other screens of the grid are ${display.width} ×
                ${display.height}.`,
              remedy: words`Use a model of the same size, or hang mixed sizes in one row or one column.`,
            },
          ]
        : []),
      ...(coarser > ALIKE
        ? [
            {
              ...about,
              severity: 'caution' as const,
              code: 'cell-of-another-pitch' as const,
              message: words`${name} has a pixel pitch of ${own.x.toFixed(3)} mm, the other screens
                ${pitch.x.toFixed(3)} mm: a picture across both changes sharpness at the seam.`,
            },
          ]
        : []),
    ]
  })
}
