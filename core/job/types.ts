import type { Point } from '../geometry'
import type { UnitSystem } from '../units'

/**
 * The job file: one site with its walls and everything that was measured and decided there.
 * Lengths in mm, masses in kg, y up from finished floor. Keys not named here are kept as they came.
 */
export interface Job {
  format: 'wide-trellis-job'
  version: 1
  site: Site
  rules: Rules
  catalogue: Catalogue
  walls: Wall[]
  log: LogEntry[]
}

export interface Site { id: string, name: string, units: UnitSystem }

/** House rules as chosen by the firm; a key that is absent takes its default. */
export interface Rules {
  heightDatum?: 'bottom-edge' | 'top-row-centre'
  hollowWallAnchors?: 'never' | 'supplement' | 'counted'
  /** What proves a member: two signs of different kinds or one probe, or any one sign. */
  proofOfFraming?: 'two-kinds' | 'one-sign'
  coveringCountsAsGap?: boolean
  /** Whether plates over furring are fixed through into the block, or into the furring alone. */
  furring?: 'through' | 'into-furring'
  /** Whether anchors in block keep clear of joints even where timber lies over them. */
  blockJoints?: 'keep-clear' | 'anywhere-under-timber'
  /** One σ of a single tape measurement, mm. */
  markingSigma?: number
}

/** What a wall is planned with beside itself: the models it uses, the firm's rules, and the site's units, in which bits and round figures are chosen. */
export interface PlanContext { catalogue: Catalogue, rules: Rules, site?: { units: UnitSystem } }

/** The models that a site's walls use. A model that replaces an older one is an entry of its own. */
export interface Catalogue { displays: Display[], mounts: Mount[], fasteners: Fastener[], screwKits?: ScrewKit[] }

/** What every model of the catalogue may say of itself. */
export interface ModelNotes {
  /** Whether it is no longer offered; walls that use it keep it. */
  retired?: boolean
  /** Id of the model whose figures this one replaces. */
  supersedes?: string
  /** The datasheet's figures as they were typed, by their path in the model. */
  asTyped?: Record<string, string>
  note?: string
}

/** One side of a display or of the wall, as seen from the front. */
export type Side = 'top' | 'right' | 'bottom' | 'left'

export interface Edges { top: number, right: number, bottom: number, left: number }

/** A display as its maker gives it: in landscape, seen from the front. */
export interface Display extends ModelNotes {
  id: string
  name: string
  /** Outer size of the case, mm. */
  width: number
  height: number
  depth: number
  /** kg */
  mass: number
  bezel: Edges
  /** Pixels across and up. */
  resolution: Point
  /** The mounting pattern; its offset is from the case's centre to the pattern's, x right and y up. */
  vesa: {
    width: number
    height: number
    offset: Point
    /** Nominal thread diameter, mm. */
    thread?: number
    insertDepth?: number
    recess?: number
  }
  /** Watts. */
  power?: { typical: number, max: number }
  /** Outer size is within ± this, mm. */
  sizeTolerance?: number
  /** What it is made for: seamless walls, or signs that hang alone. */
  use?: 'video-wall' | 'signage'
  /** Shape of its back: all of one depth, thinner at the rim by so much, or with the pattern in a recess. */
  back?: { profile: 'flat' | 'stepped' | 'recessed', rim?: number }
  /** Where its centre of gravity is from the case's centre, x right and y up in landscape, and how far in front of its back, mm; else the middle of the case. */
  centreOfGravity?: { x: number, y: number, z: number }
  /** Sides from which its sockets and vents are reached, in landscape. */
  ports?: Side[]
  vents?: Side[]
}

export type Orientation = 'landscape' | 'portrait-cw' | 'portrait-ccw' | 'inverted'

/**
 * How the slots of a plate are used: so many distinct members in every named row. Two plies of one doubled
 * member count as two only where the maker says how near two fasteners of a row may be: `minSpacing`, mm.
 */
export interface SlotUse { members: number, rows: string[], minSpacing?: number }

/** A slot of a wall plate: y and x1…x2 from the plate's centre, mm. A round hole has equal ends. */
export interface Slot { row: string, y: number, x1: number, x2: number, diameter: number }

/** A mount: a wall plate and where the display's pattern centre sits when every adjuster is at nominal. */
export interface Mount extends ModelNotes {
  id: string
  name: string
  kind: 'pull-out' | 'fixed' | 'tilt' | 'arm'
  mass: number
  /** Largest display mass, kg. */
  capacity: number
  /** `bearingStrength` is what its steel bears under a fastener, MPa; where it is not given, that of the weakest usual steel. */
  plate: { width: number, height: number, thickness: number, bearingStrength?: number, slots: Slot[] }
  interface: Point
  /** Travel to either side of nominal: mm, and degrees of roll. */
  adjust?: { lateral?: number, height?: number, depth?: number, roll?: number }
  /** Distinct members (on block and concrete: fasteners) wanted in every named row of slots. */
  needs: SlotUse
  /** Other ways in which its maker lets the plate be fixed, with what it then carries, kg. */
  otherNeeds?: (SlotUse & { capacity?: number })[]
  /** Wall face to the display's back, mm: pushed home, and pulled out for service. */
  depth: { stowed: number, service: number }
  lift?: number
  /** Room that it needs at each side of the display to come out of a recess, mm. */
  sideClearance?: number
  orientations: Orientation[]
  maxCovering?: number
  /** Thickness of the bracket that is screwed to the display, mm. */
  bracket?: number
}

