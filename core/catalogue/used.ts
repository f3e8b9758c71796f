import type { ScreenArray, Wall } from '../job'
import { MODEL_KINDS, type ModelKind } from './shelves'

/** Ids of the models of one kind that an array uses, its screens' own ones too; each once. */
export function modelsUsed({ display, mount, fastener, cells = [] }: ScreenArray, kind: ModelKind): string[] {
  const ids = {
    display: [display, ...cells.map(cell => cell.display)],
    mount: [mount, ...cells.map(cell => cell.mount)],
    fastener: [fastener],
    screwKit: [], box: [], cable: [],
  }[kind]
  return [...new Set(ids)].filter(id => id !== undefined)
}

/** The models that a wall uses, those of all its alternatives, as they may be chosen; each once. */
export function modelsUsedBy({
  arrays,
  boxes = [],
}: Pick<Wall, 'arrays' | 'boxes'>): { kind: ModelKind, id: string }[] {
  const of = (kind: ModelKind) =>
    kind === 'box' ? boxes.map(({ model }) => model) : arrays.flatMap(array => modelsUsed(array, kind))
  return MODEL_KINDS.flatMap(kind => [...new Set(of(kind))].map(id => ({ kind, id })))
}
