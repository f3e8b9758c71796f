<script setup lang="ts">
import { Plus, Workflow } from 'lucide-vue-next'
import { itemName, type Source } from '~~/core/job'
import { isOutside, type CircuitPlan } from '~~/core/wire'
import { FEEDERS } from './useCableChoice'

/** The circuits and outlets that can feed the screens, how far each is used, and when each screen starts. */
const store = useWallStore()
const { plan } = useWallPlan()
const { labels, boxOf, oneLine } = useWire()
const { withUnit } = useUnits()
const { readNumber, figure, change } = useSourceFields()
const wiring = computed(() => plan.value?.wiring)
const sources = computed(() =>
  (store.wall?.sources ?? []).filter(({ kind }) => kind === 'circuit' || kind === 'outlet'),
)
/** The number by which the drawing names a circuit, beside the boxes that it feeds. */
const numberOf = (id: string) => (wiring.value?.circuits.findIndex(circuit => circuit.id === id) ?? -1) + 1 || '?'
const planOf = (id: string) => wiring.value?.circuits.find(circuit => circuit.id === id)
/** Outlets on the wall that feed nothing yet. */
const outlets = computed(() =>
  (store.wall?.features ?? []).filter(
    ({ kind, id }) => kind === 'outlet' && !sources.value.some(({ feature }) => feature === id),
  ),
)
const outside = computed(() => store.wall !== undefined && isOutside(store.wall))

const FIGURES = [['amps', 'Breaker (A)'], ['volts', 'Voltage (V)'], ['loaded', 'Other load (A)']] as const
const LOOPS = [{ value: 'chain', label: 'in a chain' }, { value: 'tree', label: 'in a tree' }]
const nameOfBox = (id: string) => itemName(boxOf(id) ?? { id })
/** How current reaches the boxes of a circuit: a chain reads on, a branch names the box that it comes from. */
const chainSaid = ({ chain }: CircuitPlan) => chain
  .map(({ box, from }, n) => n === 0 || from === chain[n - 1]!.box
    ? nameOfBox(box)
    : `${nameOfBox(box)} (from ${boxOf(from) ? nameOfBox(from) : 'the source'})`)
  .join(' → ')
const PROTECTED = [{ value: '', label: 'not known' }, { value: 'yes', label: 'yes' }, { value: 'no', label: 'no' }]
const { optionsFor, bring, take, offersNone } = useCableChoice()
function add(kind: 'circuit' | 'outlet', feature?: string) {
  bring()
  store.edit('Add circuit', wall => addSource(wall, kind, store.siteUnits, feature))
}
function choose(id: string, key: 'cable' | 'cord', model: string) {
  if (model) take('cable', model)
  return change(key === 'cable' ? 'Power cable' : 'Cord', id, { [key]: model || undefined })
}
useCommands([{ id: 'add-circuit', title: 'Add circuit', group: 'Wire', run: () => { add('circuit') } }])
const labelOf = ({ id, kind }: Source) =>
  `${numberOf(id)}: ${kind === 'outlet' ? 'Outlet or its circuit' : 'Circuit, name at the panel'}`
function fedBy(id: string): string {
  const { screens, watts, typical } = planOf(id)!
  if (screens.length === 0) return 'Feeds none of these screens.'
  return `Feeds ${labels(screens)}: max power ${Math.round(watts)} W, typical power ${Math.round(typical)} W.`
}
</script>

