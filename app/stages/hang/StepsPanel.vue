<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { Check, Volume2, VolumeOff } from 'lucide-vue-next'
import { usePhoto } from '~/sync/usePhoto'
import { isStepDone, type RunStep } from '~~/core/hang'

/**
 * The run of work, one step a screen: what is done, why now, who and how long; next and back by key, pedal or thumb.
 */
const emit = defineEmits<{ holes: [] }>()
const { run, said } = useRun()
const store = useWallStore()
const { drilled, built } = useWallPlan()
const { tell } = useUnits()
const fault = ref('')
const { select } = useSelection()
const { speaks, canSpeak, speak } = useSpeech()
const current = useScreenState('hang-step', () => '')
const at = useScreenState<Record<string, number>>('hang-step-began', () => ({}))
const index = computed(() => Math.max(0, run.value.findIndex(({ id }) => id === current.value)))
const step = computed(() => run.value[index.value])
const done = computed(() => step.value && said.value.get(step.value.id))
const made = computed(() => step.value?.holes?.filter(id => drilled.value.has(id)).length ?? 0)
const isDone = (step: RunStep) => isStepDone(step, built.value, drilled.value)
const finished = computed(() => run.value.filter(isDone).length)
watch(run, (steps) => {
  if (!steps.some(({ id }) => id === current.value))
    current.value = (steps.find(step => !isDone(step)) ?? steps[0])?.id ?? ''
}, { immediate: true })
watch(step, (now) => {
  if (!now) return
  at.value[now.id] ??= Date.now()
  if (now.subject) select(now.subject.kind, now.subject.id)
  speak([now.title, ...now.does].map(tell).join(' '))
}, { immediate: true })
function go(by: number) {
  const next = run.value[index.value + by]
  if (next) current.value = next.id
  fault.value = ''
}
const minutes = () => Math.round((Date.now() - (at.value[step.value!.id] ?? Date.now())) / 6_000) / 10
/** Records the step as done; with a screen that it hangs, that this screen hangs. */
function record() {
  const now = step.value!
  const took = minutes()
  const kept = done.value?.photo
  const faults = store.recordAll([
    {
      kind: 'step',
      step: now.id,
      done: true,
      ...(took > 0 && { minutes: took }),
      ...(kept !== undefined && { photo: kept }),
    },
    ...(now.hangs && !built.value.hung.includes(now.hangs) ? [{ kind: 'hung' as const, screen: now.hangs }] : []),
  ])
  fault.value = faultText(faults)
  if (faults.length === 0) go(1)
}
/** A photograph of a step says nothing of whether it is done. */
function addPhoto(photo: string, step: string) {
  const before = said.value.get(step)
  fault.value = store
    .record({
      kind: 'step',
      step,
      done: before?.done === true,
      ...(before?.minutes !== undefined && { minutes: before.minutes }),
      photo,
    })
    .map(({ message }) => message)
    .join(' ')
}
const photo = usePhoto(() => store.site, () => done.value?.photo)
const has = () => step.value !== undefined
useCommands([
  { id: 'step-next', title: 'Next step', group: 'Hang', keys: ['arrowright', 'pagedown'], when: has, run: () => go(1) },
  {
    id: 'step-back',
    title: 'Previous step',
    group: 'Hang',
    keys: ['arrowleft', 'pageup'],
    when: has,
    run: () => go(-1),
  },
  { id: 'step-done', title: 'Mark step done', group: 'Hang', keys: ['d'], when: has, run: () => record() },
])
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p v-if="!step" class="text-sm">
      This revision has nothing to hang.
    </p>
    <template v-else>
      <header class="flex items-center justify-between gap-2">
        <p class="text-sm text-ink-soft" data-testid="step-count">
          step {{ index + 1 }} of {{ run.length }}, {{ finished }} done
        </p>
        <button
          v-if="canSpeak"
          type="button"
          class="press !px-2 max-md:!min-h-12"
          :aria-pressed="speaks"
          @click="speaks = !speaks"
        >
          <component :is="speaks ? Volume2 : VolumeOff" class="size-5" aria-hidden="true" /> Read aloud
        </button>
      </header>
      <h1 class="mt-1 text-[2.75rem] font-bold leading-[1.05]" data-testid="step-title">
        {{ tell(step.title) }}
      </h1>
      <div class="min-h-0 flex-1 overflow-y-auto py-2" tabindex="0" role="group" aria-label="Instructions">
        <ul class="space-y-2 text-xl leading-snug">
          <li v-for="(does, n) in step.does" :key="n">
            {{ tell(does) }}
          </li>
        </ul>
        <p class="mt-3 text-sm text-ink-soft">
          <b>Why now:</b> {{ tell(step.why) }}<template v-if="step.people">
            {{ step.people === 1 ? 'One person.' : `${step.people} people.` }}
          </template><template v-if="step.minutes">
            About {{ Math.round(step.minutes) }} min.
          </template>
        </p>
        <CircuitTest v-if="step.tests" :circuit="step.tests" @passed="record()" />
        <button
          v-if="step.holes"
          type="button"
          class="press mt-2 w-full !min-h-12"
          @click="select('hole', step.holes.find(id => !drilled.has(id)) ?? step.holes[0]!); emit('holes')"
        >
          Go to holes: {{ made }} of {{ step.holes.length }} drilled
        </button>
        <p
          v-if="done?.done"
          class="mt-2 border-l-4 border-good bg-good-wash px-2 py-1 text-sm"
          data-testid="step-record"
        >
          <b>✓ Done</b> {{ whenOf(done.at) }}, {{ authorText(done) }}{{ done.minutes ? `, ${done.minutes} min` : '' }}
        </p>
        <a
          v-if="done?.photo"
          :href="photo.whole.value"
          target="_blank"
          rel="noopener"
        ><img
          :src="photo.small.value"
          alt="Photo of this step"
          class="mt-2 max-h-32 rounded border border-hair"
        ></a>
      </div>
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <div class="mt-2 grid grid-cols-[auto_1fr] gap-2">
        <PhotoButton :of="step.id" :site="store.site" label="Photo" class="[&_label]:!min-h-14" :take="addPhoto" />
        <button type="button" class="press !min-h-14 !text-lg border-good! text-good!" @click="record()">
          <Check class="size-6" aria-hidden="true" /> {{ done?.done ? 'Record again' : 'Done' }}
        </button>
      </div>
      <div class="mt-2">
        <StopAndAsk :about="step.id" :question="`${tell(step.title)}: what is to be done?`" />
      </div>
      <BackNext class="mt-2" :first="index === 0" :last="index === run.length - 1" @go="go" />
    </template>
  </div>
</template>
