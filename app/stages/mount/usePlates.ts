import { mountModels, type Position } from '~~/core/mount'

/** The plates of the array that is worked on, and the screen among them that is looked at. */
export function usePlates() {
  const store = useWallStore()
  const { plan, placed } = useWallPlan()
  const { select, selectedOf } = useSelection()
  const array = computed(() => store.array)
  const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))
  const positions = computed<Position[]>(() => arrayPlan.value?.positions ?? [])
  const position = computed(
    () =>
      positions.value.find(
        ({ id, holes }) => id === selectedOf('screen') || holes?.some(hole => hole.id === selectedOf('hole')),
      ) ?? positions.value[0],
  )
  const mountOf = (position: Position | undefined) =>
    array.value && position ? mountModels(array.value, store.catalogue)(position) : undefined
  const mount = computed(() => mountOf(position.value))
  const held = computed(
    () =>
      placed.value?.find(({ id }) => id === array.value?.id)?.plates.filter(({ held }) => held).length
      ?? positions.value.filter(({ plate }) => plate?.held).length,
  )
  function step(by: number) {
    const count = positions.value.length
    if (count === 0 || !position.value) return
    select('screen', positions.value[(positions.value.indexOf(position.value) + by + count) % count]!.id)
  }
  return { array, arrayPlan, positions, position, mount, held, step }
}
