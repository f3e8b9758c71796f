import type { Fastener } from '../../job'
import { edgeDistanceOf, jointDistanceOf } from '../../fastening'
import { memberAt, piecesOf, type Member } from '../../survey'
import { figure, words, type Figure } from '../../units'
import { ONE_SIDED_95 } from './zones'
import type { Hole } from '../position'

/** What a hole has to spare, with its working; undefined where nothing is known to be beside it. */
export function marginFigure(hole: Hole, members: Member[], fastener: Fastener | undefined): Figure | undefined {
  if (hole.margin === undefined) return undefined
  const found = hole.member === undefined ? undefined : members[hole.member]
  const member = found && memberAt(found, hole.y)
  if (!member) {
    const least = jointDistanceOf(fastener)
    return figure([
      {
        label: 'Clearance to the nearest joint',
        expression: words`distance to its edge ${hole.margin + least} − minimum ${least}; the uncertainty of the
          coursing is already deducted`,
        value: hole.margin,
        unit: 'mm',
        source: fastener?.minJointDistance === undefined ? 'default distance from mortar' : 'maker’s data sheet',
      },
    ])
  }
  const edge = edgeDistanceOf(fastener)
  const piece = piecesOf(member)[hole.ply ?? 0]!
  const usable = piece.width / 2 - edge - ONE_SIDED_95 * member.sd
  const off = Math.abs(hole.x - piece.centre)
  return figure([
    {
      label: 'Usable width each side of the centre',
      expression: words`half of ${piece.width}${member.plies > 1 ? `, one of ${member.plies} plies,` : ''} − edge
        distance ${edge} − ${String(ONE_SIDED_95)} × standard deviation ${member.sd}`,
      value: usable,
      unit: 'mm',
      source: fastener?.edgeDistance === undefined ? 'NDS table 12.5.1C, 1.5 diameters' : 'maker’s data sheet',
    },
    {
      label: 'Edge clearance',
      expression: words`${usable} − ${off} off the centre at ${piece.centre}`,
      value: hole.margin,
      unit: 'mm',
    },
  ])
}
