<script setup lang="ts">
import type { Model } from '~~/core/catalogue'
import type { Fastener } from '~~/core/job'
import { holeHeightFromBottomEdge, plateAcross } from '~~/core/mount'

/** Mount: one screen's plate, how far it is slid, and the sum behind its holes. */
const store = useWallStore()
const { plan } = useWallPlan()
const { selected } = useSelection()
const { showFine, show, suffix } = useUnits()
const array = computed(() => store.array)
const mount = computed(() => store.catalogue.mounts.find(({ id }) => id === array.value?.mount))
const positions = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id)?.positions ?? [])
const position = computed(() => positions.value.find(({ id, holes }) => id === selected.value || holes?.some(hole => hole.id === selected.value)) ?? positions.value[0])
const held = computed(() => positions.value.filter(({ plate }) => plate?.held).length)

function step(by: number) {
  const count = positions.value.length
  if (count === 0 || !position.value) return
  const at = positions.value.indexOf(position.value)
  selected.value = positions.value[(at + by + count) % count]!.id
}
const travel = computed(() => mount.value?.adjust?.lateral ?? 0)
const shift = (mm: number | undefined) => store.edit(`Shift plate R${position.value!.row} C${position.value!.column}`, wall => setPlate(wall, array.value!.id, position.value!.row, position.value!.column, { lateralShift: mm }))
const tryShift = (mm: number) => store.tryOut(wall => setPlate(wall, array.value!.id, position.value!.row, position.value!.column, { lateralShift: mm }))
const slide = (by: number) => position.value?.plate && shift(position.value.plate.lateralShift + by)
const has = () => position.value?.plate !== undefined
useCommands([
  { id: 'plate-next', title: 'Next screen', group: 'Mount', keys: [']'], run: () => step(1) },
  { id: 'plate-back', title: 'Screen before', group: 'Mount', keys: ['['], run: () => step(-1) },
  { id: 'plate-left', title: 'Slide the plate 1 mm left', group: 'Mount', keys: ['arrowleft'], when: has, run: () => slide(-1) },
  { id: 'plate-right', title: 'Slide the plate 1 mm right', group: 'Mount', keys: ['arrowright'], when: has, run: () => slide(1) },
])
const rows = computed(() => {
  const cell = position.value
  const slots = mount.value?.plate.slots ?? []
  return (mount.value?.needs.rows ?? []).flatMap((row) => {
    const slot = slots.find(slot => slot.row === row)
    return cell && slot ? [{ row, figure: holeHeightFromBottomEdge(cell, mount.value!, slot) }] : []
  })
})
const { optionsOf, take } = useModelChoice()
const fasteners = computed(() => optionsOf('fastener', array.value?.fastener, (model: Model) => (model as Fastener).base === store.wall?.structure.kind))
function chooseFastener(id: string) {
  take('fastener', id)
  return store.edit('Fastener', (wall) => { arrayOf(wall, array.value!.id).fastener = id })
}
const summary = computed(() => positions.value.length > 0 ? `${held.value} of ${positions.value.length} plates held` : 'Nothing to mount yet')
</script>

<template>
  <BenchFrame stage="mount" title="Mount" :summary="summary">
    <p v-if="!position" class="text-sm">
      Arrange the displays first.
    </p>
    <ChoiceField v-if="array" inline label="Fastener" :value="array.fastener ?? ''" :options="fasteners" :commit="chooseFastener" />
    <template v-if="position?.plate && mount">
      <div class="flex items-center justify-between">
        <button type="button" class="press" aria-label="Screen before" @click="step(-1)">
          ‹
        </button>
        <h2 class="font-semibold" data-testid="chosen-screen">
          Screen R{{ position.row }} C{{ position.column }}
        </h2>
        <button type="button" class="press" aria-label="Next screen" @click="step(1)">
          ›
        </button>
      </div>
      <LengthField
        :key="position.id"
        label="Plate slid from nominal, + to the right"
        :value="position.plate.lateralShift"
        :hint="`Slides ${showFine(travel)} ${suffix} either way`"
        :actions="{ tryOut: tryShift, commit: shift }"
      />
      <div>
        <FigureLine label="Plate centre along the wall" :figure="plateAcross(position, mount, position.plate.lateralShift)" />
        <FigureLine v-for="{ row, figure } in rows" :key="row" :label="`${row} holes above the floor`" :figure="figure" />
      </div>
      <ul class="text-sm">
        <li v-for="hole in position.holes" :key="hole.id" class="flex justify-between border-b border-hair py-0.5">
          <span>{{ hole.row }} hole at <b class="figures">{{ show(hole.x) }}</b></span>
          <span v-if="hole.margin !== undefined" :class="hole.margin < -1e-9 ? 'font-semibold text-stop' : 'text-ink-soft'">{{ hole.margin < -1e-9 ? `misses by ${showFine(-hole.margin)}` : `${showFine(hole.margin)} to spare` }}</span>
          <span v-else class="text-ink-soft">{{ plan?.members.length ? 'no member' : 'margin not known' }}</span>
        </li>
      </ul>
    </template>
  </BenchFrame>
</template>
