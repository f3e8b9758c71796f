import type { Stage } from '../finding'
import { coveringOf, structureKindOf, unitsOf, type Rules, type Wall } from '../job'
import type { RuleFigure } from './figures'

/** One way of doing it, and the reason that its people give. */
export interface RuleOption {
  value: string
  name: string
  why: string
}

/** A rule that is a choice among options. */
export type ChoiceKey = Exclude<keyof Rules, RuleFigure['key']>

/**
 * A question on which good installers disagree, and the answers among which a firm chooses; `otherwise` is what holds
 * until a person has chosen.
 */
export interface HouseRule {
  key: ChoiceKey
  stage: Stage
  title: string
  options: RuleOption[]
  otherwise: string
  /** On which walls it decides anything; absent: on every one. */
  concerns?: (wall: Wall) => boolean
}

/** Whether a wall has furring, and behind it what could be drilled instead. */
const isFurred = ({ structure, covering }: Wall) =>
  structureKindOf(structure).masonry && covering.some(({ material }) => material === 'furring')

/** Every house rule that is a choice, in the order of the job. */
export const HOUSE_RULES: HouseRule[] = [
  {
    key: 'proofOfFraming',
    stage: 'survey',
    title: 'Confirming a stud for a hole that carries load',
    otherwise: 'two-kinds',
    concerns: wall => structureKindOf(wall.structure).framed || isFurred(wall),
    options: [
      {
        value: 'two-kinds',
        name: 'two readings of different kinds, or a probe clear of blocking',
        why: 'A magnet or a nail can meet blocking, and a detector a pipe; different methods are seldom wrong in the '
          + 'same place. One probe counts where blocking is ruled out.',
      },
      {
        value: 'one-sign',
        name: 'one clear reading',
        why: 'On a regular wall one clear reading is enough, and each further one costs time or a hole.',
      },
    ],
  },
  {
    key: 'placingHeight',
    stage: 'arrange',
    title: 'Height of a new array',
    otherwise: 'asked',
    options: [
      {
        value: 'asked',
        name: 'asked for each array',
        why: 'Every room is viewed differently; a habitual height was chosen for another room.',
      },
      {
        value: 'seated-eye',
        name: 'centre at seated eye height',
        why: 'Where people sit and wait, they see the picture without raising the chin.',
      },
      {
        value: 'standing-eye',
        name: 'centre at standing eye height',
        why: 'Where people walk past, they read it at a glance over the heads of people seated.',
      },
      {
        value: 'between-features',
        name: 'midway between the feature below and the feature above',
        why: 'Equal margins above and below look deliberate at any height.',
      },
      {
        value: 'above-furniture',
        name: 'a fixed clearance above the furniture or counter',
        why: 'Furniture hides the bottom of a picture long before the wall runs out of space.',
      },
      {
        value: 'fixed',
        name: 'centre at a fixed height',
        why: 'One height in all rooms looks consistent, and is checked with one gauge stick.',
      },
    ],
  },
  {
    key: 'blockJoints',
    stage: 'mount',
    title: 'Anchors and mortar joints',
    otherwise: 'keep-clear',
    concerns: ({ structure }) => unitsOf(structure) !== undefined,
    options: [
      {
        value: 'keep-clear',
        name: 'anchors keep clear of joints, by the distance the maker requires',
        why: 'Mortar crumbles as an anchor expands in it, and the maker’s figures are for the block or brick.',
      },
      {
        value: 'anywhere-under-timber',
        name: 'joints do not count where timber covers the block or brick',
        why: 'A batten or board shares the load among several anchors, so one weak anchor matters less.',
      },
    ],
  },
  {
    key: 'furring',
    stage: 'mount',
    title: 'Fixing over furring on masonry or concrete',
    otherwise: 'through',
    concerns: isFurred,
    options: [
      {
        value: 'through',
        name: 'through the furring, into the masonry or concrete',
        why: 'The masonry carries the load, and the furring only spaces the lining.',
      },
      {
        value: 'into-furring',
        name: 'into the furring only; nothing behind it is drilled',
        why: 'The furring is already fixed at close spacing, and a screw in wood is reliable where old masonry may '
          + 'not be.',
      },
    ],
  },
  {
    key: 'plateFixings',
    stage: 'mount',
    title: 'Plate rows to fasten',
    otherwise: 'every-row',
    options: [
      {
        value: 'every-row',
        name: 'every row that the maker names',
        why: 'The maker tested it this way, and the rows share the pull-out load.',
      },
      {
        value: 'top-and-one-below',
        name: 'the top row and one below, where the maker allows it',
        why: 'The top row carries nearly all the load; each further hole is one more chance to miss.',
      },
    ],
  },
  {
    key: 'coveringCountsAsGap',
    stage: 'fix',
    title: 'Covering under the plate',
    otherwise: 'true',
    concerns: wall => coveringOf(wall) > 0,
    options: [
      {
        value: 'true',
        name: 'counts as a gap that weakens the screw in shear',
        why: 'Board is soft: the screw bends across it as across air, and carries less than half the load.',
      },
      {
        value: 'false',
        name: 'is ignored',
        why: 'A plate tightened on sound board hardly slips, and the calculation already has a safety margin.',
      },
    ],
  },
  {
    key: 'hollowWallAnchors',
    stage: 'fix',
    title: 'Hollow-wall anchors (hold in the covering only)',
    otherwise: 'supplement',
    options: [
      { value: 'never', name: 'never used', why: 'They loosen as a screen is pulled out and pushed home.' },
      {
        value: 'supplement',
        name: 'a supplement that carries no load in the calculation',
        why: 'They hold a plate’s free corner flat, while the framing carries the load.',
      },
      {
        value: 'counted',
        name: 'counted at the maker’s value',
        why: 'Some are tested and rated, and some walls offer nothing else.',
      },
    ],
  },
  {
    key: 'powerWiring',
    stage: 'wire',
    title: 'Power cable in or on a wall',
    otherwise: 'sheathed',
    options: [
      {
        value: 'sheathed',
        name: 'sheathed cable',
        why: 'It is quick to pull. Some local codes do not allow it in steel studs or in places of assembly.',
      },
      {
        value: 'metal-clad',
        name: 'metal-clad cable',
        why: 'Its armour keeps screws and sharp steel off, and many codes for commercial buildings require it.',
      },
      {
        value: 'conduit',
        name: 'conductors in conduit',
        why: 'Conductors can be replaced and added later, and the conduit protects them.',
      },
    ],
  },
  {
    key: 'cableEntry',
    stage: 'wire',
    title: 'Cable entry',
    otherwise: 'cheaper',
    options: [
      {
        value: 'cheaper',
        name: 'by the cheaper route',
        why: 'Access above and below differs from wall to wall; both routes are costed.',
      },
      {
        value: 'above',
        name: 'from above',
        why: 'A pull line drops by itself, and the ceiling void is easy to reach.',
      },
      { value: 'below', name: 'from below', why: 'Nothing is opened overhead, and the outlets are already low.' },
    ],
  },
  {
    key: 'power',
    stage: 'wire',
    title: 'Power behind a display',
    otherwise: 'electrician',
    options: [
      {
        value: 'electrician',
        name: 'hard-wired by a licensed electrician',
        why: 'Fixed wiring is done once, tested and inspected.',
      },
      {
        value: 'kit',
        name: 'from a listed in-wall kit, where allowed',
        why: 'No new circuit: it is fed from an existing outlet.',
      },
      { value: 'outlet', name: 'from an existing outlet', why: 'The wall is not opened, and the cord stays visible.' },
    ],
  },
  {
    key: 'signalBesidePower',
    stage: 'wire',
    title: 'Separation of signal and power',
    otherwise: 'own-bay',
    options: [
      {
        value: 'own-bay',
        name: 'signal in its own stud bay',
        why: 'Cables in separate bays cannot interfere or be mixed up.',
      },
      {
        value: 'apart-in-one-bay',
        name: 'in one stud bay, fixed apart',
        why: 'One opening and one patch, with clips to keep the distance.',
      },
    ],
  },
  {
    key: 'heightDatum',
    stage: 'mark',
    title: 'Height datum',
    otherwise: 'by-kind',
    options: [
      {
        value: 'by-kind',
        name: 'centre line of the top row for a grid, bottom edge for a single sign',
        why: 'A grid is set out from its centre, which halves errors; a single sign from the edge that people see.',
      },
      {
        value: 'bottom-edge',
        name: 'always the bottom edge of the display',
        why: 'A tape reaches this edge from the floor, and it is checked after hanging.',
      },
      {
        value: 'top-row-centre',
        name: 'always the centre line of the top row',
        why: 'The top row is hung first, and the line stays visible while the other rows follow.',
      },
    ],
  },
  {
    key: 'level',
    stage: 'mark',
    title: 'Level reference',
    otherwise: 'gravity',
    options: [
      {
        value: 'gravity',
        name: 'true to gravity',
        why: 'A spirit level is always right; a building line may be wrong.',
      },
      {
        value: 'building-line',
        name: 'follows a visible building line beside the array',
        why: 'The eye compares with the nearest line: a level array beside a sloping line looks crooked.',
      },
    ],
  },
  {
    key: 'measuring',
    stage: 'mark',
    title: 'Measuring along the wall',
    otherwise: 'running',
    options: [
      {
        value: 'running',
        name: 'running dimensions from one datum',
        why: 'An error in one mark stays with that mark; errors do not add up.',
      },
      {
        value: 'mark-to-mark',
        name: 'from mark to mark',
        why: 'Neighbouring marks fit each other best, and a long tape sags.',
      },
    ],
  },
  {
    key: 'handling',
    stage: 'hang',
    title: 'Display handling',
    otherwise: 'upright',
    options: [
      {
        value: 'upright',
        name: 'upright only',
        why: 'Glass carries its own weight best in the position in which it hangs.',
      },
      {
        value: 'face-down',
        name: 'face down on a padded bench, if its maker allows it',
        why: 'Brackets are easier to fit properly on a display that lies flat.',
      },
    ],
  },
  {
    key: 'lifting',
    stage: 'hang',
    title: 'Lifting',
    otherwise: 'by-mass',
    options: [
      { value: 'by-mass', name: 'by mass and height', why: 'Two people on a one-person lift get in each other’s way.' },
      {
        value: 'always-two',
        name: 'always two people',
        why: 'Displays are usually dropped by one person working alone.',
      },
      {
        value: 'lift-aid',
        name: 'a lifting aid above the limit for one person',
        why: 'A hired machine costs less than a back injury.',
      },
    ],
  },
  {
    key: 'hangingOrder',
    stage: 'hang',
    title: 'Hanging order',
    otherwise: 'by-clearance',
    options: [
      {
        value: 'by-clearance',
        name: 'by the clearances of the mount',
        why: 'Some mounts must be lifted on to their hooks from below, and some not.',
      },
      { value: 'top-first', name: 'top row first', why: 'The top row sets the line for all rows below.' },
      { value: 'bottom-first', name: 'bottom row first', why: 'Each row rests on the one below while it is fixed.' },
    ],
  },
  {
    key: 'inspections',
    stage: 'close',
    title: 'Inspection after handover',
    otherwise: 'yearly',
    options: [
      { value: 'half-yearly', name: 'twice a year', why: 'Frequent pull-outs and crowds wear the fixings quickly.' },
      { value: 'yearly', name: 'once a year', why: 'Most makers ask for a yearly inspection, and insurers expect it.' },
      {
        value: 'two-yearly',
        name: 'every two years',
        why: 'A fixed indoor sign that nobody touches changes little, and each visit means a closure.',
      },
    ],
  },
]

/** What was chosen, or what holds until a person has. */
export function chosenOption({ key, options, otherwise }: HouseRule, rules: Rules): RuleOption {
  const chosen = String(rules[key] ?? otherwise)
  return options.find(({ value }) => value === chosen)!
}

/** What choosing an option writes: true and false as such. */
export const valueOfOption = (value: string): string | boolean =>
  value === 'true' ? true : value === 'false' ? false : value
