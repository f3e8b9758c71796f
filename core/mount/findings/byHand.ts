import type { Finding } from '../../finding'
import type { ScreenArray } from '../../job'
import { words, type Text } from '../../units'
import { holeName, type MountedCell } from '../position'
import { screenLabel } from '../../job/screenLabel'

const because = (reason: string | undefined): Text => reason ? words`; reason: ${reason}` : words`, no reason given`

/**
 * A note for every plate and hole that a person put where it is, with the reason; a stop where such a hole is in no
 * slot.
 */
export function handFindings(array: ScreenArray, cells: MountedCell[]): Finding[] {
  const about = { stage: 'mount', severity: 'note' } as const
  return cells.flatMap(({ id, row, column, plate, holes }): Finding[] => {
    const name = screenLabel({ row, column })
    const choice = array.plates?.find(plate => plate.row === row && plate.column === column)
    return [
      ...(plate.byHand
        ? [
            {
              ...about,
              code: 'plate-by-hand' as const,
              subject: { kind: 'screen' as const, id },
              message: words`The plate of ${name} is placed manually, lateral adjustment ${plate.lateralShift},
                height adjustment ${plate.heightShift}${because(choice?.reason)}.`,
            },
          ]
        : []),
      ...holes
        .filter(({ byHand }) => byHand)
        .flatMap((hole): Finding[] => {
          const moved = array.holes?.find(
            each => each.row === row && each.column === column && each.of === hole.row && each.rank === hole.rank,
          )
          return [
            {
              ...about,
              code: 'hole-by-hand' as const,
              subject: { kind: 'hole' as const, id: hole.id },
              message: words`${holeName({ row, column }, hole)} at ${hole.x} is placed
                manually${because(moved?.reason)}.`,
            },
            ...(hole.slot === undefined && !hole.secures
              ? [
                  {
                    ...about,
                    severity: 'stop' as const,
                    code: 'hole-off-slot' as const,
                    subject: { kind: 'hole' as const, id: hole.id },
                    message: words`${holeName({ row, column }, hole)} at ${hole.x} is not in a slot of the plate.`,
                    remedy: words`Move the hole into a slot, or move the plate.`,
                  },
                ]
              : []),
          ]
        }),
    ]
  })
}
