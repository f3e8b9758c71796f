<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { stepName } from '~~/core/log'

/** Work stops here with a question; leads and planners see it on the wall and answer it. */
const { about, question } = defineProps<{
  /** What it is about: a hole or a step, by its id. */
  about: string
  /** The question as it would be asked, for the person to say more. */
  question: string
}>()
const store = useWallStore()
const { built } = useWallPlan()
const step = computed(() => stepName({ kind: 'ask', id: about }))
const asked = computed(() => built.value.steps.find(each => each.step === step.value && !each.done))
const asking = ref(false)
const text = ref('')
const fault = ref('')
watch(() => about, () => { asking.value = false })
function begin() {
  text.value = question
  fault.value = ''
  asking.value = true
}
function send() {
  const note = text.value.trim()
  if (!note) return void (fault.value = 'Enter the question.')
  fault.value = store
    .record({ kind: 'step', step: step.value, done: false, note })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) asking.value = false
}
</script>

<template>
  <p v-if="asked" class="order-first !basis-full text-sm" data-testid="asked">
    Asked {{ whenOf(asked.at) }} by {{ authorText(asked) }}: leads and planners see it on this wall. The rest goes on.
  </p>
  <form v-else-if="asking" class="!basis-full space-y-2" @submit.prevent="send">
    <OneLine v-model="text" label="Question to a lead or planner" :fault="fault" @typed="fault = ''" />
    <div class="grid grid-cols-2 gap-2">
      <button type="submit" class="press press-first !min-h-12">
        Ask
      </button>
      <button type="button" class="press !min-h-12" @click="asking = false">
        Cancel
      </button>
    </div>
  </form>
  <button v-else type="button" class="press w-full !min-h-12" @click="begin">
    Stop and ask
  </button>
</template>
