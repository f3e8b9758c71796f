import type { InferType } from 'yup'
import {
  amount,
  extent,
  figure,
  flag,
  group,
  itemNumber,
  length,
  list,
  maybe,
  memberWidth,
  must,
  name,
  note,
  oneOf,
  point,
  shown,
  size,
  text,
} from './fields'
import { LIMITS } from './limits'
import { evidenceSchema } from './evidence'
import { STRUCTURE_NAMES, UNIT_TYPES } from './structures'
import { screenArraySchema } from './screenArray'
import { revisions } from './revision'
import { handForce, ownRules } from './site'
import { wiring } from './wire'

/** A framing member that is known: a stud or its like, upright over the wall's height. */
const framingSchema = group({
  id: text('Id; absent: numbered in list order k1, k2, …'),
  centre: must(length()),
  width: must(memberWidth()),
})
export type Framing = InferType<typeof framingSchema>

/** How the units of a wall are laid. */
const laidOf = (unit: keyof typeof UNIT_TYPES) => ({
  length: must(size()),
  height: must(size()),
  joint: must(extent()),
  bond: must(oneOf(['running', 'stack'])),
  origin: group(point(length), `Bottom left corner of a ${unit}’s module, with half a joint on each side`),
})

/** Structure behind the covering. */
const structureSchema = group(
  {
    kind: must(oneOf(STRUCTURE_NAMES)),
    memberWidth: memberWidth('Stud face width'),
    memberDepth: size('Stud depth'),
    spacing: size('Nominal stud spacing, centre to centre'),
    specificGravity: amount('', 2, 'Specific gravity of the wood, oven-dry'),
    gauge: size('Steel thickness of a steel stud'),
    steelStrength: amount('MPa', 1_000, 'Tensile strength of a steel stud'),
    thickness: size('Wall thickness, for concrete, brick, and solid or grouted block'),
    strength: amount('MPa', 200, 'Concrete strength, f′c'),
    block: maybe({
      ...laidOf('block'),
      unit: oneOf(UNIT_TYPES.block),
      shell: size('Face shell thickness of hollow block'),
    }),
    brick: maybe({
      ...laidOf('brick'),
      unit: oneOf(UNIT_TYPES.brick),
      shell: size('Solid thickness behind the face of a perforated brick'),
    }),
    members: list(framingSchema, LIMITS.members, 'Known framing; if listed, readings are not used'),
  },
  'Structure behind the covering',
)
export type Structure = InferType<typeof structureSchema>

const layerSchema = group({
  material: name(),
  thickness: must(size()),
  width: size('Width of a furring batten'),
  spacing: size('Spacing of furring battens'),
  backing: flag('Whether it is fixed to the structure and carries'),
  note: note(),
})
export type Layer = InferType<typeof layerSchema>
const referenceSchema = group({
  id: name(),
  number: itemNumber(),
  name: text('Name'),
  front: must(length()),
  back: must(length()),
})
export type Reference = InferType<typeof referenceSchema>
const featureSchema = group({
  id: name(),
  number: itemNumber(),
  kind: name(),
  x: must(length('Bottom left corner')),
  y: must(length('Bottom left corner')),
  width: must(size()),
  height: must(size()),
  keepReachable: flag('Whether it must stay accessible'),
  slant: oneOf(['rising', 'falling'], 'Of a cable or pipe: runs from corner to corner, rising or falling to the right'),
  slope: figure('mm/m', 'Slope of a visible line, positive if it rises to the right; absent if not measured')
    .min(-100, 'must be at least -100 mm/m')
    .max(100, 'must be at most 100 mm/m'),
})
/** Something on the wall to keep clear of or to reach. */
export type Feature = InferType<typeof featureSchema>
const blockingSchema = group({
  id: name(),
  number: itemNumber(),
  y: must(extent('Height above floor')),
  found: must(flag('Whether it was found, or is only suspected')),
  x1: length('Start, if in one stud bay only'),
  x2: length('End; absent: across the whole wall'),
  lost: oneOf(['weight', 'rod'], 'What of a pull line is behind it, until it is recovered'),
})
export type Blocking = InferType<typeof blockingSchema>
const ruledOutSchema = group({
  x1: must(length()),
  x2: must(length()),
  y1: must(length()),
  y2: must(length()),
}).test('spans', 'must not end before it begins', r => !(r && (r.x2 < r.x1 || r.y2 < r.y1)))
export const WIND_BASES = ['gust-3s', 'mean-10min', 'fastest-mile'] as const
/** By what a wind speed was measured. */
export type WindBasis = (typeof WIND_BASES)[number]
export const EXPOSURES = ['open-sea', 'open', 'suburb', 'town'] as const
export type Exposure = (typeof EXPOSURES)[number]
const windSchema = maybe(
  {
    speed: must(amount('m/s', 120)),
    basis: must(oneOf(WIND_BASES)),
    height: size('Height of the screens above ground; absent: the top of the wall'),
    exposure: oneOf(EXPOSURES, 'What the wind comes over; absent: open sea'),
  },
  'Design wind of an outside wall, and its basis',
)
const surfaceSchema = group({
  x: must(length()),
  y: must(length()),
  distance: must(length('Distance from a plane in front of the wall to its face')),
})
export type SurfaceReading = InferType<typeof surfaceSchema>
const alternativeSchema = group({ id: name(), name: name(), note: note() })
/** Another way to arrange a wall: the arrays that name it, and those that name none. */
export type Alternative = InferType<typeof alternativeSchema>

