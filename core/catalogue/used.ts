import type { ScreenArray, Wall } from '../job'
import { MODEL_KINDS, type ModelKind } from './kinds'

/** Ids of the models of one kind that an array uses, its screens' own ones too; each once. */
export function modelsUsed({ display, mount, fastener, cells = [] }: ScreenArray, kind: ModelKind): string[] {
  const ids = {
    display: [display, ...cells.map(cell => cell.display)],
    mount: [mount, ...cells.map(cell => cell.mount)],
    fastener: [fastener],
    screwKit: [],
  }[kind]
  return [...new Set(ids)].filter(id => id !== undefined)
}

/** The models that a wall uses, those of all its alternatives, as they may be chosen; each once. */
export function modelsUsedBy({ arrays }: Pick<Wall, 'arrays'>): { kind: ModelKind, id: string }[] {
  return MODEL_KINDS.flatMap(kind => [...new Set(arrays.flatMap(array => modelsUsed(array, kind)))].map(id => ({ kind, id })))
}
