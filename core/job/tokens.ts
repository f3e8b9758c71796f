const [QUOTE, BACKSLASH, COMMA, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT]
  = [...'"\\,[]{}'].map(letter => letter.charCodeAt(0))

/**
 * What speaks against reading JSON at all, found in its bytes without building any of it: reading a few megabytes of
 * empty lists takes more time and memory than the file's size tells. Commas and brackets in texts do not count.
 *
 * @param values so many values it has at most
 * @param deepest so deep they lie in each other at most
 *
 * @example
 * tokenFault(new TextEncoder().encode('[[],[]]'), 3, 64) // 'has more than 3 values'
 */
export function tokenFault(bytes: Uint8Array, values: number, deepest: number): string | undefined {
  let [count, depth, quoted] = [0, 0, false]
  for (let n = 0; n < bytes.length; n++) {
    const byte = bytes[n]
    if (quoted) {
      if (byte === BACKSLASH) n++
      else if (byte === QUOTE) quoted = false
      continue
    }
    if (byte === QUOTE) quoted = true
    else if (byte === COMMA) count++
    else if (byte === OPEN_LIST || byte === OPEN_OBJECT) {
      count++
      if (++depth > deepest) return `is nested deeper than ${deepest} levels`
    }
    else if (byte === CLOSE_LIST || byte === CLOSE_OBJECT) depth--
    if (count > values) return `has more than ${values} values`
  }
  return undefined
}
