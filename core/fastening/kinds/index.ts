import { hollowWallAnchor } from './hollowWallAnchor'
import type { FastenerKind } from './kind'
import { lagScrew } from './lagScrew'
import { screwAnchor } from './screwAnchor'
import { selfDrilling } from './selfDrilling'
import { sleeveAnchor } from './sleeveAnchor'
import { toggle } from './toggle'
import { wedgeAnchor } from './wedgeAnchor'
import { woodScrew } from './woodScrew'

/** Kinds of fastener that have rules: a kind is one file here, and a line in this list; a file may name others. */
export const FASTENER_KINDS: Record<string, FastenerKind> = {
  'lag-screw': lagScrew,
  'wood-screw': woodScrew,
  'self-drilling': selfDrilling,
  'wedge-anchor': wedgeAnchor,
  'sleeve-anchor': sleeveAnchor,
  'screw-anchor': screwAnchor,
  'toggle': toggle,
  'hollow-wall-anchor': hollowWallAnchor,
}
/** Their names, as a job file has them. */
export const FASTENER_KIND_NAMES = Object.keys(FASTENER_KINDS)

/** What is particular to a fastener of its kind; of a kind without rules its maker alone says what it carries. */
export const fastenerKindOf = ({ kind }: { kind: string }): FastenerKind =>
  Object.hasOwn(FASTENER_KINDS, kind) ? FASTENER_KINDS[kind]! : { needs: {} }

export type { FastenerKind, WoodRule } from './kind'
