import type { ScreenArray } from '../job'
import type { ModelKind } from './kinds'

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
