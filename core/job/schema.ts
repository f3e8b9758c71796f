import { array, boolean, number, object, string, type AnyObject, type NumberSchema, type Schema } from 'yup'
import type { Alignment, Base, Orientation } from './types'

/** Limits that keep a file within what can be built and computed. */
export const LIMITS = { wall: 100_000, screens: 2_500, walls: 200, arrays: 50, members: 1_000, readings: 5_000, log: 100_000 }

export const ORIENTATIONS: Orientation[] = ['landscape', 'portrait-cw', 'portrait-ccw', 'inverted']
/** By what a row, and by what a column of unlike displays can be in line. */
export const ROW_ALIGNMENTS: Alignment[] = ['case-top', 'case-bottom', 'picture-top', 'picture-bottom', 'picture-centre']
export const COLUMN_ALIGNMENTS: Alignment[] = ['case-left', 'case-right', 'picture-left', 'picture-right', 'picture-centre']
export const BASES: Base[] = ['wood-stud', 'steel-stud', 'block', 'concrete']

type Written = { value: unknown }
const shown = (value: unknown) => {
  const text = JSON.stringify(value) ?? 'nothing'
  return text.length > 60 ? `${text.slice(0, 57)}…` : text
}
const required = 'is missing'
const notA = (kind: string) => ({ originalValue }: { originalValue?: unknown }) => `must be ${kind}, and is ${shown(originalValue)}`

const figure = () => number().typeError(notA('a number')).test('finite', 'must be a finite number', v => v === undefined || Number.isFinite(v))
const length = () => figure()
  .min(-10 * LIMITS.wall, ({ value }: Written) => `is too far off to be on a wall: ${shown(value)}`)
  .max(10 * LIMITS.wall, ({ value }: Written) => `is too far off to be on a wall: ${shown(value)}`)
const size = () => length().moreThan(0, ({ value }: Written) => `must be more than 0, and is ${shown(value)}`)
const extent = () => length().min(0, ({ value }: Written) => `must not be negative, and is ${shown(value)}`)
const newtons = () => figure().moreThan(0, ({ value }: Written) => `must be more than 0 N, and is ${shown(value)}`).max(1e6, 'is more than any fastener bears')
const count = (most: number) => figure()
  .integer(({ value }: Written) => `must be a whole number, and is ${shown(value)}`)
  .min(1, ({ value }: Written) => `must be at least 1, and is ${shown(value)}`)
  .max(most, ({ value }: Written) => `must be at most ${most}, and is ${shown(value)}`)
const words = (most = 200) => string().typeError(notA('text')).max(most, `must be at most ${most} characters`)
const name = () => words().trim('must not begin or end with a space').required('must not be empty')
const oneOf = (...values: string[]) => string().typeError(notA('text'))
  .oneOf(values, ({ value }: Written) => `must be one of ${values.join(', ')}, and is ${shown(value)}`)
const flag = () => boolean().typeError(notA('true or false'))
const must = <T extends Schema>(schema: T): T => schema.required(required) as unknown as T
const whole = <S extends AnyObject>(fields: S) => object(fields).typeError(notA('an object'))
const group = (fields: Record<string, Schema>) => whole(fields).required(required)
const maybe = (fields: Record<string, Schema>) => whole(fields).default(undefined).optional() as unknown as Schema
const list = (of: Schema, most: number) => array().of(of).typeError(notA('a list'))
  .max(most, ({ value }: Written) => `must have at most ${most} entries, and has ${(value as unknown[]).length}`)
const point = (of: () => NumberSchema<number | undefined>) => ({ x: must(of()), y: must(of()) })

const SIDES = ['top', 'right', 'bottom', 'left']
const sides = () => list(must(oneOf(...SIDES)), 4)
const notes = { retired: flag(), supersedes: words(), note: words(2_000), asTyped: object().typeError(notA('an object')).default(undefined) as unknown as Schema }

