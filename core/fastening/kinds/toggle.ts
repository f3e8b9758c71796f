import type { FastenerKind } from './kind'

/** A bar that turns across behind a board or a face shell. */
export const toggle: FastenerKind = {
  needs: { allowable: 'allowable tension and shear' }, holeFromFace: true, testedInSheet: true,
}
