/** The screens that a cut through the wall shows: one row seen from above, or one column from the side; how far each stands off the wall, and whether it is pulled out. */
export function useFaces(cut: 'row' | 'column') {
  const store = useWallStore()
  const { plan, planned } = useWallPlan()
  const { hovered, selected } = useSelection()
  const wall = computed(() => planned.value ?? store.shown)
  const faces = computed(() => (plan.value?.arrays ?? []).flatMap((array) => {
    const chosen = wall.value?.arrays.find(({ id }) => id === array.id)
    const pointed = array.positions.find(({ id }) => [hovered.value, selected.value].includes(id))?.[cut] ?? 1
    return array.positions.filter(position => position[cut] === pointed).map((position) => {
      const display = store.catalogue.displays.find(({ id }) => id === position.model)
      const mount = store.catalogue.mounts.find(({ id }) => id === (position.mount ?? chosen?.mount))
      const out = position.id === selected.value
      return { ...position, depth: display?.depth ?? 0, off: (out ? mount?.depth.service : mount?.depth.stowed) ?? 0, out, lit: out || position.id === hovered.value }
    })
  }))
  return { wall, faces }
}
