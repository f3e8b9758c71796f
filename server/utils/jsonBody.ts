import type { H3Event } from 'h3'
import { soundJsonFault } from '../../core/job'
import { apiError, validationError } from './apiError'
import { parsedJson } from './parsedJson'

/** The largest body the API takes, bytes. */
export const LARGEST_BODY = 5 * 1024 * 1024

const TOO_LARGE = 'What was sent is over 5 MB. A job file of that size holds more than one site.'

/** A request's body as it came. @throws 413 with these words where it is larger than `most` bytes */
export async function bodyBytes({ node: { req } }: H3Event, most: number, words: string): Promise<Buffer> {
  const tooLarge = () => apiError(413, 'too-large', words)
  if (Number(req.headers['content-length'] ?? 0) > most) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > most) throw tooLarge()
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}

/** A request's body as text. @throws 413 over 5 MB */
export const bodyText = async (event: H3Event): Promise<string> => (await bodyBytes(event, LARGEST_BODY, TOO_LARGE)).toString('utf8')

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
