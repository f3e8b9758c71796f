import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import type { ApiErrorBody } from './utils/apiError'

/** What is answered where the disk has no room left, as SQLite or the file system says it; undefined otherwise. */
function diskFull(cause: unknown): ApiErrorBody | undefined {
  const { code = '' } = (cause ?? {}) as { code?: string }
  if (code !== 'SQLITE_FULL' && code !== 'ENOSPC') return undefined
  const message = 'The server’s disk is full, so nothing can be saved. What you entered is kept in this browser. '
    + 'Free space on the server.'
  return { error: { code: 'disk-full', message } }
}

/** What is said of an error that nobody has put into words. */
function wordsFor(status: number, message: string): string {
  if (status === 404) return 'Nothing was found at this address.'
  return status >= 500 ? 'Something went wrong on the server. What you entered is kept in this browser.' : message
}

/** Answers every error in the API's one shape; what was not foreseen goes to the server's own log. */
export default function answerError(error: H3Error, event: H3Event) {
  const given = error.data as ApiErrorBody | undefined
  const full = diskFull(error.cause)
  const status = full ? 507 : error.statusCode || 500
  const foreseen = given?.error ? given : full
  if (!foreseen && status >= 500) console.error(error)
  const message = wordsFor(status, error.message)
  const { retryAfter } = (error.cause ?? error) as { retryAfter?: number }
  if (status === 503 || status === 429) setResponseHeader(event, 'retry-after', retryAfter ?? 5)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return send(
    event,
    JSON.stringify(
      foreseen ?? ({ error: { code: status === 404 ? 'not-found' : 'error', message } } satisfies ApiErrorBody),
    ),
  )
}
