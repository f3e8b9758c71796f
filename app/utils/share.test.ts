import fc from 'fast-check'
import { expect, it } from 'vitest'
import { share } from './share'

it('keeps what is as it was, and gives what is new', () => {
  const old = { members: [{ x: 1 }, { x: 2 }], runs: new Map([[1, 2]]), note: 'a' }
  const next = share(old, { members: [{ x: 1 }, { x: 3 }], runs: new Map([[1, 2]]), note: 'a' })
  expect(next).toEqual({ members: [{ x: 1 }, { x: 3 }], runs: new Map([[1, 2]]), note: 'a' })
  expect(next.members[0]).toBe(old.members[0])
  expect(next.members[1]).not.toBe(old.members[1])
  expect(share(old.members, [{ x: 1 }, { x: 2 }])).toBe(old.members)
  expect(share(old.members, [{ x: 1 }])).toEqual([{ x: 1 }])
  expect(share([1], { 0: 1 })).toEqual({ 0: 1 })
})

it('takes a key for what it is, whatever its name', () => {
  const odd = () => JSON.parse('[{"__proto__":"a"}]') as unknown
  const old = odd()
  expect(Object.keys((share([], odd()) as object[])[0]!)).toEqual(['__proto__'])
  expect(share(old, odd())).toBe(old)
})

it('always gives a value equal to the newer one', () => {
  fc.assert(fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
    expect(share(a, b)).toEqual(b)
    expect(share(a, structuredClone(a))).toEqual(a)
  }))
})
