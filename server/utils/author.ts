/** The name under which something is kept; a browser that was told none is nobody in particular. */
export function author(given: unknown): string {
  return typeof given === 'string' && given.trim() ? given.trim().slice(0, 80) : 'Somebody'
}

/** The present moment as the log writes it. */
export const now = () => new Date().toISOString()
