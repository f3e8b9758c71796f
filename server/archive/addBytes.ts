import { Readable } from 'node:stream'
import type { ReadStreamOptions, ZipFile } from 'yazl'

/** So much is packed in one go, bytes; others are answered before the next. */
const PIECE = 256 * 1024

function* piecesOf(bytes: Uint8Array): Generator<Uint8Array> {
  for (let from = 0; from < bytes.length; from += PIECE) yield bytes.subarray(from, from + PIECE)
}

/** Adds a file to a ZIP file piece by piece: nobody else waits until all of a large one is packed. */
export function addBytes(
  zip: ZipFile, name: string, bytes: Uint8Array, options: Partial<ReadStreamOptions> = {},
): void {
  zip.addReadStream(Readable.from(piecesOf(bytes), { objectMode: false }), name, { ...options, size: bytes.length })
}
