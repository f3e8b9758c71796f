<script setup lang="ts">
import { stepOf } from '~~/core/log'

/** What a person at the wall has asked and nobody has answered. */
const store = useWallStore()
const { built } = useWallPlan()
const { name: me } = useMe()
const answers = ref<Record<string, string>>({})
const fault = ref('')
const id = useId()
const open = computed(() => built.value.steps.filter(({ step, done }) => stepOf(step)?.kind === 'ask' && !done))
/** Who asked has found out himself, or asked by mistake. */
function withdraw(step: string) {
  fault.value = store
    .record({ kind: 'step', step, done: true, note: `Withdrawn by ${me.value}` })
    .map(({ message }) => message)
    .join(' ')
}
function answer(step: string) {
  const note = (answers.value[step] ?? '').trim()
  if (!note) return void (fault.value = 'Enter an answer. It is kept in the log.')
  fault.value = faultText(store.record({ kind: 'step', step, done: true, note }))
}
</script>

<template>
  <NoticeCard
    v-for="{ step, by, note, at } in open"
    :key="step"
    tone="stop"
    :fault="fault"
    data-testid="question"
    aria-label="Question from the wall"
  >
    <p><b>{{ by }} asks:</b> {{ note }} <span class="text-ink-soft">{{ whenOf(at) }}</span></p>
    <p v-if="by === me" class="mt-1">
      Leads and planners see it here and on the list of walls.
      <button type="button" class="press mt-1 w-full !min-h-12" @click="withdraw(step)">
        Withdraw question
      </button>
    </p>
    <form v-else class="mt-1 grid grid-cols-[1fr_auto] gap-2" @submit.prevent="answer(step)">
      <label :for="`${id}-${step}`" class="sr-only">Answer</label>
      <input
        :id="`${id}-${step}`"
        v-model="answers[step]"
        class="field-input"
        autocomplete="off"
        maxlength="2000"
        placeholder="Answer"
        @input="fault = ''"
      >
      <button type="submit" class="press">
        Answer
      </button>
    </form>
  </NoticeCard>
</template>
