<script setup lang="ts">
/** Members or readings, whichever is asked for. */
const store = useWallStore()
const { Piece } = usePiece()
const { plan } = useWallPlan()
const lists = ['members', 'readings'] as const
const list = useScreenState<typeof lists[number]>('survey-list', () => 'members')
const readings = computed(() => store.shown?.evidence?.length ?? 0)
const members = computed(() => plan.value?.members.length ?? 0)
const shown = computed(() => list.value === 'readings' || members.value === 0 ? 'readings' : 'members')
useCommands([
  {
    id: 'survey-list',
    title: 'Switch list: studs or readings',
    group: 'Survey',
    keys: ['t'],
    run: () => {
      list.value = list.value === 'members' ? 'readings' : 'members'
    },
  },
])
</script>

<template>
  <div
    v-if="readings > 0 && members > 0"
    class="flex gap-1 px-3 pt-1 text-xs"
    role="tablist"
    aria-label="List below the drawing"
  >
    <button
      v-for="name in lists"
      :key="name"
      type="button"
      role="tab"
      class="rounded px-2 py-1"
      :class="shown === name ? 'bg-rail font-semibold' : 'underline'"
      :aria-selected="shown === name"
      @click="list = name"
    >
      {{ name === 'members' ? `${Piece}s` : `${readings} readings` }}
    </button>
  </div>
  <MemberLedger v-if="shown === 'members'" />
  <ReadingLedger v-else-if="readings > 0" />
  <p v-else class="px-3 py-2 text-sm text-ink-soft">
    No readings yet.
  </p>
</template>
