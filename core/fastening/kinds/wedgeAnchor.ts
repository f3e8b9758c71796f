import { ANCHOR_NEEDS, type FastenerKind } from './kind'

/** Pulls a wedge against concrete as it is tightened. */
export const wedgeAnchor: FastenerKind = { title: 'wedge anchor', needs: ANCHOR_NEEDS }
