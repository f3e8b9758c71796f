import type { Cell } from '../arrange'
import type { Point, Rect } from '../geometry'
import type { Base } from '../job'
import type { MadeHole } from '../log'
import type { Strip } from './carrier'
import type { HolePlace } from './holes/holes'
import { screenLabel } from '../job/screenLabel'

/** A hole to make for a plate, mm on the wall. */
export interface Hole extends HolePlace {
  id: string
  /** Which of its row it is, from the left, from 1. */
  rank: number
  y: number
  fastener?: string
  /** Whether it anchors a safety wire, and fixes no plate. */
  secures?: boolean
  /** The sheet behind the covering that it goes into; absent where it goes into the structure. */
  into?: Base
  /** Whether a person put it there. */
  byHand?: boolean
  bit?: number
  depth?: number
  /** What the drill met, where it is made. */
  made?: MadeHole['result']
  /** Ids of the log entries that contradict each other about it. */
  disputes?: string[]
}

/** A wall plate in its place. */
export interface Plate {
  centre: Point
  rect: Rect
  /** How far it is shifted from nominal along the wall and up it. */
  lateralShift: number
  heightShift: number
  /** Whether a person put it there. */
  byHand: boolean
  /** Whether every row that it needs has its fasteners in members. */
  held: boolean
}

/** One screen with its plate and holes. */
export interface MountedCell extends Cell {
  id: string
  plate: Plate
  holes: Hole[]
  /** Where its plate is bolted to the rail or board that it stands on, where it does. */
  bolts?: Hole[]
}

type HandCase = `${'stowed' | 'service' | 'swung'}-hand`
/** In which state a mount is loaded, and by what beside the weight: a hand at the centre, or at its worst point. */
export type LoadCase
  = 'stowed' | 'service' | 'swung' | HandCase | `${HandCase}-${'edge' | 'out' | 'side'}` | 'maker' | 'wind'

/**
 * One load case on the fastener of a plate that bears it worst, by its hole's id, N; `utilisation` is 1 at what it may
 * bear, absent where that is not known.
 */
export interface PlateUse { case: LoadCase, fastener: string, shear: number, tension: number, utilisation?: number }

/** One screen of an array; its plate and holes are absent until a mount is chosen. */
export type Position = Cell & { id: string, crop?: Rect, loads?: PlateUse[] } & Partial<
  Pick<MountedCell, 'plate' | 'holes' | 'bolts'>
>

/** An array as planned: where its cases, plates and holes are, mm on the wall. */
export interface ArrayPlan {
  id: string
  name: string
  outline: Rect
  /** Between the pictures of neighbours. */
  imageGap: Point
  /** Pixels of the picture that drives all its screens. */
  canvas: { width: number, height: number }
  /** Shift of the whole array from where it was placed. */
  shift: Point
  /** Rails or boards that its plates stand on. */
  strips: Strip[]
  /** Row by row from the top, left to right. */
  positions: Position[]
}

/** The holes of a screen that fix its plate. */
export const plateHoles = ({ holes = [] }: Pick<Position, 'holes'>): Hole[] => holes.filter(({ secures }) => !secures)

/** A hole by the row of its plate and its screen, as a sentence begins with it. */
export const holeName = ({ row, column }: Pick<MountedCell, 'row' | 'column'>, hole: Pick<Hole, 'row'>): string =>
  `${hole.row.replace(/^./, letter => letter.toUpperCase())} hole of ${screenLabel({ row, column })}`
