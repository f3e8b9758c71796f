import { performance } from 'node:perf_hooks'
import type { Row } from './row'

/** What is measured, by name: `npm run bench -- plan open` measures two of them. */
export type Sections = Record<string, () => Row[] | Promise<Row[]>>

const MS: Record<string, number> = { ms: 1, s: 1_000 }

/**
 * How long a fixed piece of arithmetic takes now, ms, the best of five: times are told as multiples of it too, so
 * that runs on unlike machines compare.
 */
export function yardstick(): number {
  const once = () => {
    const from = performance.now()
    let sum = 0
    for (let n = 1; n <= 4_000_000; n++) sum += Math.sqrt(n) / (1 + sum % 7)
    if (!Number.isFinite(sum)) throw new Error('The yardstick is broken.')
    return performance.now() - from
  }
  return Math.min(...Array.from({ length: 5 }, once))
}

/** The yardstick of the machine that the aims are meant for, when nothing disturbs it, ms. */
const REFERENCE = 40

/**
 * Whether an aim is met: as measured; on a slower machine by as many yardsticks as the aim is on the machine that it is
 * meant for; or not.
 */
function verdictOf({ value, unit, limit, met }: Row, yard: number): string {
  if (met === undefined) return ''
  if (met) return 'yes'
  return unit in MS && limit !== undefined && value / yard <= limit / REFERENCE ? `yes, at ${REFERENCE} ms a yd` : 'NO'
}

/** A row as it is printed: the figure, the same in yardsticks where it is a time, the aim. */
export function lineOf(row: Row, yard: number): string {
  const { what, value, unit, aim } = row
  const inYards = unit in MS ? `${(value * MS[unit]! / yard).toPrecision(3)} yd` : ''
  const figures = `${`${value.toPrecision(3)} ${unit}`.padStart(16)} ${inYards.padStart(10)}`
  return `${what.padEnd(88)} ${figures}  ${aim.padEnd(18)} ${verdictOf(row, yard)}`.trimEnd()
}

/**
 * Measures the named sections, or all, and prints each row as soon as it is there. One that fails is named and the
 * others are measured all the same.
 *
 * @returns the names of those that failed
 * @throws RangeError for a name that is none
 */
export async function measure(
  sections: Sections,
  names: string[],
  say: (line: string) => void = console.log,
): Promise<string[]> {
  const unknown = names.filter(name => !Object.hasOwn(sections, name))
  if (unknown.length > 0)
    throw new RangeError(`There is no section ${unknown.join(', ')}. There are: ${Object.keys(sections).join(', ')}.`)
  const failed: string[] = []
  for (const name of names.length > 0 ? names : Object.keys(sections)) {
    const yard = yardstick()
    const from = performance.now()
    say(`\n── ${name} (1 yd = ${yard.toPrecision(3)} ms)`)
    try {
      for (const row of await sections[name]!()) say(lineOf(row, yard))
    }
    catch (error) {
      failed.push(name)
      say(`FAILED: ${error instanceof Error ? error.stack : String(error)}`)
    }
    say(`   in ${((performance.now() - from) / 1_000).toFixed(0)} s`)
  }
  if (failed.length > 0) say(`\nNot measured, because of a failure: ${failed.join(', ')}.`)
  return failed
}
