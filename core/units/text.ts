import { memoize } from '../memo'
import { formatLength, type Precision, type UnitSystem } from './length'
import { quantityToString, type Quantity } from './quantity'

/** A length inside a sentence, kept exact until the sentence is shown. */
export interface LengthTerm { mm: number }

/** A sentence with lengths and other quantities in it: shown in whatever units its reader uses. */
export type Text = (string | LengthTerm | Quantity)[]

/** A sentence may go over several lines of a file: what ends a line in it is a space. */
const joinedLines = memoize((strings: TemplateStringsArray) => strings.map(each => each.replace(/\s*\n\s*/g, ' ')))

/**
 * Writes a sentence whose bare numbers are lengths in mm; counts and other figures go in as strings.
 *
 * @example
 * words`misses by ${12.3}` // ['misses by ', { mm: 12.3 }]
 */
export function words(strings: TemplateStringsArray, ...values: (string | number | Quantity | Text)[]): Text {
  const parts: Text = []
  joinedLines(strings).forEach((string, index) => {
    if (string) parts.push(string)
    const value = values[index]
    if (typeof value === 'number') parts.push({ mm: value })
    else if (typeof value === 'string') parts.push(value)
    else if (Array.isArray(value)) parts.push(...value)
    else if (value) parts.push(value)
  })
  return parts
}

/**
 * Where something is beside something else, without signs.
 *
 * @example
 * beside({ x: 0, y: -18 }) // [{ mm: 18 }, ' ', 'below']: 18 mm below
 */
export function beside({ x, y }: { x: number, y: number }): Text {
  const across = x === 0 ? [] : words`${Math.abs(x)} ${x > 0 ? 'right of' : 'left of'}`
  const up = y === 0 ? [] : words`${Math.abs(y)} ${y > 0 ? 'above' : 'below'}`
  return across.length > 0 && up.length > 0
    ? words`${across} and ${up}`
    : across.length + up.length > 0
      ? [...across, ...up]
      : ['at']
}

/** Lengths inside sentences are shown a step finer than marks, so that sums can be followed. */
export const SENTENCE_PRECISION: Precision = { decimals: 1, denominator: 32 }

/** Between two lengths of one phrase the unit is written once, after the last: 520 × 480 mm, 1200 to 1800 mm. */
const SHARED_UNIT = /^ (×|to|and|or) $/

const lengthToString = (mm: number, system: UnitSystem): string =>
  formatLength(mm, system, SENTENCE_PRECISION).replace(/\.0$/, '')

/**
 * A sentence in plain characters, its figures in the reader's units; a metric length has its unit behind it.
 *
 * @example
 * textToString(words`misses by ${12.3}`, 'metric') // 'misses by 12.3 mm'
 * textToString(words`${520} × ${480}`, 'metric') // '520 × 480 mm'
 */
export function textToString(text: Text, system: UnitSystem): string {
  const isLength = (part: Text[number] | undefined) => typeof part === 'object' && 'mm' in part
  const sharesUnit = (n: number) => isLength(text[n + 2]) && SHARED_UNIT.test(String(text[n + 1]))
  return text
    .map((part, n) => typeof part === 'string'
      ? part
      : 'unit' in part
        ? quantityToString(part, system)
        : `${lengthToString(part.mm, system)}${system === 'metric' && !sharesUnit(n) ? ' mm' : ''}`)
    .join('')
}

/** A sum in plain characters: as a sentence, but with bare millimetres, as the result beside it has the unit. */
export function sumToString(text: Text, system: UnitSystem): string {
  return text
    .map(part =>
      typeof part === 'string'
        ? part
        : 'unit' in part
          ? quantityToString(part, system)
          : lengthToString(part.mm, system),
    )
    .join('')
}

/** What a sentence states in figures, whatever its words: lengths in mm, other quantities in their own unit. */
export function factsIn(text: Text): number[] {
  return text.flatMap(part => typeof part === 'string' ? [] : 'unit' in part ? [part.value] : [part.mm])
}
