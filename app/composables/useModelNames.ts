import type { ModelKind } from '~~/core/catalogue'

/** What models of the firm's catalogue are called; a model that it does not have goes by its id. */
export function useModelNames() {
  const { house, load, modelsOfKind } = useHouseCatalogue()
  if (!house.value) void load()
  return (kind: ModelKind, id: string): string => modelsOfKind(kind).find(model => model.id === id)?.name ?? id
}
