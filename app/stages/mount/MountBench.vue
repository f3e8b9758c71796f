<script setup lang="ts">
/** Mount: where each plate goes and what it stands on, what else would hold it, and how deep everything is. */
const store = useWallStore()
const { array, arrayPlan, positions, position, held, step } = usePlates()
const { clear } = useSelection()
const { follows } = useWallPlan()
const { system } = useUnits()
onMounted(() => { follows.value = true })
onBeforeUnmount(() => { follows.value = false })

const slide = (by: number) =>
  store.edit(`Move plate R${position.value!.row} C${position.value!.column}`, wall =>
    setPlate(wall, array.value!.id, position.value!.row, position.value!.column, {
      lateralShift: position.value!.plate!.lateralShift + by,
    }),
  )
const has = () => position.value?.plate !== undefined
useCommands([
  { id: 'plate-next', title: 'Next screen', group: 'Mount', keys: [']'], run: () => step(1) },
  { id: 'plate-back', title: 'Previous screen', group: 'Mount', keys: ['['], run: () => step(-1) },
])
useCommands(() => {
  const { by, words } = NUDGES[system.value][0]!
  return (
    [
      ['left', -by],
      ['right', by],
    ] as const
  ).map(([way, move]) => ({
    id: `plate-${way}`,
    title: `Move the plate ${words} ${way}`,
    group: 'Mount' as const,
    keys: [`arrow${way}`],
    when: has,
    run: () => slide(move),
  }))
})
const summary = computed(() => {
  if (positions.value.length === 0) return 'Nothing to mount yet'
  const { x, y } = arrayPlan.value!.shift
  const on = array.value?.carrier ? `, on ${array.value.carrier.kind === 'rail' ? 'rails' : 'a board'}` : ''
  return `${held.value} of ${positions.value.length} plates `
    + `fixed${on}${x !== 0 || y !== 0 ? '; the array is shifted' : ''}`
})
const PANELS = computed(
  () =>
    [
      { id: 'plates', title: 'Plates' },
      { id: 'remedies', title: held.value < positions.value.length ? 'Remedies !' : 'Remedies' },
      { id: 'depth', title: 'Depth' },
    ] as const,
)
const panel = useMountPanel()
useCommands(
  (['plates', 'remedies', 'depth'] as const).map(id => ({
    id: `mount-${id}`,
    title: `Mount: ${id}`,
    group: 'Mount' as const,
    when: has,
    run: () => {
      panel.value = id
    },
  })),
)
</script>

<template>
  <BenchFrame stage="mount" title="Mount" :summary="summary">
    <p v-if="!position" class="text-sm">
      Arrange the displays first.
    </p>
    <template v-else>
      <BenchPanels v-model="panel" :panels="PANELS" label="Mount sections" />
      <ChoiceField
        v-if="store.arrays.length > 1"
        inline
        label="Array"
        :value="array!.id"
        :options="store.arrays.map(({ id, name }) => ({ value: id, label: name }))"
        :commit="(id) => { store.arrayId = id; clear(); return [] }"
      />
      <PlatesPanel v-if="panel === 'plates'" />
      <LazyRemediesPanel v-else-if="panel === 'remedies'" />
      <LazyDepthPanel v-else />
    </template>
  </BenchFrame>
</template>
