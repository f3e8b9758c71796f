import type { LogEntry } from '~~/core/log'
import { signedText, thumbprintText, type PublicKey } from '~~/core/log/signing'
import type { Device, SessionKey } from './device'

/** A session of a person on this device, as entries that are signed in it say. */
export interface OwnSession { session: string, person: string, device: string }

const ECDSA = { name: 'ECDSA', namedCurve: 'P-256' }
const base64url = (bytes: ArrayBuffer) =>
  btoa(String.fromCharCode(...new Uint8Array(bytes))).replace(/\+/g, '-').replace(/\//g, '_').replace(/=+$/, '')

/** A browser has keys where the address is secure only: https, or this very machine. */
export const canSign = (): boolean => globalThis.crypto?.subtle !== undefined

async function newKey(session: string): Promise<SessionKey> {
  const { subtle } = globalThis.crypto
  const pair = await subtle.generateKey(ECDSA, false, ['sign', 'verify'])
  const { x, y } = await subtle.exportKey('jwk', pair.publicKey)
  const jwk: PublicKey = { kty: 'EC', crv: 'P-256', x: x!, y: y! }
  const id = base64url(await subtle.digest('SHA-256', new TextEncoder().encode(thumbprintText(jwk))))
  return { session, id, jwk, pair }
}

/**
 * Signs what a person records on this device with a key of his session, so that it can be sent in his name by another
 * person who signs in here later. Without a secure address nothing is signed, and goes in the name of its sender.
 *
 * @param own the session in which a person is signed in here; undefined where none is, or it is not known
 */
export class Signer {
  constructor(private readonly device: Device, private readonly own: () => OwnSession | undefined) {}

  private async keyOf(session: string): Promise<SessionKey> {
    const { keys } = this.device
    const known = await keys.get(session)
    if (known) return known
    const made = await newKey(session)
    // Another tab may have made one meanwhile: the first counts.
    return this.device.transaction('rw', keys, async () => {
      const first = await keys.get(session)
      if (!first) await keys.add(made)
      return first ?? made
    })
  }

  /** An entry with the signature of who made it here; as it is where it is another's, or nothing can be signed. */
  async signed(entry: LogEntry): Promise<LogEntry> {
    const own = this.own()
    if (!own || !canSign() || (entry.person ?? own.person) !== own.person) return entry
    // What cannot be signed is recorded all the same.
    return this.withSignature(entry, own).catch(() => entry)
  }

  private async withSignature(entry: LogEntry, own: OwnSession): Promise<LogEntry> {
    const { key: _k, sig: _s, ...told } = entry
    const { id, pair } = await this.keyOf(own.session)
    const complete = { device: own.device, ...told, person: own.person, key: id } as LogEntry
    const text = new TextEncoder().encode(signedText(complete))
    const sig = await globalThis.crypto.subtle.sign({ name: 'ECDSA', hash: 'SHA-256' }, pair.privateKey, text)
    return { ...complete, sig: base64url(sig) }
  }

  /** Tells the server the public key of this session, once; it is made where there is none yet. */
  async register(tell: (key: PublicKey) => Promise<unknown>): Promise<void> {
    const own = this.own()
    if (!own || !canSign()) return
    const { session, jwk, isKnown } = await this.keyOf(own.session)
    if (isKnown) return
    await tell(jwk)
    await this.device.keys.update(session, { isKnown: true })
  }
}
