import type { MountKind } from './kind'

/** Swings its screen out and to either side. */
export const arm: MountKind = {
  title: 'arm', staying: 'fixed', pullsOut: false, swings: true, setBefore: 'the arm tension',
}
