import type { Finding } from '../finding'
import type { Change, DeadHole, HangingOrder } from '../hang'
import type { Marking } from '../mark'
import type { ArrayPlan } from '../mount'
import type { NextProbe, Piece, Survey } from '../survey'
import type { Wiring } from '../wire'

/** Everything that follows for one wall. */
export interface WallPlan extends Omit<Survey, 'findings'> {
  id: string
  /** Where one more reading tells most; absent where nothing is left to settle. */
  nextProbe?: NextProbe
  arrays: ArrayPlan[]
  marking: Marking
  /** Which circuit feeds which screen, and where the boxes are. */
  wiring: Wiring
  /** Holes that serve nothing any more. */
  dead: DeadHole[]
  /** What is elsewhere than it was issued, where a mark-out was. */
  change?: Change
  /** How the screens of each array are hung. */
  hanging: HangingOrder[]
  findings: Finding[]
  /** Said where battens of the furring carry, and no studs. */
  piece?: Piece
}