export const displaySchema = group({
  id: name(), name: name(),
  width: must(size()), height: must(size()), depth: must(size()), mass: must(size()),
  bezel: group({ top: must(extent()), right: must(extent()), bottom: must(extent()), left: must(extent()) }),
  resolution: group({ x: must(count(100_000)), y: must(count(100_000)) }),
  vesa: group({
    width: must(size()), height: must(size()), offset: group(point(length)),
    thread: size(), insertDepth: size(), recess: extent(),
  }),
  power: maybe({ typical: must(extent()), max: must(extent()) }),
  sizeTolerance: extent(),
  use: oneOf('video-wall', 'signage'),
  back: maybe({ profile: must(oneOf('flat', 'stepped', 'recessed')), rim: size() }),
  centreOfGravity: maybe({ ...point(length), z: must(extent()) }),
  ports: sides(), vents: sides(), ...notes,
})

const slot = group({ row: name(), y: must(length()), x1: must(length()), x2: must(length()), diameter: must(size()) })
  .test('ends', 'must not have x2 left of x1', s => s?.x1 === undefined || s?.x2 === undefined || s.x2 >= s.x1)

const slotUse = () => ({ minSpacing: size(), members: must(count(20)), rows: must(list(name(), 20)).min(1, 'must name at least one row of slots') })

export const mountSchema = group({
  id: name(), name: name(), kind: must(oneOf('pull-out', 'fixed', 'tilt', 'arm')),
  mass: must(extent()), capacity: must(size()),
  plate: group({
    width: must(size()), height: must(size()), thickness: must(extent()), bearingStrength: figure().moreThan(0, 'must be more than 0').max(2_000, 'must be at most 2000 MPa'),
    slots: must(list(slot, 100)).min(1, 'must have at least one slot'),
  }),
  interface: group(point(length)),
  adjust: maybe({ lateral: extent(), height: extent(), depth: extent(), roll: extent() }),
  needs: group(slotUse()),
  otherNeeds: list(group({ ...slotUse(), capacity: size() }), 10),
  depth: group({ stowed: must(extent()), service: must(extent()) }),
  lift: extent(), sideClearance: extent(),
  orientations: must(list(must(oneOf(...ORIENTATIONS)), 4)),
  maxCovering: extent(), bracket: extent(), ...notes,
})

const share = () => figure().moreThan(0, 'must be more than 0').max(1, 'must be at most 1')
export const FINISHES = ['plain', 'zinc', 'coated', 'galvanised', 'stainless']

export const fastenerSchema = group({
  id: name(), name: words(), kind: name(), base: must(oneOf(...BASES)),
  diameter: must(size()), length: must(size()), root: size(), thread: size(), yield: size(), tip: extent(), pitch: size(),
  edgeDistance: extent(), minJointDistance: extent(),
  allowable: maybe({ tension: must(newtons()), shear: must(newtons()) }), embedment: size(), head: extent(), minThickness: size(),
  criticalEdge: size(), criticalSpacing: size(), minSpacing: size(), edgeFactor: share(), spacingFactor: share(), shearEdgeFactor: share(), shearSpacingFactor: share(),
  torque: figure().moreThan(0, 'must be more than 0 N·m').max(1_000, 'must be at most 1000 N·m'),
  finish: oneOf(...FINISHES), stock: figure().integer('must be a whole number').min(0, 'must not be negative').max(1e6, 'is more than any van holds'), ...notes,
})

const lengths = () => list(must(size()), 60)
export const screwKitSchema = group({
  id: name(), name: name(), thread: must(size()),
  lengths: must(lengths()).min(1, 'must have at least one length'), washers: must(lengths()), spacers: must(lengths()), ...notes,
})

