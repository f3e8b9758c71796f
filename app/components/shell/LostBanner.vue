<script setup lang="ts">
import { LOG_KINDS } from '~~/core/log/kinds'

/** Entries that this device has seen in the wall's log, and that the server does not have any more. */
const store = useWallStore()
const FIRST = 4
const told = computed(() => [
  ...store.lost.slice(0, FIRST).map(({ kind, by, at }) => `${LOG_KINDS[kind].title} by ${by}, ${whenOf(at)}`),
  ...store.lost.length > FIRST ? [`${store.lost.length - FIRST} more`] : [],
].join('; '))
const keep = () => saveText(`${store.site}-${store.id}-lost.json`, JSON.stringify(store.lost, null, 2))
</script>

<template>
  <aside class="border-b-2 border-stop bg-stop-wash px-4 py-2 text-sm" role="alert" data-testid="lost-entries">
    <p>
      <b>{{ store.lost.length === 1 ? 'An entry' : `${store.lost.length} entries` }} of this wall’s log that this
        device has seen {{ store.lost.length === 1 ? 'is' : 'are' }} no longer on the server, or changed there:</b>
      {{ told }}. Either an older backup was restored, or entries were removed. This device keeps
      {{ store.lost.length === 1 ? 'it: give it' : 'them: give them' }} to the planner before you go on.
    </p>
    <button type="button" class="press mt-2" @click="keep">
      {{ store.lost.length === 1 ? 'Save it' : 'Save them' }} as a file
    </button>
  </aside>
</template>
