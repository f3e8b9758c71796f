import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { words } from '../../units'
import { inOrder, loopIn, tailsOf } from './chains'
import type { Task } from '../programme'

/** Tasks by chance, each after some of those that were drawn before it, then in any order. */
const tasks = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 1, max: 50 }),
      after: fc.array(fc.record({ back: fc.integer({ min: 1, max: 6 }), wait: fc.integer({ min: 0, max: 30 }) }), {
        maxLength: 3,
      }),
    }),
    { minLength: 1, maxLength: 9 },
  )
  .map(drawn =>
    drawn.map(({ minutes, after }, n): Task => ({
      id: `t${n}`,
      site: 'a',
      wall: 'w',
      title: words`${String(n)}`,
      minutes,
      people: 1,
      skill: 'fitting',
      noisy: false,
      aid: false,
      splits: true,
      after: after.filter(({ back }) => back <= n).map(({ back, wait }) => ({ task: `t${n - back}`, wait })),
    })),
  )
const shuffled = tasks.chain(of => fc.shuffledSubarray(of, { minLength: of.length }))

/** The longest chain from the beginning of a task, by following every one. */
function longestFrom(of: Task[], id: string): number {
  const { minutes } = of.find(task => task.id === id)!
  return (
    minutes
    + Math.max(
      0,
      ...of.flatMap(({ id: next, after }) =>
        after.filter(({ task }) => task === id).map(({ wait }) => wait + longestFrom(of, next)),
      ),
    )
  )
}

describe('chains of tasks', () => {
  it('are put so that nothing stands before what it waits for, and nothing is lost', () => {
    fc.assert(fc.property(shuffled, (of) => {
      const ids = inOrder(of).map(({ id }) => id)
      expect([...ids].sort()).toEqual(of.map(({ id }) => id).sort())
      for (const { id, after } of of)
        for (const { task } of after) expect(ids.indexOf(task)).toBeLessThan(ids.indexOf(id))
    }))
  })

  it('are as long as the longest way to their end, waits included', () => {
    fc.assert(fc.property(shuffled, (of) => {
      const tails = tailsOf(of)
      for (const { id } of of) expect(tails.get(id)).toBe(longestFrom(of, id))
    }))
  })

  it('that come back to where they began are found, and are such a loop', () => {
    fc.assert(fc.property(shuffled, fc.nat(), fc.nat(), (of, a, b) => {
      expect(loopIn(of)).toBeUndefined()
      const [first, last] = [of[a % of.length]!, of[b % of.length]!]
      const linked = of.map(task =>
        task === first ? { ...task, after: [...task.after, { task: last.id, wait: 0 }] } : task,
      )
      const leads = (from: string, to: string): boolean =>
        from === to || of.some(({ id, after }) => after.some(({ task }) => task === from) && leads(id, to))
      const loop = loopIn(linked)
      expect(loop !== undefined).toBe(leads(first.id, last.id))
      if (loop)
        for (const [n, id] of loop.entries())
          expect(linked.find(task => task.id === id)!.after.map(({ task }) => task)).toContain(
            loop[(n + 1) % loop.length],
          )
    }))
  })
})
