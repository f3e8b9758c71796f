import type { Point } from '../geometry'
import type { Display, Edges, Orientation, Side } from '../job'

/** A display as it hangs: sizes and vectors as seen from the front, mm. */
export interface OrientedDisplay {
  width: number
  height: number
  bezel: Edges
  /** Size of the picture area. */
  picture: { width: number, height: number }
  /** From the case's centre to the mounting pattern's. */
  pattern: Point
  /** Pixels across and up. */
  resolution: Point
}

interface Turn {
  sideways: boolean
  vector: (v: Point) => Point
  /** Which of the landscape bezels comes to the top, right, bottom and left. */
  bezel: [keyof Edges, keyof Edges, keyof Edges, keyof Edges]
}

// −x of 0 would be −0, which prints as a minus sign.
const negative = (n: number) => n === 0 ? 0 : -n

/** `portrait-cw` is turned clockwise, as the viewer sees it: the display's own top goes to the right. */
const TURNS: Record<Orientation, Turn> = {
  'landscape': { sideways: false, vector: ({ x, y }) => ({ x, y }), bezel: ['top', 'right', 'bottom', 'left'] },
  'portrait-cw': {
    sideways: true,
    vector: ({ x, y }) => ({ x: y, y: negative(x) }),
    bezel: ['left', 'top', 'right', 'bottom'],
  },
  'portrait-ccw': {
    sideways: true,
    vector: ({ x, y }) => ({ x: negative(y), y: x }),
    bezel: ['right', 'bottom', 'left', 'top'],
  },
  'inverted': {
    sideways: false,
    vector: ({ x, y }) => ({ x: negative(x), y: negative(y) }),
    bezel: ['bottom', 'left', 'top', 'right'],
  },
}

/** A vector given in the display's own landscape, as it points once the display is turned. */
export function turnVector(vector: Point, orientation: Orientation): Point {
  return TURNS[orientation].vector(vector)
}

/** The landscape bezels, as they come to lie once the display is turned. */
export function turnEdges(edges: Edges, orientation: Orientation): Edges {
  const [top, right, bottom, left] = TURNS[orientation].bezel
  return { top: edges[top], right: edges[right], bottom: edges[bottom], left: edges[left] }
}

/** Where a side of the landscape display comes to lie once it is turned. */
export function turnSide(side: Side, orientation: Orientation): Side {
  const at = TURNS[orientation].bezel.indexOf(side)
  return (['top', 'right', 'bottom', 'left'] as const)[at]!
}

/**
 * A display as it is seen when hung in the given orientation.
 *
 * @example
 * // 1021.4 × 576.2, pattern 18 below centre, turned clockwise:
 * orientDisplay(display, 'portrait-cw') // { width: 576.2, height: 1021.4, pattern: { x: -18, y: 0 }, … }
 */
export function orientDisplay(display: Display, orientation: Orientation): OrientedDisplay {
  const { sideways } = TURNS[orientation]
  const bezel = turnEdges(display.bezel, orientation)
  const [width, height] = sideways ? [display.height, display.width] : [display.width, display.height]
  const { x, y } = display.resolution
  return {
    width,
    height,
    bezel,
    picture: { width: width - bezel.left - bezel.right, height: height - bezel.top - bezel.bottom },
    pattern: turnVector(display.vesa.offset, orientation),
    resolution: sideways ? { x: y, y: x } : { x, y },
  }
}
