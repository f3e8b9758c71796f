import type { InferType } from 'yup'
import { PLAIN_ID } from './plainId'
import { extent, figure, flag, group, list, maybe, moment, must, name, note, oneOf, size, text } from './fields'
import { daysOff, windows, zone } from './opening'

/** The name that a file is kept under: made from its content, with the ending that it came with. */
export const FILE_NAME = /^[0-9a-f]{32}(\.[a-z0-9]{1,8})?$/

export const siteSchema = group({
  id: name().matches(PLAIN_ID, 'must have only lower-case letters, digits and hyphens'),
  name: name(),
  units: must(oneOf(['metric', 'imperial'])),
  demo: flag('Whether it is a demo, which plans readings of simulated instruments'),
  electricalRules: oneOf(['nec', 'iec'], 'Electrical rules on this site; absent: the stricter of both'),
  contacts: list(group({ name: name('Name'), for: text('Role'), phone: text('Telephone') }), 50, 'Contacts'),
  address: note('Address'),
  access: note('Access: how to get in and who opens'),
  parking: note('Parking'),
  delivery: note('Delivery: lift, ramp, door widths, times'),
  files: list(
    group({
      file: must(text('Stored file name').matches(FILE_NAME, 'must be a stored file name')),
      name: name('Name'),
      by: text('Added by'),
      at: moment('Added at'),
    }),
    200,
    'Permits, building drawings and other files',
  ),
  zone: zone('Time zone (IANA); absent: the firm’s'),
  windows: windows('Access hours; absent: at any time'),
  noise: windows('Noisy work hours; absent: the same as the access hours'),
  closed: daysOff('Closed days'),
})
export type Site = InferType<typeof siteSchema>

/** The force that a hand is taken to exert, N. */
export const handForce = (label: string) =>
  figure('N', label).min(0, 'must not be negative').max(5_000, 'must be at most 5000 N')

/** What a part of a cable route takes. */
const minutes = (unit: 'min' | 'min/m', label: string) =>
  figure(unit, label).min(0, 'must not be negative').max(1_000, `must be at most 1000 ${unit}`)

/** What the parts of a cable route take, as the firm has them. */
const routeMinutes = () => ({
  minutesEnter: minutes('min', 'Set-up of a route'),
  minutesDrop: minutes('min/m', 'Drop in an empty stud bay'),
  minutesLine: minutes('min/m', 'Weighted line past insulation'),
  minutesRod: minutes('min/m', 'Fish rod up an empty stud bay'),
  minutesRodInsulated: minutes('min/m', 'Fish rod up past insulation'),
  minutesOpening: minutes('min', 'Opening at blocking'),
  minutesRecover: minutes('min', 'Recovery of a lost weight or rod'),
  minutesPlate: minutes('min', 'Bore through a top or bottom plate'),
  minutesStud: minutes('min', 'Crossing of a stud'),
  minutesVoid: minutes('min/m', 'Run along a void'),
  minutesPipe: minutes('min', 'Past a pipe with room beside it'),
  minutesPipeAcross: minutes('min', 'Past a pipe without room beside it'),
  minutesRaceway: minutes('min/m', 'Raceway on the wall face'),
  minutesRacewayEnd: minutes('min', 'End of a raceway'),
  minutesRacewayCorner: minutes('min', 'Corner of a raceway'),
  minutesThroughWall: minutes('min', 'Bore through the wall'),
  minutesMetalClad: minutes('min/m', 'Metal-clad cable, extra'),
  minutesMetalCladEnd: minutes('min', 'Metal-clad cable, each end'),
  minutesConduit: minutes('min/m', 'Conduit, extra'),
  minutesConduitEnd: minutes('min', 'Conduit, each end'),
  minutesConduitBend: minutes('min', 'Conduit, each quarter bend'),
  minutesPullBox: minutes('min', 'Pull box'),
})

/**
 * House rules as they were chosen at one level, firm, site or wall; a key that is absent is as the level above has it.
 */
const rules = () => ({
  handForce: handForce('Force of a hand on a screen'),
  squareness: extent(
    'How far a case is out of square, and rolled as it is hung (±), where its sheet gives no tolerance',
  ),
  adjusterSlip: extent('Standard deviation by which an adjuster slips back'),
  gaugeSigma: extent('Standard deviation of a gauge reading'),
  heightDatum: oneOf(['by-kind', 'bottom-edge', 'top-row-centre'], 'Height datum'),
  proofOfFraming: oneOf(
    ['two-kinds', 'one-sign'],
    'What confirms a stud: two readings of different kinds or one probe, or any one clear reading',
  ),
  hollowWallAnchors: oneOf(['never', 'supplement', 'counted'], 'Hollow-wall anchors (hold in the covering only)'),
  coveringCountsAsGap: flag('Whether the covering under a plate counts as a gap in shear'),
  furring: oneOf(
    ['through', 'into-furring'],
    'Fixing over furring: through into the masonry, or into the furring only',
  ),
  blockJoints: oneOf(
    ['keep-clear', 'anywhere-under-timber'],
    'Anchors in block and brick: always clear of joints, or anywhere under timber',
  ),
  measuring: oneOf(['running', 'mark-to-mark'], 'Measuring along the wall'),
  placingHeight: oneOf(
    ['asked', 'seated-eye', 'standing-eye', 'between-features', 'above-furniture', 'fixed'],
    'Height of a new array',
  ),
  clearAboveFurniture: extent('Clearance above furniture for a new array'),
  fixedHeight: extent('Fixed centre height of a new array'),
  level: oneOf(['gravity', 'building-line'], 'Level reference'),
  plateFixings: oneOf(['every-row', 'top-and-one-below'], 'Plate rows to fasten'),
  cableEntry: oneOf(['cheaper', 'above', 'below'], 'Cable entry'),
  power: oneOf(['electrician', 'kit', 'outlet'], 'Power behind a display'),
  powerWiring: oneOf(['sheathed', 'metal-clad', 'conduit'], 'Power cable in or on a wall'),
  signalBesidePower: oneOf(['own-bay', 'apart-in-one-bay'], 'Separation of signal and power'),
  powerSignalApart: extent('Distance between signal and power in one stud bay'),
  handling: oneOf(['upright', 'face-down'], 'Display handling'),
  lifting: oneOf(['by-mass', 'always-two', 'lift-aid'], 'Lifting'),
  hangingOrder: oneOf(['by-clearance', 'top-first', 'bottom-first'], 'Hanging order'),
  markingSigma: extent('Standard deviation of one tape measurement'),
  seamTolerance: size('Seam tolerance (±)'),
  inspections: oneOf(['half-yearly', 'yearly', 'two-yearly'], 'Inspection after handover'),
  drillWander: extent('Standard deviation of a hole from its mark'),
  plateSlack: extent('Total play of a plate around its screws'),
  ...routeMinutes(),
})
export const rulesSchema = group(rules())
export type Rules = InferType<typeof rulesSchema>
/** The same where it may be absent. */
export const ownRules = (label: string) => maybe(rules(), label)
