import { ANCHOR_NEEDS, type FastenerKind } from './kind'

/** Spreads a sleeve in concrete or block as it is tightened. */
export const sleeveAnchor: FastenerKind = { needs: ANCHOR_NEEDS, fillsItsHole: true }
