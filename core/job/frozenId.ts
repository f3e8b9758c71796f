import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import canonicalize from 'canonicalize'

/**
 * The id of what is frozen, SHA-256 of its canonical JSON without it: anyone who has it can tell that it is what was
 * issued.
 */
export function idOfFrozen(frozen: object): string {
  const { id: _, ...told } = frozen as { id?: string }
  return bytesToHex(sha256(utf8ToBytes(canonicalize(told)!)))
}
