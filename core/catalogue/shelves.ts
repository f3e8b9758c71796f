import type { BoxModel, CableModel, Catalogue, Display, Fastener, Mount, ScrewKit } from '../job'

export type Model = Display | Mount | Fastener | ScrewKit | BoxModel | CableModel
export const MODEL_KINDS = ['display', 'mount', 'fastener', 'screwKit', 'box', 'cable'] as const
export type ModelKind = typeof MODEL_KINDS[number]

/** In which list of a catalogue the models of a kind stand. */
export const SHELVES: Record<ModelKind, keyof Catalogue> = {
  display: 'displays', mount: 'mounts', fastener: 'fasteners', screwKit: 'screwKits', box: 'boxes', cable: 'cables',
}

/** The models of one kind in a catalogue. */
export function modelsOf(catalogue: Catalogue, kind: ModelKind): Model[] {
  return catalogue[SHELVES[kind]] ?? []
}
