import { coveringOf, type BoxModel, type Wall } from '../../job'
import { isFramed } from '../../survey'
import { words, type Text } from '../../units'

/**
 * How deep the wall is behind its covering where a box goes, mm; undefined where that is not known. On furring it is as
 * deep as the strips.
 */
export function cavityOf(wall: Wall): number | undefined {
  if (isFramed(wall)) return wall.structure.memberDepth
  return wall.covering.find(({ material }) => material === 'furring')?.thickness ?? 0
}

/** What lies in front of the cavity, mm. */
export const coveringBefore = (wall: Wall): number =>
  isFramed(wall)
    ? coveringOf(wall)
    : wall.covering.filter(({ material }) => material !== 'furring').reduce((sum, { thickness }) => sum + thickness, 0)

export const isOutside = ({ wet, wind, windSpeed }: Pick<Wall, 'wet' | 'wind' | 'windSpeed'>): boolean =>
  wet === true || wind !== undefined || windSpeed !== undefined

function tooDeep(name: string, depth: number, cavity: number | undefined, covering: number): Text[] {
  if (cavity === undefined) return [words`the depth of the cavity behind the covering is not known`]
  if (cavity === 0) return [words`the wall has no cavity: use a surface box`]
  return depth <= cavity + covering + 1e-9
    ? []
    : [
        words`${name} is ${depth} deep, but the wall is only ${cavity + covering} from its face to the back of the
      cavity`,
      ]
}

/**
 * What is wrong with a box in this wall wherever it goes: too deep, its clamps do not take the covering, or it does not
 * cover what is plugged in outside.
 *
 * @param board how thick a backing board is that it is cut into, mm
 */
export function unfitFor(model: BoxModel, wall: Wall, board = 0): Text[] {
  const name = model.name ?? model.id
  const open
    = isOutside(wall) && model.kind !== 'kit-lower' && !model.cover
      ? [words`${name} has no in-use cover, and the wall is outside or wet`]
      : []
  if (model.surface || model.kind === 'floor') return open
  const [cavity, covering] = [cavityOf(wall), coveringBefore(wall) + board]
  return [
    ...open,
    ...tooDeep(name, model.depth, cavity, covering),
    ...(model.clamps && (covering < model.clamps.min - 1e-9 || covering > model.clamps.max + 1e-9)
      ? [words`${name} clamps coverings of ${model.clamps.min} to ${model.clamps.max}, but the covering is ${covering}`]
      : []),
    ...((wall.fireRating ?? 0) > 0 ? [words`the wall is fire-rated: do not cut it without the approved seal`] : []),
  ]
}
