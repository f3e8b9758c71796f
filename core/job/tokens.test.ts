import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { tokenFault } from './tokens'

const bytes = (text: string) => new TextEncoder().encode(text)
const fault = (text: string, values = 1_000_000, deepest = 64) => tokenFault(bytes(text), values, deepest)

/** How many commas, lists and objects a value is written with, counted in the value itself. */
function counted(value: unknown): number {
  if (typeof value !== 'object' || value === null) return 0
  const parts = Object.values(value)
  return 1 + Math.max(0, parts.length - 1) + parts.reduce<number>((sum, part) => sum + counted(part), 0)
}

describe('what speaks against reading JSON', () => {
  it('counts what is written with commas and brackets, and none that stand in texts', () => {
    fc.assert(fc.property(fc.jsonValue(), (value) => {
      const count = counted(value)
      expect(fault(JSON.stringify(value), count)).toBeUndefined()
      if (count > 0) expect(fault(JSON.stringify(value), count - 1)).toContain(`more than ${count - 1} values`)
    }))
    expect(fault('{"a":"[,{\\",\\\\"}', 1)).toBeUndefined()
  })

  it('tells what is nested too deep, and what is not', () => {
    expect(fault('['.repeat(64) + ']'.repeat(64))).toBeUndefined()
    expect(fault('['.repeat(65))).toBe('is nested deeper than 64 levels')
    expect(fault(`[${'[],'.repeat(500)}[]]`, 2_000, 2)).toBeUndefined()
  })
})
