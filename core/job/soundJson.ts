import type { Fault } from './fault'
import { LIMITS } from './limits'

/** So many names an object has at most. */
const MOST_KEYS = 10_000
// Line breaks and tabs are text; what else is under a space, and the C1 set, is none.
// eslint-disable-next-line no-control-regex
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F]/

// A high surrogate that no low one follows, or a low one that no high one precedes.
const HALF = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/

/** What is wrong with a text, whatever it says. */
function textFault(text: string): string | undefined {
  if (HALF.test(text)) return 'contains half a character (a lone surrogate)'
  const control = CONTROL.exec(text)
  return control
    ? `contains a control character (U+${control[0].charCodeAt(0).toString(16).toUpperCase().padStart(4, '0')})`
    : undefined
}

/** The first fault in a value, at its path within it: paths are put together only where there is one. */
function look(value: unknown, depth: number): Fault | undefined {
  if (typeof value === 'string') {
    const message = textFault(value)
    return message ? { path: '', message } : undefined
  }
  if (typeof value !== 'object' || value === null) return undefined
  if (depth > LIMITS.deepest) return { path: '', message: `is nested deeper than ${LIMITS.deepest} levels` }
  if (Array.isArray(value)) {
    for (let n = 0; n < value.length; n++) {
      const fault = look(value[n], depth + 1)
      if (fault) return { ...fault, path: `[${n}]${fault.path}` }
    }
    return undefined
  }
  const keys = Object.keys(value)
  if (keys.length > MOST_KEYS) return { path: '', message: `has ${keys.length} keys; at most ${MOST_KEYS} are allowed` }
  for (const key of keys) {
    const message = key === '__proto__' ? 'is a key that is not allowed' : textFault(key)
    if (message) return { path: `.${JSON.stringify(key).slice(1, -1)}`, message }
    const fault = look((value as Record<string, unknown>)[key], depth + 1)
    if (fault) return { ...fault, path: `.${key}${fault.path}` }
  }
  return undefined
}

/**
 * The first thing in a value read from JSON that no rule for what it says would look for: it lies too deep, a text is
 * no text, a key cannot be kept.
 *
 * @example
 * soundJsonFault({ site: { name: 'Pier\u0000' } })
 * // { path: '$.site.name', message: 'contains a control character (U+0000)' }
 */
export function soundJsonFault(value: unknown): Fault | undefined {
  const fault = look(value, 0)
  return fault && { ...fault, path: `$${fault.path}` }
}