const metres = ({ value }: { value: unknown }) => `must be at most 100 m, not ${shown(value)} mm`

/** What a wall must look like to be kept: the same rule for a field, the API and a file. */
export const wallSchema = group({
  id: name(),
  name: name(),
  formerId: text('Earlier id that is not valid in a web address; older log entries use it'),
  width: must(size()).max(LIMITS.wall, metres),
  height: must(size()).max(LIMITS.wall, metres),
  structure: structureSchema,
  covering: must(list(layerSchema, 20, 'Layers between structure and room, from the structure outwards')),
  references: list(referenceSchema, 100, 'References visible from both sides, for transferring positions'),
  evidence: list(evidenceSchema, LIMITS.readings, 'Readings, used if no known framing is listed'),
  features: list(featureSchema, 500, 'Features to keep clear of or keep accessible'),
  blocking: list(blockingSchema, 100, 'Blocking between studs'),
  blockingRuledOut: list(ruledOutSchema, 500, 'Where the survey ruled out blocking'),
  surface: list(surfaceSchema, LIMITS.readings, 'Flatness and plumb readings of the face'),
  insulation: text('Insulation in the stud bays; absent if none is known'),
  fireRating: figure('min', 'Fire rating; 0 if the wall is known to have none')
    .min(0, ({ value }: { value: unknown }) => `must not be negative: ${shown(value)}`)
    .max(480, 'must be at most 480 minutes'),
  linedIn: figure('', 'Year of the lining; old linings can contain asbestos and lead')
    .integer('must be a year')
    .min(1700, 'must be 1700 or later')
    .max(2100, 'must be 2100 or earlier'),
  walkway: flag('Whether people walk along it'),
  wet: flag('Whether it is wet or damp; absent: an outside wall counts as wet'),
  windSpeed: amount('m/s', 100, 'Design wind speed of an outside wall, read as a 3 s gust; absent inside'),
  wind: windSchema,
  handForce: handForce('Force of a hand on a screen, instead of the firm’s'),
  handForceReason: note('Why the force of a hand is another here'),
  arrays: must(list(screenArraySchema, LIMITS.arrays)),
  clearance: extent('Minimum clearance between arrays'),
  alternatives: list(alternativeSchema, 20, 'Alternative arrangements'),
  alternative: text('Alternative being planned'),
  chosen: text('Alternative chosen by the client'),
  ...wiring(),
  rules: ownRules('House rules of its own, instead of those of its site'),
  datum: maybe(
    { x: must(length()), label: name('Name of the datum') },
    'Datum of running dimensions; absent: the wall’s left edge',
  ),
  levelLine: extent('Height of the level line; absent: by the house rule, for the first array'),
  revisions: revisions(),
})
export type Wall = InferType<typeof wallSchema>
