import type { Display, Mount, ScreenArray } from '../job'
import { figure, words, type Figure } from '../units'

const count = ({ rows, columns }: ScreenArray) => rows * columns

/** Mass of all displays and mounts of an array. */
export function massOf(array: ScreenArray, display: Display, mount: Mount | undefined): Figure {
  const each = display.mass + (mount?.mass ?? 0)
  return figure([{
    label: 'Mass', expression: words`${String(count(array))} × (display ${String(display.mass)} + mount ${mount ? String(mount.mass) : 'not chosen'}) kg`, value: count(array) * each, unit: 'kg',
  }])
}

/** Power of all displays, typical or most; undefined where the sheet does not give it. */
export function powerOf(array: ScreenArray, display: Display, which: 'typical' | 'max'): Figure | undefined {
  if (!display.power) return undefined
  return figure([{ label: which === 'max' ? 'Power, most' : 'Power, typical', expression: words`${String(count(array))} × ${String(display.power[which])} W`, value: count(array) * display.power[which], unit: 'W' }])
}

/** Share of the outline's picture that seams take, by area. */
export function lostToSeams(array: ScreenArray, picture: { width: number, height: number }, imageGap: { x: number, y: number }): Figure {
  const [width, height] = [array.columns * picture.width + (array.columns - 1) * imageGap.x, array.rows * picture.height + (array.rows - 1) * imageGap.y]
  const lit = count(array) * picture.width * picture.height
  return figure([{
    label: 'Lost to seams', expression: words`1 − ${String(count(array))} × ${picture.width} × ${picture.height} ÷ (${width} × ${height})`, value: 100 * (1 - lit / (width * height)), unit: '%',
  }])
}

/** How far a seam may come out from its gap because cases differ in size, with every plate where it should be: the worst, and what is usual. */
export function seamTolerance(display: Display): { worst: Figure, usual: Figure } | undefined {
  const each = display.sizeTolerance
  if (each === undefined) return undefined
  return {
    worst: figure([{ label: 'Seam, at worst', expression: words`${each} ÷ 2 + ${each} ÷ 2`, value: each, unit: 'mm' }]),
    usual: figure([{ label: 'Seam, root sum square', expression: words`√((${each} ÷ 2)² + (${each} ÷ 2)²)`, value: each / Math.SQRT2, unit: 'mm' }]),
  }
}