const structure = group({
  kind: must(oneOf(...BASES)),
  memberWidth: size(), memberDepth: size(), spacing: size(),
  specificGravity: figure().moreThan(0, 'must be more than 0').max(2, 'must be at most 2'),
  gauge: size(),
  steelStrength: figure().moreThan(0, 'must be more than 0').max(1_000, 'must be at most 1000 MPa'),
  thickness: size(),
  strength: figure().moreThan(0, 'must be more than 0').max(200, 'must be at most 200 MPa'),
  block: maybe({
    length: must(size()), height: must(size()), joint: must(extent()),
    bond: must(oneOf('running', 'stack')), origin: group(point(length)), unit: oneOf('hollow', 'solid', 'grouted'), shell: size(),
  }),
  members: list(group({ id: words(), centre: must(length()), width: must(size()) }), LIMITS.members),
})

const METHODS = ['detector-edge', 'detector-centre', 'magnet', 'probe', 'pilot', 'knock', 'seen', 'outlet', 'joint']

/** A date and time with its zone. */
const moment = () => words().matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/, { message: 'must be a date and time with its zone (ISO 8601)', excludeEmptyString: false })

/** What each method must say beyond its place. */
const TELLS: Record<string, string> = { 'detector-edge': 'edge', 'probe': 'hit', 'pilot': 'hit', 'joint': 'direction' }

/** One reading of a wall. */
export const evidenceSchema = group({
  id: name(), method: must(oneOf(...METHODS)), edge: oneOf('left', 'right'), hit: flag(), dull: flag(),
  direction: oneOf('head', 'bed'), x: must(length()), y: must(length()), side: oneOf('front', 'back'), reference: words(),
  by: words(), at: moment(), note: words(2_000), photo: words(), setAside: words(2_000), namedAfter: words(),
}).test('tells', ({ value }: Written) => {
  const { method } = value as { method: string }
  return `must say ${TELLS[method]}, as it is by ${method}`
}, value => value?.method === undefined || TELLS[value.method as string] === undefined || (value as Record<string, unknown>)[TELLS[value.method as string]!] !== undefined)

const screens = (array: { rows?: unknown, columns?: unknown } | undefined) => Number(array?.rows) * Number(array?.columns)

const screenArray = group({
  id: name(), name: name(), display: name(), mount: words(), fastener: words(),
  rows: must(count(LIMITS.screens)), columns: must(count(LIMITS.screens)),
  orientation: must(oneOf(...ORIENTATIONS)),
  gap: group(point(extent)),
  at: group({
    x: group({ edge: must(oneOf('left', 'centre', 'right')), value: must(length()) }),
    y: group({ edge: must(oneOf('top', 'centre', 'bottom')), value: must(length()) }),
  }),
  follows: maybe({
    x: maybe({ rule: must(oneOf('wall-centre', 'between')), features: list(name(), 2) }),
    y: maybe({ rule: must(oneOf('eye', 'above', 'below')), value: must(length()), feature: words() }),
  }),
  shiftTolerance: maybe(point(extent)),
  plates: list(group({ row: must(count(LIMITS.screens)), column: must(count(LIMITS.screens)), lateralShift: length(), heightShift: length(), reason: words(2_000) }), LIMITS.screens),
  holes: list(group({ row: must(count(LIMITS.screens)), column: must(count(LIMITS.screens)), of: name(), rank: must(count(20)), x: must(length()), reason: words(2_000) }), LIMITS.screens),
  carrier: maybe({ kind: must(oneOf('rail', 'board')), thickness: must(size()), height: size(), web: size(), moment: figure().moreThan(0, 'must be more than 0 N·m'), bolt: maybe({ tension: newtons(), shear: newtons() }) }),
  needs: maybe(slotUse()),
  behind: maybe({ plug: size(), cable: size(), player: size(), mass: extent() }),
  align: oneOf(...ROW_ALIGNMENTS, ...COLUMN_ALIGNMENTS),
  cells: list(group({
    row: must(count(LIMITS.screens)), column: must(count(LIMITS.screens)),
    empty: flag(), display: words(), orientation: oneOf(...ORIENTATIONS), mount: words(),
  }), LIMITS.screens),
  screw: size(), spacer: extent(),
}).test('screens', ({ value }: Written) => `asks for ${screens(value as { rows: number })} screens; at most ${LIMITS.screens} can be planned`,
  value => !(screens(value) > LIMITS.screens))

