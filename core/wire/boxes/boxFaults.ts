import type { Point } from '../../geometry'
import type { BoxModel } from '../../job'
import { mountKindOf } from '../../mount/kinds'
import { words, type Text } from '../../units'
import type { BoxPlan } from './boxes'
import type { Placing } from './boxRooms'
import { BESIDE_FASTENER } from './obstacles'
import { inTheWay, type Obstacle } from './place'
import type { Screen } from '../screens'

/** How far in from the edge of a display that is pulled out a hand reaches, and how far out that must be, mm. */
const [ARM, HAND] = [600, 200]

/** What cures a box that does not take a backing board and the covering behind it together. */
export const BOARD_CURE
  = words`Use a box that clamps board and covering together, or rails in place of the board in Mount.`

/** What is to be minded of a box that is cut into a backing board of so many mm. */
export const boardDoubts = (board: number): Text[] => board > 0
  ? [words`its opening goes through the board: cut board and covering alike, ${BESIDE_FASTENER} or more from fasteners`]
  : []

/** Names of what stands between a box and the place where it is wanted. */
export function blockers({ wanted, rooms, hidden }: Placing, model: BoxModel, obstacles: Obstacle[]): Text {
  const names = [...new Set(inTheWay(wanted, model.cutout, obstacles).map(({ name }) => name))]
  if (rooms.every(({ width }) => width < model.cutout.width))
    return words`there is no space ${hidden} that is ${model.cutout.width} wide between studs`
  return names.length > 0
    ? words`${names.join(' and ')} ${names.length === 1 ? 'is' : 'are'} in the way, and there is no other free space`
    : words`there is no free space ${hidden}`
}

/**
 * What of a screen's depth does not suit a box behind it: no room for what stands out of the wall, or no way for a hand
 * to it.
 */
export function depthOf(screen: Screen | undefined, model: BoxModel, at: Point): Pick<BoxPlan, 'wrong' | 'doubts'> {
  if (!screen || screen.stowed === undefined || screen.service === undefined) return { wrong: [], doubts: [] }
  const { outer, stowed, service, mounting, array } = screen
  const proud = model.proud ?? (model.surface ? model.depth : 0)
  const plug = model.surface || model.cover ? 0 : array.behind?.plug ?? 0
  const inward = Math.min(at.x - outer.x, outer.x + outer.width - at.x, at.y - outer.y, outer.y + outer.height - at.y)
  const moves = service > stowed
  return {
    wrong:
      proud + plug > stowed + 1e-9
        ? [
            words`it projects ${proud}${plug > 0 ? words` plus its plug ${plug}` : []}, but there is only
              ${stowed} behind the stowed display`,
          ]
        : [],
    doubts: !moves
      ? [
          words`behind a ${mountKindOf(mounting!).staying} mount it cannot be reached by hand: plug in before
            hanging, and take the display down for service`,
        ]
      : service < HAND
        ? [words`the display pulls out ${service}, but plugging in by hand requires ${HAND}`]
        : inward > ARM
          ? [words`it is ${inward} in from the nearest edge of the display, but an arm reaches only ${ARM}`]
          : [],
  }
}
