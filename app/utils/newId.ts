/** An id that nobody else makes, also where the page is served without TLS and `randomUUID` is not there. */
export const newId = (): string =>
  crypto.randomUUID?.()
  ?? Array.from(crypto.getRandomValues(new Uint8Array(16)), byte => byte.toString(16).padStart(2, '0')).join('')
