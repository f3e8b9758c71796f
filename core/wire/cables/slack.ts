import { turnSide } from '../../arrange'
import type { Point } from '../../geometry'
import type { Side } from '../../job'
import { BEND } from '../../mount'
import { figure, quantity, words, type Figure } from '../../units'
import type { Screen } from '../screens'

/** Where the two ends of a side of a case are. */
const ENDS: Record<Side, (rect: Screen['outer']) => Point[]> = {
  top: ({ x, y, width, height }) => [{ x, y: y + height }, { x: x + width, y: y + height }],
  bottom: ({ x, y, width }) => [{ x, y }, { x: x + width, y }],
  left: ({ x, y, height }) => [{ x, y }, { x, y: y + height }],
  right: ({ x, y, width, height }) => [{ x: x + width, y }, { x: x + width, y: y + height }],
}

/**
 * From a place to the farthest that a screen's sockets can be, along and up, mm: to the ends of the sides that have
 * them, or of all where that is not known.
 */
export function reachTo({ outer, orientation, shown }: Screen, at: Point): number {
  const known = shown?.ports?.map(side => turnSide(side, orientation)) ?? []
  const sides = known.length > 0 ? known : Object.keys(ENDS) as Side[]
  return Math.max(
    ...sides.flatMap(side => ENDS[side](outer)).map(({ x, y }) => Math.abs(x - at.x) + Math.abs(y - at.y)),
  )
}

/**
 * What a cable must be longer for a pull-out: its path at full extension, bent once at either end by the radius of a
 * moving cable, less the path stowed; 0 for a screen that does not move.
 *
 * @example
 * // 58 stowed, 312 pulled out, cable of 7.3: 312 − 58 + π × 4 × 7.3
 * slackOf(screen, 7.3).value // 345.7
 */
export function slackOf({ stowed, service }: Pick<Screen, 'stowed' | 'service'>, diameter: number): Figure {
  if (stowed === undefined || service === undefined || service <= stowed)
    return figure([{ label: 'Slack', expression: words`the screen does not move`, value: 0, unit: 'mm' }])
  const radius = BEND.moving * diameter
  return figure([
    {
      label: 'Bend radius',
      expression: words`${quantity(BEND.moving, '')} × ${quantity(diameter, 'mm')}`,
      value: radius,
      unit: 'mm',
      source: 'cable maker’s minimum bend radius, otherwise 4 diameters moving',
    },
    {
      label: 'Pull-out slack',
      expression: words`pulled out ${service} − stowed ${stowed} + two quarter bends π × ${radius}`,
      value: service - stowed + Math.PI * radius,
      unit: 'mm',
    },
  ])
}
