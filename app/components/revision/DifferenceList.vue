<script setup lang="ts">
import type { Difference } from '~~/core/revision/difference'

/** What differs between two revisions, mark by mark; holes that are made first. */
const { difference } = defineProps<{ difference: Difference }>()
const { drilled, plan } = useWallPlan()
const { withUnit, fineWithUnit } = useUnits()
const { select } = useSelection()
const datum = computed(() => plan.value?.marking.datum.x ?? 0)
const at = ({ x, y }: { x: number, y: number }) => `${withUnit(x - datum.value)}, ${withUnit(y)} up`
const moved = computed(() =>
  [...difference.moved].sort(
    (a, b) =>
      Number(drilled.value.has(b.id)) - Number(drilled.value.has(a.id))
      || Number(b.kind === 'hole') - Number(a.kind === 'hole'),
  ),
)
const none = computed(
  () => moved.value.length + difference.added.length + difference.gone.length + difference.redrilled.length === 0,
)
const FIRST = 60
</script>

<template>
  <p v-if="none" class="text-sm" data-testid="no-difference">
    No differences: both are marked out and drilled the same.
  </p>
  <ul v-else class="divide-y divide-hair text-sm" aria-label="Differences" data-testid="difference">
    <li v-for="mark in moved.slice(0, FIRST)" :key="mark.id" class="py-1">
      <button type="button" class="block w-full text-left" @click="mark.kind === 'hole' && select('hole', mark.id)">
        <b>{{ mark.label }}</b>{{ drilled.has(mark.id) ? ', drilled,' : '' }} moved {{ fineWithUnit(mark.by) }}
        <span class="figures block text-ink-soft">{{ at(mark.from) }} → {{ at(mark.to) }}</span>
      </button>
    </li>
    <li v-if="moved.length > FIRST" class="py-1">
      and {{ moved.length - FIRST }} more moved marks: see the exported list
    </li>
    <li v-for="mark in difference.added.slice(0, FIRST)" :key="`new ${mark.id}`" class="py-1">
      <b>{{ mark.label }}</b> added <span class="figures block text-ink-soft">{{ at(mark.at) }}</span>
    </li>
    <li v-for="mark in difference.gone.slice(0, FIRST)" :key="`gone ${mark.id}`" class="py-1">
      <b>{{ mark.label }}</b> removed <span class="figures block text-ink-soft">{{ at(mark.at) }}</span>
    </li>
    <li v-for="mark in difference.redrilled.slice(0, FIRST)" :key="`bit ${mark.id}`" class="py-1">
      <b>{{ mark.label }}</b> bit or depth changed
    </li>
  </ul>
</template>
