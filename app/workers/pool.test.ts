import { afterEach, describe, expect, it, vi } from 'vitest'
import { Cancelled, WorkerPool } from './pool'

/** Workers that answer when they are reported to. */
function standins() {
  const made: { ended: boolean }[] = []
  const open: { name: string, answer: (value: string) => void, fail: (error: Error) => void }[] = []
  const pool = new WorkerPool(() => {
    const worker = { ended: false }
    made.push(worker)
    return {
      api: { study: (name: string) => new Promise<string>((answer, fail) => void open.push({ name, answer, fail })) },
      end: () => {
        worker.ended = true
      },
    }
  }, 2)
  return { pool, made, open, study: (name: string, signal?: AbortSignal) => pool.run(api => api.study(name), signal) }
}
const settled = () => new Promise(done => setTimeout(done))
afterEach(() => vi.restoreAllMocks())

describe('the pool of workers', () => {
  it('does so many things at once and the others in their turn, with as few workers as that takes', async () => {
    const { made, open, study } = standins()
    const answers = [study('a'), study('b'), study('c')]
    await settled()
    expect([made.length, open.map(({ name }) => name)]).toEqual([2, ['a', 'b']])
    open[1]!.answer('B')
    expect(await answers[1]).toBe('B')
    await settled()
    expect([made.length, open.map(({ name }) => name)]).toEqual([2, ['a', 'b', 'c']])
    open[0]!.answer('A')
    open[2]!.fail(new Error('no such wall'))
    expect(await answers[0]).toBe('A')
    await expect(answers[2]).rejects.toThrow('no such wall')
  })

  it('ends what is cancelled at once, under way or waiting, and goes on with the rest', async () => {
    const { made, open, study } = standins()
    const [under, waiting] = [new AbortController(), new AbortController()]
    const [a, b, c, d] = [study('a', under.signal), study('b'), study('c', waiting.signal), study('d')]
    await settled()
    waiting.abort()
    await expect(c).rejects.toBeInstanceOf(Cancelled)
    under.abort()
    await expect(a).rejects.toBeInstanceOf(Cancelled)
    await settled()
    expect([made.map(({ ended }) => ended), open.map(({ name }) => name)]).toEqual([
      [true, false, false],
      ['a', 'b', 'd'],
    ])
    // An answer that comes too late is nobody's.
    open[0]!.answer('A')
    open[1]!.answer('B')
    open[2]!.answer('D')
    expect([await b, await d]).toEqual(['B', 'D'])
    await expect(study('e', under.signal)).rejects.toBeInstanceOf(Cancelled)
  })

  it('ends every worker when it is closed', async () => {
    const { pool, made, open, study } = standins()
    const [a, b] = [study('a'), study('b')]
    await settled()
    open[0]!.answer('A')
    await a
    pool.close()
    await expect(b).rejects.toBeInstanceOf(Cancelled)
    expect(made.map(({ ended }) => ended)).toEqual([true, true])
  })
})
