import { MOUNT_KIND_NAMES } from '../mount/kinds'
import type { InferType } from 'yup'
import {
  amount,
  count,
  extent,
  flag,
  group,
  length,
  list,
  must,
  maybe,
  name,
  notLess,
  oneOf,
  point,
  size,
} from './fields'
import { patternsSchema } from './patterns'
import { modelNotes } from './display'

export const ORIENTATIONS = ['landscape', 'portrait-cw', 'portrait-ccw', 'inverted'] as const
/** How a display is hung, as seen from the front. */
export type Orientation = (typeof ORIENTATIONS)[number]

export const SECURES = ['safety-wire', 'wind-lock'] as const

/** A slot of a wall plate: y and x1…x2 from the plate's centre. A round hole has equal ends. */
const slotSchema = group({
  row: name(),
  y: must(length()),
  x1: must(length()),
  x2: must(length()),
  diameter: must(size()),
  drilled: flag('Whether the firm drills it itself, as the maker allows'),
}).test('ends', 'must not have x2 to the left of x1', s => s?.x1 === undefined || s.x2 === undefined || s.x2 >= s.x1)
export type Slot = InferType<typeof slotSchema>

/**
 * How the slots of a plate are used: so many distinct members (on block and concrete: fasteners) in every named
 * row. Two plies of one doubled member count as two only where the maker says how near two fasteners of a row may be.
 */
export const slotUse = () => ({
  minSpacing: size('Minimum spacing in a row', 'Fixing requirements'),
  members: must(count(20, 'Studs or anchors per row', 'Fixing requirements')),
  rows: must(list(name(), 20, 'Required rows', 'Fixing requirements', 'names')).min(
    1,
    'must name at least one row of slots',
  ),
})
export type SlotUse = InferType<ReturnType<typeof group<ReturnType<typeof slotUse>>>>

const ADJUST = 'Adjustment, each way (±)'
const TURNS = 'Travel per turn'

/** A mount: a wall plate, and where the display's pattern centre sits when every adjuster is at nominal. */
export const mountSchema = group({
  id: name(),
  name: name('Name', 'Mount'),
  kind: must(oneOf(MOUNT_KIND_NAMES, 'Kind', 'Mount')),
  mass: must(notLess('kg', 'Mass', 'Mount')),
  capacity: must(amount('kg', 1e4, 'Capacity', 'Mount')),
  plate: group({
    width: must(size('Width', 'Plate')),
    height: must(size('Height', 'Plate')),
    thickness: must(extent('Thickness', 'Plate')),
    bearingStrength: amount('MPa', 2_000, 'Bearing strength of the steel', 'Plate'),
    slots: must(list(slotSchema, 100, 'Slots: row, height, from, to, diameter', 'Plate', 'slots')).min(
      1,
      'must have at least one slot',
    ),
  }),
  rigid: flag('The plate cannot rotate on its anchors', 'Plate'),
  interface: group(point(length, ['Pattern right of plate centre', 'Pattern above plate centre'], 'Plate')),
  adjust: maybe({
    lateral: extent('Lateral adjustment', ADJUST),
    height: extent('Height adjustment', ADJUST),
    depth: extent('Depth adjustment', ADJUST),
    roll: notLess('°', 'Roll adjustment', ADJUST),
  }),
  turning: maybe({
    heightPerTurn: size('Height per turn', TURNS),
    depthPerTurn: size('Depth per turn', TURNS),
    span: size('Spacing of the height adjusters', TURNS),
    depthSpan: maybe({
      x: must(size('Depth adjusters, horizontal spacing', TURNS)),
      y: must(size('Depth adjusters, vertical spacing', TURNS)),
    }),
  }),
  needs: group(slotUse()),
  otherNeeds: list(
    group({ ...slotUse(), capacity: amount('kg', 1e4) }),
    10,
    'Other slot patterns (per row: rows: capacity in kg)',
    'Fixing requirements',
    'uses',
  ),
  depth: group(
    { stowed: must(extent('Stowed', 'Depth')), service: must(extent('Pulled out', 'Depth')) },
    'From wall face to display back',
  ),
  sweep: maybe(
    {
      width: must(size('Width of the moving parts behind it', 'Depth')),
      height: must(size('Height of the moving parts behind it', 'Depth')),
    },
    'Area of the moving parts behind the display as it opens and closes, centred on the plate',
  ),
  channels: count(8, 'Cable channels', 'Depth'),
  secures: list(must(oneOf(SECURES)), 5, 'Secured by', 'Mount', 'choices'),
  wire: maybe(
    {
      length: must(size('Length', 'Safety wire')),
      slack: must(extent('Slack', 'Safety wire')),
      breakingLoad: must(amount('N', 1e6, 'Breaking load', 'Safety wire')),
      stretch: must(amount('%', 50, 'Stretch at breaking load', 'Safety wire')),
    },
    'Wire that holds the display if its mount lets go, anchored to the structure apart from the plate',
  ),
  lift: extent('Lift needed to hook on', 'Depth'),
  sideClearance: extent('Clearance at each side', 'Depth'),
  orientations: must(list(must(oneOf(ORIENTATIONS)), 4, 'Display orientations', 'Mount', 'choices')),
  maxCovering: extent('Max covering thickness', 'Fixing requirements'),
  maxFastener: size('Max fastener diameter', 'Fixing requirements'),
  mustCarry: amount('', 20, 'The wall must carry this many times the load', 'Fixing requirements'),
  patterns: patternsSchema('Display patterns: width × height', 'Plate'),
  bracket: extent('Display bracket thickness', 'Plate'),
  ...modelNotes,
})
export type Mount = InferType<typeof mountSchema>

/** Whether a safety wire holds the display if its mount lets go. */
export const hasSafetyWire = ({ secures, wire }: Pick<Mount, 'secures' | 'wire'>): boolean =>
  wire !== undefined || (secures?.includes('safety-wire') ?? false)
