<script setup lang="ts">
import { authorText, RESULT_NAMES, type MadeHole } from '~~/core/log'

/**
 * A hole of which people recorded unlike results: each, who may withdraw it, and what holds until then. Whoever made a
 * result withdraws his own; a lead or planner says which one holds.
 */
const { hole, label } = defineProps<{ hole: string, label: string }>()
const store = useWallStore()
const { built } = useWallPlan()
const { name: me } = useMe()
const results = computed(() => built.value.disputed.find(each => each.hole === hole)?.results ?? [])
const decides = computed(() => store.rights('wall.issue'))
const fault = ref('')
const withdraw = (wrong: MadeHole[], note: string) => {
  fault.value = store
    .recordAll(wrong.map(({ entry }) => ({ kind: 'correction', corrects: entry, note })))
    .map(({ message }) => message)
    .join(' ')
}
const keep = (one: MadeHole) =>
  withdraw(
    results.value.filter(({ result }) => result !== one.result),
    `${label}: ${RESULT_NAMES[one.result]} holds, as ${one.by} recorded`,
  )
const withdrawMine = (mine: MadeHole) =>
  withdraw([mine], `${label}: ${RESULT_NAMES[mine.result]} withdrawn by ${me.value}`)
const noteOf = ({ note }: MadeHole) => note ? `: ${note}` : ''
</script>

<template>
  <NoticeCard v-if="results.length" tone="caution" :fault="fault" data-testid="dispute" aria-label="Disputed hole">
    <p class="font-semibold">
      Disputed: counts as not drilled. Look at the hole before going on here.
    </p>
    <ul class="mt-1 space-y-1.5">
      <li v-for="result in results" :key="result.entry" class="flex items-center justify-between gap-2">
        <span class="min-w-0">
          <b>{{ RESULT_NAMES[result.result] }}</b>,
          {{ authorText(result) }}, {{ whenOf(result.at) }}{{ noteOf(result) }}
        </span>
        <button v-if="decides" type="button" class="press !min-h-12 shrink-0 !px-2" @click="keep(result)">
          This one holds
        </button>
        <button
          v-else-if="result.by === me"
          type="button"
          class="press !min-h-12 shrink-0 !px-2"
          @click="withdrawMine(result)"
        >
          Withdraw my result
        </button>
      </li>
    </ul>
    <p v-if="!decides" class="mt-1">
      The person who recorded a wrong result withdraws it; otherwise a lead or planner decides.
      Drill the other holes meanwhile.
    </p>
  </NoticeCard>
</template>