export type Base = 'wood-stud' | 'steel-stud' | 'block' | 'concrete'

/** A fastener into the wall. `thread` is the threaded length without the tip; `yield` in MPa. */
export interface Fastener extends ModelNotes {
  id: string
  name?: string
  kind: string
  base: Base
  diameter: number
  length: number
  root?: number
  thread?: number
  yield?: number
  /** Length of the point, which holds nothing, and pitch of the thread, mm; else by the usual sizes. */
  tip?: number
  pitch?: number
  /** Least distance from the fastener's centre to the member's edge, mm; else by the fastener's rule. */
  edgeDistance?: number
  /** Least distance to a mortar joint, mm. */
  minJointDistance?: number
  /** At and beyond these an anchor bears all that its maker allows, mm; nearer, down to its least edge distance and spacing, less. */
  criticalEdge?: number
  criticalSpacing?: number
  minSpacing?: number
  /** Share of what is allowed that is left at the least edge distance and spacing; else least ÷ critical. */
  edgeFactor?: number
  spacingFactor?: number
  /** The same for shear, where the sheet tells them apart. */
  shearEdgeFactor?: number
  shearSpacingFactor?: number
  /** Turning moment that its maker asks for, N·m. */
  torque?: number
  finish?: 'plain' | 'zinc' | 'coated' | 'galvanised' | 'stainless'
  /** How many are in stock. */
  stock?: number
  /** What the maker allows of one, N, at its embedment, mm, and what stands over the plate: washer and nut, mm. */
  allowable?: { tension: number, shear: number }
  embedment?: number
  head?: number
  /** Thinnest base that the maker allows, mm; else one and a half times the embedment. */
  minThickness?: number
}

/** Screws, washers and spacers that come together, for fixing brackets to displays of one thread; lengths in mm. */
export interface ScrewKit extends ModelNotes {
  id: string
  name: string
  /** Nominal thread diameter, mm. */
  thread: number
  lengths: number[]
  washers: number[]
  spacers: number[]
}

/** A framing member: a stud or its like, upright over the wall's height. */
export interface Framing { id?: string, centre: number, width: number }

/** What carries the load behind the covering. */
export interface Structure {
  kind: Base
  memberWidth?: number
  memberDepth?: number
  spacing?: number
  specificGravity?: number
  /** Steel studs: thickness of the steel, mm, and its tensile strength, MPa. */
  gauge?: number
  steelStrength?: number
  /** Concrete, solid and grouted block: the wall's thickness, mm; concrete: its strength f′c, MPa. */
  thickness?: number
  strength?: number
  block?: { length: number, height: number, joint: number, bond: 'running' | 'stack', origin: Point, unit?: 'hollow' | 'solid' | 'grouted', shell?: number }
  /** Where listed, the framing is taken as known. */
  members?: Framing[]
}

/** One layer between the structure and the room, from the structure outwards. */
export interface Layer { material: string, thickness: number, width?: number, spacing?: number, note?: string }

/** Blocking between members: its height above the floor, mm, and whether it was found or is only suspected. */
export interface Blocking { id: string, y: number, found: boolean }

/** Distance from a plane in front of the wall to its face at a place, mm. */
export interface SurfaceReading { x: number, y: number, distance: number }

/** A line seen from both sides of the wall, for carrying positions across. */
export interface Reference { id: string, front: number, back: number }

export interface Evidence {
  id: string
  method: 'detector-edge' | 'detector-centre' | 'magnet' | 'probe' | 'pilot' | 'knock' | 'seen' | 'outlet' | 'joint'
  x: number
  y: number
  side?: 'front' | 'back'
  reference?: string
  edge?: 'left' | 'right'
  hit?: boolean
  dull?: boolean
  direction?: 'head' | 'bed'
  by?: string
  /** ISO 8601 with zone. */
  at?: string
  note?: string
  /** Name of a picture in the data folder. */
  photo?: string
  /** Why the reading is left out of account; it is kept. */
  setAside?: string
  /** Id of a reading that was deleted, or set aside, and after which the member is named that this one shows, too. */
  namedAfter?: string
}

/** Something on the wall to keep clear of or to reach: x, y is its lower left corner. */
export interface Feature {
  id: string
  kind: string
  x: number
  y: number
  width: number
  height: number
  keepReachable?: boolean
}

export type HorizontalEdge = 'left' | 'centre' | 'right'
export type VerticalEdge = 'top' | 'centre' | 'bottom'

/** Where an array sits: the named edge of its outline is at `value`, mm. */
export interface Placing {
  x: { edge: HorizontalEdge, value: number }
  y: { edge: VerticalEdge, value: number }
}

