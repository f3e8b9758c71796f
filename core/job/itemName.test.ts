import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleWall } from '../../tests/fixtures/job'
import { itemName, madeId, madeIds, namesOn, withNumbers } from './itemName'
import { merge } from './merge'
import { clashes } from './clashes'
import type { Wall } from './wall'

const reading = (id: string, x: number, number?: number) => ({
  id,
  method: 'magnet' as const,
  x,
  y: 1500,
  ...(number !== undefined && { number }),
})
const wallWith = (evidence: Wall['evidence']): Wall => ({ ...exampleWall(), evidence })

describe('an id that is made', () => {
  it('begins with the next number of its list, and is made by no other device', () => {
    expect(madeId('e')).toMatch(/^e1-[0-9a-z]{6}$/)
    expect(madeId('e', [{ id: 'e2' }, { id: 'e10' }, { id: 'door' }, { id: 'e4-abcdef', number: 12 }])).toMatch(/^e13-/)
    expect(new Set(Array.from({ length: 2_000 }, () => madeId('e'))).size).toBe(2_000)
    expect(madeIds('e', [{ id: 'e2' }], 2).map(id => id.split('-')[0])).toEqual(['e3', 'e4'])
  })

  it('is new until the server has given it a number, which then stays; an earlier name stays as it is', () => {
    expect(['e3-abc123', 'jamb', 'e3', 'f9'].map(id => itemName({ id }))).toEqual(['e3 (new)', 'jamb', 'e3', 'f9'])
    const saved = withNumbers(wallWith([reading('e1', 100), reading('e2-aaaaaa', 200), reading('e2-bbbbbb', 300)]))
    expect(saved.evidence!.map(itemName)).toEqual(['e1', 'e2', 'e3'])
    const more = withNumbers({
      ...saved,
      evidence: [...saved.evidence!.slice(0, 2), reading('e3-cccccc', 400), ...saved.evidence!.slice(2)],
    })
    expect(more.evidence!.map(itemName)).toEqual(['e1', 'e2', 'e4', 'e3'])
    expect(namesOn(more)('e3-cccccc')).toBe('e4')
    expect(withNumbers(more)).toBe(more)
  })
})

describe('two people who add to one wall at once', () => {
  const xs = fc.array(fc.integer({ min: 0, max: 6_000 }), { maxLength: 12 })
  const added = (wall: Wall, places: number[]): Wall =>
    places.reduce<Wall>(
      (now, x) => ({
        ...now,
        evidence: [...(now.evidence ?? []), reading(madeId('e', now.evidence), x)],
        features: [
          ...(now.features ?? []),
          { id: madeId('f', now.features), kind: 'outlet', x, y: 300, width: 76, height: 120 },
        ],
      }),
      wall,
    )

  it('keep all that both added, whoever comes first, and each thing has a number of its own', () => {
    fc.assert(fc.property(xs, xs, xs, (before, here, there) => {
      const base = withNumbers(added(wallWith([reading('e1', 10)]), before))
      const [mine, theirs] = [added(base, here), added(base, there)]
      for (const both of [merge(base, mine, withNumbers(theirs)), merge(base, theirs, withNumbers(mine))]) {
        expect(both.evidence!.map(({ x }) => x).sort()).toEqual([10, ...before, ...here, ...there].sort())
        expect(both.features).toHaveLength((base.features?.length ?? 0) + here.length + there.length)
        const names = withNumbers(both).evidence!.map(itemName)
        expect(new Set(names).size).toBe(names.length)
        expect(names.join()).not.toContain('new')
      }
      expect(clashes(base, mine, theirs)).toEqual([])
    }))
  })
})
