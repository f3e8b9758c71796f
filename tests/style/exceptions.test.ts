import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

/**
 * So many places are still over a limit of the lint. Lower a figure when you have mended some
 * (`npx eslint . --prune-suppressions`); never raise one.
 */
const STILL = { 'max-len': 47, 'complexity': 26, 'house/lines-per-function': 36, 'max-params': 42 }

it('has as many exceptions to the limits of lines and functions as it still has, and none to another rule', () => {
  const files = JSON.parse(readFileSync('eslint-suppressions.json', 'utf8')) as Record<
    string,
    Record<string, { count: number }>
  >
  const counts: Record<string, number> = {}
  for (const rules of Object.values(files)) {
    for (const [rule, { count }] of Object.entries(rules)) counts[rule] = (counts[rule] ?? 0) + count
  }
  expect(counts).toEqual(STILL)
})
