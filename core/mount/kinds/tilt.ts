import type { MountKind } from './kind'

/** Holds its screen at the wall, tilted down by an angle that is set once. */
export const tilt: MountKind = {
  title: 'tilting', staying: 'tilting', pullsOut: false, swings: false, setBefore: 'the tilt',
}
