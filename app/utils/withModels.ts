import type { Catalogue } from '~~/core/job'

/** A catalogue with those models that it does not have yet. */
export function withModels(catalogue: Catalogue, models: Partial<Catalogue>): Catalogue {
  return { ...catalogue, ...Object.fromEntries(Object.entries(models).map(([list, added]) => {
    const own = catalogue[list as keyof Catalogue] ?? []
    return [list, [...own, ...added.filter(({ id }) => !own.some(model => model.id === id))]]
  })) }
}
