import { ANCHOR_NEEDS, type FastenerKind } from './kind'

/** Cuts its own thread in concrete or block. */
export const screwAnchor: FastenerKind = { title: 'screw anchor', needs: ANCHOR_NEEDS }
