import type { InferType } from 'yup'
import {
  amount, count, extent, flag, figure, group, length, list, maybe, must, name, note, oneOf, point, size, text,
} from './fields'
import { LIMITS } from './limits'
import { ORIENTATIONS, slotUse } from './mount'

/** By what a row, and by what a column of unlike displays can be in line. */
export const ROW_ALIGNMENTS = ['case-top', 'case-bottom', 'picture-top', 'picture-bottom', 'picture-centre'] as const
export const COLUMN_ALIGNMENTS = ['case-left', 'case-right', 'picture-left', 'picture-right', 'picture-centre'] as const
export type Alignment = typeof ROW_ALIGNMENTS[number] | typeof COLUMN_ALIGNMENTS[number]

const cell = () => ({
  row: must(count(LIMITS.screens, 'Row, from the top')),
  column: must(count(LIMITS.screens, 'Column, from the left')),
})

const placingSchema = group({
  x: group({ edge: must(oneOf(['left', 'centre', 'right'])), value: must(length()) }),
  y: group({ edge: must(oneOf(['top', 'centre', 'bottom'])), value: must(length()) }),
}, 'Position of the named edge of its outline')
/** Where an array sits. */
export type Placing = InferType<typeof placingSchema>
export type HorizontalEdge = Placing['x']['edge']
export type VerticalEdge = Placing['y']['edge']

const followingSchema = maybe(
  {
    x: maybe({ rule: must(oneOf(['wall-centre', 'between'])), features: list(name(), 2) }),
    y: maybe({
      rule: must(oneOf(['eye', 'above', 'below', 'between'])),
      value: must(length('Eye height; clearance from the feature; height above the midpoint of the two')),
      feature: text(),
      features: list(name(), 2),
    }),
  },
  'What its position is linked to as the wall changes; “at” is its last position',
)
/** What an array keeps to as the wall changes; an axis that is absent stays where it was put. */
export type Following = NonNullable<InferType<typeof followingSchema>>

/** What a person decided for one wall plate, against what would be calculated. */
const plateChoiceSchema = group({
  ...cell(),
  lateralShift: length('Lateral shift to the right of nominal'),
  heightShift: length('Height shift above nominal'),
  reason: note('Reason'),
})
export type PlateChoice = InferType<typeof plateChoiceSchema>

/** A hole that a person put elsewhere than where it would be calculated: the rank-th of a plate's row of slots. */
const holeChoiceSchema = group({
  ...cell(),
  of: name('Row of slots'),
  rank: must(count(20, 'Number of the hole in the row, from the left')),
  x: must(length('Distance along the wall')),
  reason: note('Reason'),
})
export type HoleChoice = InferType<typeof holeChoiceSchema>

const carrierSchema = maybe(
  {
    kind: must(oneOf(['rail', 'board'])),
    thickness: must(size()),
    height: size(),
    web: size('Steel thickness of the rail'),
    moment: figure('N·m', 'Allowable bending moment of the rail').moreThan(0, 'must be more than 0 N·m'),
    bolt: maybe(
      { tension: amount('N', 1e6), shear: amount('N', 1e6) },
      'Allowable loads of one bolt between plate and rail or board',
    ),
  },
  'What carries the plates: steel rails, one behind each row of slots, or a board',
)
export type Carrier = NonNullable<InferType<typeof carrierSchema>>

const behindSchema = maybe(
  {
    plug: size('Plug length'),
    cable: size('Cable diameter'),
    player: size('Player depth'),
    mass: extent('Mass on the mount besides the display, kg'),
  },
  'Equipment behind each display',
)
export type Behind = NonNullable<InferType<typeof behindSchema>>

/** A screen that is not like the others: left out, of another model, or hung another way. */
const cellChoiceSchema = group({
  ...cell(),
  empty: flag('Whether the position is empty'),
  display: text(),
  orientation: oneOf(ORIENTATIONS),
  mount: text(),
})
export type CellChoice = InferType<typeof cellChoiceSchema>

const screens = (array: { rows?: unknown, columns?: unknown } | undefined) =>
  Number(array?.rows) * Number(array?.columns)

/**
 * Displays hung together. Row 1 is the top row, column 1 the left one. Without `align` it is a grid
 * of cells of one size; with it, one row or one column of displays each of its own size.
 */
export const screenArraySchema = group({
  id: name(),
  name: name(),
  display: name('Display model'),
  mount: text('Mount model'),
  fastener: text('Fastener model'),
  rows: must(count(LIMITS.screens)),
  columns: must(count(LIMITS.screens)),
  orientation: must(oneOf(ORIENTATIONS)),
  gap: group(point(extent), 'Horizontal and vertical gap between cases'),
  at: placingSchema,
  follows: followingSchema,
  shiftTolerance: maybe(point(extent), 'Allowed shift of the whole array to reach studs'),
  plates: list(plateChoiceSchema, LIMITS.screens, 'Plates placed manually'),
  holes: list(holeChoiceSchema, LIMITS.screens, 'Holes placed manually'),
  carrier: carrierSchema,
  needs: maybe(slotUse(), 'Other slot pattern allowed by the maker, used instead of the mount’s own'),
  behind: behindSchema,
  align: oneOf(
    [...ROW_ALIGNMENTS, ...COLUMN_ALIGNMENTS],
    'For one row or column of mixed sizes: the edge or centre they align by',
  ),
  cells: list(cellChoiceSchema, LIMITS.screens, 'Screens that differ from the rest'),
  screw: size('Chosen length of the display screw'),
  spacer: extent('Spacer length under the display bracket'),
  packers: flag('Packers or spacer sleeves stand under each fastener of a plate'),
  wireBare: flag('The covering is cut away where safety wires are anchored'),
  alternative: text('Alternative it belongs to; absent: all of them'),
}).test(
  'screens',
  ({ value }: { value: unknown }) =>
    `has ${screens(value as { rows: number })} screens; at most ${LIMITS.screens} can be planned`,
  value => !(screens(value) > LIMITS.screens),
)
export type ScreenArray = InferType<typeof screenArraySchema>
