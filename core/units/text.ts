import { formatLength, type Precision, type UnitSystem } from './length'
import { quantityToString, type Quantity } from './quantity'

/** A length inside a sentence, kept exact until the sentence is shown. */
export interface LengthTerm { mm: number }

/** A sentence with lengths and other quantities in it: shown in whatever units its reader uses. */
export type Text = (string | LengthTerm | Quantity)[]

/**
 * Writes a sentence whose bare numbers are lengths in mm; counts and other figures go in as strings.
 *
 * @example
 * words`misses by ${12.3}` // ['misses by ', { mm: 12.3 }]
 */
export function words(strings: TemplateStringsArray, ...values: (string | number | Quantity | Text)[]): Text {
  const parts: Text = []
  strings.forEach((string, index) => {
    if (string) parts.push(string)
    const value = values[index]
    if (typeof value === 'number') parts.push({ mm: value })
    else if (typeof value === 'string') parts.push(value)
    else if (Array.isArray(value)) parts.push(...value)
    else if (value) parts.push(value)
  })
  return parts
}

/** Lengths inside sentences are shown a step finer than marks, so that sums can be followed. */
export const SENTENCE_PRECISION: Precision = { decimals: 1, denominator: 32 }

/** A sentence in plain characters, its lengths in the reader's unit. */
export function textToString(text: Text, system: UnitSystem): string {
  return text
    .map(part => typeof part === 'string' ? part : 'unit' in part ? quantityToString(part, system) : formatLength(part.mm, system, SENTENCE_PRECISION).replace(/\.0$/, ''))
    .join('')
}

/** The figures of a sentence, in order: lengths in mm, other quantities in their own unit; those that it has in words, as 3 of 7 %, too. */
export function figuresIn(text: Text): number[] {
  return text.flatMap(part => typeof part === 'string' ? [...part.matchAll(/\d+(?:\.\d+)?/g)].map(([figure]) => Number(figure)) : 'unit' in part ? [part.value] : [part.mm])
}
