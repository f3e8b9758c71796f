/**
 * The screens that a cut through the wall shows: one row seen from above, or one column from the side; how far each
 * stands off the wall, and whether it is pulled out.
 */
export function useFaces(cut: 'row' | 'column') {
  const store = useWallStore()
  const { drawn, planned } = useWallPlan()
  const { isLit, selectedOf } = useSelection()
  const { pulled } = usePulled()
  const wall = computed(() => planned.value ?? store.shown)
  const faces = computed(() => (drawn.value?.arrays ?? []).flatMap((array) => {
    const chosen = wall.value?.arrays.find(({ id }) => id === array.id)
    const pointed = array.positions.find(({ id }) => isLit({ kind: 'screen', id }))?.[cut] ?? 1
    return array.positions.filter(position => position[cut] === pointed).map((position) => {
      const display = store.catalogue.displays.find(({ id }) => id === position.model)
      const mount = store.catalogue.mounts.find(({ id }) => id === (position.mount ?? chosen?.mount))
      const chosenHere = position.id === selectedOf('screen')
      // The slider draws out the row that is looked at; else the chosen screen is shown as far out as it goes.
      const row = array.positions.find(({ id }) => id === selectedOf('screen'))?.row ?? array.positions[0]?.row
      const share = pulled.value > 0 ? (position.row === row ? pulled.value : 0) : Number(chosenHere)
      const { stowed = 0, service = 0 } = mount?.depth ?? {}
      const standOff = chosen?.carrier?.thickness ?? 0
      return {
        ...position,
        depth: display?.depth ?? 0,
        standOff,
        off: standOff + stowed + share * (service - stowed),
        out: share > 0,
        lit: isLit({ kind: 'screen', id: position.id }),
      }
    })
  }))
  return { wall, faces }
}
