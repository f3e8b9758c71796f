import { createError, type H3Error } from 'h3'
import { countOfFaults, type Fault } from '../../core/job'

/** What a refused request is answered with: one shape for every error of the API. */
export interface ApiErrorBody {
  error: {
    /** Names the kind of error, for scripts. */
    code: string
    /** What a person can do about it. */
    message: string
    /** Everything that is wrong in what was sent, each at its JSON path. */
    faults?: Fault[]
    /** On a stale version: the state that the server has now. */
    current?: unknown
  }
}

/** An error that the API answers with `status` and the one shape of errors. */
export function apiError(
  status: number,
  code: string,
  message: string,
  more: { faults?: Fault[], current?: unknown } = {},
): H3Error {
  return createError({
    statusCode: status,
    message,
    data: { error: { code, message, ...more } } satisfies ApiErrorBody,
  })
}

export const notFound = (what: string) =>
  apiError(404, 'not-found', `Not found: ${what}. It may have been deleted, or the link may be out of date.`)

export const validationError = (faults: Fault[]) =>
  apiError(
    422,
    'invalid',
    faults.length === 1 ? `1 error: ${faults[0]!.path} ${faults[0]!.message}` : `${countOfFaults(faults)}.`,
    { faults },
  )
