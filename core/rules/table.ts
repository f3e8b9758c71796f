import type { Stage } from '../finding'
import type { Rules } from '../job'
import type { RuleFigure } from './figures'

/** One way of doing it, and the reason that its people give. */
export interface School { value: string, name: string, why: string }

/** A rule that is a choice among schools. */
export type ChoiceKey = Exclude<keyof Rules, RuleFigure['key']>

/** A question on which good installers disagree, and the answers among which a firm chooses; `otherwise` is what holds until somebody has chosen. */
export interface HouseRule {
  key: ChoiceKey
  stage: Stage
  title: string
  schools: School[]
  otherwise: string
}

/** Every house rule that is a choice, in the order of the job. */
export const HOUSE_RULES: HouseRule[] = [
  {
    key: 'proofOfFraming', stage: 'survey', title: 'Proof of framing, for a hole that carries load', otherwise: 'two-kinds',
    schools: [
      { value: 'two-kinds', name: 'two signs of different kinds, or one probe', why: 'A screw may sit in blocking and a detector may see a pipe; signs that err in different ways seldom err together.' },
      { value: 'one-sign', name: 'one good sign', why: 'On a regular wall a clear sign is enough, and each further one costs time or a hole.' },
    ],
  },
  {
    key: 'placingHeight', stage: 'arrange', title: 'Height of a new array', otherwise: 'asked',
    schools: [
      { value: 'asked', name: 'is asked for each array', why: 'Every place is seen differently; a height that is chosen by habit is chosen for another room.' },
      { value: 'seated-eye', name: 'has its middle at the eye of somebody seated', why: 'Where people wait and sit, the picture meets them without a lifted chin.' },
      { value: 'standing-eye', name: 'has its middle at the eye of somebody standing', why: 'Where people walk past, it is read at a glance over the heads of those who sit.' },
      { value: 'between-features', name: 'is midway between what is below and what is above', why: 'Even margins above and below look meant, whatever the figures are.' },
      { value: 'above-furniture', name: 'is clear above the furniture or counter by a fixed distance', why: 'What stands before the wall hides a picture long before the wall runs out.' },
      { value: 'fixed', name: 'has its middle at a fixed height', why: 'One height in all rooms looks like one hand, and is checked with one stick.' },
    ],
  },
  {
    key: 'blockJoints', stage: 'mount', title: 'Joints of blockwork', otherwise: 'keep-clear',
    schools: [
      { value: 'keep-clear', name: 'are kept clear of, by what the anchor asks for', why: 'Mortar crumbles as an anchor spreads in it, and its maker’s figures are for the block.' },
      { value: 'anywhere-under-timber', name: 'do not count where timber lies over the block', why: 'A batten or board shares the load among several anchors, and hides which of them is weak.' },
    ],
  },
  {
    key: 'furring', stage: 'mount', title: 'Furring over block or concrete', otherwise: 'through',
    schools: [
      { value: 'through', name: 'is fixed through, into what is behind it', why: 'The block bears the load, and the furring only spaces the lining.' },
      { value: 'into-furring', name: 'is fixed into, and nothing behind it is drilled', why: 'The furring is fixed every few inches already, and a screw in wood is sure where an old block may not be.' },
    ],
  },
  {
    key: 'plateFixings', stage: 'mount', title: 'Fixings of a plate', otherwise: 'every-row',
    schools: [
      { value: 'every-row', name: 'go into every row that the maker names', why: 'The maker tested it so, and the rows share what the pull-out does.' },
      { value: 'top-and-one-below', name: 'go into the top row and one below, where the maker allows it', why: 'The top row carries nearly all; each further hole is one more chance to miss.' },
    ],
  },
  {
    key: 'coveringCountsAsGap', stage: 'fix', title: 'Covering under the plate', otherwise: 'true',
    schools: [
      { value: 'true', name: 'counts as a gap that weakens the screw in shear', why: 'Board is soft: the screw bends across it as across air, and bears less than half of what it would without.' },
      { value: 'false', name: 'is left out of account', why: 'A plate drawn tight on sound board hardly slips, and the sums have a margin already.' },
    ],
  },
  {
    key: 'hollowWallAnchors', stage: 'fix', title: 'Anchors that hold in the covering alone', otherwise: 'supplement',
    schools: [
      { value: 'never', name: 'are never used', why: 'They loosen as a screen is pulled out and pushed home.' },
      { value: 'supplement', name: 'are a supplement that carries nothing in the sums', why: 'They keep a plate’s free corner flat, and what carries the load is in the framing.' },
      { value: 'counted', name: 'count at their maker’s value', why: 'Some are tested and rated, and there are walls that have nothing else.' },
    ],
  },
  {
    key: 'cableEntry', stage: 'wire', title: 'Cables enter', otherwise: 'cheaper',
    schools: [
      { value: 'cheaper', name: 'by the cheaper route', why: 'What is above and below differs from wall to wall; the route is priced both ways.' },
      { value: 'above', name: 'from above', why: 'A line drops by itself, and the ceiling void is easily reached.' },
      { value: 'below', name: 'from below', why: 'Nothing is opened overhead, and outlets are below already.' },
    ],
  },
  {
    key: 'power', stage: 'wire', title: 'Power behind a display', otherwise: 'electrician',
    schools: [
      { value: 'electrician', name: 'is hard-wired by a licensed electrician', why: 'It is fixed wiring, done once, tested, and inspected.' },
      { value: 'kit', name: 'comes by a listed in-wall kit where that is allowed', why: 'No new circuit, fed from an outlet that is there.' },
      { value: 'outlet', name: 'comes from an outlet that is there', why: 'Nothing is opened; the cord stays in sight.' },
    ],
  },
  {
    key: 'signalBesidePower', stage: 'wire', title: 'Signal beside power', otherwise: 'own-bay',
    schools: [
      { value: 'own-bay', name: 'has a bay of its own', why: 'What is not side by side cannot disturb or be confused.' },
      { value: 'apart-in-one-bay', name: 'lies in one bay, fixed apart', why: 'One opening and one patch, where the distance is kept by clips.' },
    ],
  },
  {
    key: 'heightDatum', stage: 'mark', title: 'What heights are measured from', otherwise: 'by-kind',
    schools: [
      { value: 'by-kind', name: 'centre line of the top row for a grid, bottom edge for a single sign', why: 'A grid is set out from its middle, where errors halve; a single sign from the edge that people see.' },
      { value: 'bottom-edge', name: 'always the bottom edge of the display', why: 'It is the edge that a tape reaches from the floor, and that is checked after hanging.' },
      { value: 'top-row-centre', name: 'always the centre line of the top row', why: 'The top row is hung first, and the line stays in sight while the others follow.' },
    ],
  },
  {
    key: 'level', stage: 'mark', title: 'What is level', otherwise: 'gravity',
    schools: [
      { value: 'gravity', name: 'is true to gravity', why: 'A spirit level is right next year, too; a line of the building may be wrong.' },
      { value: 'building-line', name: 'runs with a line of the building that is seen beside it', why: 'The eye compares with the nearest line: true beside crooked looks crooked.' },
    ],
  },
  {
    key: 'measuring', stage: 'mark', title: 'Measuring along the wall', otherwise: 'running',
    schools: [
      { value: 'running', name: 'runs from one datum', why: 'Errors of one mark stay with it; nothing adds up.' },
      { value: 'mark-to-mark', name: 'goes from mark to mark', why: 'Neighbours fit each other best, and a long tape sags.' },
    ],
  },
  {
    key: 'handling', stage: 'hang', title: 'Handling a display', otherwise: 'upright',
    schools: [
      { value: 'upright', name: 'is upright only', why: 'Glass bears its own weight best as it hangs.' },
      { value: 'face-down', name: 'may lie face down on a padded bench, if its maker allows it', why: 'Brackets are fixed more surely to what lies still.' },
    ],
  },
  {
    key: 'lifting', stage: 'hang', title: 'Lifting', otherwise: 'by-mass',
    schools: [
      { value: 'by-mass', name: 'goes by mass and height', why: 'Two hands for what one can lift are in each other’s way.' },
      { value: 'always-two', name: 'is always for two', why: 'A display is dropped by the one who was alone with it.' },
      { value: 'lift-aid', name: 'takes a lift aid over what one may lift', why: 'Backs do not heal as fast as machines are hired.' },
    ],
  },
  {
    key: 'hangingOrder', stage: 'hang', title: 'Hanging order', otherwise: 'by-clearance',
    schools: [
      { value: 'by-clearance', name: 'follows from the clearances of the mount', why: 'Some mounts lift on to their hooks from below, and some do not.' },
      { value: 'top-first', name: 'begins with the top row', why: 'The upper row is the line that all others hang from.' },
      { value: 'bottom-first', name: 'begins with the bottom row', why: 'Each row stands on the one below while it is fixed.' },
    ],
  },
  {
    key: 'inspections', stage: 'close', title: 'A wall that was handed over is inspected', otherwise: 'yearly',
    schools: [
      { value: 'half-yearly', name: 'twice a year', why: 'Pulled-out mounts and crowds wear what holds the screens, and half a year is soon gone.' },
      { value: 'yearly', name: 'once a year', why: 'Most makers ask for a yearly look, and insurers go by it.' },
      { value: 'two-yearly', name: 'every two years', why: 'A fixed sign indoors that nobody touches changes little, and each visit costs a closure.' },
    ],
  },
]

/** What was chosen, or what holds until somebody has. */
export function chosenOption({ key, schools, otherwise }: HouseRule, rules: Rules): School {
  const chosen = String(rules[key] ?? otherwise)
  return schools.find(({ value }) => value === chosen)!
}

/** What choosing a school writes: true and false as such. */
export const valueOfSchool = (value: string): string | boolean => value === 'true' ? true : value === 'false' ? false : value
