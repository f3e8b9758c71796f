import type { Wall } from '../../job'
import type { Load } from '../circuits/draw'

const STAGE = { stage: 'wire' } as const
export const about = (wall: Wall) => ({ ...STAGE, subject: { kind: 'wall', id: wall.id } } as const)
export const aboutBox = (id: string) => ({ ...STAGE, subject: { kind: 'box', id } } as const)
export const aboutScreen = (id: string) => ({ ...STAGE, subject: { kind: 'screen', id } } as const)

/** Names in a list, six of them at most. */
export const some = (names: string[]) =>
  names.slice(0, 6).join(', ') + (names.length > 6 ? ` and ${names.length - 6} more` : '')
export const labels = (list: Pick<Load, 'label'>[]) => some(list.map(({ label }) => label))
