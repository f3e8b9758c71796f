<script setup lang="ts">
import type { CableModel, Source } from '~~/core/job'
import { carriesOf } from '~~/core/wire'
import { cableTypeOf, LINK_KINDS } from '~~/core/wire/cables/linkKinds'

/**
 * A player, a rack or a data plate: what it carries, to each screen or in a chain, where it is, and which of its ports
 * are used.
 */
const { source } = defineProps<{ source: Source }>()
const { plan } = useWallPlan()
const { withUnit } = useUnits()
const { offeredOf, take } = useModelChoice()
const { readNumber, figure, change } = useSourceFields()
const { labels } = useWire()
const NOT_SIGNAL = new Set(['power', 'cord', 'loop'])
const kinds = computed(() =>
  [...new Set([
    ...(offeredOf('cable', undefined) as CableModel[]).map(({ kind }) => kind),
    ...Object.keys(LINK_KINDS), source.carries ?? '',
  ])]
    .filter(kind => kind && !NOT_SIGNAL.has(kind))
    .map(kind => ({ value: kind, label: LINK_KINDS[kind]?.title ?? kind }))
    .sort((a, b) => a.label.localeCompare(b.label)),
)
const carries = computed(() => carriesOf(source, offeredOf('cable', undefined) as CableModel[]))
const BY = [{ value: 'each', label: 'one cable per screen' }, { value: 'chain', label: 'daisy chain' }]
/** The site holds every cable of the kind from then on, so that the one that reaches can be chosen. */
function bring(kind: string) {
  for (const cable of offeredOf('cable', undefined) as CableModel[])
    if (cable.kind === cableTypeOf(kind) || cable.kind === 'loop') take('cable', cable.id)
}
function carry(kind: string) {
  bring(kind)
  return change('Signal type', source.id, { carries: kind })
}
const links = computed(() => plan.value?.wiring.links.filter(link => link.source.id === source.id) ?? [])
const hops = computed(
  () =>
    plan.value?.wiring.cables.filter(
      ({ id, port }) => port === undefined && links.value.some(link => link.id === id),
    ) ?? [],
)
const longest = computed(() => hops.value.reduce((most, { needed }) => Math.max(most, needed.value), 0))
/** What the switch has to give over its data cables, where it powers screens. */
const poe = computed(() => plan.value?.wiring.poe.find(({ source: { id } }) => id === source.id))
const ports = computed(() => {
  const byPort = new Map<number, string[]>()
  for (const { port, to } of links.value) byPort.set(port, [...byPort.get(port) ?? [], to])
  return [...byPort]
})
onMounted(() => bring(carries.value))
</script>

<template>
  <SourceCard
    class="border-signal"
    :source="source"
    :label="source.kind === 'network' ? 'Data plate or switch' : 'Player or rack'"
    far="Cable to wall"
  >
    <ChoiceField
      class="mt-1"
      label="Connection"
      :value="source.by ?? 'each'"
      :options="BY"
      :commit="by => change('Connection', source.id, { by: by as 'each' })"
    />
    <div class="mt-1 grid grid-cols-[2fr_1fr] gap-2">
      <ChoiceField label="Signal type" :value="carries" :options="kinds" :commit="carry" />
      <TypedField
        label="Ports"
        :shown="source.ports === undefined ? '' : String(source.ports)"
        :read="readNumber"
        :actions="figure(source.id, 'ports')"
      />
    </div>
    <div v-if="source.kind === 'network'" class="mt-1 grid grid-cols-2 gap-2">
      <TypedField
        label="PoE budget (W)"
        :shown="source.poe === undefined ? '' : String(source.poe)"
        :read="readNumber"
        :actions="figure(source.id, 'poe')"
      />
      <TypedField
        label="PoE class per port"
        :shown="source.poeClass === undefined ? '' : String(source.poeClass)"
        :read="readNumber"
        :actions="figure(source.id, 'poeClass')"
      />
    </div>
    <template #after>
      <p v-if="poe" class="text-sm" data-testid="poe">
        Power over Ethernet: {{ poe.loads.length }} {{ poe.loads.length === 1 ? 'screen' : 'screens' }},
        {{ Math.round(10 * poe.sum) / 10 }} W reserved{{ source.poe === undefined ? '' : ` of ${source.poe} W` }}.
      </p>
      <p v-for="[port, screens] in ports" :key="port" class="text-sm" data-testid="port">
        Port {{ port }}: {{ labels(screens).replaceAll(', ', ' → ') }}
      </p>
      <p v-if="longest > 0" class="text-sm text-ink-soft">
        Longest link {{ withUnit(longest) }}.
      </p>
    </template>
  </SourceCard>
</template>
