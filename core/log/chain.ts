import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import canonicalize from 'canonicalize'
import type { LogEntry } from './entry'
import { headCode } from './head'
import { headProof, headsFault, type SignedHead } from './signedHead'

/** The last entry of a log, as the next one follows it. */
export interface ChainEnd { seq: number, hash: string }

/** What a log begins with: the first entry follows none. */
export const EMPTY_CHAIN: ChainEnd = { seq: 0, hash: '' }

/** SHA-256, in hexadecimal, of an entry's canonical JSON (RFC 8785) without its own hash. */
export function hashOf(entry: LogEntry): string {
  const { hash: _, ...told } = entry
  return bytesToHex(sha256(utf8ToBytes(canonicalize(told)!)))
}

/**
 * An entry with its place in the chain, as the server gives it: what it says of that itself counts for nothing.
 *
 * @param receivedAt when the server had it, ISO 8601; absent where that is not known
 */
export function chained(entry: LogEntry, { seq, hash: prev }: ChainEnd, receivedAt?: string): LogEntry {
  const { seq: _s, receivedAt: _r, prev: _p, hash: _h, ...told } = entry
  const placed = { ...told, seq: seq + 1, ...receivedAt !== undefined && { receivedAt }, prev } as LogEntry
  return { ...placed, hash: hashOf(placed) }
}

/** The first entry of a log that does not hold, and why. */
export interface BrokenLink { index: number, id: string, why: string }

/**
 * Checks the chain of a log in its order: each entry's number follows the one before, its `prev` is that one's hash,
 * and its own hash is that of what it says. Entries that no server has had yet stand at the end and have no hash.
 *
 * @returns the first entry that does not hold; undefined where all do
 */
export function brokenLink(log: LogEntry[]): BrokenLink | undefined {
  let end = EMPTY_CHAIN
  let unsent = false
  for (const [index, entry] of log.entries()) {
    const broken = (why: string): BrokenLink => ({ index, id: entry.id, why })
    const { seq, prev, hash } = entry
    if (hash === undefined && prev === undefined && seq === undefined) {
      unsent = true
      continue
    }
    if (unsent) return broken('follows an entry that is not chained')
    if (seq !== end.seq + 1) return broken(`should be number ${end.seq + 1}, but is ${seq ?? 'not numbered'}`)
    if (prev !== end.hash) return broken('does not match the hash of the previous entry')
    if (hash !== hashOf(entry)) return broken('does not match its own hash')
    end = { seq, hash }
  }
  return undefined
}

/** What is wrong with the chain of a job's log, or with the heads that it says were signed of it. */
export function chainFault(
  { log, heads = [] }: { log: LogEntry[], heads?: SignedHead[] },
): { path: string, message: string } | undefined {
  const broken = brokenLink(log)
  if (broken)
    return {
      path: `$.log[${broken.index}]`,
      message: `${broken.why}: the log of this file was changed after it was recorded`,
    }
  const lost = headsFault(log, heads)
  return lost === undefined ? undefined : { path: '$.heads', message: `do not belong to this log: ${lost}` }
}

/**
 * Who imported a log when, and how many entries it had: who made these is as the file said, not as the server saw.
 * While it is `arriving`, its site is not there yet.
 */
export interface Imported { at: string, by: string, entries: number, arriving?: true }

/**
 * How the chain of a log stands: how many entries it has, and the first that does not hold, by whom and when it says it
 * was made.
 */
export interface ChainState {
  entries: number
  head?: string
  imported?: Imported
  broken?: BrokenLink & { at: string, by: string }
  /** What speaks against it having gone on from the heads that were signed of it. */
  lost?: string
  /** The last head that was signed of it, as a line. */
  proof?: string
  /** The server’s public key of today. */
  key?: string
}

/** @param heads that were signed of it, in the order of the log; `site` is whose log it is */
export function chainState(log: LogEntry[], site: string, heads: SignedHead[] = []): ChainState {
  const broken = brokenLink(log)
  const lost = broken ? undefined : headsFault(log, heads)
  const head = log.length > 0 && !broken ? headCode(log.at(-1)!) : undefined
  return {
    entries: log.length,
    ...(head !== undefined && { head }),
    ...(lost !== undefined && { lost }),
    ...(heads.length > 0 && lost === undefined && { proof: headProof(site, heads.at(-1)!) }),
    ...(broken && {
      broken: { ...broken, at: log[broken.index]!.receivedAt ?? log[broken.index]!.at, by: log[broken.index]!.by },
    }),
  }
}
