<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { differenceOf } from '~~/core/revision/difference'
import type { Frozen, Revision } from '~~/core/revision'

/**
 * A revision that was issued while this device worked from another: what differs, made holes first, before anything
 * more is drilled.
 */
const { from, to } = defineProps<{ from: Revision & { frozen: Frozen }, to: Revision & { frozen: Frozen } }>()
const { accept } = useRevisionAtWall()
const difference = computed(() => differenceOf(from.frozen.plan, to.frozen.plan))
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col gap-2" data-testid="revision-changed" aria-label="New revision">
    <h1 class="text-xl font-bold">
      Revision {{ to.revision }} was issued
    </h1>
    <p class="text-sm">
      By {{ authorText(to) }}, {{ whenOf(to.at) }}{{ to.note ? `: ${to.note}` : '' }}.
      You worked from {{ from.revision }}. Cross out the marks that moved before you drill.
    </p>
    <div class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Differences">
      <DifferenceList :difference="difference" />
    </div>
    <button type="button" class="press press-first w-full !min-h-14 !text-lg" @click="accept(to.id!)">
      Work from revision {{ to.revision }}
    </button>
  </section>
</template>
