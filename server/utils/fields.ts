/** The named fields of a body that is an object; anything else is a body without them. */
export function fieldsOf(body: unknown): Record<string, unknown> {
  return typeof body === 'object' && body !== null && !Array.isArray(body) ? body as Record<string, unknown> : {}
}
