import type { InferType } from 'yup'
import { amount, count, extent, flag, figure, group, length, list, maybe, must, name, note, oneOf, point, size, text } from './fields'
import { LIMITS } from './limits'
import { ORIENTATIONS, slotUse } from './mount'

/** By what a row, and by what a column of unlike displays can be in line. */
export const ROW_ALIGNMENTS = ['case-top', 'case-bottom', 'picture-top', 'picture-bottom', 'picture-centre'] as const
export const COLUMN_ALIGNMENTS = ['case-left', 'case-right', 'picture-left', 'picture-right', 'picture-centre'] as const
export type Alignment = typeof ROW_ALIGNMENTS[number] | typeof COLUMN_ALIGNMENTS[number]

const cell = () => ({ row: must(count(LIMITS.screens, 'Row, from the top')), column: must(count(LIMITS.screens, 'Column, from the left')) })

const placingSchema = group({
  x: group({ edge: must(oneOf(['left', 'centre', 'right'])), value: must(length()) }),
  y: group({ edge: must(oneOf(['top', 'centre', 'bottom'])), value: must(length()) }),
}, 'The named edge of its outline is at value')
/** Where an array sits. */
export type Placing = InferType<typeof placingSchema>
export type HorizontalEdge = Placing['x']['edge']
export type VerticalEdge = Placing['y']['edge']

const followingSchema = maybe({
  x: maybe({ rule: must(oneOf(['wall-centre', 'between'])), features: list(name(), 2) }),
  y: maybe({ rule: must(oneOf(['eye', 'above', 'below', 'between'])), value: must(length('Height of the eye; clear of the feature; above the middle of the two')), feature: text(), features: list(name(), 2) }),
}, 'What it keeps to as the wall changes; “at” is where it was last put')
/** What an array keeps to as the wall changes; an axis that is absent stays where it was put. */
export type Following = NonNullable<InferType<typeof followingSchema>>

/** What a person decided for one wall plate, against what would be worked out. */
const plateChoiceSchema = group({ ...cell(), lateralShift: length('Slid to the right of nominal'), heightShift: length('Above nominal'), reason: note('Why') })
export type PlateChoice = InferType<typeof plateChoiceSchema>

/** A hole that a person put elsewhere than where it would be worked out: the rank-th of a plate's row of slots. */
const holeChoiceSchema = group({ ...cell(), of: name('Row of slots'), rank: must(count(20, 'Which hole of it, from the left')), x: must(length('Place along the wall')), reason: note('Why') })
export type HoleChoice = InferType<typeof holeChoiceSchema>

const carrierSchema = maybe({
  kind: must(oneOf(['rail', 'board'])), thickness: must(size()), height: size(), web: size('Thickness of the rail’s steel'), moment: figure('N·m', 'Moment that a rail bears').moreThan(0, 'must be more than 0 N·m'),
  bolt: maybe({ tension: amount('N', 1e6), shear: amount('N', 1e6) }, 'What its maker allows of one bolt between plate and rail or board'),
}, 'What the plates stand on: steel rails, one behind each row of slots, or a board')
export type Carrier = NonNullable<InferType<typeof carrierSchema>>

const behindSchema = maybe({ plug: size('Length of the plug'), cable: size('Thickness of the cable'), player: size('Thickness of a player'), mass: extent('kg of what hangs on the mount') }, 'What goes behind each display')
export type Behind = NonNullable<InferType<typeof behindSchema>>

/** A screen that is not like the others: left out, of another model, or hung another way. */
const cellChoiceSchema = group({ ...cell(), empty: flag('Whether it is left out'), display: text(), orientation: oneOf(ORIENTATIONS), mount: text() })
export type CellChoice = InferType<typeof cellChoiceSchema>

const screens = (array: { rows?: unknown, columns?: unknown } | undefined) => Number(array?.rows) * Number(array?.columns)

/**
 * Displays hung together. Row 1 is the top row, column 1 the left one. Without `align` it is a grid
 * of cells of one size; with it, one row or one column of displays each of its own size.
 */
export const screenArraySchema = group({
  id: name(), name: name(), display: name('Model of display'), mount: text('Model of mount'), fastener: text('Model of fastener'),
  rows: must(count(LIMITS.screens)), columns: must(count(LIMITS.screens)),
  orientation: must(oneOf(ORIENTATIONS)),
  gap: group(point(extent), 'Clear distance between neighbouring cases'),
  at: placingSchema, follows: followingSchema,
  shiftTolerance: maybe(point(extent), 'How far the whole array may be shifted to be held'),
  plates: list(plateChoiceSchema, LIMITS.screens, 'Plates put by hand'),
  holes: list(holeChoiceSchema, LIMITS.screens, 'Holes put by hand'),
  carrier: carrierSchema,
  needs: maybe(slotUse(), 'Another use of the plates’ slots that their maker allows, in place of the mount’s own'),
  behind: behindSchema,
  align: oneOf([...ROW_ALIGNMENTS, ...COLUMN_ALIGNMENTS], 'In one row or column of unlike displays: by what they are in line'),
  cells: list(cellChoiceSchema, LIMITS.screens, 'Screens that are not like the others'),
  screw: size('Chosen screw into the display'), spacer: extent('Spacers under the bracket on the display'),
  alternative: text('The alternative it belongs to; of all of them where absent'),
}).test('screens', ({ value }: { value: unknown }) => `asks for ${screens(value as { rows: number })} screens; at most ${LIMITS.screens} can be planned`,
  value => !(screens(value) > LIMITS.screens))
export type ScreenArray = InferType<typeof screenArraySchema>
