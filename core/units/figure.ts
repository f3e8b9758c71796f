import type { Text } from './text'

/** One line of a working: what it is, the sum with its numbers in, and what comes out. */
export interface Step {
  label: string
  expression: Text
  value: number
  unit: string
  /** The rule's source, where it has one: a standard's clause or the maker's sheet. */
  source?: string
}

/** A computed figure with its working: `value` in `unit`, and the steps that led to it, in order. */
export interface Figure {
  value: number
  unit: string
  working: Step[]
}

/**
 * Closes a working: the figure's value is its last step's.
 *
 * @example
 * figure([{ label: 'Pitch', expression: words`${576.2} + ${0.6}`, value: 576.8, unit: 'mm' }]).value // 576.8
 */
export function figure(working: [...Step[], Step]): Figure {
  const { value, unit } = working[working.length - 1]!
  return { value, unit, working }
}
