<script setup lang="ts">
/** How the wall was built against what was issued, and what it lacks before it is handed over. */
const { of, handover } = useClose()
const { tell, showThin, showFine, suffix } = useUnits()
const compared = computed(() => handover.value?.compared)
const made = computed(() => compared.value?.holes.filter(({ made }) => made).length ?? 0)
const open = computed(() => compared.value?.seams.filter(({ closed }) => !closed).length ?? 0)
const far = (mm: number) => `${showFine(mm)}${suffix.value ? ` ${suffix.value}` : ''}`
const NAMES = { stop: 'Stop', caution: 'Caution', note: 'Note' }
</script>

<template>
  <div v-if="handover && compared" class="space-y-3">
    <p class="text-sm">
      {{ of?.revision ? `Against revision ${of.revision}` : 'Nothing was issued: against the plan of the moment' }}; on the drawing a dashed ring stands where a hole or the middle of a screen was planned, with a line to where it came; seams are as they were read last, drawn wider than they are.
    </p>
    <dl class="grid grid-cols-3 gap-2 text-sm" data-testid="worst">
      <div class="rounded border border-hair p-2">
        <dt class="text-xs">
          Hole farthest off
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
          Screen farthest off
        </dt>
        <dd class="figures text-2xl font-semibold">
          {{ made > 0 ? far(compared.worst.centre) : 'not known' }}
        </dd>
        <dd class="text-xs text-ink-soft">
          by its holes
        </dd>
      </div>
      <div class="rounded border border-hair p-2">
        <dt class="text-xs">
          Seam or step
        </dt>
        <dd class="figures text-2xl font-semibold">
          {{ compared.seams.length > 0 ? showThin(compared.worst.seam) : 'not read' }}
        </dd>
        <dd class="text-xs text-ink-soft">
          {{ compared.seams.length }} read, {{ open }} open
        </dd>
      </div>
    </dl>
    <section aria-label="Still open">
      <h2 class="text-sm font-semibold">
        Still open
      </h2>
      <p v-if="handover.missing.length === 0" class="mt-1 border-l-4 border-good bg-good-wash px-2 py-1 text-sm">
        Nothing is missing.
      </p>
      <ul class="mt-1 space-y-1 text-sm" data-testid="missing">
        <li v-for="(each, n) in handover.missing" :key="n" class="border-l-4 px-2 py-1" :class="{ 'border-stop bg-stop-wash': each.severity === 'stop', 'border-caution bg-caution-wash': each.severity === 'caution', 'border-hair': each.severity === 'note' }">
          <b>{{ NAMES[each.severity] }}.</b> {{ tell(each.what) }}
        </li>
      </ul>
    </section>
  </div>
</template>
