/** An id that stands in an address and in a file name as it is. */
export const PLAIN_ID = /^[a-z0-9][a-z0-9-]*$/

/** So many letters of a name are made into an id. */
const LONGEST = 60

/**
 * An id made of a name: small letters, figures and hyphens, and not one that is taken.
 *
 * @param otherwise the id of a name that has neither letter nor figure of the Latin alphabet
 * @example
 * idFrom('Café, by the counter', 'wall', ['hall']) // 'cafe-by-the-counter'
 */
export function idFrom(name: string, otherwise: string, taken: Iterable<string> = []): string {
  const plain
    = name
      .normalize('NFD')
      .replace(/[\u0300-\u036f]/g, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, LONGEST) || otherwise
  const known = new Set(taken)
  let id = plain
  for (let n = 2; known.has(id); n++) id = `${plain}-${n}`
  return id
}
