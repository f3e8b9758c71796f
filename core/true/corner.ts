import type { TrueScreen } from './screen'
import type { Reading } from './seam'

const NAME = /^r(\d+)c(\d+)$/

/**
 * Where four faces meet, and by how much the steps that were read round it do not come back to where they began, mm.
 */
export interface Corner {
  screens: [string, string, string, string]
  off: number
  readings: [Reading, Reading, Reading, Reading]
}

/**
 * The corners at which four screens meet with all four of their steps read. Going from face to face round a corner ends
 * at the face it began with, whatever the faces are: what is then left over is what the readings are out.
 */
export function cornersOf(readings: Reading[]): Corner[] {
  const steps = new Map(
    readings.flatMap(reading =>
      reading.kind === 'step' ? [[`${reading.between.join(' ')} ${reading.end}`, reading] as const] : [],
    ),
  )
  return [...new Set([...steps.values()].map(({ between }) => between[0]))].flatMap((upperLeft) => {
    const [, row, column] = NAME.exec(upperLeft)?.map(Number) ?? []
    if (row === undefined || column === undefined) return []
    const [a, b, c, d] = [
      upperLeft,
      `r${row}c${column + 1}`,
      `r${row + 1}c${column}`,
      `r${row + 1}c${column + 1}`,
    ] as const
    const round = [
      steps.get(`${a} ${b} bottom`),
      steps.get(`${b} ${d} left`),
      steps.get(`${c} ${d} top`),
      steps.get(`${a} ${c} right`),
    ]
    if (round.some(reading => reading === undefined)) return []
    const [ab, bd, cd, ac] = round as Corner['readings']
    return [{ screens: [a, b, c, d], off: ab.value + bd.value - cd.value - ac.value, readings: [ab, bd, cd, ac] }]
  })
}

/** What some readings add up to, each times so much, when nothing is misread: nothing. */
type Loop = { reading: Reading, by: number }[]

const keyOf = (kind: Reading['kind'], a: string, b: string, end: string) => `${kind} ${a} ${b} ${end}`

/**
 * How far cases are turned against one another, going round where four meet. The two ends of a seam tell by how much
 * one
 * case is turned against the next: the left against the right by (top − bottom) / height, the upper against the lower
 * by
 * (right − left) / width. Round the four that comes back to where it began.
 */
function turnLoops(readings: Reading[], screens: TrueScreen[]): Loop[] {
  const gaps = new Map(
    readings.flatMap(reading =>
      reading.kind === 'gap'
        ? [[keyOf('gap', reading.between[0], reading.between[1]!, reading.end!), reading] as const]
        : [],
    ),
  )
  const at = new Map(screens.map(screen => [`${screen.row} ${screen.column}`, screen]))
  return screens.flatMap((a) => {
    const [b, c, d] = [
      at.get(`${a.row} ${a.column + 1}`),
      at.get(`${a.row + 1} ${a.column}`),
      at.get(`${a.row + 1} ${a.column + 1}`),
    ]
    if (
      !b
      || !c
      || !d
      || [b, c, d].some(({ width, height }) => Math.abs(width - a.width) > 1 || Math.abs(height - a.height) > 1)
    )
      return []
    const turn = (one: TrueScreen, other: TrueScreen, ends: [string, string], over: number) =>
      ends.map((end, n) => ({
        reading: gaps.get(keyOf('gap', one.name, other.name, end)),
        by: (n === 0 ? 1 : -1) / over,
      }))
    const loop = [
      ...turn(a, b, ['top', 'bottom'], a.height), ...turn(b, d, ['right', 'left'], a.width),
      ...turn(c, d, ['top', 'bottom'], -a.height), ...turn(a, c, ['right', 'left'], -a.width),
    ]
    return loop.every((part): part is Loop[number] => part.reading !== undefined) ? [loop] : []
  })
}

/** Rounds of taking off what is left over: far more than it takes until nothing is. */
const MOST_ROUNDS = 100

/**
 * Readings of rigid cases have to agree where four of them meet: steps come back to where they began, and so does how
 * far cases are turned against one another. What is left over is taken off the readings, as little of it all together
 * as can be (least squares, by alternating projections): each is then as true as all of them can make it.
 */
export function closedRound(readings: Reading[], screens: TrueScreen[]): Reading[] {
  const steps: Loop[] = cornersOf(readings).map(({ readings }) =>
    readings.map((reading, n) => ({ reading, by: n < 2 ? 1 : -1 })),
  )
  const loops = [...steps, ...turnLoops(readings, screens)]
  const value = new Map(readings.map(reading => [reading, reading.value]))
  for (let round = 0, moved = 1; moved > 1e-9 && round < MOST_ROUNDS; round++) {
    moved = 0
    for (const loop of loops) {
      const off
        = loop.reduce((sum, { reading, by }) => sum + by * value.get(reading)!, 0)
          / loop.reduce((sum, { by }) => sum + by * by, 0)
      for (const { reading, by } of loop) {
        value.set(reading, value.get(reading)! - off * by)
        moved = Math.max(moved, Math.abs(off * by))
      }
    }
  }
  return readings.map(reading => ({ ...reading, value: value.get(reading)! }))
}
