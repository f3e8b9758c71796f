import type { Figure } from '../units'
import type { LoadCase } from './cases'
import type { ScrewChoice } from './displayScrew'
import type { Drive } from './drive'
import type { Bearer } from './strength'
import type { WireUse } from './wire'

/** One load case of a pair of display and mount, on the fastener that bears it worst. */
export interface FixingCase {
  case: LoadCase
  /** Id and name of that fastener's hole. */
  hole: string
  name: string
  shear: Figure
  tension: Figure
  /** What it may bear there, in that direction. */
  allowable?: { tension: Figure, shear: Figure, together: string }
  utilisation?: number
}

/** What holds the screens of an array that are alike in display and mount. */
export interface Fixing {
  /** Id of a display and of a mount. */
  display: string
  mount: string
  /** How many screens are held so, and how many of them wait, because their plate is not held. */
  count: number
  waiting: number
  bearer: Bearer | undefined
  /** How far a rail or a board holds the plate off the wall, mm. */
  standOff: number
  /** Each case at its worst fastener, the one that governs first; none while every plate waits. */
  cases: FixingCase[]
  screw: ScrewChoice
  drive?: Drive
  /** How far the rail that the plates stand on is bent, where they do. */
  rail?: { figure: Figure, utilisation?: number }
  /** What a fall loads its safety wire with, where the mount gives its figures. */
  wire?: WireUse
}
