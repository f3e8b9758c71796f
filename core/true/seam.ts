import type { EntryOf } from '../log'
import { quantity, words, type Text } from '../units'
import type { Adjuster, TrueScreen } from './screen'

/** Which end of a seam: of an upright one its top or bottom, of a level one its left or right. */
export type End = 'top' | 'bottom' | 'left' | 'right'

/**
 * Something that was read and is to be brought to a target: a gap or a step at an end of a seam, or the roll of a
 * screen.
 */
export interface Reading {
  kind: 'gap' | 'step' | 'roll'
  between: [string, string] | [string]
  end?: End
  /** As it was read, mm; a roll in mm/m. */
  value: number
  target: number
  /** What a unit of it counts for, mm: a roll of 1 mm/m counts as 0.3 mm (a seam of 300 mm). */
  weight: number
  /** How much each adjuster moves it, by screen and adjuster. */
  effects: { screen: string, adjuster: Adjuster, by: number }[]
}

/** What a roll of 1 mm/m counts for, mm. */
export const ROLL_WEIGHT = 0.3

type Effects = Reading['effects']

/** How the adjusters of a screen move a point of it, from its centre, mm: to the right, up, and outwards. */
export function effectsOn(screen: TrueScreen, x: number, y: number): { right: Effects, up: Effects, out: Effects } {
  const has = new Set(screen.travels.map(({ adjuster }) => adjuster))
  const on = (adjuster: Adjuster, by: number): Effects =>
    has.has(adjuster) && Math.abs(by) > 1e-12 ? [{ screen: screen.name, adjuster, by }] : []
  // v = (a + b) / 2 and θ = (b − a) / span, of height screws raised by a on the left and b on the right.
  const roll = (by: number): Effects =>
    screen.span === undefined ? [] : [...on('height-left', -by / screen.span), ...on('height-right', by / screen.span)]
  // Four depth screws in one plane: its middle, and its lean by the left and the lower edge of that plane.
  const { x: across, y: tall } = screen.depthSpan ?? { x: 1, y: 1 }
  return {
    right: [...on('lateral', 1), ...roll(-y)],
    up: [
      ...(screen.span === undefined ? on('height', 1) : [...on('height-left', 0.5), ...on('height-right', 0.5)]),
      ...roll(x),
    ],
    out: screen.depthSpan
      ? [
          ...on('depth-top-left', y / tall - x / across),
          ...on('depth-top-right', 0.5 + x / across),
          ...on('depth-bottom-left', 0.5 - y / tall),
        ]
      : [],
  }
}

/** Effects of one screen less those of another; of one adjuster together. */
function less(plus: Effects, minus: Effects): Effects {
  const sums = new Map<string, Effects[number]>()
  for (const { by, ...of } of [...plus, ...minus.map(each => ({ ...each, by: -each.by }))]) {
    const key = `${of.screen} ${of.adjuster}`
    sums.set(key, { ...of, by: by + (sums.get(key)?.by ?? 0) })
  }
  return [...sums.values()].filter(({ by }) => Math.abs(by) > 1e-12)
}

/** Why a reading cannot be: there is no such seam, or it says what no seam can have; undefined where it can. */
export function seamFault(screens: TrueScreen[], between: string[], end: string): string | undefined {
  const [a, b] = between.map(name => screens.find(screen => screen.name === name))
  if (!a || !b)
    return `${between.find(name => !screens.some(screen => screen.name === name))} is not a screen of this array`
  const upright = a.row === b.row && b.column === a.column + 1
  const level = a.column === b.column && b.row === a.row + 1
  if (!upright && !level) return `${between.join(' and ')} share no seam; enter the left or upper screen first`
  if (upright !== (end === 'top' || end === 'bottom'))
    return `the seam of ${between.join(' and ')} is `
      + `${upright ? 'vertical: its ends are top and bottom' : 'horizontal: its ends are left and right'}`
  return undefined
}

/**
 * A gap that is wider than it is to be by more than this is no seam of a wall, mm; and no case hangs farther out of
 * level, mm/m.
 */
export const [TOO_WIDE, TOO_STEEP] = [100, 50]

/**
 * Why something that was read cannot be: a gap far from what it is to be, a step deeper than the cases, a screen
 * farther
 * out of level than any hangs; undefined where it can. A gap a little below nothing is one that a gauge misread, or of
 * cases that lie over one another.
 *
 * @param target what a gap is to be, mm
 */
