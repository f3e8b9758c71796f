import type { Rect } from '~~/core/geometry'
import type { EntryOf } from '~~/core/log'
import { nameOf, type End } from '~~/core/true'

/** A seam with what is known at its ends, as it is drawn: gaps and steps in mm, absent where they were not read. */
export interface SeamEnd { key: string, end: End, gap?: number, step?: number, target: number }
export interface Seam { id: string, a: Rect, b: Rect, ends: SeamEnd[] }

/** Seams as the drawing shows them: how wide a mm of them is drawn, what is off counts from, and what is pointed at. */
export interface SeamDrawing {
  seams: Seam[]
  levels: { key: string, outer: Rect }[]
  tolerance: number
  current?: string
  pick: (key: string) => void
}

/** Widest seam on the drawing, mm of the wall. */
const WIDEST = 90

/** How many times wider than they are seams are drawn, so that what differs is seen; round. */
export function widening(seams: Seam[]): number {
  const most = Math.max(0.5, ...seams.flatMap(({ ends }) => ends.map(({ gap, target }) => Math.max(gap ?? 0, target))))
  const factor = WIDEST / most
  return factor > 10 ? Math.round(factor / 10) * 10 : Math.max(1, Math.round(factor))
}

/** Where an end of a seam is: in the middle between both cases. */
export function endAt({ a, b }: Pick<Seam, 'a' | 'b'>, end: End): { x: number, y: number } {
  if (end === 'top' || end === 'bottom')
    return {
      x: (a.x + a.width + b.x) / 2,
      y: end === 'top' ? Math.min(a.y + a.height, b.y + b.height) : Math.max(a.y, b.y),
    }
  return {
    x: end === 'right' ? Math.min(a.x + a.width, b.x + b.width) : Math.max(a.x, b.x),
    y: (a.y + b.y + b.height) / 2,
  }
}

/** The seams of an array as they were read last, for what is only looked at. */
export function seamsRead(
  positions: { row: number, column: number, outer: Rect }[],
  { gaps = [], steps = [] }: Pick<EntryOf<'seams'>, 'gaps' | 'steps'>,
  target: { x: number, y: number },
): Seam[] {
  const outerOf = new Map(positions.map(position => [nameOf(position), position.outer]))
  const stepAt = new Map(steps.map(({ between, end, mm }) => [`${between.join(' ')} ${end}`, mm]))
  const seams = new Map<string, Seam>()
  for (const { between, end, mm } of gaps) {
    const [a, b] = between.map(name => outerOf.get(name))
    if (!a || !b) continue
    const id = between.join(' ')
    const seam = seams.get(id) ?? { id, a, b, ends: [] }
    const step = stepAt.get(`${id} ${end}`)
    seam.ends.push({
      key: `${id} ${end}`,
      end,
      gap: mm,
      target: end === 'top' || end === 'bottom' ? target.x : target.y,
      ...(step !== undefined && { step }),
    })
    seams.set(id, seam)
  }
  return [...seams.values()]
}
