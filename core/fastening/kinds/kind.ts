import type { Figure, Text, UnitSystem } from '../../units'

/** What of a screw in wood its rules look at; lengths in mm. */
export interface WoodScrew { diameter: number, root?: number | undefined }

/** How a screw in wood is reckoned. */
export interface WoodRule {
  /** Its withdrawal value for each inch of thread in the wood, lbf/in, of a diameter in inches. */
  withdrawal: (inches: number, gravity: number) => number
  /** The same as it is worked out, with the figures in it, and the standard's section. */
  withdrawalSum: (inches: number, gravity: number) => Text
  source: string
  /** How much of its end is its point, mm, where its maker does not say. */
  tip: (diameter: number) => number
  /** Whether its bearing depends on the grain (NDS 12.3.3). */
  feelsGrain: (diameter: number) => boolean
  /** The bit of its lead hole with its working; undefined where no bit that is sold keeps the rule. */
  lead: (screw: WoodScrew, gravity: number, units: UnitSystem) => Figure | undefined
  /** How much of it must be in the wood, in diameters: of its thread alone, or of all of it. */
  seat: { of: 'thread' | 'shank', diameters: number, rule: string }
  /** Whether its strength is drawn against how deep it is set. */
  drawsDepth: boolean
}

/** One kind of fastener: all that is particular to it. */
export interface FastenerKind {
  /** The figures that its sums need, by their keys, and what each is called. */
  needs: Record<string, string>
  /** How it is reckoned in wood, where it is a screw for wood. */
  wood?: WoodRule
  /** Whether it cuts its own thread in sheet steel. */
  cutsSteel?: true
  /** Whether it is set in a hole of its own diameter where its maker gives no other. */
  fillsItsHole?: true
  /** Whether it drills its own hole. */
  drillsItself?: true
  /** Whether its hole is drilled through to a cavity, its depth counted from the face. */
  holeFromFace?: true
  /** Whether its capacity is for the steel that it was tested in. */
  testedInSheet?: true
  /** Whether it opens in a cavity: it holds a board, and a house rule says whether that counts. */
  opensInCavity?: true
}

/** What the sums of a screw in wood need, and of an anchor in concrete or block. */
export const SCREW_NEEDS = { root: 'root diameter', thread: 'thread length without tip', yield: 'bending yield' }
export const ANCHOR_NEEDS = {
  allowable: 'allowable tension and shear', embedment: 'embedment', edgeDistance: 'minimum edge distance',
}
