import type { H3Event } from 'h3'
import { refusal } from './refusal'

/** The largest body the API takes, bytes. */
export const LARGEST_BODY = 5 * 1024 * 1024

const tooLarge = () => refusal(413, 'too-large', 'What was sent is over 5 MB. A job file of that size holds more than one site.')

async function bodyText({ node: { req } }: H3Event): Promise<string> {
  if (Number(req.headers['content-length'] ?? 0) > LARGEST_BODY) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > LARGEST_BODY) throw tooLarge()
    chunks.push(chunk)
  }
  return Buffer.concat(chunks).toString('utf8')
}

/**
 * Reads a request's body as JSON.
 *
 * @throws 413 over 5 MB, 400 where it is not JSON
 */
export async function jsonBody(event: H3Event): Promise<unknown> {
  const text = await bodyText(event)
  try {
    return JSON.parse(text) as unknown
  }
  catch (error) {
    throw refusal(400, 'not-json', `What was sent is not JSON: ${(error as Error).message}`)
  }
}

/** The named fields of a body that is an object; anything else is a body without them. */
export function fieldsOf(body: unknown): Record<string, unknown> {
  return typeof body === 'object' && body !== null && !Array.isArray(body) ? body as Record<string, unknown> : {}
}
