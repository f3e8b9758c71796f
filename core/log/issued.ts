import type { Point } from '../geometry'
import type { ScreenArray, StoredRevision, Wall } from '../job'
import type { EntryOf } from './entry'

/** A plate as it was issued: where its centre is, and its holes. */
export interface IssuedPlate {
  screen: string
  centre: Point
  holes: { id: string, row: string, x: number, y: number }[]
}

/** What was issued last of a wall's arrays: each as it was decided then, how far it was shifted, and its plates. */
export interface Issued {
  revision: string
  id: string
  /** The version of the program that planned it. */
  program: string
  /** Every hole's name in any of the wall's revisions: a name that was used is not used again. */
  names?: string[]
  arrays: { array: ScreenArray, shift: Point, plates: IssuedPlate[] }[]
}

/** The ids of a plan's holes. */
export const holeIdsOf = ({ arrays }: { arrays: { positions: { holes?: { id: string }[] }[] }[] }): string[] =>
  arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes.map(({ id }) => id)))

/** What a frozen revision says of plates and holes. */
export function issuedOf(revision: string, { id, program, wall, plan, names = [] }: StoredRevision): Issued {
  const arrays = (wall as unknown as Wall).arrays
  return {
    revision,
    id,
    program,
    names: [...names, ...holeIdsOf(plan)],
    arrays: plan.arrays.flatMap(({ id, shift, positions }) => {
      const array = arrays.find(each => each.id === id)
      return array
        ? [
            {
              array,
              shift,
              plates: positions.flatMap(({ id: screen, plate, holes = [] }) =>
                plate
                  ? [
                      {
                        screen,
                        centre: plate.centre,
                        holes: holes.map(({ id, row = '', x, y }) => ({ id, row, x, y })),
                      },
                    ]
                  : [],
              ),
            },
          ]
        : []
    }),
  }
}

/** The last of some revisions of which what was frozen is at hand. */
export function lastIssued(entries: EntryOf<'issued'>[], stored: StoredRevision[] = []): Issued | undefined {
  const last = entries.findLast(({ frozen }) => stored.some(({ id }) => id === frozen))
  return last && issuedOf(last.revision, stored.find(({ id }) => id === last.frozen)!)
}
