import { send, setResponseHeader, setResponseStatus, type H3Error, type H3Event } from 'h3'
import type { ApiErrorBody } from './utils/apiError'

/** Whether the disk has no room left, as SQLite or the file system says it. */
const isDiskFull = (cause: unknown): boolean => ['SQLITE_FULL', 'ENOSPC'].includes((cause as { code?: string } | undefined)?.code ?? '')
const DISK_FULL: ApiErrorBody = { error: { code: 'disk-full', message: 'The server’s disk is full, so nothing can be saved. What you entered is kept in this browser. Free space on the server.' } }

/** Answers every error in the API's one shape; what was not foreseen goes to the server's own log. */
export default function answerError(error: H3Error, event: H3Event) {
  const given = error.data as ApiErrorBody | undefined
  const status = isDiskFull(error.cause) ? 507 : error.statusCode || 500
  const full = isDiskFull(error.cause) && DISK_FULL
  const foreseen = given?.error ? given : full || undefined
  if (!foreseen && status >= 500) console.error(error)
  const message = status === 404 ? 'Nothing was found at this address.' : status >= 500 ? 'Something went wrong on the server. What you entered is kept in this browser.' : error.message
  const { retryAfter } = (error.cause ?? error) as { retryAfter?: number }
  if (status === 503 || status === 429) setResponseHeader(event, 'retry-after', retryAfter ?? 5)
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return send(event, JSON.stringify(foreseen ?? { error: { code: status === 404 ? 'not-found' : 'error', message } } satisfies ApiErrorBody))
}
