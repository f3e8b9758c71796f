<script setup lang="ts">
import { CloudCheck, CloudDownload, Redo2, Undo2 } from 'lucide-vue-next'
import type { SaveState } from '~/sync/savingState'

/** What is saved, what can be undone, which unit is read, and the keys that are near. */
const { state, reason, count } = defineProps<{ state: SaveState, reason?: string, count: number }>()
const store = useWallStore()
const { system, toggle } = useUnits()
const list = useCommandList()
const [atHand, ahead] = [useAtHand(), useAhead()]
const lastEdit = computed(() => store.history.past.at(-1)?.label)
const lastUndone = computed(() => store.history.future.at(-1)?.label)
const SAID: Record<SaveState, string> = {
  saved: 'All saved',
  saving: 'Saving…',
  refused: 'Not saved',
  conflict: 'Not saved: version conflict',
  offline: 'Not saved: no connection. Stored on this device, sent when reconnected',
  trouble: 'Not saved yet. Stored on this device, retrying',
  full: 'Not saved: this device’s storage is full. Free some space; saving is retried',
  denied: 'Not saved: this browser blocks storage. Allow this page to store data, or leave private browsing',
}
const [GOOD, SOFT, CAUTION, STOP] = [
  'text-good',
  'text-ink-soft',
  'bg-caution-wash text-caution font-semibold',
  'bg-stop-wash text-stop font-semibold',
]
const LOOK: Record<SaveState, string> = {
  saved: GOOD,
  saving: SOFT,
  offline: CAUTION,
  trouble: CAUTION,
  full: STOP,
  denied: STOP,
  refused: STOP,
  conflict: STOP,
}
const near = computed(() =>
  list.value
    .filter(({ group, keys }) => keys && group !== 'Everywhere' && group !== 'Go to' && group !== 'Drawing')
    .slice(0, 3),
)
</script>

<template>
  <footer
    class="flex h-[calc(var(--target)+6px)] shrink-0 items-center gap-3 overflow-hidden border-t border-hair bg-rail
      px-3 text-sm whitespace-nowrap"
  >
    <span class="rounded px-2 py-0.5" :class="LOOK[state]" role="status" data-testid="save-state" :data-state="state">
      {{ SAID[state] }}<template v-if="(state === 'refused' || state === 'trouble') && reason">:
        {{ reason }}</template><template v-if="state === 'saved' && reason">,
        {{ reason }}</template><template v-if="state === 'offline' && count > 1"> ({{ count }})</template>
    </span>
    <span
      v-if="!store.rights('wall.design')"
      class="rounded border border-hair px-2 py-0.5 max-md:hidden"
      data-testid="read-only"
      title="Only a lead or planner can edit this wall"
    >Read only</span>
    <span
      v-if="atHand"
      data-testid="at-hand"
      title="All stages are loaded: this wall works without signal"
    ><CloudCheck
      class="size-4 text-ink-soft"
      role="img"
      aria-label="All stages are loaded and work without signal"
    /></span>
    <button
      v-else-if="ahead === 'offered'"
      type="button"
      class="press !px-2 !font-normal"
      data-testid="load-ahead"
      title="This device saves data. Load all stages now, so that this wall works without signal"
      @click="ahead = 'asked'"
    >
      <CloudDownload class="size-4" aria-hidden="true" /><span>Load all stages</span>
    </button>
    <button
      type="button"
      class="press !px-2 !font-normal"
      :disabled="!lastEdit || !!store.conflict"
      :title="lastEdit ? `Undo: ${lastEdit}` : 'Nothing to undo'"
      @click="store.undo()"
    >
      <Undo2 class="size-4" aria-hidden="true" /><span>Undo</span><span
        v-if="lastEdit"
        class="hidden max-w-40 truncate text-ink-soft lg:inline"
      >{{ lastEdit }}</span>
    </button>
    <button
      type="button"
      class="press !px-2 !font-normal"
      :disabled="!lastUndone || !!store.conflict"
      :title="lastUndone ? `Redo: ${lastUndone}` : 'Nothing to redo'"
      @click="store.redo()"
    >
      <Redo2 class="size-4" aria-hidden="true" /><span>Redo</span>
    </button>
    <button
      type="button"
      class="press !px-2 !font-normal"
      data-testid="units"
      :aria-label="`Units: ${system === 'metric' ? 'millimetres' : 'feet and inches'}. Change`"
      @click="toggle"
    >
      <b :class="{ 'text-ink-soft font-normal': system !== 'metric' }">mm</b><span aria-hidden="true">/</span><b
        :class="{ 'text-ink-soft font-normal': system !== 'imperial' }"
      >ft in</b>
    </button>
    <span class="hidden h-7 min-w-0 flex-1 flex-wrap items-center gap-x-3 overflow-hidden text-ink-soft lg:flex">
      <span class="flex h-7 items-center gap-1"><kbd class="keycap">/</kbd> commands</span>
      <span
        v-for="command in near"
        :key="command.id"
        class="flex h-7 items-center gap-1"
      ><kbd
         v-for="cap in capsOf(command.keys![0]!)"
         :key="cap"
         class="keycap"
       >{{ cap }}</kbd>
        {{ command.title }}</span>
    </span>
    <span class="ml-auto hidden shrink-0 text-xs text-ink-soft xl:inline">Planning aid. Makers’ instructions, local code
      and licensed trades take precedence.</span>
  </footer>
</template>
