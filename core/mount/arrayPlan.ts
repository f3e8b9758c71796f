import type { Point, Rect } from '../geometry'
import type { Position } from './index'

/** An array as planned: where its cases, plates and holes are, mm on the wall. */
export interface ArrayPlan {
  id: string
  name: string
  outline: Rect
  /** Between the pictures of neighbours. */
  imageGap: Point
  /** Shift of the whole array from where it was placed. */
  shift: Point
  /** Row by row from the top, left to right. */
  positions: Position[]
}
