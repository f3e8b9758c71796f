import type { FastenerKind } from './kind'

/** Folds out behind a board. */
export const hollowWallAnchor: FastenerKind = { title: 'hollow-wall anchor', needs: {}, opensInCavity: true }
