<script setup lang="ts">
import { Hand } from 'lucide-vue-next'
import { holeHeightFromBottomEdge, marginFigure, plateAcross } from '~~/core/mount'
import type { Model } from '~~/core/catalogue'
import { basesOf, choiceName, isSheet, structureKindOf, type Fastener, type HoleChoice } from '~~/core/job'
import { carryingWall, wallFor } from '~~/core/survey'

/** One plate: where it was calculated to be, what a person decides instead, the sum behind its holes, and each hole. */
const store = useWallStore()
const { piece } = usePiece()
const { array, arrayPlan, position, mount, step } = usePlates()
const { select, selectedOf } = useSelection()
const { show, fineWithUnit } = useUnits()
const carrying = computed(() => carryingWall(store.wall!, store.rules))
const onBlock = computed(() => structureKindOf(carrying.value.structure).units !== undefined)
const travel = computed(() => ({
  lateral: mount.value?.adjust?.lateral ?? 0,
  height: mount.value?.adjust?.height ?? 0,
}))
const own = computed(() =>
  array.value?.plates?.find(({ row, column }) => row === position.value?.row && column === position.value.column),
)
const name = computed(() => `R${position.value!.row} C${position.value!.column}`)

type Change = Parameters<typeof setPlate>[4]
const recipe = (change: Change) => (wall: Parameters<typeof setPlate>[0]) =>
  setPlate(wall, array.value!.id, position.value!.row, position.value!.column, change)
const slid = (key: 'lateralShift' | 'heightShift') => ({
  tryOut: (mm: number) => store.tryOut(recipe({ [key]: mm })),
  commit: (mm: number) => store.edit(`Move plate ${name.value}`, recipe({ [key]: mm })),
})
const because = (reason: string) =>
  own.value ? store.edit(`Reason for moving ${name.value}`, recipe({ reason: reason || undefined })) : []
const release = () =>
  store.edit(
    `Reset plate ${name.value}`,
    recipe({ lateralShift: undefined, heightShift: undefined, reason: undefined }),
  )

const tolerance = (axis: 'x' | 'y') => ({ commit: (mm: number) => store.edit('Array adjustment', (wall) => {
  const edited = arrayOf(wall, array.value!.id)
  edited.shiftTolerance = { x: 0, y: 0, ...edited.shiftTolerance, [axis]: mm }
}) })
const way = (by: number, less: string, more: string) =>
  by === 0 ? '' : `${fineWithUnit(Math.abs(by))} ${by < 0 ? less : more}`
const shifted = computed(() => {
  const { x, y } = arrayPlan.value?.shift ?? { x: 0, y: 0 }
  return [way(x, 'left', 'right'), way(y, 'down', 'up')].filter(Boolean).join(' and ') || 'not shifted'
})

const rows = computed(() => {
  const slots = mount.value?.plate.slots ?? []
  return (mount.value?.needs.rows ?? []).flatMap((row) => {
    const slot = slots.find(slot => slot.row === row)
    return position.value?.plate && slot
      ? [
          {
            row,
            figure: holeHeightFromBottomEdge(position.value, mount.value!, slot, position.value.plate.heightShift),
          },
        ]
      : []
  })
})
const chosenHole = computed(() => position.value?.holes?.find(({ id }) => id === selectedOf('hole')))
const { plan } = useWallPlan()
const spare = computed(
  () =>
    chosenHole.value
    && marginFigure(
      chosenHole.value,
      plan.value?.members ?? [],
      store.catalogue.fasteners.find(({ id }) => id === array.value?.fastener),
    ),
)
const ownHole = computed(() => {
  const { row: of, rank } = chosenHole.value ?? {}
  return array.value?.holes?.find(
    hole =>
      hole.row === position.value?.row && hole.column === position.value.column && hole.of === of && hole.rank === rank,
  )
})
function putHole(change: Partial<HoleChoice> | undefined) {
  const { row: of, rank, x } = chosenHole.value!
  return store.edit('Move hole', wall =>
    setHole(wall, array.value!.id, { row: position.value!.row, column: position.value!.column, of, rank, x }, change),
  )
}

const { optionsOf, take } = useModelChoice()
const fasteners = computed(() =>
  optionsOf('fastener', array.value?.fastener, (model: Model) =>
    basesOf(carrying.value).includes((model as Fastener).base),
  ),
)
function chooseFastener(id: string) {
  take('fastener', id)
  return store.edit('Fastener', (wall) => { arrayOf(wall, array.value!.id).fastener = id })
}
/** What a hole goes into whose place needs no clearance. */
const solid = computed(() => {
  const fastener = store.catalogue.fasteners.find(({ id }) => id === array.value?.fastener)
  const { kind } = wallFor(carrying.value, fastener?.base).structure
  return isSheet(kind) ? choiceName(kind) : kind === 'concrete' ? 'solid' : `no ${piece.value}`
})
const told = (margin: number | undefined) => margin === undefined
  ? solid.value
  : margin < -1e-9 ? `misses by ${fineWithUnit(-margin)}` : `edge clearance ${fineWithUnit(margin)}`
