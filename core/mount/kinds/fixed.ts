import type { MountKind } from './kind'

/** Holds its screen flat to the wall. */
export const fixed: MountKind = { title: 'fixed', staying: 'fixed', pullsOut: false, swings: false }
