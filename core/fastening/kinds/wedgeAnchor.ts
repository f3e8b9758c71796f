import { ANCHOR_NEEDS, type FastenerKind } from './kind'

/** Pulls a wedge against concrete as it is tightened. */
export const wedgeAnchor: FastenerKind = { needs: ANCHOR_NEEDS, fillsItsHole: true }
