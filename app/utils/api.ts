import type { Fault } from '~~/core/job'

/** An answer of the API that refuses; `status` 0 when no answer came at all. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly faults: Fault[] = [],
    readonly current?: unknown,
  ) {
    super(message)
    this.name = 'ApiError'
  }

  /** Whether there was no answer at all. */
  get isOffline(): boolean {
    return this.status === 0
  }

  /** Whether it waits until a person has signed in. */
  get isSignedOut(): boolean {
    return this.status === 401
  }

  /**
   * Whether trying again later can help: there was no connection, or the server was in trouble or had too much to do.
   */
  get retryable(): boolean {
    return this.isOffline || this.status >= 500 || [408, 425, 429].includes(this.status)
  }
}

let signedOut: (why: string) => void = () => {}
/** Says what is done where the server answers that nobody is signed in on this device. */
export const onSignedOut = (act: typeof signedOut): void => { signedOut = act }

/** How what is sent as it is says what it is. */
const KINDS_SENT = {
  zip: { 'content-type': 'application/zip' },
  photograph: { 'content-type': 'application/octet-stream', 'x-wide-trellis': 'photograph' },
  file: { 'content-type': 'application/octet-stream', 'x-wide-trellis': 'file' },
}

/** Asks the API; a file is sent as it is, anything else as JSON. @throws ApiError */
export async function api<T>(
  path: string,
  { method = 'GET', body, as = 'zip' }: { method?: string, body?: unknown, as?: keyof typeof KINDS_SENT } = {},
): Promise<T> {
  const sent
    = body instanceof Blob
      ? { body, headers: KINDS_SENT[as] }
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }
  let response: Response
  try {
    response = await fetch(`/api${path}`, { method, ...(body !== undefined && sent) })
  }
  catch {
    throw new ApiError(0, 'no-connection', 'The server cannot be reached.')
  }
  const answer = (await response.json().catch(() => undefined)) as
    { error?: { code: string, message: string, faults?: Fault[], current?: unknown } } | undefined
  if (!response.ok) {
    const { code = 'error', message = `The server answered ${response.status}.`, faults, current } = answer?.error ?? {}
    if (response.status === 401 && (code === 'sign-in' || code.startsWith('session-'))) signedOut(message)
    throw new ApiError(response.status, code, message, faults, current)
  }
  return answer as T
}
