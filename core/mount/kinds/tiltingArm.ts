import type { MountKind } from './kind'

/** An arm whose head tilts too. */
export const tiltingArm: MountKind = {
  title: 'tilting arm', staying: 'tilting', pullsOut: false, swings: true, setBefore: 'the arm tension and the tilt',
}
