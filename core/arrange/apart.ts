import type { Finding } from '../finding'
import { sharedBy, type Rect } from '../geometry'
import { words } from '../units'
import type { Cell } from './cell'

/** An array's cases on the wall. */
export interface Laid { id: string, name: string, outline: Rect, cells: Pick<Cell, 'outer'>[] }

/** Clear distance between two rectangles, mm; 0 where they touch or share a place. */
export function clearBetween(a: Rect, b: Rect): number {
  const across = Math.max(a.x - b.x - b.width, b.x - a.x - a.width, 0)
  const up = Math.max(a.y - b.y - b.height, b.y - a.y - a.height, 0)
  return Math.hypot(across, up)
}

/**
 * A stop where arrays lie on each other, and a caution where they are nearer than the clearance that the wall keeps.
 */
export function apartFindings(arrays: Laid[], clearance = 0): Finding[] {
  return arrays.flatMap((one, n) => arrays.slice(n + 1).flatMap((other): Finding[] => {
    if (clearBetween(one.outline, other.outline) > clearance) return []
    const pairs = one.cells.flatMap(a =>
      other.cells.map(b => ({ shared: sharedBy(a.outer, b.outer), clear: clearBetween(a.outer, b.outer) })),
    )
    const [worst] = pairs.flatMap(({ shared }) => shared ?? []).sort((a, b) => b.width * b.height - a.width * a.height)
    const about = { stage: 'arrange', subject: { kind: 'array', id: other.id } } as const
    if (worst) {
      return [
        {
          ...about,
          severity: 'stop',
          code: 'arrays-overlap',
          message: words`${one.name} and ${other.name} overlap by ${worst.width} horizontally and
            ${worst.height} vertically.`,
          remedy: words`Move one of the arrays.`,
        },
      ]
    }
    const nearest = Math.min(...pairs.map(({ clear }) => clear))
    return nearest < clearance - 1e-9
      ? [
          {
            ...about,
            severity: 'caution',
            code: 'arrays-close',
            message: words`${one.name} and ${other.name} are ${nearest} apart; the minimum between arrays on this
              wall is ${clearance}.`,
            remedy: words`Move them ${clearance - nearest} farther apart.`,
          },
        ]
      : []
  }))
}
