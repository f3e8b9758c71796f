<script setup lang="ts">
import { Plus, X } from 'lucide-vue-next'
import type { Source } from '~~/core/job'

/** The circuits and outlets that can feed the screens, how far each is used, and when each screen starts. */
const store = useWallStore()
const { plan } = useWallPlan()
const wiring = computed(() => plan.value?.wiring)
const sources = computed(() => (store.wall?.sources ?? []).filter(({ kind }) => kind === 'circuit' || kind === 'outlet'))
/** The number by which the drawing names a circuit, beside the boxes that it feeds. */
const numberOf = (id: string) => (wiring.value?.circuits.findIndex(circuit => circuit.id === id) ?? -1) + 1 || '?'
const planOf = (id: string) => wiring.value?.circuits.find(circuit => circuit.id === id)
const labelOf = computed(() => new Map(wiring.value?.loads.map(({ screen, label }) => [screen, label])))
const labels = (screens: string[]) => screens.map(screen => labelOf.value.get(screen) ?? screen).join(', ')
/** Outlets on the wall that feed nothing yet. */
const outlets = computed(() => (store.wall?.features ?? []).filter(({ kind, id }) => kind === 'outlet' && !sources.value.some(({ feature }) => feature === id)))

const FIGURES: [keyof Source & ('amps' | 'volts' | 'loaded'), string][] = [['amps', 'Breaker, A'], ['volts', 'Volts'], ['loaded', 'Already on, A']]
function read(text: string): Read<number | undefined> {
  const typed = text.trim().replace(',', '.')
  if (typed === '') return { ok: true, value: undefined }
  return Number.isFinite(Number(typed)) ? { ok: true, value: Number(typed) } : { ok: false, message: `“${text}” is not a number` }
}
const figureOf = (id: string, key: typeof FIGURES[number][0]): FieldActions<number | undefined> => ({
  tryOut: value => store.tryOut(wall => editSource(wall, id, { [key]: value })),
  commit: value => store.edit('Figure of a circuit', wall => editSource(wall, id, { [key]: value })),
})
const nameIt = (id: string, text: string) => store.edit('Name of a circuit', wall => editSource(wall, id, { name: text || undefined }))
const add = (kind: 'circuit' | 'outlet', feature?: string) => store.edit('Add a circuit', wall => addSource(wall, kind, store.siteUnits, feature))
useCommands([{ id: 'add-circuit', title: 'Add a circuit', group: 'Wire', run: () => { add('circuit') } }])
</script>

<template>
  <div class="space-y-2.5">
    <p v-if="sources.length === 0" class="text-sm">
      Say what can feed the screens: a circuit of the panel with its breaker, or an outlet that is there.
    </p>
    <section v-for="source in sources" :key="source.id" class="border-l-4 border-pine bg-paper px-2 py-1.5" :data-source="source.id" :aria-label="source.name ?? source.id">
      <div class="flex items-end gap-2">
        <NoteField class="flex-1" :label="`${numberOf(source.id)}: ${source.kind === 'outlet' ? 'outlet, or its circuit' : 'circuit, as at the panel'}`" :value="source.name ?? ''" :commit="text => nameIt(source.id, text)" />
        <button type="button" class="press !px-2" :aria-label="`Take ${source.name ?? source.id} away`" @click="store.edit('Take a circuit away', wall => removeSource(wall, source.id))">
          <X class="size-4" aria-hidden="true" />
        </button>
      </div>
      <div class="mt-1 grid grid-cols-3 gap-2">
        <TypedField v-for="[key, label] in FIGURES" :key="key" :label="label" :shown="source[key] === undefined ? '' : String(source[key])" :read="read" :actions="figureOf(source.id, key)" />
      </div>
      <template v-if="planOf(source.id)">
        <FigureLine label="Share of the breaker" :figure="planOf(source.id)!.share" />
        <p class="py-1 text-sm" data-testid="feeds">
          {{ planOf(source.id)!.screens.length === 0 ? 'Feeds none of these screens.' : `Feeds ${labels(planOf(source.id)!.screens)}: ${Math.round(planOf(source.id)!.watts)} W at most, ${Math.round(planOf(source.id)!.typical)} W as a rule.` }}
        </p>
        <p v-if="planOf(source.id)!.screens.length > 1" class="text-xs text-ink-soft">
          Start one after another, the last {{ planOf(source.id)!.starts.at(-1)!.after }} s after the first, so that the breaker bears it.
        </p>
      </template>
    </section>
    <div class="grid grid-cols-2 gap-2">
      <button type="button" class="press" @click="add('circuit')">
        <Plus class="size-4" aria-hidden="true" /> Add a circuit
      </button>
      <button v-for="outlet in outlets.slice(0, 1)" :key="outlet.id" type="button" class="press" @click="add('outlet', outlet.id)">
        <Plus class="size-4" aria-hidden="true" /> Use {{ outlet.id }}
      </button>
    </div>
    <FigureLine v-if="wiring && wiring.loads.length > 0" label="Heat in the room" :figure="wiring.heat" />
  </div>
</template>
