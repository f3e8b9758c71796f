import 'fake-indexeddb/auto'
import { createHash, createPublicKey, verify } from 'node:crypto'
import canonicalize from 'canonicalize'
import { afterEach, beforeEach, expect, it } from 'vitest'
import type { LogEntry, PublicKey } from '~~/core/log'
import { Device } from './device'
import { Signer, type OwnSession } from './signer'

let device: Device
let n = 0
beforeEach(() => { device = new Device(`signer-${n++}`) })
afterEach(() => device.close())

const ODD: OwnSession = { session: 's1', person: 'odd', device: 'phone' }
const remark = (more: Partial<LogEntry> = {}) =>
  ({
    id: 'r1',
    at: '2026-11-20T09:00:00Z',
    by: 'Odd',
    person: 'odd',
    wall: 'w1',
    kind: 'remark',
    note: 'dry',
    ...more,
  }) as LogEntry

/** By the standards alone: RFC 7638 names the key, and the text is the canonical JSON without what a server sets. */
function holds({ key, sig, by: _, ...told }: LogEntry, jwk: PublicKey): boolean {
  const named = `{"crv":"P-256","kty":"EC","x":"${jwk.x}","y":"${jwk.y}"}`
  expect(key).toBe(createHash('sha256').update(named).digest('base64url'))
  const publicKey = createPublicKey({ key: { ...jwk }, format: 'jwk' })
  const text = Buffer.from(canonicalize({ ...told, key })!)
  return verify('sha256', text, { key: publicKey, dsaEncoding: 'ieee-p1363' }, Buffer.from(sig!, 'base64url'))
}

it('signs with a key that the server is told once, for tabs that begin at once too', async () => {
  const [one, other] = [new Signer(device, () => ODD), new Signer(device, () => ODD)]
  const told: PublicKey[] = []
  const entries = await Promise.all([one.signed(remark()), other.signed(remark({ id: 'r2', device: 'tablet' }))])
  for (const signer of [one, other, one]) await signer.register(key => Promise.resolve(told.push(key)))
  expect(told).toHaveLength(1)
  expect(entries.map(entry => holds(entry, told[0]!))).toEqual([true, true])
  expect(entries.map(({ device }) => device)).toEqual(['phone', 'tablet'])
  expect(holds({ ...entries[0]!, at: '2026-11-19T09:00:00Z' }, told[0]!)).toBe(false)
  await expect(
    globalThis.crypto.subtle.exportKey('jwk', (await device.keys.get('s1'))!.pair.privateKey),
  ).rejects.toThrow()
})

it('leaves alone what another person recorded, and what is recorded where no session is known', async () => {
  expect(await new Signer(device, () => ODD).signed(remark({ person: 'isla' }))).toEqual(remark({ person: 'isla' }))
  expect(await new Signer(device, () => undefined).signed(remark())).toEqual(remark())
  expect(await device.keys.count()).toBe(0)
})

it('has another key in another session, and tells it again where the server could not be reached', async () => {
  let own = ODD
  const signer = new Signer(device, () => own)
  await expect(signer.register(() => Promise.reject(new Error('offline')))).rejects.toThrow('offline')
  const told: PublicKey[] = []
  await signer.register(key => Promise.resolve(told.push(key)))
  own = { ...ODD, session: 's2' }
  await signer.register(key => Promise.resolve(told.push(key)))
  expect(new Set(told.map(({ x }) => x)).size).toBe(2)
})
