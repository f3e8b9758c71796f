<script setup lang="ts">
/** What follows from a hole that was not as planned: what moves and by how much, what fills it, and what else could be done. */
const { answer, dead, close, waiting } = useAnswer()
const store = useWallStore()
const { plan } = useWallPlan()
const { show, showFine, suffix } = useUnits()
const labels = computed(() => new Map(plan.value?.arrays.flatMap(({ positions }) => positions.flatMap(position => (position.holes ?? []).map(hole => [hole.id, `R${position.row} C${position.column} ${hole.row} ${hole.rank}`] as const)))))
const change = computed(() => answer.value?.change)
const held = computed(() => plan.value?.arrays.flatMap(({ positions }) => positions).filter(({ plate }) => plate && !plate.held) ?? [])
const far = (mm: number) => `${showFine(mm)}${suffix.value ? ` ${suffix.value}` : ''}`
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
const FIRST = 4
</script>

<template>
  <p v-if="waiting" class="mt-2 text-sm" role="status">
    The rest is planned anew…
  </p>
  <section v-else-if="answer && change" class="mt-2 border-l-4 border-caution bg-caution-wash px-2 py-1.5 text-sm" data-testid="answer" aria-label="What follows">
    <p class="font-semibold">
      {{ change.marks.length === 0 && change.plates.length === 0 ? 'Nothing else moves.' : `${count(change.plates.length, 'plate moves', 'plates move')}, ${count(change.marks.length, 'mark', 'marks')} by ${far(change.sum)} in all. Holes that are made stay.` }}
    </p>
    <ul v-if="change.marks.length" class="mt-1">
      <li v-for="move in change.marks.slice(0, FIRST)" :key="move.hole" class="figures">
        {{ labels.get(move.hole) ?? move.hole }}: {{ show(move.from.x) }} → {{ show(move.to.x) }} along{{ Math.abs(move.to.y - move.from.y) > 0.05 ? `, ${show(move.from.y)} → ${show(move.to.y)} up` : '' }}
      </li>
      <li v-if="change.marks.length > FIRST">
        and {{ change.marks.length - FIRST }} more, listed below the drawing
      </li>
    </ul>
    <p v-if="held.length" class="mt-1 font-semibold text-stop">
      {{ count(held.length, 'plate is', 'plates are') }} not held now: {{ held.slice(0, 3).map(({ row, column }) => `R${row} C${column}`).join(', ') }}.
    </p>
    <p v-if="dead" class="mt-1">
      The dead hole: {{ dead.fill }}. New ones stay {{ far(dead.keepOff) }} from it.
    </p>
    <div class="mt-1.5 flex flex-wrap gap-2">
      <button type="button" class="press press-first !min-h-12" @click="close">
        Go on with this
      </button>
      <NuxtLink class="press !min-h-12" :to="`/sites/${store.site}/walls/${store.id}/mount`">
        Other ways…
      </NuxtLink>
    </div>
  </section>
</template>
