import type { Point, Rect } from '../geometry'
import { figure, words, type Figure } from '../units'
import type { Cell } from './cell'
import type { OrientedDisplay } from './orientation'

/** One screen's part of the canvas, in canvas pixels from its upper left corner, y down. */
export interface Crop {
  row: number
  column: number
  exact: Rect
  /** To whole pixels, so that neighbours never overlap. */
  rounded: Rect
}

/** The picture that drives an array, with what hides behind the seams. */
export interface PixelMap {
  /** Size of a pixel, mm. */
  pitch: Point
  /** Whole pixels of the canvas that covers all pictures. */
  canvas: { width: number, height: number }
  /** Pixels that a seam hides, across and up. */
  hidden: Point
  crops: Crop[]
}

/** Size of a pixel, mm: picture over resolution. */
export function pixelPitch({ picture, resolution }: OrientedDisplay): Point {
  return { x: picture.width / resolution.x, y: picture.height / resolution.y }
}

/** A whole number of pixels; never −0, which is another number to anyone who compares. */
const whole = (pixels: number) => Math.round(pixels) || 0

/** The pixels that a seam hides, with the working. */
export function hiddenPixels(imageGap: number, pitch: number): Figure {
  return figure([
    {
      label: 'Pixels hidden by a seam',
      expression: words`bezel seam ${imageGap} ÷ ${pitch.toFixed(5)} mm per pixel`,
      value: imageGap / pitch,
      unit: 'px',
    },
  ])
}

/**
 * The canvas and every screen's crop of it, in pixels of the screen that has the finest. Edges are rounded, not sizes,
 * so that screens that do
 * not overlap on the wall do not overlap on the canvas either.
 *
 * @example
 * // pixel 0.53125 mm, image gap 2.0: a seam hides 3.76 px
 */
export function pixelMap(cells: Cell[], imageGap: Point): PixelMap {
  const pitches = cells.map(({ display }) => pixelPitch(display))
  const pitch = { x: Math.min(...pitches.map(({ x }) => x)), y: Math.min(...pitches.map(({ y }) => y)) }
  const left = Math.min(...cells.map(({ picture }) => picture.x))
  const top = Math.max(...cells.map(({ picture }) => picture.y + picture.height))
  const crops = cells.map(({ row, column, picture }): Crop => {
    const exact = {
      x: (picture.x - left) / pitch.x,
      y: (top - picture.y - picture.height) / pitch.y,
      width: picture.width / pitch.x,
      height: picture.height / pitch.y,
    }
    const [x, y] = [whole(exact.x), whole(exact.y)]
    return {
      row,
      column,
      exact,
      rounded: { x, y, width: whole(exact.x + exact.width) - x, height: whole(exact.y + exact.height) - y },
    }
  })
  return {
    pitch,
    canvas: {
      width: Math.max(...crops.map(({ rounded }) => rounded.x + rounded.width)),
      height: Math.max(...crops.map(({ rounded }) => rounded.y + rounded.height)),
    },
    hidden: { x: imageGap.x / pitch.x, y: imageGap.y / pitch.y },
    crops,
  }
}

/** How a source picture of some shape lies on a canvas: its size there, and the share of it that is cut off. */
export interface SourceFit { width: number, height: number, cut: { across: number, up: number } }

/** A source laid on a canvas: `fit` shows all of it with bars, `fill` covers the canvas and cuts what is over. */
export function fitSource(
  source: { width: number, height: number },
  canvas: { width: number, height: number },
  how: 'fit' | 'fill',
): SourceFit {
  const scales = [canvas.width / source.width, canvas.height / source.height]
  const scale = how === 'fit' ? Math.min(...scales) : Math.max(...scales)
  const [width, height] = [source.width * scale, source.height * scale]
  return {
    width,
    height,
    cut: { across: Math.max(0, 1 - canvas.width / width), up: Math.max(0, 1 - canvas.height / height) },
  }
}
