import { validationError } from './apiError'

/** A name can have so many characters, as in the log. */
const LONGEST = 200

/** The name under which something is kept; a browser that was told none is nobody in particular. @throws 422 where it is too long */
export function author(given: unknown): string {
  const name = typeof given === 'string' ? given.trim() : ''
  if (name.length > LONGEST) throw validationError([{ path: '$.by', message: `must be at most ${LONGEST} characters` }])
  return name || 'Somebody'
}

/** The present moment as the log writes it. */
export const now = () => new Date().toISOString()
