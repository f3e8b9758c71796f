import type { H3Event } from 'h3'
import { LIMITS, soundJsonFault } from '../../core/job'
import { apiError, validationError } from './apiError'
import { parsedJson } from './parsedJson'

const tooLarge = (most: number) => `The data sent is over ${most / 1024 / 1024} MB.`

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
export const bodyText = async (event: H3Event, most: number = LIMITS.bodyBytes): Promise<string> => (await bodyBytes(event, most, tooLarge(most))).toString('utf8')

/** A body that another reads, and that is small. @throws 413 where it is not, or does not say */
export function checkSmall({ node: { req } }: H3Event, most = 64 * 1024): void {
  const length = Number(req.headers['content-length'] ?? Infinity)
  if (!(length <= most)) throw apiError(413, 'too-large', `The data sent here must state its length, and have at most ${most / 1024} kB.`)
}

/**
 * Reads a request's body as JSON.
 *
 * @throws 413 over 5 MB, 400 where it is not JSON, 422 where it lies too deep or has text in it that is none
 */
export async function jsonBody(event: H3Event): Promise<unknown> {
  const value = parsedJson(await bodyText(event))
  const unsound = soundJsonFault(value)
  if (unsound) throw validationError([unsound])
  return value
}
