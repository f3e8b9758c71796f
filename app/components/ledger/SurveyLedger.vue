<script setup lang="ts">
/** Members or readings, whichever is asked for. */
const store = useWallStore()
const lists = ['members', 'readings'] as const
const list = useState<typeof lists[number]>('survey-list', () => 'members')
const readings = computed(() => store.shown?.evidence?.length ?? 0)
useCommands([{ id: 'survey-list', title: 'Members or readings below the drawing', group: 'Survey', keys: ['t'], run: () => { list.value = list.value === 'members' ? 'readings' : 'members' } }])
</script>

<template>
  <div v-if="readings > 0" class="flex gap-1 px-3 pt-1 text-xs" role="tablist" aria-label="Ledger of">
    <button v-for="name in lists" :key="name" type="button" role="tab" class="rounded px-2 py-1" :class="list === name ? 'bg-rail font-semibold' : 'underline'" :aria-selected="list === name" @click="list = name">
      {{ name === 'members' ? 'Members' : `${readings} readings` }}
    </button>
  </div>
  <ReadingLedger v-if="list === 'readings' && readings > 0" />
  <MemberLedger v-else />
</template>