/** What a wall must look like to be kept: the same rule for a field, the API and a file. */
export const wallSchema = group({
  id: name(), name: name(),
  width: must(size()).max(LIMITS.wall, ({ value }: Written) => `must be at most 100 m, and is ${shown(value)} mm`),
  height: must(size()).max(LIMITS.wall, ({ value }: Written) => `must be at most 100 m, and is ${shown(value)} mm`),
  structure,
  covering: must(list(group({ material: name(), thickness: must(size()), width: size(), spacing: size(), note: words(2_000) }), 20)),
  references: list(group({ id: name(), front: must(length()), back: must(length()) }), 100),
  evidence: list(evidenceSchema, LIMITS.readings),
  features: list(group({
    id: name(), kind: name(), x: must(length()), y: must(length()), width: must(size()), height: must(size()), keepReachable: flag(),
  }), 500),
  blocking: list(group({ id: name(), y: must(extent()), found: must(flag()) }), 100),
  surface: list(group({ x: must(length()), y: must(length()), distance: must(length()) }), LIMITS.readings),
  insulation: words(),
  fireRating: extent().max(480, 'must be at most 480 minutes'),
  linedIn: figure().integer('must be a year').min(1700, 'must be a year from 1700 on').max(2100, 'must be a year up to 2100'),
  walkway: flag(), wet: flag(),
  overrides: list(group({ code: name(), subject: words(), by: name(), reason: name().max(2_000, 'must be at most 2000 characters'), at: must(moment()), told: words(2_000) }), 500),
  windSpeed: figure().moreThan(0, 'must be more than 0').max(100, 'must be at most 100 m/s'),
  arrays: must(list(screenArray, LIMITS.arrays)),
  clearance: extent(),
  alternatives: list(group({ id: name(), name: name(), note: words(2_000), arrays: list(screenArray, LIMITS.arrays) }), 20),
  alternative: words(), chosen: words(),
  datum: maybe({ x: must(length()), label: name() }),
  levelLine: extent(),
})

/** One entry of the log: who, when, which hole, and what the drill met. */
export const logEntrySchema = group({
  id: name(), at: must(moment()),
  by: name(), wall: name(), kind: must(oneOf('hole')), hole: name(),
  x: must(length()), y: must(length()), result: must(oneOf('hit', 'miss')), note: words(2_000),
})

export const siteSchema = group({ id: name().matches(/^[a-z0-9][a-z0-9-]*$/, 'must be small letters, figures and hyphens'), name: name(), units: must(oneOf('metric', 'imperial')) })

/** The house rules of a site. */
export const rulesSchema = group({
  heightDatum: oneOf('bottom-edge', 'top-row-centre'),
  proofOfFraming: oneOf('two-kinds', 'one-sign'),
  hollowWallAnchors: oneOf('never', 'supplement', 'counted'),
  coveringCountsAsGap: flag(),
  furring: oneOf('through', 'into-furring'),
  blockJoints: oneOf('keep-clear', 'anywhere-under-timber'),
  markingSigma: extent(),
})

/** A whole job file, version 1. */
export const jobSchema = group({
  format: must(oneOf('wide-trellis-job')),
  version: must(figure()).oneOf([1], ({ value }: Written) => `must be 1, and is ${shown(value)}`),
  site: siteSchema,
  rules: rulesSchema,
  catalogue: group({ displays: must(list(displaySchema, 2_000)), mounts: must(list(mountSchema, 2_000)), fasteners: must(list(fastenerSchema, 2_000)), screwKits: list(screwKitSchema, 2_000) }),
  walls: must(list(wallSchema, LIMITS.walls)),
  log: must(list(logEntrySchema, LIMITS.log)),
})
