<script setup lang="ts">
import { Crosshair } from 'lucide-vue-next'

/** Where one more reading tells most, and entering what the nail met there with one press. */
const store = useWallStore()
const { plan } = useWallPlan()
const { show, tell, withUnit } = useUnits()
const { name } = useMe()
const { select } = useSelection()
const probe = computed(() => plan.value?.nextProbe)
const datum = computed(() => plan.value?.marking.datum.x ?? 0)
function record(hit: boolean) {
  const at = probe.value!
  store.edit(hit ? 'Probe: hit' : 'Probe: miss', wall =>
    addReadings(
      wall,
      [{ method: 'probe', x: Math.round(at.x * 10) / 10, y: Math.round(at.y), hit }],
      name.value,
      new Date().toISOString(),
    ),
  )
}
useCommands([
  {
    id: 'survey-probe',
    title: 'Show where to probe next',
    group: 'Survey',
    keys: ['b'],
    when: () => probe.value !== undefined,
    run: () => select('probe', 'next'),
  },
])
</script>

<template>
  <section
    v-if="probe"
    class="rounded border border-flag bg-paper p-2"
    data-testid="next-probe"
    aria-label="Next probe"
  >
    <h2 class="text-sm font-semibold">
      <Crosshair
        class="inline size-4 text-flag"
        aria-hidden="true"
      /> Probe next at <b class="figures whitespace-nowrap text-base">{{ show(probe.x - datum) }}</b>,
      <b class="figures whitespace-nowrap text-base">{{ withUnit(probe.y) }}</b> above floor
    </h2>
    <p class="text-xs text-ink-soft">
      {{ tell(probe.why) }}
    </p>
    <div v-if="plan!.members.length > 0" class="mt-1 grid grid-cols-2 gap-2">
      <button type="button" class="press" @click="record(true)">
        Hit
      </button>
      <button type="button" class="press" @click="record(false)">
        Miss
      </button>
    </div>
  </section>
</template>