</script>

<template>
  <div v-if="array" class="space-y-2.5">
    <ChoiceField inline label="Fastener" :value="array.fastener ?? ''" :options="fasteners" :commit="chooseFastener" />
    <div class="grid gap-2" :class="onBlock ? 'grid-cols-2' : ''">
      <LengthField
        label="Array lateral adjustment"
        :value="array.shiftTolerance?.x ?? 0"
        :hint="`Now: ${shifted}`"
        :actions="tolerance('x')"
      />
      <LengthField
        v-if="onBlock"
        label="Array height adjustment"
        :value="array.shiftTolerance?.y ?? 0"
        :actions="tolerance('y')"
      />
    </div>
    <template v-if="position?.plate && mount">
      <div class="flex items-center justify-between border-t border-hair pt-2">
        <button type="button" class="press" aria-label="Previous screen" @click="step(-1)">
          ‹
        </button>
        <h2 class="text-center font-semibold" data-testid="chosen-screen">
          Screen {{ name }}<span
            class="block text-xs font-normal"
            :class="position.plate.held ? 'text-good' : 'text-stop'"
          >{{ position.plate.held ? 'fixed' : 'not fixed' }}{{ position.plate.byHand ? ', placed manually'
            : '' }}</span>
        </h2>
        <button type="button" class="press" aria-label="Next screen" @click="step(1)">
          ›
        </button>
      </div>
      <div class="grid grid-cols-2 gap-2">
        <LengthField
          :key="position.id"
          label="Lateral adjustment"
          :value="position.plate.lateralShift"
          :hint="`+ is right; max ± ${fineWithUnit(travel.lateral)}`"
          :actions="slid('lateralShift')"
        />
        <LengthField
          :key="`${position.id} up`"
          label="Height adjustment"
          :value="position.plate.heightShift"
          :hint="`+ is up; max ± ${fineWithUnit(travel.height)}`"
          :actions="slid('heightShift')"
        />
      </div>
      <ByHand
        v-if="own"
        :key="`${position.id} why`"
        label="Reason for this position"
        :reason="own.reason"
        :because="because"
        @release="release"
      />
      <div>
        <FigureLine
          label="Plate centre from wall left"
          :figure="plateAcross(position, mount, position.plate.lateralShift)"
        />
        <FigureLine
          v-for="{ row, figure } in rows"
          :key="row"
          :label="`${row.replace(/^./, letter => letter.toUpperCase())} holes above floor`"
          :figure="figure"
        />
      </div>
      <ul class="text-sm" aria-label="Holes of this plate">
        <li v-for="hole in position.holes" :key="hole.id" class="border-b border-hair">
          <button
            type="button"
            class="flex min-h-7 w-full items-center justify-between gap-2 text-left"
            :class="{ 'font-semibold': hole.id === selectedOf('hole') }"
            :aria-pressed="hole.id === selectedOf('hole')"
            @click="hole.id === selectedOf('hole') ? select('screen', position.id) : select('hole', hole.id)"
          >
            <span class="flex items-center gap-1">{{ hole.row }} at <b class="figures">{{ show(hole.x) }}</b><Hand
              v-if="hole.byHand"
              class="size-4 text-chalk"
              aria-label="placed manually"
            /></span>
            <span
              :class="hole.margin !== undefined && hole.margin < -1e-9 ? 'font-semibold text-stop'
                : 'text-ink-soft'"
            >{{ told(hole.margin) }}</span>
          </button>
        </li>
        <li v-if="position.holes?.length === 0" class="text-ink-soft">
          On rails: its holes are listed with the neighbouring plates.
        </li>
      </ul>
      <FigureLine v-if="spare" :key="`${chosenHole!.id} spare`" label="Edge clearance of hole" fine :figure="spare" />
      <template v-if="chosenHole && !array.carrier">
        <LengthField
          :key="chosenHole.id"
          label="Hole position"
          :value="chosenHole.x"
          :actions="{ commit: mm => putHole({ x: mm }) }"
        />
        <ByHand
          v-if="ownHole"
          :key="`${chosenHole.id} why`"
          label="Reason"
          :reason="ownHole.reason"
          :because="reason => putHole({ reason: reason || undefined })"
          @release="putHole(undefined)"
        />
      </template>
    </template>
  </div>
</template>
