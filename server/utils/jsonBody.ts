import type { H3Event } from 'h3'
import { LIMITS, soundJsonFault, tokenFault } from '../../core/job'
import { apiError, validationError } from './apiError'
import { parsedJson } from './parsedJson'

const sizeOf = (bytes: number) => bytes < 1024 * 1024 ? `${bytes / 1024} kB` : `${bytes / 1024 / 1024} MB`
/** What is said of a body that is too large. */
export const tooLarge = (most: number) => `The data sent is over ${sizeOf(most)}.`

/** How much JSON is read of a request: little of one whose sender is not known. */
const mostOf = ({ context }: H3Event): number =>
  context.signedIn ? LIMITS.bodyBytes : context.opened ? LIMITS.linkBytes : LIMITS.strangersBytes

/** A request's body as it came. @throws 413 with these words where it is larger than `most` bytes */
export async function bodyBytes({ node: { req } }: H3Event, most: number, words: string): Promise<Buffer> {
  const refusal = () => apiError(413, 'too-large', words)
  if (Number(req.headers['content-length'] ?? 0) > most) throw refusal()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > most) throw refusal()
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}

/** A request's body as text. @throws 413 where it is larger than `most` bytes */
export const bodyText = async (event: H3Event, most: number = mostOf(event)): Promise<string> =>
  (await bodyBytes(event, most, tooLarge(most))).toString('utf8')

/** A body that another reads, and that is small. @throws 413 where it is not, or does not say */
export function checkSmall({ node: { req } }: H3Event, most = 64 * 1024): void {
  const length = Number(req.headers['content-length'] ?? Infinity)
  if (!(length <= most))
    throw apiError(413, 'too-large', `The data sent here must state its length, and have at most ${most / 1024} kB.`)
}

/**
 * Reads a request's body as JSON.
 *
 * @throws 413 over 5 MB, or 16 kB where nobody is signed in, or with too many values; 400 where it is not JSON; 422
 *   where it lies too deep or has text in it that is none
 */
export async function jsonBody(event: H3Event): Promise<unknown> {
  const bytes = await bodyBytes(event, mostOf(event), tooLarge(mostOf(event)))
  const heavy = tokenFault(bytes, LIMITS.values, Infinity)
  if (heavy) throw apiError(413, 'too-large', `The data sent ${heavy}.`)
  const value = parsedJson(bytes.toString('utf8'))
  const unsound = soundJsonFault(value)
  if (unsound) throw validationError([unsound])
  return value
}
