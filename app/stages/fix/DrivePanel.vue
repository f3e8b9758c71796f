<script setup lang="ts">
import { coveringOf } from '~~/core/job'

/** How the chosen fastener is set: what is drilled and how deep, what to mark on the bit, how tight, in which order. */
const { fixing, fastener, positions, wall } = useFixing()
const { show, showFine, suffix, tell, bit } = useUnits()
const drive = computed(() => fixing.value?.drive)
const count = computed(() => positions.value.reduce((sum, { holes = [] }) => sum + holes.length, 0))
const covering = computed(() => coveringOf(wall.value))
</script>

<template>
  <div v-if="fixing && fastener && drive" class="space-y-2.5">
    <h2 class="text-sm font-semibold">
      {{ count }} × {{ fastener.name ?? fastener.id }}
    </h2>
    <div data-testid="drive">
      <template v-if="drive.hole">
        <FigureLine label="Bit" fine :figure="drive.hole.bit" />
        <FigureLine label="Depth mark on bit, from wall face" :figure="drive.hole.depth" />
      </template>
      <p v-else class="text-sm">
        Hole size not known. Follow the maker’s instructions, or enter it in the catalogue.
      </p>
    </div>
    <dl class="grid grid-cols-[1fr_auto] gap-x-3 gap-y-1 text-sm">
      <template v-if="drive.clearance">
        <dt>Shank clearance hole</dt><dd class="figures text-right">
          {{ bit(drive.clearance.bit) }}, {{ show(drive.clearance.depth) }} {{ suffix }} deep
        </dd>
      </template>
      <dt>Covering thickness</dt><dd class="figures text-right">
        {{ showFine(covering) }} {{ suffix }}
      </dd>
    </dl>
    <p class="border-l-4 border-chalk bg-paper px-3 py-1.5 text-sm">
      {{ tell(drive.tighten) }}
    </p>
    <p class="border-l-4 border-chalk bg-paper px-3 py-1.5 text-sm">
      {{ tell(drive.order) }}
    </p>
  </div>
  <p v-else class="text-sm">
    Choose a fastener first.
  </p>
</template>
