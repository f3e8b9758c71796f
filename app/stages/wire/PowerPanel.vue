<script setup lang="ts">
import { Plus } from 'lucide-vue-next'
import { isOutside } from '~~/core/wire'

/** The circuits and outlets that can feed the screens, how far each is used, and when each screen starts. */
const store = useWallStore()
const { plan } = useWallPlan()
const { labels } = useWire()
const { readNumber, figure, change } = useSourceFields()
const wiring = computed(() => plan.value?.wiring)
const sources = computed(() => (store.wall?.sources ?? []).filter(({ kind }) => kind === 'circuit' || kind === 'outlet'))
/** The number by which the drawing names a circuit, beside the boxes that it feeds. */
const numberOf = (id: string) => (wiring.value?.circuits.findIndex(circuit => circuit.id === id) ?? -1) + 1 || '?'
const planOf = (id: string) => wiring.value?.circuits.find(circuit => circuit.id === id)
/** Outlets on the wall that feed nothing yet. */
const outlets = computed(() => (store.wall?.features ?? []).filter(({ kind, id }) => kind === 'outlet' && !sources.value.some(({ feature }) => feature === id)))
const outside = computed(() => store.wall !== undefined && isOutside(store.wall))

const FIGURES = [['amps', 'Breaker, A'], ['volts', 'Volts'], ['loaded', 'Already on, A']] as const
const PROTECTED = [{ value: '', label: 'not known' }, { value: 'yes', label: 'yes' }, { value: 'no', label: 'no' }]
const add = (kind: 'circuit' | 'outlet', feature?: string) => store.edit('Add a circuit', wall => addSource(wall, kind, store.siteUnits, feature))
useCommands([{ id: 'add-circuit', title: 'Add a circuit', group: 'Wire', run: () => { add('circuit') } }])
</script>

<template>
  <div class="space-y-2.5">
    <p v-if="sources.length === 0" class="text-sm">
      Say what can feed the screens: a circuit of the panel with its breaker, or an outlet that is there.
    </p>
    <div v-if="sources.length > 0" class="max-h-64 space-y-2 overflow-y-auto" tabindex="0" role="group" aria-label="Circuits and outlets">
      <SourceCard v-for="source in sources" :key="source.id" class="border-pine" :source="source" :label="`${numberOf(source.id)}: ${source.kind === 'outlet' ? 'outlet, or its circuit' : 'circuit, as at the panel'}`" far="Panel to wall">
        <div class="mt-1 grid grid-cols-3 gap-2">
          <TypedField v-for="[key, label] in FIGURES" :key="key" :label="label" :shown="source[key] === undefined ? '' : String(source[key])" :read="readNumber" :actions="figure(source.id, key)" />
        </div>
        <ChoiceField v-if="outside" class="mt-1" label="Protected by a device of 30 mA" :value="source.protected === undefined ? '' : source.protected ? 'yes' : 'no'" :options="PROTECTED" :commit="value => change('Protection', source.id, { protected: value === '' ? undefined : value === 'yes' })" />
        <template v-if="planOf(source.id)" #after>
          <FigureLine label="Share of the breaker" :figure="planOf(source.id)!.share" />
          <p class="py-1 text-sm" data-testid="feeds">
            {{ planOf(source.id)!.screens.length === 0 ? 'Feeds none of these screens.' : `Feeds ${labels(planOf(source.id)!.screens)}: ${Math.round(planOf(source.id)!.watts)} W at most, ${Math.round(planOf(source.id)!.typical)} W as a rule.` }}
          </p>
          <p v-if="planOf(source.id)!.screens.length > 1" class="text-xs text-ink-soft">
            Start one after another, the last {{ planOf(source.id)!.starts.at(-1)!.after }} s after the first, so that the breaker bears it.
          </p>
        </template>
      </SourceCard>
    </div>
    <div class="grid grid-cols-2 gap-2">
      <button type="button" class="press" @click="add('circuit')">
        <Plus class="size-4" aria-hidden="true" /> Add a circuit
      </button>
      <button v-for="outlet in outlets.slice(0, 1)" :key="outlet.id" type="button" class="press" @click="add('outlet', outlet.id)">
        <Plus class="size-4" aria-hidden="true" /> Use {{ outlet.id }}
      </button>
      <button v-if="outlets.length === 0" type="button" class="press" @click="add('outlet')">
        <Plus class="size-4" aria-hidden="true" /> Add an outlet
      </button>
    </div>
    <FigureLine v-if="wiring && wiring.loads.length > 0" label="Heat in the room" :figure="wiring.heat" />
  </div>
</template>