export function readingFault(
  kind: Reading['kind'],
  value: number,
  screens: Pick<TrueScreen, 'thick'>[],
  target = 0,
): Text | undefined {
  const deepest = Math.max(0, ...screens.map(({ thick = TOO_WIDE }) => thick))
  if (kind === 'gap' && (value < -TOO_WIDE || value > target + TOO_WIDE))
    return words`A gap must be from 0 to ${target + TOO_WIDE}`
  if (kind === 'step' && Math.abs(value) > deepest)
    return words`A step must be at most ${deepest} either way, the depth of the display`
  if (kind === 'roll' && Math.abs(value) > TOO_STEEP)
    return words`A screen must be at most ${quantity(TOO_STEEP, 'mm/m')} out of level`
  return undefined
}

/** The points that face each other at an end of a seam, from the centres of both screens, mm. */
function pointsAt(
  a: TrueScreen,
  b: TrueScreen,
  end: End,
): { a: { x: number, y: number }, b: { x: number, y: number }, upright: boolean } {
  if (end === 'top' || end === 'bottom') {
    const sign = end === 'top' ? 1 : -1
    return {
      upright: true,
      a: { x: a.width / 2, y: (sign * a.height) / 2 },
      b: { x: -b.width / 2, y: (sign * b.height) / 2 },
    }
  }
  const sign = end === 'right' ? 1 : -1
  return {
    upright: false,
    a: { x: (sign * a.width) / 2, y: -a.height / 2 },
    b: { x: (sign * b.width) / 2, y: b.height / 2 },
  }
}

/** How adjusters move the gap and the step at an end of a seam: gap′ = gap + what B moves away less what A does. */
function effectsAt(a: TrueScreen, b: TrueScreen, end: End): { gap: Effects, step: Effects } {
  const at = pointsAt(a, b, end)
  const [ofA, ofB] = [effectsOn(a, at.a.x, at.a.y), effectsOn(b, at.b.x, at.b.y)]
  return { gap: at.upright ? less(ofB.right, ofA.right) : less(ofA.up, ofB.up), step: less(ofB.out, ofA.out) }
}

/**
 * The readings of an array as what is to be brought to its targets; one of a seam that there is not, or that cannot be,
 * is left out, as its fault is reported where it is entered.
 *
 * @param targets the gaps that the array is to have, mm
 */
export function readingsOf(
  { gaps = [], steps = [], rolls = [] }: Pick<EntryOf<'seams'>, 'gaps' | 'steps' | 'rolls'>,
  screens: TrueScreen[],
  targets: { x: number, y: number },
): Reading[] {
  const screenOf = new Map(screens.map(screen => [screen.name, screen]))
  const seam
    = (kind: 'gap' | 'step') =>
      ({ between, end, mm }: { between: string[], end: End, mm: number }): Reading[] => {
        const target = kind === 'step' ? 0 : end === 'top' || end === 'bottom' ? targets.x : targets.y
        if (seamFault(screens, between, end) || readingFault(kind, mm, screens, target)) return []
        const [a, b] = between.map(name => screenOf.get(name)!) as [TrueScreen, TrueScreen]
        return [
          { kind, between: [a.name, b.name], end, value: mm, target, weight: 1, effects: effectsAt(a, b, end)[kind] },
        ]
      }
  return [
    ...gaps.flatMap(seam('gap')),
    ...steps.flatMap(seam('step')),
    ...rolls.flatMap(({ screen, mmPerM }): Reading[] => {
      const of = screenOf.get(screen)
      const effects: Effects
        = of?.span === undefined
          ? []
          : [
              { screen, adjuster: 'height-left', by: -1000 / of.span },
              { screen, adjuster: 'height-right', by: 1000 / of.span },
            ]
      return of ? [{ kind: 'roll', between: [screen], value: mmPerM, target: 0, weight: ROLL_WEIGHT, effects }] : []
    }),
  ]
}

/** What a reading is once adjusters have moved, mm each. */
export const after = ({ value, effects }: Reading, moved: (screen: string, adjuster: Adjuster) => number): number =>
  effects.reduce((sum, { screen, adjuster, by }) => sum + by * moved(screen, adjuster), value)

/** How far a reading is off its target, as it counts, mm. */
export const deviation = ({ target, weight }: Reading, value: number): number => weight * (value - target)

/** Whether all that was read last of an array is within the tolerance of its gaps, and face against face, mm. */
export function isTrued(
  { gaps = [], steps = [] }: Pick<EntryOf<'seams'>, 'gaps' | 'steps'>,
  targets: { x: number, y: number },
  tolerance: number,
): boolean {
  const off = ({ end, mm }: { end: End, mm: number }) =>
    Math.abs(mm - (end === 'top' || end === 'bottom' ? targets.x : targets.y))
  return (
    gaps.length > 0
    && gaps.every(gap => off(gap) <= tolerance + 1e-6)
    && steps.every(({ mm }) => Math.abs(mm) <= tolerance + 1e-6)
  )
}
