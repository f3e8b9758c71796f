import type { Point, Rect } from '../../geometry'
import type { WallBox } from '../../job'
import type { Text } from '../../units'

/** A box in its place, or, where none will do, where it was wanted. */
export interface BoxPlan {
  id: string
  /** The number by which people call it. */
  number?: number
  kind: WallBox['kind']
  model: string
  x: number
  y: number
  for: string[]
  /** The members left and right of its bay, by index; absent on a wall without framing, or at the wall's ends. */
  bay: [left: number | undefined, right: number | undefined]
  cutout: Rect
  byHand: boolean
  held: boolean
  /** Why it cannot stay where it is, or nowhere at all. */
  wrong: Text[]
  /** What would cure that, where it is particular to how the display is carried. */
  cure?: Text
  /** What is doubtful about it. */
  doubts: Text[]
  /** What hides it. */
  hidden?: string
  /** The model of cable to it, where a person chose one. */
  cable?: string
  /** The nearest place that would do, where a person put it elsewhere. */
  nearest?: Point
}

export const isUpper = (kind: WallBox['kind']): boolean =>
  kind === 'power' || kind === 'kit-upper' || kind === 'pass-through'
export const isSignal = (kind: WallBox['kind']): boolean => kind === 'pass-through'
