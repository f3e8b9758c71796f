import { expect, it } from 'vitest'
import { TooMuch, Turns } from './turns'

/** Tasks that end when they are told to, in the order in which they began. */
function bench(turns: Turns) {
  const begun: string[] = []
  const ends: (() => void)[] = []
  const order = (who: string, name: string) => turns.take(who, () => {
    begun.push(name)
    return new Promise<string>(end => ends.push(() => end(name)))
  })
  const endOne = async () => {
    ends.shift()!()
    await new Promise(setImmediate)
  }
  return { begun, order, endOne }
}

it('what one orders in a row keeps another waiting for the one that runs, and no more', async () => {
  const { begun, order, endOne } = bench(new Turns(1, 20, 40))
  const packs = Array.from({ length: 10 }, (_, n) => order('odd', `pack ${n}`))
  const [sheet, other] = [order('isla', 'sheet'), order('isla', 'second sheet')]
  for (let n = 0; n < 12; n++) await endOne()
  expect(begun.slice(0, 5)).toEqual(['pack 0', 'pack 1', 'sheet', 'pack 2', 'second sheet'])
  expect(await Promise.all([...packs, sheet, other])).toHaveLength(12)
})

it('so much of one waits at most, and so much of all; what fails gives its place away', async () => {
  const turns = new Turns(2, 3, 5)
  const { begun, order, endOne } = bench(turns)
  const first = [order('odd', 'a'), order('odd', 'b'), order('odd', 'c'), order('odd', 'd'), order('odd', 'e')]
  await expect(order('odd', 'f')).rejects.toEqual(new TooMuch(3))
  const others = [order('isla', 'g'), order('isla', 'h')]
  await expect(order('jun', 'i')).rejects.toEqual(new TooMuch(0))
  expect([begun, turns.waiting]).toEqual([['a', 'b'], 5])
  for (let n = 0; n < 7; n++) await endOne()
  expect(await Promise.all([...first, ...others])).toEqual(['a', 'b', 'c', 'd', 'e', 'g', 'h'])
  await expect(turns.take('odd', () => Promise.reject(new Error('fails')))).rejects.toThrow('fails')
  expect(await turns.take('odd', () => Promise.resolve('goes on'))).toBe('goes on')
})
