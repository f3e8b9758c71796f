import type { InferType } from 'yup'
import { amount, extent, figure, flag, group, length, list, maybe, memberWidth, must, name, note, oneOf, point, shown, size, text } from './fields'
import { LIMITS } from './limits'
import { evidenceSchema } from './evidence'
import { BASES } from './fastener'
import { screenArraySchema } from './screenArray'
import { revisions } from './revision'
import { ownRules } from './site'
import { wiring } from './wire'

/** A framing member that is known: a stud or its like, upright over the wall's height. */
const framingSchema = group({ id: text('Numbered as listed where absent: k1, k2, …'), centre: must(length()), width: must(memberWidth()) })
export type Framing = InferType<typeof framingSchema>

/** What carries the load behind the covering. */
const structureSchema = group({
  kind: must(oneOf(BASES)),
  memberWidth: memberWidth('Face width of a member'), memberDepth: size('Depth of a member'), spacing: size('Usual distance from centre to centre'),
  specificGravity: amount('', 2, 'Of the wood, oven-dry'),
  gauge: size('Thickness of a steel stud’s steel'),
  steelStrength: amount('MPa', 1_000, 'Tensile strength of a steel stud'),
  thickness: size('Of a wall of concrete, solid or grouted block'),
  strength: amount('MPa', 200, 'Of concrete, f′c'),
  block: maybe({
    length: must(size()), height: must(size()), joint: must(extent()),
    bond: must(oneOf(['running', 'stack'])), origin: group(point(length), 'Lower left corner of a unit’s module, the joint half on each side'), unit: oneOf(['hollow', 'solid', 'grouted']), shell: size('In front of the voids of a hollow one'),
  }),
  members: list(framingSchema, LIMITS.members, 'Where listed, the framing is taken as known'),
}, 'What carries the load behind the covering')
export type Structure = InferType<typeof structureSchema>

const layerSchema = group({ material: name(), thickness: must(size()), width: size('Of a batten of furring'), spacing: size('Of furring'), note: note() })
export type Layer = InferType<typeof layerSchema>
const referenceSchema = group({ id: name(), front: must(length()), back: must(length()) })
export type Reference = InferType<typeof referenceSchema>
const featureSchema = group({
  id: name(), kind: name(), x: must(length('Lower left corner')), y: must(length('Lower left corner')), width: must(size()), height: must(size()), keepReachable: flag('Whether it must stay within reach'),
  slope: figure('mm/m', 'How much a line that is seen rises to the right; absent where not measured').min(-100, 'must be at least -100 mm/m').max(100, 'must be at most 100 mm/m'),
})
/** Something on the wall to keep clear of or to reach. */
export type Feature = InferType<typeof featureSchema>
const blockingSchema = group({ id: name(), y: must(extent('Height')), found: must(flag('Found, or only suspected')), x1: length('Of one bay only: from'), x2: length('To; across the whole wall where absent') })
export type Blocking = InferType<typeof blockingSchema>
const surfaceSchema = group({ x: must(length()), y: must(length()), distance: must(length('From a plane in front of the wall to its face')) })
export type SurfaceReading = InferType<typeof surfaceSchema>
const alternativeSchema = group({ id: name(), name: name(), note: note() })
/** Another way to arrange a wall: the arrays that name it, and those that name none. */
export type Alternative = InferType<typeof alternativeSchema>

const metres = ({ value }: { value: unknown }) => `must be at most 100 m, and is ${shown(value)} mm`

/** What a wall must look like to be kept: the same rule for a field, the API and a file. */
export const wallSchema = group({
  id: name(), name: name(), formerId: text('Its id before it had one that can stand in an address: earlier entries of the log name it by that'),
  width: must(size()).max(LIMITS.wall, metres), height: must(size()).max(LIMITS.wall, metres),
  structure: structureSchema,
  covering: must(list(layerSchema, 20, 'Layers between structure and room, from the structure outwards')),
  references: list(referenceSchema, 100, 'Lines seen from both sides, for carrying positions across'),
  evidence: list(evidenceSchema, LIMITS.readings, 'Readings, used where no members are listed as known'),
  features: list(featureSchema, 500, 'What is on the wall to keep clear of or to reach'),
  blocking: list(blockingSchema, 100, 'Blocking between members'),
  surface: list(surfaceSchema, LIMITS.readings, 'How flat and plumb the face is'),
  insulation: text('What fills the bays; absent where none is known'),
  fireRating: figure('min', 'Fire rating; 0 for a wall known to have none').min(0, ({ value }: { value: unknown }) => `must not be negative, and is ${shown(value)}`).max(480, 'must be at most 480 minutes'),
  linedIn: figure('', 'Year of the lining: old ones can hold asbestos and lead').integer('must be a year').min(1700, 'must be a year from 1700 on').max(2100, 'must be a year up to 2100'),
  walkway: flag('Whether people walk along it'), wet: flag('Whether it is wet or damp; one outside is, unless this is false'),
  windSpeed: amount('m/s', 100, 'Design wind of a wall outside; absent inside'),
  arrays: must(list(screenArraySchema, LIMITS.arrays)),
  clearance: extent('Clear distance that arrays keep from each other'),
  alternatives: list(alternativeSchema, 20, 'Ways to arrange it, kept side by side'),
  alternative: text('The alternative that is planned'), chosen: text('The one that the client chose'),
  ...wiring(),
  rules: ownRules('House rules of its own, against those of its site'),
  datum: maybe({ x: must(length()), label: name('What is there') }, 'Where running dimensions start; else the wall’s left edge'),
  levelLine: extent('Height of the level line; else by the house rule for the first array'),
  revisions: revisions(),
})
export type Wall = InferType<typeof wallSchema>
