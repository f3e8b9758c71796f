import type { FastenerKind } from './kind'

/** Folds out behind a board. */
export const hollowWallAnchor: FastenerKind = { needs: {}, opensInCavity: true, holeFromFace: true }
