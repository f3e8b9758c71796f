import type { Display, Edges, Fault } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** What cannot be about a display's figures, by field: each is possible alone, but not with the others. */
export function displayFaults({ width, height, depth, bezel, vesa, back }: Display, root = '$'): Fault[] {
  const across = bezel.left + bezel.right - width
  const up = bezel.top + bezel.bottom - height
  const reach = {
    x: Math.abs(vesa.offset.x) + vesa.width / 2 - width / 2,
    y: Math.abs(vesa.offset.y) + vesa.height / 2 - height / 2,
  }
  return [
    ...(across >= 0
      ? [
          {
            path: `${root}.bezel.left`,
            message: `The left and right bezels leave no picture: together they exceed the case width by ${mm(across)}`,
          },
        ]
      : []),
    ...(up >= 0
      ? [
          {
            path: `${root}.bezel.top`,
            message: `The top and bottom bezels leave no picture: together they exceed the case height by ${mm(up)}`,
          },
        ]
      : []),
    ...(reach.x > 0
      ? [
          {
            path: `${root}.vesa.width`,
            message: `The mounting pattern extends ${mm(reach.x)} past the side of the case`,
          },
        ]
      : []),
    ...(reach.y > 0
      ? [
          {
            path: `${root}.vesa.height`,
            message: `The mounting pattern extends ${mm(reach.y)} past the top or bottom of the case`,
          },
        ]
      : []),
    ...(back?.rim !== undefined && back.rim > depth
      ? [{ path: `${root}.back.rim`, message: `The rim is ${mm(back.rim - depth)} deeper than the case` }]
      : []),
    ...(vesa.recess !== undefined && vesa.recess >= depth
      ? [
          {
            path: `${root}.vesa.recess`,
            message: `The recess must be shallower than the case, which is ${mm(depth)} deep`,
          },
        ]
      : []),
  ]
}

/**
 * Bezels of a datasheet that gives the picture's size only: what is left is split evenly.
 *
 * @example
 * evenBezels({ width: 1021.4, height: 576.2 }, { width: 1020, height: 574.8 }).left // 0.7
 */
export function evenBezels(
  outer: { width: number, height: number },
  picture: { width: number, height: number },
): { bezel: Edges } | { faults: Fault[] } {
  const over = { width: picture.width - outer.width, height: picture.height - outer.height }
  const faults = (['width', 'height'] as const).flatMap(side =>
    over[side] > 0
      ? [
          {
            path: `$.picture.${side}`,
            message: `The picture is ${mm(over[side])} ${side === 'width' ? 'wider' : 'taller'} than the case`,
          },
        ]
      : [],
  )
  if (faults.length > 0) return { faults }
  const [x, y] = [-over.width / 2, -over.height / 2]
  return { bezel: { top: y, right: x, bottom: y, left: x } }
}
