import { createPrivateKey, createPublicKey, generateKeyPairSync, sign, type KeyObject } from 'node:crypto'
import { appendFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { headText, type SignedHead } from '../../core/log'
import { dataFolder } from '../database/connection'

/** A head is signed when a log has grown by so many entries since the last one, or by one after so long, ms. */
const GROWN = { entries: 50, ms: 24 * 60 * 60 * 1_000 }

/** A head that was signed here, with whose log it is. */
interface KeptHead extends SignedHead { firm: string, of: string }

/** What signs the heads of a firm's logs, and remembers them where those who have its data do not reach. */
export interface HeadSigner {
  /** Whether a log of so many entries has grown enough since its last head. */
  isDue: (of: string, seq: number, at: string) => boolean
  sign: (of: string, end: { seq: number, hash: string }, at: string) => SignedHead
  /** The heads of a log that were signed here, in the order of signing. */
  kept: (of: string) => SignedHead[]
}

let own: { key: KeyObject, public: string, file: string } | undefined
/** Of each log the heads that were signed, by firm and name. */
const heads = new Map<string, SignedHead[]>()
const nameOf = (firm: string, of: string) => JSON.stringify([firm, of])

function remember({ firm, of, ...head }: KeptHead): void {
  const name = nameOf(firm, of)
  heads.set(name, [...heads.get(name) ?? [], head])
}

/** The lines of the file of heads; one that a power cut left half written is none. */
function linesOf(file: string): KeptHead[] {
  if (!existsSync(file)) return []
  return readFileSync(file, 'utf8').split('\n').flatMap((line) => {
    try {
      return [JSON.parse(line) as KeptHead]
    }
    catch {
      return []
    }
  })
}

/** The private key of a folder: the one that is there, or one that is made now. */
function keyIn(folder: string): KeyObject {
  const file = join(folder, 'head-key.pem')
  if (!existsSync(file)) {
    const pem = generateKeyPairSync('ed25519').privateKey.export({ type: 'pkcs8', format: 'pem' })
    writeFileSync(file, pem, { mode: 0o600, flag: 'wx' })
  }
  return createPrivateKey(readFileSync(file))
}

/** The folder of the key: `WT_KEYS`, or beside the data folder, so that no backup of that one takes it along. */
const keyFolder = (): string => resolve(process.env.WT_KEYS || `${dataFolder()}.keys`)

/**
 * Takes the key by which the heads of logs are signed, and makes one where there is none; every public key that signed
 * here is kept in `head-keys.txt`. Without it the server works, and signs nothing.
 */
export function openHeadKey(): void {
  const folder = keyFolder()
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    const key = keyIn(folder)
    const known = join(folder, 'head-keys.txt')
    own = { key, public: createPublicKey(key).export({ format: 'jwk' }).x!, file: join(folder, 'heads.jsonl') }
    if (!existsSync(known) || !readFileSync(known, 'utf8').includes(own.public))
      appendFileSync(known, `${own.public} since ${new Date().toISOString()}\n`)
    heads.clear()
    for (const head of linesOf(own.file)) remember(head)
  }
  catch (error) {
    own = undefined
    const why = (error as Error).message
    console.error(`${folder} cannot hold the key of the logs: ${why}. Heads of logs are not signed.`)
  }
}

/** The public keys that signed here, the one of today last. */
export function publicKeys(): string[] {
  const known = join(keyFolder(), 'head-keys.txt')
  return existsSync(known) ? readFileSync(known, 'utf8').split('\n').flatMap(line => line.split(' ')[0] || []) : []
}

/** What signs for a firm; undefined where no key could be had. */
export function signerOf(firm: string): HeadSigner | undefined {
  if (!own) return undefined
  const { key, public: publicKey, file } = own
  const kept = (of: string) => heads.get(nameOf(firm, of)) ?? []
  return {
    kept,
    isDue(of, seq, at) {
      const last = kept(of).at(-1)
      const since = last ? Date.parse(at) - Date.parse(last.at) : 0
      return seq >= (last?.seq ?? 0) + GROWN.entries || (seq > (last?.seq ?? 0) && since >= GROWN.ms)
    },
    sign(of, end, at) {
      const head = { ...end, at, key: publicKey }
      const signed = { ...head, sig: sign(null, Buffer.from(headText(of, head)), key).toString('base64url') }
      appendFileSync(file, `${JSON.stringify({ firm, of, ...signed })}\n`, { mode: 0o600 })
      remember({ firm, of, ...signed })
      return signed
    },
  }
}
