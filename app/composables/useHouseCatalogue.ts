import type { HouseCatalogue } from '~~/core/api/catalogue'
import { createGlobalState } from '@vueuse/core'
import { offered, SHELVES, standingOf, type Model, type ModelKind } from '~~/core/catalogue'
import type { Display, ScrewKit } from '~~/core/job'

/**
 * The firm's catalogue, fetched once and then at hand for as long as the application is open, with signal or without.
 */
export const useHouseCatalogue = createGlobalState(() => {
  const house = shallowRef<HouseCatalogue>()
  const failed = ref('')
  let underWay: Promise<void> | undefined
  async function fetchIt() {
    try {
      house.value = await api<HouseCatalogue>('/catalogue')
      failed.value = ''
    }
    catch (error) {
      failed.value = (error as Error).message
    }
    underWay = undefined
  }
  /** Fetches it anew; later callers wait for the same answer. */
  const load = () => underWay ??= fetchIt()
  const modelsOfKind = (kind: ModelKind): Model[] => house.value?.[SHELVES[kind]] ?? []
  return { house, failed, load, modelsOfKind }
})

/** The models that a wall can take: what the firm offers, and what its site has already. */
export function useModelChoice() {
  const store = useWallStore()
  const { house, load, modelsOfKind } = useHouseCatalogue()
  if (!house.value) void load()
  const own = (kind: ModelKind): Model[] => store.catalogue[SHELVES[kind]] ?? []

  /** The models that can be chosen in the place of the one that is used now. */
  function offeredOf(kind: ModelKind, used: string | undefined): Model[] {
    const ids = new Set(own(kind).map(({ id }) => id))
    const current = new Set(offered(modelsOfKind(kind)).map(({ id }) => id))
    /** No longer offered by the firm; a model that the firm does not have came with a job file and can be used. */
    const gone = ({ id }: Model) => id !== used && !current.has(id) && modelsOfKind(kind).some(model => model.id === id)
    return [
      ...own(kind).filter(model => !gone(model)),
      ...modelsOfKind(kind).filter(({ id }) => current.has(id) && !ids.has(id)),
    ]
  }
  function optionsOf(kind: ModelKind, used: string | undefined, suits: (model: Model) => boolean = () => true) {
    return offeredOf(kind, used).filter(model => model.id === used || suits(model))
      .map(({ id, name }) => ({ value: id, label: name ?? id })).sort((a, b) => a.label.localeCompare(b.label))
  }

  /** Has the wall's site hold a model of the firm's from now on, so that an edit can use it. */
  function take(kind: ModelKind, id: string) {
    const model = modelsOfKind(kind).find(model => model.id === id)
    if (model && !own(kind).some(model => model.id === id)) store.addModel(kind, model)
    if (kind === 'display' && model) takeKit((model as Display).vesa.thread)
  }

  /** A display brings the kit along whose screws go into it. */
  function takeKit(thread: number | undefined) {
    const kit = offered(modelsOfKind('screwKit') as ScrewKit[]).find(kit => kit.thread === thread)
    if (kit && !(own('screwKit') as ScrewKit[]).some(kit => kit.thread === thread)) store.addModel('screwKit', kit)
  }

  /** What the wall should be told of a model that it uses. */
  function standing(kind: ModelKind, id: string | undefined) {
    const used = own(kind).find(model => model.id === id)
    return used && standingOf(used, modelsOfKind(kind))
  }
  return { offeredOf, optionsOf, take, standing }
}
