import type { UnitSystem } from '~~/core/units'

/**
 * How far one press of an arrow key moves a thing, by itself and with a key held: mm, and in words, round in the
 * reader's unit.
 */
export const NUDGES: Record<UnitSystem, { held: '' | 'shift+' | 'alt+', by: number, words: string }[]> = {
  metric: [
    { held: '', by: 1, words: '1 mm' },
    { held: 'shift+', by: 10, words: '10 mm' },
    { held: 'alt+', by: 0.1, words: '0.1 mm' },
  ],
  imperial: [
    { held: '', by: 25.4 / 16, words: '1/16"' },
    { held: 'shift+', by: 25.4 / 2, words: '1/2"' },
    { held: 'alt+', by: 25.4 / 32, words: '1/32"' },
  ],
}
