<script setup lang="ts">
import { clashes, differences, namesOn } from '~~/core/job'

/** Two versions of the wall: whose is drawn, what each side changed, and the ways to go on. */
defineEmits<{ resolve: ['mine-on-theirs' | 'theirs'] }>()
const store = useWallStore()
const conflict = computed(() => store.conflict!)
const theirs = computed(() => conflict.value.theirs)
const count = (other: unknown) => differences(conflict.value.base, other).length
/** A place by its name: `arrays departures gap x` becomes `departures gap x`, ids by what people call them. */
function called(path: string) {
  const name = namesOn(store.wall ?? {})
  return path
    .split(' ')
    .map(part =>
      name(store.wall?.arrays.find(({ id }) => id === part)?.name ?? part).replace(
        /[A-Z]/g,
        letter => ` ${letter.toLowerCase()}`,
      ),
    )
    .join(' ')
}
const FIRST = 6
const told = (names: string[]) =>
  [...names.slice(0, FIRST), ...(names.length > FIRST ? [`${names.length - FIRST} more`] : [])].join(', ')
/** What both changed, each to something else: of these theirs is dropped where the two are merged. */
const both = computed(() => [
  ...new Set(clashes(conflict.value.base, store.wall, theirs.value.job.walls[0]).map(({ path }) => called(path))),
])
/** What only this side changed: all of it is dropped where theirs is used. */
const mine = computed(() => [
  ...new Set(differences(conflict.value.base, store.wall).map(path => called(path.replace(/[.[\]]+/g, ' ').trim()))),
])
const changes = (n: number) => n === 1 ? '1 item' : `${n} items`
</script>

<template>
  <aside class="border-b-2 border-stop bg-stop-wash px-4 py-2 text-sm" role="alert" data-testid="conflict">
    <p>
      <b>{{ theirs.savedBy }} saved this wall on {{ whenOf(theirs.savedAt) }}, after you opened it.</b>
      They changed {{ changes(count(theirs.job.walls[0])) }}, you changed {{ changes(count(store.wall)) }}. Your changes
      are stored on this device.
      The drawing shows <b>{{ store.looking === 'theirs' ? 'their version' : 'your version' }}</b>.
    </p>
    <ul class="mt-1 list-disc pl-5">
      <li data-testid="dropped-by-merge">
        <b>Merge my changes</b> keeps what both added. Both changed {{ told(both) || 'nothing alike' }}: yours is kept,
        theirs is dropped.
      </li>
      <li>
        <b>Use their version</b> drops your changes: {{ told(mine) }}.
      </li>
    </ul>
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
      <span class="hidden self-center text-ink-soft md:inline">You can undo either choice.</span>
    </div>
  </aside>
</template>
