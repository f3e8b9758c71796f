import type { Finding } from '../../finding'
import { overlaps } from '../../geometry'
import type { Carrier, ScreenArray, Wall } from '../../job'
import { words } from '../../units'
import type { Strip } from '../carrier'

/** The longest board that comes in one piece, mm. */
const SHEET = 2440

/** What stands before a wall and not in it, so that a rail may pass behind. */
const BEFORE = ['furniture', 'counter', 'ceiling-line', 'recess']

/** What a rail or a board would cross, and how far it would leave the wall, mm. */
function conflictsOf(
  { rect, bolts }: Strip,
  { features = [], width, height }: Pick<Wall, 'features' | 'width' | 'height'>,
) {
  return {
    crossed: features.filter(feature => !BEFORE.includes(feature.kind) && overlaps(rect, feature)),
    past: Math.max(
      -rect.x,
      rect.x + rect.width - width,
      -rect.y,
      rect.y + rect.height - height,
      ...bolts.map(x => Math.max(rect.x - x, x - rect.x - rect.width)),
    ),
  }
}

/** Whether a rail or a board stays on the wall and clear of features. */
export function stripClear(strip: Strip, wall: Wall): boolean {
  const { crossed, past } = conflictsOf(strip, wall)
  return crossed.length === 0 && past <= 1e-9
}

/** Findings about the rails or boards that an array stands on. */
export function carrierFindings(array: ScreenArray, carrier: Carrier, strips: Strip[], wall: Wall): Finding[] {
  const about = { stage: 'mount', subject: { kind: 'array', id: array.id } } as const
  return strips.flatMap((strip): Finding[] => {
    const { row, of, held, rect } = strip
    const which
      = carrier.kind === 'rail' ? `The rail behind the ${of} slots of row ${row}` : `The board behind row ${row}`
    const { crossed, past } = conflictsOf(strip, wall)
    return [
      ...(past > 1e-9
        ? [
            {
              ...about,
              severity: 'stop' as const,
              code: 'carrier-off-wall' as const,
              message: words`${which} extends past the edge of the wall by ${past}.`,
              remedy: words`Move the array, or choose another way to fix it.`,
            },
          ]
        : []),
      ...crossed.map(({ kind, x, y }) => ({
        ...about,
        severity: 'stop' as const,
        code: 'carrier-crosses-feature' as const,
        message: words`${which} crosses the ${kind.replaceAll('-', ' ')} at ${x}, ${y} above floor.`,
        remedy: words`Move the array or the ${kind.replaceAll('-', ' ')}, or choose another way to fix it.`,
      })),
      ...(held
        ? []
        : [
            {
              ...about,
              severity: 'stop' as const,
              code: 'carrier-not-held' as const,
              message: words`${which} has no stud beyond its plates on one side that can take a fastener.`,
              remedy: words`Find a stud there, or move the array.`,
            },
          ]),
      ...(carrier.kind === 'board' && rect.width > SHEET
        ? [
            {
              ...about,
              severity: 'note' as const,
              code: 'board-jointed' as const,
              message: words`${which} is ${rect.width} long; boards come in lengths up to ${SHEET}.`,
              remedy: words`Joint it on the centre of a stud, with fasteners in each end.`,
            },
          ]
        : []),
    ]
  })
}
