import type { InferType } from 'yup'
import { PLAIN_ID } from './plainId'
import { extent, flag, group, list, maybe, moment, must, name, note, oneOf, size, text } from './fields'
import { daysOff, windows, zone } from './opening'

/** The name that a file is kept under: made from its content, with the ending that it came with. */
export const FILE_NAME = /^[0-9a-f]{32}(\.[a-z0-9]{1,8})?$/

export const siteSchema = group({ id: name().matches(PLAIN_ID, 'must be small letters, figures and hyphens'), name: name(), units: must(oneOf(['metric', 'imperial'])), contacts: list(group({ name: name('Who'), for: text('What for'), phone: text('Telephone') }), 50, 'People to call'),
  address: note('Where it is'), access: note('How one comes in, and who opens'), parking: note('Where the van stands'), delivery: note('How goods come in: lift, ramp, door widths, times'),
  files: list(group({ file: must(text('Name that it is kept under').matches(FILE_NAME, 'must be the name that a file is kept under')), name: name('Name'), by: text('Who added it'), at: moment('When') }), 200, 'Permits, drawings of the building and the like'),
  zone: zone('Time zone (IANA) of its clocks; else the firm’s'),
  windows: windows('When work may be done there; absent where it is open at all times'), noise: windows('When it may be loud there; absent where that is whenever it is open'), closed: daysOff('Days on which it is closed'),
})
export type Site = InferType<typeof siteSchema>

/** House rules as they were chosen at one level, firm, site or wall; a key that is absent is as the level above has it. */
const rules = () => ({
  heightDatum: oneOf(['by-kind', 'bottom-edge', 'top-row-centre'], 'What heights are measured from'),
  proofOfFraming: oneOf(['two-kinds', 'one-sign'], 'What proves a member: two signs of different kinds or one probe, or any one sign'),
  hollowWallAnchors: oneOf(['never', 'supplement', 'counted'], 'Anchors that hold in the covering alone'),
  coveringCountsAsGap: flag('Whether the covering under a plate weakens the screw in shear'),
  furring: oneOf(['through', 'into-furring'], 'Whether plates over furring are fixed through into the block, or into the furring alone'),
  blockJoints: oneOf(['keep-clear', 'anywhere-under-timber'], 'Whether anchors in block keep clear of joints even where timber lies over them'),
  measuring: oneOf(['running', 'mark-to-mark'], 'Along the wall'),
  placingHeight: oneOf(['asked', 'seated-eye', 'standing-eye', 'between-features', 'above-furniture', 'fixed'], 'How high a new array goes'),
  clearAboveFurniture: extent('Clear above furniture, where a new array goes by that'),
  fixedHeight: extent('Height of the middle of a new array, where that is fixed'),
  level: oneOf(['gravity', 'building-line'], 'What is level'),
  plateFixings: oneOf(['every-row', 'top-and-one-below'], 'Rows of a plate that are fixed'),
  cableEntry: oneOf(['cheaper', 'above', 'below'], 'Cables enter'),
  power: oneOf(['electrician', 'kit', 'outlet'], 'Power behind a display'),
  signalBesidePower: oneOf(['own-bay', 'apart-in-one-bay'], 'Signal beside power'),
  powerSignalApart: extent('How far signal stays from power in one bay'),
  handling: oneOf(['upright', 'face-down'], 'Handling a display'),
  lifting: oneOf(['by-mass', 'always-two', 'lift-aid'], 'Lifting'),
  hangingOrder: oneOf(['by-clearance', 'top-first', 'bottom-first'], 'Hanging order'),
  markingSigma: extent('Standard deviation of one tape measurement'),
  seamTolerance: size('How far a seam may be off its gap'),
  inspections: oneOf(['half-yearly', 'yearly', 'two-yearly'], 'A wall that was handed over is inspected'),
  drillWander: extent('Standard deviation of a drill off its mark'), plateSlack: extent('How far a plate lies loose about its screws, in all'),
})
export const rulesSchema = group(rules())
export type Rules = InferType<typeof rulesSchema>
/** The same where it may be absent. */
export const ownRules = (label: string) => maybe(rules(), label)
