<script setup lang="ts">
import { depthsOf } from '~~/core/mount'

/**
 * What lies behind a screen, stowed and as far out as the slider draws its row; the section beside it shows the same.
 */
const store = useWallStore()
const { array, position, mount, step } = usePlates()
const { withUnit, fineWithUnit, unitOf, typed, readIn } = useUnits()
const { pulled } = usePulled()
const display = computed(() => store.catalogue.displays.find(({ id }) => id === position.value?.model))
const depths = computed(() =>
  array.value && mount.value && display.value ? depthsOf(array.value, mount.value, display.value) : undefined,
)
const travels = computed(() => (depths.value?.service ?? 0) - (depths.value?.stowed ?? 0))
const out = computed(() => (depths.value?.stowed ?? 0) + pulled.value * travels.value)
const clearBehind = (key: 'plug' | 'cable' | 'player') => () =>
  store.edit('Space behind display', wall => clearWhatIsBehind(arrayOf(wall, array.value!.id), key))
const setBehind = (key: 'plug' | 'cable' | 'player') => ({
  commit: (mm: number) =>
    store.edit('Space behind display', (wall) => {
      const edited = arrayOf(wall, array.value!.id)
      edited.behind = { ...edited.behind, [key]: mm }
    }),
})
const setMass = (mass: number | undefined) => mass === undefined
  ? store.edit('Space behind display', wall => clearWhatIsBehind(arrayOf(wall, array.value!.id), 'mass'))
  : store.edit('Space behind display', (wall) => {
      const edited = arrayOf(wall, array.value!.id)
      edited.behind = { ...edited.behind, mass }
    })
const fits = computed(() => depths.value?.need === undefined ? undefined : depths.value.need.value <= out.value + 1e-9)
const fitText = computed(() => {
  if (fits.value === undefined) return 'Enter plug, cable and player sizes to check the fit.'
  const need = depths.value!.need!.value
  const says = fits.value
    ? 'they fit'
    : `${fineWithUnit(need - out.value)} short${pulled.value > 0 ? ' at this pull-out' : ''}`
  return `Plug, cable and player need ${fineWithUnit(need)}: ${says}.`
})
</script>

<template>
  <div v-if="array && position && mount && display && depths" class="space-y-2.5">
    <div class="flex items-center justify-between">
      <button type="button" class="press" aria-label="Previous screen" @click="step(-1)">
        ‹
      </button>
      <h2 class="font-semibold" data-testid="chosen-screen">
        Screen R{{ position.row }} C{{ position.column }}
      </h2>
      <button type="button" class="press" aria-label="Next screen" @click="step(1)">
        ›
      </button>
    </div>
    <label v-if="travels > 0" class="block text-sm">
      <span class="flex justify-between"><span>Pull-out</span><b class="figures">{{ withUnit(out) }} behind the
        display</b></span>
      <input
        v-model.number="pulled"
        type="range"
        min="0"
        max="1"
        step="0.01"
        class="w-full"
        aria-label="Pull-out distance"
        :aria-valuetext="`${withUnit(out)} behind the display`"
        data-testid="pull-out"
      >
    </label>
    <p class="text-sm" :class="fits === false ? 'font-semibold text-stop' : 'text-ink-soft'" data-testid="plug-fit">
      {{ fitText }}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <LengthField
        label="Plug length"
        :value="array.behind?.plug"
        :actions="setBehind('plug')"
        :clear="clearBehind('plug')"
      />
      <LengthField
        label="Cable thickness"
        :value="array.behind?.cable"
        :actions="setBehind('cable')"
        :clear="clearBehind('cable')"
      />
      <LengthField
        label="Player thickness"
        :value="array.behind?.player"
        :actions="setBehind('player')"
        :clear="clearBehind('player')"
      />
      <TypedField
        :label="`Added mass (${unitOf('kg')})`"
        :shown="typed(array.behind?.mass, 'kg')"
        :read="readIn('kg')"
        :actions="{ commit: setMass }"
      />
    </div>
    <div>
      <FigureLine label="Space behind, stowed" :figure="depths.room" />
      <FigureLine v-if="depths.need" label="Space required" :figure="depths.need" />
      <FigureLine label="Screen face from wall" :figure="depths.face" />
      <FigureLine v-if="travels > 0" label="Screen face, pulled out" :figure="depths.faceOut" />
    </div>
  </div>
  <p v-else class="text-sm">
    Choose a mount first.
  </p>
</template>
