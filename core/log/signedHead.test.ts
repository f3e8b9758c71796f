import { generateKeyPairSync, sign, verify } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import {
  chained, EMPTY_CHAIN, givenHead, headCode, headProof, headsFault, headText, lostEntries, type ChainEnd, type LogEntry,
} from './index'

function logOf(count: number, note = 'dry'): LogEntry[] {
  let end: ChainEnd = EMPTY_CHAIN
  return Array.from({ length: count }, (_, n) => {
    const told = { id: `e${n}`, at: '2026-11-20T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'remark', note } as LogEntry
    const entry = chained(told, end)
    end = { seq: entry.seq!, hash: entry.hash! }
    return entry
  })
}

const { publicKey, privateKey } = generateKeyPairSync('ed25519')
const key = publicKey.export({ format: 'jwk' }).x!
const signed = ({ seq, hash }: LogEntry) => {
  const head = { seq: seq!, hash: hash!, at: '2026-11-20T09:30:00.000Z', key }
  return { ...head, sig: sign(null, Buffer.from(headText('holm-point', head)), privateKey).toString('base64url') }
}

describe('a signed head', () => {
  it('is one line that holds the code, when it was signed, and a signature of just that', () => {
    const log = logOf(12)
    const line = headProof('holm-point', signed(log[7]!))
    expect(line.startsWith(`wide-trellis-head;holm-point;${headCode(log[7]!)};2026-11-20T09:30:00.000Z;`)).toBe(true)
    const { code, site, text, sig } = givenHead(line)
    expect([code, site]).toEqual([headCode(log[7]!), 'holm-point'])
    expect(verify(null, Buffer.from(text!), publicKey, Buffer.from(sig!, 'base64url'))).toBe(true)
    const of = (other: string) => verify(null, Buffer.from(other), publicKey, Buffer.from(sig!, 'base64url'))
    expect([of(text!.replace('09:30', '08:30')), of(text!.replace('holm', 'hull'))]).toEqual([false, false])
  })

  it('is read as the code alone where it is nothing else', () => {
    expect(givenHead('24-Y7HA-0B2C-9DEF-GHJK')).toEqual({ code: '24-Y7HA-0B2C-9DEF-GHJK' })
    expect(givenHead('wide-trellis-head;holm-point;24')).toEqual({ code: 'wide-trellis-head;holm-point;24' })
  })

  it('is missed in a log that was cut off before it, or written anew with as many entries', () => {
    const log = logOf(60)
    const heads = [signed(log[9]!), signed(log[49]!)]
    expect(headsFault(log, heads)).toBeUndefined()
    expect(headsFault(log.slice(0, 50), heads)).toBeUndefined()
    expect(headsFault(log.slice(0, 49), heads)).toBe(
      '50 entries were signed for on 20 Nov 2026, 09:30 UTC, and the log has 49: its end is missing',
    )
    expect(headsFault(logOf(60, 'wet'), heads)).toMatch(/and entry 10 is another one now: the log was written anew/)
  })
})

it('an entry that was seen and is gone, or is another one now, is found; one that no server had is not', () => {
  const log = logOf(5)
  const unsent = { ...log[0]!, id: 'mine', hash: undefined } as unknown as LogEntry
  const ids = (known: LogEntry[], now: LogEntry[]) => lostEntries(known, now).map(({ id }) => id)
  expect(ids([...log.slice(0, 3), unsent], log)).toEqual([])
  expect(ids(log, log.slice(0, 4))).toEqual(['e4'])
  expect(ids(log, [...log.slice(0, 2), ...logOf(5, 'wet').slice(2)])).toEqual(['e2', 'e3', 'e4'])
})
