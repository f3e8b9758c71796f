import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'

const startsWith = (bytes: Uint8Array, text: string, at = 0) =>
  [...text].every((char, n) => bytes[at + n] === char.charCodeAt(0))

/** What a picture is by how it begins, and its ending; undefined for what is none that is taken. */
function endingOf(bytes: Uint8Array): string | undefined {
  if (startsWith(bytes, '\u00FF\u00D8\u00FF')) return 'jpg'
  if (startsWith(bytes, '\u0089PNG\r\n')) return 'png'
  return startsWith(bytes, 'RIFF') && startsWith(bytes, 'WEBP', 8) ? 'webp' : undefined
}

/**
 * The name by which the server will know a picture: made from its content. Undefined for what is no picture that is
 * taken.
 */
export async function photoName(picture: Blob): Promise<string | undefined> {
  const bytes = new Uint8Array(await picture.arrayBuffer())
  const ending = endingOf(bytes)
  return ending && `${bytesToHex(sha256(bytes)).slice(0, 32)}.${ending}`
}