<template>
  <div class="space-y-2.5">
    <p v-if="sources.length === 0" class="text-sm">
      Add the circuits that feed the screens: a panel circuit with its breaker, or an existing outlet.
    </p>
    <button
      v-if="wiring && wiring.circuits.some(({ screens }) => screens.length > 0)"
      type="button"
      class="press w-full"
      :aria-pressed="oneLine"
      @click="oneLine = !oneLine"
    >
      <Workflow class="size-4" aria-hidden="true" /> {{ oneLine ? 'Show the wall' : 'Show one-line diagram' }}
    </button>
    <div
      v-if="sources.length > 0"
      class="max-h-68 space-y-2 overflow-y-auto"
      tabindex="0"
      role="group"
      aria-label="Circuits and outlets"
    >
      <SourceCard
        v-for="source in sources"
        :key="source.id"
        class="border-pine"
        :source="source"
        :label="labelOf(source)"
        far="Panel to wall"
      >
        <div class="mt-1 grid grid-cols-3 gap-2">
          <TypedField
            v-for="[key, label] in FIGURES"
            :key="key"
            :label="label"
            :shown="source[key] === undefined ? '' : String(source[key])"
            :read="readNumber"
            :actions="figure(source.id, key)"
          />
        </div>
        <div v-if="source.kind === 'circuit'" class="mt-1 grid grid-cols-2 gap-2">
          <TypedField
            label="Drop before board (%)"
            :shown="source.feederDrop === undefined ? '' : String(source.feederDrop)"
            :read="readNumber"
            :actions="figure(source.id, 'feederDrop')"
          />
          <ChoiceField
            label="Boxes looped"
            :value="source.loop ?? 'chain'"
            :options="LOOPS"
            :commit="value => change('Looping', source.id, { loop: value === 'tree' ? 'tree' : undefined })"
          />
        </div>
        <div class="mt-1 grid grid-cols-2 gap-2">
          <ChoiceField
            v-for="feeder in FEEDERS"
            :key="feeder.key"
            :label="`${feeder.title} for all`"
            :value="source[feeder.key] ?? ''"
            :options="optionsFor(feeder, source[feeder.key])"
            :commit="model => choose(source.id, feeder.key, model)"
          />
        </div>
        <ChoiceField
          v-if="outside"
          class="mt-1"
          label="30 mA RCD protection"
          :value="source.protected === undefined ? '' : source.protected ? 'yes' : 'no'"
          :options="PROTECTED"
          :commit="value => change('RCD protection', source.id, { protected: value === '' ? undefined
            : value === 'yes' })"
        />
        <template v-if="planOf(source.id)" #after>
          <FigureLine label="Circuit load" :figure="planOf(source.id)!.share" />
          <FigureLine v-if="planOf(source.id)!.drop" label="Voltage drop" :figure="planOf(source.id)!.drop!.share" />
          <p v-if="planOf(source.id)!.chain.length > 0" class="text-sm" data-testid="chain">
            Boxes in order: {{ chainSaid(planOf(source.id)!) }}
          </p>
          <p class="py-1 text-sm" data-testid="feeds">
            {{ fedBy(source.id) }}
          </p>
          <p v-if="planOf(source.id)!.screens.length > 1" class="text-xs text-ink-soft">
            Start the screens one after another, the last {{ planOf(source.id)!.starts.at(-1)!.after }} s after the
            first, to limit inrush current on the breaker.
          </p>
        </template>
      </SourceCard>
    </div>
    <p v-if="offersNone.length > 0" class="text-sm text-caution" data-testid="no-cables">
      The firm’s catalogue has no {{ offersNone.join(' and no ').toLowerCase() }}.
      <NuxtLink class="underline" to="/catalogue">
        Add it in the catalogue
      </NuxtLink>
    </p>
    <div class="grid grid-cols-2 gap-2">
      <button type="button" class="press" @click="add('circuit')">
        <Plus class="size-4" aria-hidden="true" /> Add circuit
      </button>
      <button
        v-for="outlet in outlets.slice(0, 1)"
        :key="outlet.id"
        type="button"
        class="press"
        @click="add('outlet', outlet.id)"
      >
        <Plus class="size-4" aria-hidden="true" />
        Use outlet {{ itemName(outlet) }}, {{ withUnit(outlet.x) }} from wall left
      </button>
      <button v-if="outlets.length === 0" type="button" class="press" @click="add('outlet')">
        <Plus class="size-4" aria-hidden="true" /> Add outlet
      </button>
    </div>
    <FigureLine v-if="wiring && wiring.loads.length > 0" label="Heat load" :figure="wiring.heat" />
  </div>
</template>
