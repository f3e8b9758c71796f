import type { Rect } from '../geometry'
import type { Crop, PixelMap } from './pixels'

/**
 * The part of the canvas that a screen shows when seams are not compensated: its pixels follow
 * straight on those of its neighbours, as many as there are columns and rows of such screens, and
 * the picture jumps at every seam.
 */
export function uncompensated({ canvas, crops }: Pick<PixelMap, 'canvas' | 'crops'>): Rect[] {
  const [columns, rows] = [Math.max(...crops.map(({ column }) => column)), Math.max(...crops.map(({ row }) => row))]
  const [width, height] = [canvas.width / columns, canvas.height / rows]
  return crops.map(({ row, column }: Crop) => ({ x: (column - 1) * width, y: (row - 1) * height, width, height }))
}
