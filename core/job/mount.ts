import type { InferType } from 'yup'
import { amount, count, extent, group, length, list, must, maybe, name, notLess, oneOf, point, size } from './fields'
import { modelNotes } from './display'

export const ORIENTATIONS = ['landscape', 'portrait-cw', 'portrait-ccw', 'inverted'] as const
/** How a display is hung, as seen from the front. */
export type Orientation = typeof ORIENTATIONS[number]

export const SECURES = ['safety-wire', 'wind-lock'] as const

/** A slot of a wall plate: y and x1…x2 from the plate's centre. A round hole has equal ends. */
const slotSchema = group({ row: name(), y: must(length()), x1: must(length()), x2: must(length()), diameter: must(size()) })
  .test('ends', 'must not have x2 left of x1', s => s?.x1 === undefined || s.x2 === undefined || s.x2 >= s.x1)
export type Slot = InferType<typeof slotSchema>

/**
 * How the slots of a plate are used: so many distinct members (on block and concrete: fasteners) in every named
 * row. Two plies of one doubled member count as two only where the maker says how near two fasteners of a row may be.
 */
export const slotUse = () => ({
  minSpacing: size('In a row no nearer than', 'Needs'), members: must(count(20, 'Members in each row', 'Needs')),
  rows: must(list(name(), 20, 'Rows', 'Needs', 'names')).min(1, 'must name at least one row of slots'),
})
export type SlotUse = InferType<ReturnType<typeof group<ReturnType<typeof slotUse>>>>

const ADJUST = 'Adjusters, either way'
const TURNS = 'What a turn does'

/** A mount: a wall plate, and where the display's pattern centre sits when every adjuster is at nominal. */
export const mountSchema = group({
  id: name(), name: name('Name', 'Mount'), kind: must(oneOf(['pull-out', 'fixed', 'tilt', 'arm'], 'Kind', 'Mount')),
  mass: must(notLess('kg', 'Mass', 'Mount')), capacity: must(amount('kg', 1e4, 'Carries', 'Mount')),
  plate: group({
    width: must(size('Width', 'Plate')), height: must(size('Height', 'Plate')), thickness: must(extent('Thickness', 'Plate')),
    bearingStrength: amount('MPa', 2_000, 'Its steel bears', 'Plate'),
    slots: must(list(slotSchema, 100, 'Slots: row, up, from, to, diameter', 'Plate', 'slots')).min(1, 'must have at least one slot'),
  }),
  interface: group(point(length, ['Pattern right of plate', 'Pattern above plate'], 'Plate')),
  adjust: maybe({ lateral: extent('Sideways', ADJUST), height: extent('Height', ADJUST), depth: extent('Depth', ADJUST), roll: notLess('°', 'Roll', ADJUST) }),
  turning: maybe({
    heightPerTurn: size('Height a turn', TURNS), depthPerTurn: size('Depth a turn', TURNS), span: size('Height screws apart', TURNS),
    depthSpan: maybe({ x: must(size('Depth screws, across', TURNS)), y: must(size('Depth screws, up', TURNS)) }),
  }),
  needs: group(slotUse()),
  otherNeeds: list(group({ ...slotUse(), capacity: amount('kg', 1e4) }), 10, 'Other uses: members: rows: carries kg', 'Needs', 'uses'),
  depth: group({ stowed: must(extent('Stowed', 'Depth')), service: must(extent('Pulled out', 'Depth')) }, 'Wall face to the display’s back'),
  sweep: maybe({ width: must(size('Moves behind it, wide', 'Depth')), height: must(size('Moves behind it, high', 'Depth')) }, 'What moves behind the display as it opens and closes, about the plate’s centre'),
  channels: count(8, 'Channels for cables', 'Depth'),
  secures: list(must(oneOf(SECURES)), 5, 'Secured by', 'Mount', 'choices'),
  lift: extent('Lift to hook on', 'Depth'), sideClearance: extent('Clear at each side', 'Depth'),
  orientations: must(list(must(oneOf(ORIENTATIONS)), 4, 'Takes a display hung', 'Mount', 'choices')),
  maxCovering: extent('Thickest covering', 'Needs'), bracket: extent('Bracket on the display', 'Plate'), ...modelNotes,
})
export type Mount = InferType<typeof mountSchema>
