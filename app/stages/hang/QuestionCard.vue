<script setup lang="ts">
import { stepOf } from '~~/core/log'

/** What a person at the wall has asked and nobody has answered. */
const store = useWallStore()
const { built } = useWallPlan()
const answers = ref<Record<string, string>>({})
const fault = ref('')
const id = useId()
const open = computed(() => built.value.steps.filter(({ step, done }) => stepOf(step)?.kind === 'ask' && !done))
function answer(step: string) {
  const note = (answers.value[step] ?? '').trim()
  if (!note) return void (fault.value = 'Enter an answer. It is kept in the log.')
  fault.value = store.record({ kind: 'step', step, done: true, note }).map(({ message }) => message).join(' ')
}
</script>

<template>
  <section v-for="{ step, by, note, at } in open" :key="step" class="border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm" data-testid="question" aria-label="Question from the wall">
    <p><b>{{ by }} asks:</b> {{ note }} <span class="text-ink-soft">{{ whenOf(at) }}</span></p>
    <form class="mt-1 grid grid-cols-[1fr_auto] gap-2" @submit.prevent="answer(step)">
      <label :for="`${id}-${step}`" class="sr-only">Answer</label>
      <input :id="`${id}-${step}`" v-model="answers[step]" class="field-input" autocomplete="off" maxlength="2000" placeholder="Answer" @input="fault = ''">
      <button type="submit" class="press">
        Answer
      </button>
    </form>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
