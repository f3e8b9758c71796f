import { ANCHOR_NEEDS, type FastenerKind } from './kind'

/** Cuts its own thread in concrete or block. */
export const screwAnchor: FastenerKind = { needs: ANCHOR_NEEDS }