/** What an array keeps to as the wall changes; an axis that is absent stays where it was put. Lengths in mm. */
export interface Following {
  /** Centred on the wall, or between two features by their ids. */
  x?: { rule: 'wall-centre' | 'between', features?: string[] }
  /** Centre at eye height, or so far above or below a feature. */
  y?: { rule: 'eye' | 'above' | 'below', value: number, feature?: string }
}

/**
 * What a person decided for one wall plate, against what would be worked out: how far it slides from
 * nominal, + to the right, and how far it stands above it, mm; and why.
 */
export interface PlateChoice { row: number, column: number, lateralShift?: number, heightShift?: number, reason?: string }

/** A screen of an array that is not like the others: left out, of another model, or hung another way. */
export interface CellChoice {
  row: number
  column: number
  empty?: boolean
  display?: string
  orientation?: Orientation
  mount?: string
}

/** A hole that a person put elsewhere than where it would be worked out: the rank-th of a plate's row of slots, mm along the wall. */
export interface HoleChoice { row: number, column: number, of: string, rank: number, x: number, reason?: string }

/**
 * What an array's plates stand on where they do not reach members themselves: steel rails, one behind
 * each row of slots, or a board; mm. `web` is the steel's thickness, `moment` what a rail bears, N·m.
 */
export interface Carrier {
  kind: 'rail' | 'board'
  thickness: number
  height?: number
  web?: number
  moment?: number
  /** What its maker allows of one bolt between plate and rail or board, N. */
  bolt?: { tension?: number, shear?: number }
}

/** What goes behind each display of an array: length of the plug, thickness of the cable and of a media player, mm; mass of the player and what else hangs on the mount, kg. */
export interface Behind { plug?: number, cable?: number, player?: number, mass?: number }

/** By what unlike displays in one row, or in one column, are in line. */
export type Alignment = 'case-top' | 'case-bottom' | 'case-left' | 'case-right' | 'picture-top' | 'picture-bottom' | 'picture-left' | 'picture-right' | 'picture-centre'

/**
 * Displays hung together. Row 1 is the top row, column 1 the left one. Without `align` it is a grid
 * of cells of one size; with it, one row or one column of displays each of its own size.
 */
export interface ScreenArray {
  id: string
  name: string
  display: string
  mount?: string
  fastener?: string
  rows: number
  columns: number
  orientation: Orientation
  /** Clear distance between neighbouring cases, mm. */
  gap: Point
  at: Placing
  follows?: Following
  shiftTolerance?: Point
  plates?: PlateChoice[]
  holes?: HoleChoice[]
  carrier?: Carrier
  behind?: Behind
  /** Another use of the plates' slots that their maker allows, in place of the mount's own. */
  needs?: SlotUse
  align?: Alignment
  cells?: CellChoice[]
  /** The screw into the display that a person chose, mm; else the one that fits best from the kits. */
  screw?: number
  /** Spacers under the bracket on the display, mm. */
  spacer?: number
}

/** Another way to arrange a wall, kept beside the one that is worked on. That one's own arrays are the wall's. */
export interface Alternative { id: string, name: string, note?: string, arrays?: ScreenArray[] }

/** A stop that a named person takes upon themselves, and why; ISO 8601 with zone. */
export interface Override {
  code: string
  subject: string
  by: string
  reason: string
  at: string
  /** What was told when it was taken on, lengths in mm; the stop stands again once that is another. */
  told?: string
}

export interface Wall {
  id: string
  name: string
  width: number
  height: number
  structure: Structure
  covering: Layer[]
  references?: Reference[]
  evidence?: Evidence[]
  features?: Feature[]
  blocking?: Blocking[]
  surface?: SurfaceReading[]
  /** What fills the bays: mineral wool, foam; absent where none is known. */
  insulation?: string
  /** Fire rating in minutes; 0 for a wall known to have none. */
  fireRating?: number
  /** Year of the lining, as well as it is known: old ones can hold asbestos and lead. */
  linedIn?: number
  /** Whether people walk along it, so that what stands out of it is in their way. */
  walkway?: boolean
  /** Whether it is wet or damp inside. */
  wet?: boolean
  /** Stops that a named person takes upon themselves. */
  overrides?: Override[]
  /** Design wind of a wall that is outside, m/s; absent inside. */
  windSpeed?: number
  arrays: ScreenArray[]
  /** Clear distance that arrays keep from each other, mm. */
  clearance?: number
  alternatives?: Alternative[]
  /** Which alternative the wall's arrays are, and which one the client has chosen, by id. */
  alternative?: string
  chosen?: string
  /** Where running dimensions start: x on the wall, and what is there. Else the wall's left edge. */
  datum?: { x: number, label: string }
  /** Height of the level line above the floor, mm. Else by the house rule for the first array. */
  levelLine?: number
}

/** What was done, when and by whom; entries are only ever added. */
export interface LogEntry {
  id: string
  /** ISO 8601 with zone. */
  at: string
  by: string
  wall: string
  kind: 'hole'
  /** The hole's id in the plan. */
  hole: string
  /** Where it was drilled, mm. */
  x: number
  y: number
  result: 'hit' | 'miss'
  note?: string
}
