import { drillingFigures, fastenerKindOf } from '../fastening'
import type { CodeOf, Finding } from '../finding'
import {
  isHollow, structureKindOf, takesPattern, type Display, type Fastener, type Mount, type ScreenArray, type Wall,
} from '../job'
import { quantity, words, type Text } from '../units'
import type { Judging } from './judge'
import type { Bearer } from './strength'

/** A fastener passes a slot that is so much wider than it, mm. */
const PLAY = 0.4

interface Pair {
  display: Display
  mount: Mount
}
type Say<Severity> = (code: CodeOf<Severity>, message: Text, remedy: Text) => Finding

const about = ({ id }: ScreenArray) => ({ stage: 'fix', subject: { kind: 'array', id } }) as const
const stopOf = (array: ScreenArray): Say<'stop'> =>
  (code, message, remedy) => ({ ...about(array), severity: 'stop', code, message, remedy })
const cautionOf = (array: ScreenArray): Say<'caution'> =>
  (code, message, remedy) => ({ ...about(array), severity: 'caution', code, message, remedy })
const nameOf = ({ name, id }: Fastener) => name ?? id

/** Whether a fastener passes the slots that a mount requires, and its washer covers them on both sides. */
function slotFindings(
  say: Say<'stop'>, fastener: Fastener, { name: mount, plate, needs, maxFastener }: Mount,
): Finding[] {
  const { diameter, washer } = fastener
  const [name, widths] = [
    nameOf(fastener),
    plate.slots.filter(({ row }) => needs.rows.includes(row)).map(slot => slot.diameter),
  ]
  const [narrow, wide] = [Math.min(...widths), Math.max(...widths)]
  const covers = words`${wide} wide, it requires at least ${2 * wide - diameter} for both sides`
  return [
    ...(maxFastener !== undefined && diameter > maxFastener + 1e-9
      ? [
          say(
            'fastener-over-mounts-limit',
            words`${name} is ${diameter} thick; ${mount} takes fasteners up to ${maxFastener}.`,
            words`Use a thinner fastener, or another mount.`,
          ),
        ]
      : []),
    ...(narrow - diameter < PLAY - 1e-9
      ? [
          say(
            'fastener-does-not-pass-slot',
            words`${name}, ${diameter} thick, does not pass a ${narrow} slot of ${mount}: it requires ${PLAY} play.`,
            words`Use a thinner fastener, or a mount with wider slots.`,
          ),
        ]
      : []),
    // Pushed to one side of the slot, it still covers the other.
    ...(washer !== undefined && wide - diameter > washer - wide + 1e-9
      ? [
          say(
            'washer-does-not-cover-slot',
            words`The washer of ${name}, ${washer} across, does not cover a slot of ${mount}: ${covers}.`,
            words`Use a larger washer or a plate washer, or a mount with narrower slots.`,
          ),
        ]
      : []),
  ]
}

/** Whether a mount takes the pattern of a display. */
function patternFindings(say: Say<'stop'>, { display, mount }: Pair): Finding[] {
  const { width, height } = display.vesa
  return mount.patterns === undefined || takesPattern(mount.patterns, { width, height })
    ? []
    : [
        say(
          'pattern-does-not-fit',
          words`${mount.name} does not take the ${String(width)} × ${String(height)} pattern of ${display.name}.`,
          words`Use a mount whose data sheet names this pattern.`,
        ),
      ]
}

/** What is not given of some parts, so that whether they fit is not known. */
function lackFindings(say: Say<'caution'>, fastener: Fastener | undefined, mounts: Mount[]): Finding[] {
  const lacks = [
    ...mounts.filter(({ patterns }) => patterns === undefined).map(({ name }) => `the display patterns of ${name}`),
    ...(fastener && fastener.washer === undefined && !fastenerKindOf(fastener).drillsItself
      ? [`the washer of ${nameOf(fastener)}`]
      : []),
  ]
  return lacks.length === 0
    ? []
    : [
        say(
          'fit-not-known',
          words`Whether the parts fit is not known: the catalogue lacks ${lacks.join(' and ')}.`,
          words`Enter it in the catalogue from the maker’s data sheet, or check it with the parts in hand.`,
        ),
      ]
}

/** A stop where bit and depth of the holes are not known: nothing is drilled by guess. */
function holeFindings(say: Say<'stop'>, fastener: Fastener, wall: Wall, bearer: Bearer | undefined): Finding[] {
  if (fastener.base !== wall.structure.kind || fastenerKindOf(fastener).drillsItself) return []
  if (drillingFigures(fastener, wall, bearer?.thickness ?? 0)) return []
  const what
    = fastenerKindOf(fastener).wood && wall.structure.specificGravity === undefined
      ? words`Enter the specific gravity of the wood in Survey.`
      : words`Enter hole diameter and depth of ${nameOf(fastener)} in the catalogue, from the maker’s data sheet.`
  return [say('hole-not-known', words`The bit and the depth of the holes for ${nameOf(fastener)} are not known.`, what)]
}

/** Whether tightening crushes a board that lies over a hollow. */
function torqueFindings(say: Say<'caution'>, fastener: Fastener, wall: Wall, packed: boolean): Finding[] {
  const anchored = structureKindOf({ kind: fastener.base }).masonry
  return anchored && fastener.torque !== undefined && !packed && isHollow(wall)
    ? [
        say(
          'torque-crushes-board',
          words`Tightened to ${quantity(fastener.torque, 'N·m')}, ${nameOf(fastener)} crushes the board over a hollow.`,
          words`Use packers or spacer sleeves under each fastener: choose them in Fix.`,
        ),
      ]
    : []
}

/** A mount with a slot that the firm drills itself, as its maker allows. */
const drilledFindings = (say: Say<'caution'>, mounts: Mount[]): Finding[] =>
  mounts
    .filter(({ plate }) => plate.slots.some(({ drilled }) => drilled))
    .map(({ name }) =>
      say(
        'slot-drilled',
        words`A slot of ${name} is drilled by the firm.`,
        words`Drill it as the maker’s instructions say, deburr it and protect the cut edge.`,
      ),
    )

/**
 * Whether the parts of an array fit each other: fastener and washer the slots, display the mount; and whether what is
 * drilled is known. A misfit says nothing of what holds: it is a stop of its own. Bolts go through the slots of a
 * plate on a rail or a board.
 */
export function partFindings({ array, wall, fastener, carrier, bearer }: Judging, pairs: Pair[]): Finding[] {
  const [stop, caution] = [stopOf(array), cautionOf(array)]
  const mounts = [...new Set(pairs.map(({ mount }) => mount))]
  const inSlots = carrier ? undefined : fastener
  return [
    ...inSlots ? mounts.flatMap(mount => slotFindings(stop, inSlots, mount)) : [],
    ...pairs.flatMap(pair => patternFindings(stop, pair)),
    ...fastener ? mounts.slice(0, 1).flatMap(mount => holeFindings(stop, fastener, wall, bearer(mount))) : [],
    ...inSlots ? torqueFindings(caution, inSlots, wall, array.packers === true) : [],
    ...lackFindings(caution, inSlots, mounts),
    ...drilledFindings(caution, mounts),
  ]
}
