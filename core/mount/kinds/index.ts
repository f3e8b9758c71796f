import { arm } from './arm'
import { fixed } from './fixed'
import type { MountKind } from './kind'
import { pullOut } from './pullOut'
import { tilt } from './tilt'
import { tiltingArm } from './tiltingArm'

/** What a mount can be: a kind is one file here, and a line in this list. */
export const MOUNT_KINDS = {
  'pull-out': pullOut,
  'fixed': fixed,
  'tilt': tilt,
  'arm': arm,
  'tilting-arm': tiltingArm,
} as const satisfies Record<string, MountKind>

export type MountKindName = keyof typeof MOUNT_KINDS
/** Their names, as a job file has them. */
export const MOUNT_KIND_NAMES = Object.keys(MOUNT_KINDS) as [MountKindName, ...MountKindName[]]

/** What is particular to a mount of its kind. */
export const mountKindOf = ({ kind }: { kind: MountKindName }): MountKind => MOUNT_KINDS[kind]

/** Whether the screen comes away from the wall on its mount: pulled out in its place, or swung out on an arm. */
export function comesOut(mount: { kind: MountKindName }): boolean {
  const { pullsOut, swings } = mountKindOf(mount)
  return pullsOut || swings
}
