import { createHash } from 'node:crypto'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { brokenLink, chained, EMPTY_CHAIN, hashOf } from './chain'
import type { LogEntry } from './entry'

const entry = (id: string, more: object = {}): LogEntry => ({
  id,
  at: '2026-11-12T09:00:00Z',
  by: 'Isla Brand',
  wall: 'w1',
  kind: 'remark',
  note: 'dusty',
  ...more,
})
function chain(...entries: LogEntry[]): LogEntry[] {
  let end = EMPTY_CHAIN
  return entries.map((each) => {
    const placed = chained(each, end, '2026-11-12T09:00:01Z')
    end = { seq: placed.seq!, hash: placed.hash! }
    return placed
  })
}

describe('the chain of a log', () => {
  it('has the SHA-256 of the canonical JSON of each entry, written out by hand', () => {
    const written
      = '{"at":"2026-11-12T09:00:00Z","by":"Isla '
        + 'Brand","id":"l1","kind":"remark","note":"dusty","prev":"",'
        + '"receivedAt":"2026-11-12T09:00:01Z","seq":1,"wall":"w1"}'
    const [first] = chain(entry('l1'))
    expect(first!.hash).toBe(createHash('sha256').update(written).digest('hex'))
    expect(hashOf({ ...entry('l1', { 'note': 'é\u20ac', 'x-b': 1e21, 'x-a': 0.1 }) })).toBe(
      createHash('sha256')
        .update(
          '{"at":"2026-11-12T09:00:00Z","by":"Isla '
          + 'Brand","id":"l1","kind":"remark","note":"é€","wall":"w1","x-a":0.1,"x-b":1e+21}',
        )
        .digest('hex'),
    )
  })

  it('is the same whatever the order of an entry’s keys', () => {
    expect(hashOf(Object.fromEntries(Object.entries(entry('l1')).reverse()) as LogEntry)).toBe(hashOf(entry('l1')))
  })

  it('holds as it was made, and names the first entry that was changed, left out, put in or moved', () => {
    const log = chain(entry('l1'), entry('l2'), entry('l3'), entry('l4'))
    expect(brokenLink(log)).toBeUndefined()
    expect(brokenLink([...log, entry('not sent')])).toBeUndefined()
    expect(brokenLink([])).toBeUndefined()
    expect(brokenLink(log.map(each => (each.id === 'l3' ? { ...each, by: 'Nobody' } : each)))).toEqual({
      index: 2,
      id: 'l3',
      why: 'does not match its own hash',
    })
    expect(brokenLink(log.filter(({ id }) => id !== 'l2'))).toMatchObject({ index: 1, id: 'l3' })
    expect(brokenLink([log[0]!, log[2]!, log[1]!, log[3]!])).toMatchObject({ index: 1, id: 'l3' })
    expect(brokenLink([log[0]!, entry('put in'), ...log.slice(1)])).toMatchObject({ index: 2, id: 'l2' })
    // One that was changed and hashed anew no longer is what the next one follows.
    const forged = { ...log[1]!, by: 'Nobody' }
    expect(brokenLink([log[0]!, { ...forged, hash: hashOf(forged) }, ...log.slice(2)])).toEqual({
      index: 2,
      id: 'l3',
      why: 'does not match the hash of the previous entry',
    })
  })

  it('breaks at whatever is changed in it', () => {
    const log = chain(...['l1', 'l2', 'l3', 'l4', 'l5'].map(id => entry(id)))
    fc.assert(
      fc.property(
        fc.nat(4),
        fc.constantFrom('id', 'at', 'by', 'wall', 'note', 'seq', 'receivedAt', 'prev', 'hash', 'x-new'),
        (n, key) => {
          const changed = log.map((each, index) =>
            index === n ? ({ ...each, [key]: key === 'seq' ? 17 : 'other' } as LogEntry) : each,
          )
          expect(brokenLink(changed)!.index).toBe(n)
        },
      ),
    )
  })
})
