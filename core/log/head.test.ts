import { expect, it } from 'vitest'
import { chained, EMPTY_CHAIN, headCode, headFault, type ChainEnd, type LogEntry } from './index'

/** A log of so many remarks, chained as a server does it. */
function logOf(count: number, note = 'dry'): LogEntry[] {
  let end: ChainEnd = EMPTY_CHAIN
  return Array.from({ length: count }, (_, n) => {
    const entry = chained(
      { id: `e${n}`, at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'remark', note } as LogEntry,
      end,
    )
    end = { seq: entry.seq!, hash: entry.hash! }
    return entry
  })
}

it('is the count and the first 80 bits of the hash, five to a letter', () => {
  // 0x00 0x44 0x32 0x14 0xc7 is 00000 00001 00010 00011 00100 00101 00110 00111.
  const hash = `00443214c7${'f'.repeat(54)}`
  expect(headCode({ seq: 24, hash })).toBe('24-0123-4567-ZZZZ-ZZZZ')
  expect(headCode({})).toBeUndefined()
})

it('finds a log that goes on, and none whose end was cut off or that was written anew', () => {
  const log = logOf(10)
  const code = headCode(log[7]!)!
  expect([headFault(log, code), headFault(log.slice(0, 8), code)]).toEqual([undefined, undefined])
  expect(
    headFault(log, code.toLowerCase().replaceAll('-', '').replace(/^8/, '8-').replaceAll('0', 'o')),
  ).toBeUndefined()
  expect(headFault(log.slice(0, 7), code)).toMatch(/its end is missing/)
  expect(headFault(logOf(10, 'wet'), code)).toMatch(/written anew/)
  expect(
    headFault([...log, { ...log[0]!, hash: undefined, seq: undefined } as LogEntry], '11-0000-0000-0000-0000'),
  ).toMatch(/has 10: its end is missing/)
  for (const wrong of ['', '8', 'abc', '8-short']) expect(headFault(log, wrong)).toMatch(/is not a code of a log/)
})
