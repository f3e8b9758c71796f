import type { MountKind } from './kind'

/** Slides out of the wall on scissors or rails. */
export const pullOut: MountKind = { title: 'pull-out', staying: 'fixed', pullsOut: true, swings: false }
