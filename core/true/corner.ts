import type { Reading } from './seam'

const NAME = /^r(\d+)c(\d+)$/

/** Where four faces meet, and by how much the steps that were read round it do not come back to where they began, mm. */
export interface Corner { screens: [string, string, string, string], off: number, readings: [Reading, Reading, Reading, Reading] }

/**
 * The corners at which four screens meet with all four of their steps read. Going from face to face round a corner ends
 * at the face it began with, whatever the faces are: what is then left over is what the readings are out.
 */
export function cornersOf(readings: Reading[]): Corner[] {
  const steps = new Map(readings.flatMap(reading => reading.kind === 'step' ? [[`${reading.between.join(' ')} ${reading.end}`, reading] as const] : []))
  return [...new Set([...steps.values()].map(({ between }) => between[0]))].flatMap((upperLeft) => {
    const [, row, column] = NAME.exec(upperLeft)?.map(Number) ?? []
    if (row === undefined || column === undefined) return []
    const [a, b, c, d] = [upperLeft, `r${row}c${column + 1}`, `r${row + 1}c${column}`, `r${row + 1}c${column + 1}`] as const
    const round = [steps.get(`${a} ${b} bottom`), steps.get(`${b} ${d} left`), steps.get(`${c} ${d} top`), steps.get(`${a} ${c} right`)]
    if (round.some(reading => reading === undefined)) return []
    const [ab, bd, cd, ac] = round as Corner['readings']
    return [{ screens: [a, b, c, d], off: ab.value + bd.value - cd.value - ac.value, readings: [ab, bd, cd, ac] }]
  })
}

/** Steps with what is left over round each corner taken off them, a quarter each: each is then as true as four readings can make it. */
export function closedRound(readings: Reading[]): Reading[] {
  const by = new Map<Reading, number>()
  for (const { off, readings: [ab, bd, cd, ac] } of cornersOf(readings)) for (const [reading, sign] of [[ab, -1], [bd, -1], [cd, 1], [ac, 1]] as const) by.set(reading, sign * off / 4)
  return readings.map(reading => by.has(reading) ? { ...reading, value: reading.value + by.get(reading)! } : reading)
}
