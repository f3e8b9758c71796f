import { expect, it, vi } from 'vitest'
import { apiError } from '../utils/apiError'
import { hashing } from './hashing'
import { clientOf, countEntries, limited, opened } from './limits'

const headers = new Map<string, string>()
vi.stubGlobal('getHeader', (_: unknown, name: string) => headers.get(name))
vi.stubGlobal('getRequestIP', () => '10.0.0.1')
const EVENT = {} as never
const wrong = () => Promise.reject(apiError(401, 'wrong-password', 'Wrong.'))
const codeOf = (act: Promise<unknown>) =>
  act.then(
    () => 'in',
    (error: { data: { error: { code: string } } }) => error.data.error.code,
  )
const times = <Value>(n: number, act: (n: number) => Value) => Array.from({ length: n }, (_, each) => act(each))

it('many tries at once are as many as one after another: six are let through', async () => {
  const codes = await Promise.all(times(150, () => codeOf(limited([['password', 'here isla']], wrong))))
  expect(codes.filter(code => code === 'wrong-password')).toHaveLength(6)
  expect(codes.filter(code => code === 'too-many-tries')).toHaveLength(144)
})

it('what was no wrong guess does not count, and one who is limited in one way loses nothing in another', async () => {
  for (const _ of times(30, String)) await limited([['password', 'here odd']], () => Promise.resolve())
  expect(await codeOf(limited([['device', 'd1'], ['password', 'here odd']], () => Promise.resolve()))).toBe('in')
  await Promise.all(times(6, () => codeOf(limited([['password', 'here jun']], wrong))))
  for (const _ of times(20, String))
    expect(
      await codeOf(
        limited(
          [
            ['device', 'd2'],
            ['password', 'here jun'],
          ],
          wrong,
        ),
      ),
    ).toBe('too-many-tries')
  expect(await codeOf(limited([['device', 'd2']], () => Promise.resolve()))).toBe('in')
})

it('a right secret opens after any number of wrong ones from the same place', async () => {
  const guess = () => codeOf(opened(EVENT, () => { throw apiError(404, 'not-found', 'None.') }))
  const codes = await Promise.all(times(25, guess))
  expect([codes[0], codes.at(-1)]).toEqual(['not-found', 'too-many-tries'])
  expect(await codeOf(opened(EVENT, () => 'wall'))).toBe('in')
})

it('behind a proxy that is trusted the last hop counts, and what was claimed before it does not', () => {
  headers.set('x-forwarded-for', '1.2.3.4, 192.0.2.7')
  expect(clientOf(EVENT)).toBe('10.0.0.1')
  vi.stubEnv('WT_PROXY', '1')
  expect(clientOf(EVENT)).toBe('192.0.2.7')
  vi.unstubAllEnvs()
  headers.clear()
})

it('makes two hashes at once for strangers, has twenty wait, and a known device waits for none of them', async () => {
  const ends: (() => void)[] = []
  let running = 0
  let most = 0
  const hash = () => {
    most = Math.max(most, ++running)
    return new Promise<void>(end =>
      ends.push(() => {
        running--
        end()
      }),
    )
  }
  const asked = times(30, () => codeOf(hashing('strangers', hash)))
  await expect(hashing('known', () => Promise.resolve('at once'))).resolves.toBe('at once')
  expect(await Promise.all(asked.slice(22))).toEqual(times(8, () => 'busy'))
  while (ends.length > 0) {
    ends.shift()!()
    await new Promise(setImmediate)
  }
  expect(await Promise.all(asked.slice(0, 22))).toEqual(times(22, () => 'in'))
  expect(most).toBe(2)
})

it('a person sends so many entries an hour, and another is not kept waiting by that', async () => {
  await countEntries('odd', 3_000)
  await expect(countEntries('odd', 1)).rejects
    .toMatchObject({ statusCode: 429, retryAfter: expect.any(Number) as number })
  await countEntries('isla', 500)
})
