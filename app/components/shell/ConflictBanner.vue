<script setup lang="ts">
import { format } from 'date-fns'
import { differences } from '~~/core/job'

/** Two versions of the wall: whose is drawn, what each side changed, and the ways to go on. */
defineEmits<{ resolve: ['mine-on-theirs' | 'theirs'] }>()
const store = useWallStore()
const conflict = computed(() => store.conflict!)
const theirs = computed(() => conflict.value.theirs)
const count = (other: unknown) => differences(conflict.value.base, other).length
const changes = (n: number) => n === 1 ? '1 item' : `${n} items`
</script>

<template>
  <aside class="border-b-2 border-stop bg-stop-wash px-4 py-2 text-sm" role="alert" data-testid="conflict">
    <p>
      <b>{{ theirs.savedBy }} saved this wall at {{ format(new Date(theirs.savedAt), 'HH:mm, d MMM') }}, after you opened it.</b>
      They changed {{ changes(count(theirs.job.walls[0])) }}, you changed {{ changes(count(store.wall)) }}. Your changes are stored on this device.
      The drawing shows <b>{{ store.looking === 'theirs' ? 'their version' : 'your version' }}</b>.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="press" @click="store.looking = store.looking === 'theirs' ? 'mine' : 'theirs'">
        Show {{ store.looking === 'theirs' ? 'your' : 'their' }} version
      </button>
      <button type="button" class="press press-first" @click="$emit('resolve', 'mine-on-theirs')">
        Merge my changes
      </button>
      <button type="button" class="press" @click="$emit('resolve', 'theirs')">
        Use their version
      </button>
      <span class="hidden self-center text-ink-soft md:inline">If both changed the same figure, yours is used. You can undo either choice.</span>
    </div>
  </aside>
</template>
