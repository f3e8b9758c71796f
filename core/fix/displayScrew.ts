import type { Display, ScrewKit } from '../job'
import { figure, words, type Figure, type Text } from '../units'

/** What lies between a screw's head and the display's thread, mm. */
export interface Stack { bracket: number, washers: number, spacer: number, recess: number }

/**
 * Least and greatest length of a screw into a display: too short strips the thread, too long breaks what is behind it.
 */
export interface ScrewRange { shortest: Figure, longest: Figure }

/** So much of the insert stays free before the screw's end, mm. */
const FREE = 1

/**
 * Lengths of screw that a display can take: at least one diameter of thread in the insert, at most
 * its depth less a millimetre.
 *
 * @example
 * // M6, bracket 2.5, washer 1.6, insert 12 deep, flat back: 10.1 to 15.1
 */
export function screwRange(
  { bracket, washers, spacer, recess }: Stack,
  thread: number,
  insertDepth: number,
): ScrewRange {
  const over = bracket + washers + spacer + recess
  const sum = words`bracket ${bracket} + washers ${washers} + spacer ${spacer} + recess ${recess}`
  return {
    shortest: figure([
      {
        label: 'Shortest screw',
        expression: words`${sum} + one thread diameter ${thread}`,
        value: over + thread,
        unit: 'mm',
      },
    ]),
    longest: figure([
      {
        label: 'Longest screw',
        expression: words`${sum} + insert depth ${insertDepth} − ${FREE}`,
        value: over + insertDepth - FREE,
        unit: 'mm',
        source: 'display maker’s data sheet (insert depth)',
      },
    ]),
  }
}

/** A screw of a kit with what goes under it; or what to buy. */
export type ScrewChoice
  = { fits: true, length: number, stack: Stack, range: ScrewRange } | { fits: false, why: Text, range?: ScrewRange }

/** Most washers that are put under one head. */
const WASHERS = 3

/**
 * How much of a recess a screw bridges, mm: all of it where nothing fills it, or a spacer lies across it; none where
 * the spacer stands on its floor. Where that is not known the shorter screw is taken, as a longer one breaks the panel.
 */
const bridged = ({ recess = 0, spacerIn }: Display['vesa'], spacer: number): number =>
  spacer > 0 && spacerIn !== 'across' ? 0 : recess

/** Whether it is not known where a spacer sits: on the floor of a recess, or across it. */
export const isSpacerUnknown = ({ vesa: { recess = 0, spacerIn } }: Pick<Display, 'vesa'>, spacer = 0): boolean =>
  spacer > 0 && recess > 0 && spacerIn === undefined

/**
 * The screw from a kit for a display under a bracket: one washer where that will do, more where a
 * screw then fits; else what to buy. A recess that nothing fills is bridged by the screw.
 */
export function chooseScrew(
  { vesa }: Display,
  bracket: number | undefined,
  kit: ScrewKit | undefined,
  spacer = 0,
): ScrewChoice {
  const { thread, insertDepth } = vesa
  const recess = bridged(vesa, spacer)
  if (thread === undefined || insertDepth === undefined)
    return {
      fits: false,
      why: words`the display’s data sheet gives no ${thread === undefined ? 'thread' : 'insert depth'}`,
    }
  if (bracket === undefined)
    return { fits: false, why: words`the mount’s data sheet gives no thickness for the display bracket` }
  const washers = kit && kit.washers.length > 0 ? Math.min(...kit.washers) : 0
  const plain = screwRange({ bracket, washers, spacer, recess }, thread, insertDepth)
  const buy = words`buy M${String(thread)} screws ${plain.shortest.value} to ${plain.longest.value} long`
  if (!kit)
    return { fits: false, why: words`the catalogue has no screw kit for M${String(thread)}; ${buy}`, range: plain }
  for (let count = 1; count <= WASHERS; count++) {
    const stack = { bracket, washers: washers * count, spacer, recess }
    const range = screwRange(stack, thread, insertDepth)
    const length = [...kit.lengths].sort((a, b) => b - a).find(length => screwFault(length, range) === undefined)
    if (length !== undefined) return { fits: true, length, stack, range }
  }
  return {
    fits: false,
    why: words`no screw in ${kit.name} fits with up to ${String(WASHERS)} washers; ${buy}`,
    range: plain,
  }
}

/** Whether a length is safe: too long or too short, and by how much. */
export function screwFault(
  length: number,
  { shortest, longest }: ScrewRange,
): { kind: 'too-long' | 'too-short', by: number } | undefined {
  if (length > longest.value + 1e-9) return { kind: 'too-long', by: length - longest.value }
  if (length < shortest.value - 1e-9) return { kind: 'too-short', by: shortest.value - length }
  return undefined
}
