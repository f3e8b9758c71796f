import type { Rect } from '../geometry'
import type { Wall } from '../job'
import type { Coursing, Member } from '../survey'

/** A line of the wall to which a dragged array can be brought, mm, and what it is. */
export interface SnapLine { at: number, label: string }
export interface SnapLines { x: SnapLine[], y: SnapLine[] }

/** How far to go on, and the lines that are met. */
export interface Snapped { dx: number, dy: number, met: { axis: 'x' | 'y', at: number, label: string }[] }

const sides = (label: string, { x, y, width, height }: Rect): SnapLines => ({
  x: [{ at: x, label }, { at: x + width / 2, label }, { at: x + width, label }],
  y: [{ at: y, label }, { at: y + height / 2, label }, { at: y + height, label }],
})

/** Joints of a coursing that lie on the wall; in running bond, the head joints of either course. */
function joints({ length, height: course, origin, bond }: Coursing, { width, height }: Wall): SnapLines {
  const lines = (from: number, module: number, to: number, label: string) =>
    Array.from({ length: Math.ceil(to / module) + 1 }, (_, n) => ({
      at: (((from % module) + module) % module) + n * module,
      label,
    })).filter(({ at }) => at <= to)
  return {
    x: lines(origin.x, bond === 'running' ? length / 2 : length, width, 'joint'),
    y: lines(origin.y, course, height, 'joint'),
  }
}

/** Lines to which an array snaps: the wall's middle, features, the other arrays, members, joints. */
export function snapLines(
  wall: Wall,
  others: { name: string, outline: Rect }[],
  members: Pick<Member, 'centre'>[],
  coursing?: Coursing,
): SnapLines {
  const all = [
    { x: [{ at: wall.width / 2, label: 'centre of the wall' }], y: [] },
    ...others.map(({ name, outline }) => sides(name, outline)),
    ...(wall.features ?? []).map(feature => sides(feature.kind.replace('-', ' '), feature)),
    { x: members.map(({ centre }, n) => ({ at: centre, label: `stud ${n + 1}` })), y: [] },
    ...(coursing ? [joints(coursing, wall)] : []),
  ]
  return { x: all.flatMap(({ x }) => x), y: all.flatMap(({ y }) => y) }
}

function nearest(
  start: number,
  length: number,
  lines: SnapLine[],
  reach: number,
): { by: number, line: SnapLine } | undefined {
  let best: { by: number, line: SnapLine } | undefined
  for (const line of lines) {
    for (const edge of [start + length / 2, start, start + length]) {
      const by = line.at - edge
      if (Math.abs(by) < reach && (!best || Math.abs(by) < Math.abs(best.by) - 1e-9)) best = { by, line }
    }
  }
  return best
}

/**
 * Brings an outline's nearest edge or middle on to the nearest line within reach, on each axis by
 * itself; of lines equally near the earlier one.
 *
 * @example
 * // an outline of 1000 from 1995 on, a wall of 5000, within 10
 * snap({ x: 1995, y: 0, width: 1000, height: 500 }, { x: [{ at: 2500, label: 'middle' }], y: [] }, 10).dx // 5
 */
export function snap(outline: Rect, lines: SnapLines, reach: number): Snapped {
  const [x, y] = [nearest(outline.x, outline.width, lines.x, reach), nearest(outline.y, outline.height, lines.y, reach)]
  return {
    dx: x?.by ?? 0, dy: y?.by ?? 0,
    met: [...x ? [{ axis: 'x' as const, ...x.line }] : [], ...y ? [{ axis: 'y' as const, ...y.line }] : []],
  }
}
