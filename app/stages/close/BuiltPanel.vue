<script setup lang="ts">
/** How the wall was built against what was issued, and what it lacks before it is handed over. */
const { of, handover } = useClose()
const { tell, showThin, fineWithUnit: far } = useUnits()
const compared = computed(() => handover.value?.compared)
const made = computed(() => compared.value?.holes.filter(({ made }) => made).length ?? 0)
const open = computed(() => compared.value?.seams.filter(({ closed }) => !closed).length ?? 0)
const NAMES = { stop: 'Stop', caution: 'Caution', note: 'Note' }
</script>

<template>
  <div v-if="handover && compared" class="space-y-3">
    <p class="text-sm">
      {{ of?.revision ? `Compared with revision ${of.revision}`
        : 'Nothing is issued: compared with the current plan' }}. On the drawing, a dashed ring marks the planned
      position of a hole or screen centre; a line leads to the position as built. Seams show the last readings, drawn
      wider than real.
    </p>
    <dl class="grid grid-cols-3 gap-2 text-sm" data-testid="worst">
      <div class="rounded border border-hair p-2">
        <dt class="text-xs">
          Max hole deviation
        </dt>
        <dd class="figures text-2xl font-semibold">
          {{ made > 0 ? far(compared.worst.hole) : 'not known' }}
        </dd>
        <dd class="text-xs text-ink-soft">
          {{ made }} of {{ compared.holes.length }} recorded
        </dd>
      </div>
      <div class="rounded border border-hair p-2">
        <dt class="text-xs">
          Max screen deviation
        </dt>
        <dd class="figures text-2xl font-semibold">
          {{ made > 0 ? far(compared.worst.centre) : 'not known' }}
        </dd>
        <dd class="text-xs text-ink-soft">
          from its holes
        </dd>
      </div>
      <div class="rounded border border-hair p-2">
        <dt class="text-xs">
          Max seam deviation
        </dt>
        <dd class="figures text-2xl font-semibold">
          {{ compared.seams.length > 0 ? showThin(compared.worst.seam) : 'not read' }}
        </dd>
        <dd class="text-xs text-ink-soft">
          {{ compared.seams.length }} read, {{ open }} out of tolerance
        </dd>
      </div>
    </dl>
    <section aria-label="Open items">
      <h2 class="text-sm font-semibold">
        Open items
      </h2>
      <p v-if="handover.missing.length === 0" class="mt-1 border-l-4 border-good bg-good-wash px-2 py-1 text-sm">
        No open items.
      </p>
      <ul class="mt-1 space-y-1 text-sm" data-testid="missing">
        <li
          v-for="(each, n) in handover.missing"
          :key="n"
          class="border-l-4 px-2 py-1"
          :class="{ 'border-stop bg-stop-wash': each.severity === 'stop',
                    'border-caution bg-caution-wash': each.severity === 'caution',
                    'border-hair': each.severity === 'note' }"
        >
          <b>{{ NAMES[each.severity] }}.</b> {{ tell(each.what) }}
        </li>
      </ul>
    </section>
  </div>
</template>
