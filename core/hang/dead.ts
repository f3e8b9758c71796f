import { screenId } from '../arrange'
import { fillFor, keepOffOf } from '../fastening'
import { arraysOf, type Catalogue, type Wall } from '../job'
import type { AsBuilt, MadeHole } from '../log'
import { wallFor } from '../survey'

/** A hole that serves nothing any more: how far a new one stays from it, mm, and what fills it. */
export interface DeadHole extends Pick<MadeHole, 'hole' | 'x' | 'y' | 'result' | 'entry'> {
  keepOff: number
  fill: string
}

/** The holes of a wall that can take no fastener, each with what follows for those beside it. */
export function deadHoles(
  wall: Wall,
  { dead }: Pick<AsBuilt, 'dead'>,
  { fasteners }: Pick<Catalogue, 'fasteners'>,
): DeadHole[] {
  const arrays = arraysOf(wall)
  const fastenerOf = (hole: string) => {
    const array = arrays.find(({ rows, columns, ...rest }) =>
      Array.from({ length: rows * columns }, (_, n) =>
        screenId(rest, 1 + Math.floor(n / columns), 1 + (n % columns)),
      ).some(id => hole.startsWith(`${id}-`)),
    )
    return fasteners.find(({ id }) => id === array?.fastener)
  }
  return dead.map(({ hole, x, y, result, entry }) => {
    const fastener = fastenerOf(hole)
    const { kind } = wallFor(wall, fastener?.base).structure
    return {
      hole,
      x,
      y,
      result,
      entry,
      keepOff: keepOffOf(fastener, kind),
      fill: fillFor(kind, result === 'steel'),
    }
  })
}
