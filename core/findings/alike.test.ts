import { describe, expect, it } from 'vitest'
import type { Finding } from '../finding'
import { words } from '../units'
import { groupAlike } from './alike'
import { mergedForPaper } from './merged'

const misses = (place: string, by: number, more: object = {}): Finding => ({
  severity: 'stop', code: 'hole-misses-member', stage: 'mount', subject: { kind: 'hole', id: place },
  message: words`${place} misses stud ${'4'} by ${by}.`, ...more,
})

describe('findings that are alike', () => {
  it('are one group where they differ in place and figures only, in the order of their first', () => {
    const other = { ...misses('R1 C2', 3), code: 'member-unsure' } as Finding
    const [a, b, c] = [misses('R1 C1', 4), misses('R1 C2', 9), misses('R2 C1', 2)]
    expect(groupAlike([a, other, b, c])).toEqual([[a, b, c], [other]])
  })

  it('are apart where one is overridden, or by another reason, or says more', () => {
    const overridden = { by: 'Isla', reason: 'glued', at: '2026-11-20T09:00:00Z' }
    const found = groupAlike([
      misses('R1 C1', 4),
      misses('R1 C2', 4, { overridden }),
      misses('R1 C3', 4, { overridden: { ...overridden, reason: 'tested' } }),
      misses('R2 C1', 4, { message: words`${'R2 C1'} misses stud ${'4'} by ${4}, and stud ${'5'} by ${6}.` }),
    ])
    expect(found.length).toBe(4)
  })

  it('are one group where one change cures them, whatever they say', () => {
    const cure = { kind: 'shift-plate' as const, array: 'a1', row: 1, column: 1, lateralShift: 3 }
    const first = misses('R1 C1', 4, { cure })
    expect(groupAlike([first, { ...first, code: 'member-unsure' } as Finding]).length).toBe(1)
  })

  it('are said once on paper, with the other places by name, or by number where one has none', () => {
    const all = [misses('a1-r1c1', 4), misses('a1-r1c2', 9), misses('h', 2)]
    const holes = [{ id: 'h', row: 'top', rank: 2 }]
    const arrays = [{ positions: [{ id: 'a1-r1c2', row: 1, column: 2 }, { id: 'x', row: 2, column: 1, holes }] }]
    expect(mergedForPaper(all, arrays as never, 'metric').map(({ text }) => text))
      .toEqual(['a1-r1c1 misses stud 4 by 4 mm. The same at 2 other places: R1 C2, R2 C1 top 2.'])
    expect(mergedForPaper(all.slice(0, 2), [], 'metric')[0]!.text)
      .toBe('a1-r1c1 misses stud 4 by 4 mm. The same at 1 other place.')
    expect(mergedForPaper(all.slice(0, 1), [], 'metric')[0]!.text).toBe('a1-r1c1 misses stud 4 by 4 mm.')
  })
})
