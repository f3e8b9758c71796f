<script setup lang="ts">
import { Volume2, VolumeOff } from 'lucide-vue-next'
import { useHoleDraft, type PhotoOf } from './useHoleDraft'
import { usePhoto } from '~/sync/usePhoto'
import type { Fault } from '~~/core/job'
import { canDrillAgain, drilledAgain, resultBefore, resultSaid, steelUnchecked } from '~~/core/hang'
import { authorText, RESULT_NAMES, type MadeHole } from '~~/core/log'
import { fromPrintedLevel, rowsOf } from '~~/core/mark'
import { isSame } from '~~/core/subject'
import { tapeReading } from '~~/core/units'

/** One hole at a time, in figures that can be read from the ladder; what the drill met is recorded. */
const current = useCurrentHole()
const { current: issued } = useRevisionAtWall()
const store = useWallStore()
const { piece } = usePiece()
const { plan, steps, drilled, findings, built } = useWallPlan()
const { name: me } = useMe()
const { show, suffix, bit, system, precision } = useUnits()
const { open: answering, change, ask, close, waits: mustWait } = useAnswer()
const { speaks, canSpeak, speak } = useSpeech()
const { note, picture, done: draftDone, takePhoto } = useHoleDraft(current)
const noteFault = ref('')
const noteId = useId()

const index = computed(() => Math.max(0, steps.value.findIndex(({ hole }) => hole.id === current.value)))
const step = computed(() => steps.value[index.value])
const done = computed(() => step.value && drilled.value.get(step.value.hole.id))
const photoOf = computed(() => {
  const entry = store.allLog.find(({ id }) => id === done.value?.entry)
  return entry?.kind === 'hole' ? entry.photo : undefined
})
const made = computed(() => steps.value.filter(({ hole }) => drilled.value.has(hole.id)).length)
/**
 * Whether this hole is not drilled before what happened at its plate is answered; what is recorded can be corrected.
 */
const waits = computed(() => mustWait(step.value?.hole.id))
const mark = computed(() => plan.value?.marking.marks.find(({ id }) => id === step.value?.hole.id))
const warnings = computed(() => {
  const subject = step.value && { kind: 'hole' as const, id: step.value.hole.id }
  return findings.value.filter(finding => isSame(finding.subject, subject))
})
const datum = computed(() => plan.value?.marking.datum)
const fromLevel = computed(() => {
  const mm = (mark.value && fromPrintedLevel(mark.value, system.value, precision.value)) ?? 0
  return `${mm > 0 ? '+' : ''}${show(mm)}`
})

function goTo(next: typeof step.value) {
  if (!next) return
  current.value = next.hole.id
  noteFault.value = ''
}
const go = (by: number) => goTo(steps.value[index.value + by])
/** Goes on to the next hole that is not drilled; after the last of them back to one that was passed over. */
function goOn() {
  const [before, after] = [steps.value.slice(0, index.value), steps.value.slice(index.value + 1)]
  goTo([...after, ...before].find(({ hole }) => !drilled.value.has(hole.id)))
}
const told = (faults: Fault[], what: string) => faults.map(({ message }) => `${what} ${message}.`).join(' ')

/** The result that this hole has of this person or, where nobody disputes it, of anybody: another one corrects it. */
const before = computed(() => step.value && resultBefore(step.value.hole, { by: me.value }, built.value))
/** What is about to take the place of an earlier result, until the person has said so. */
const replacing = ref<MadeHole['result']>()
/** What stands of it, with its sign. */
const recordTold = computed(() => {
  const { result = 'hit' } = done.value ?? {}
  const name = RESULT_NAMES[result].replace(/^./, letter => letter.toUpperCase())
  return `${result === 'hit' ? '✓' : '✕'} ${name}`
})
/** Whether the drill met steel here that nobody has looked at: what follows for the plan comes after that. */
const metSteel = computed(() => step.value !== undefined && steelUnchecked(built.value, step.value.hole.id))
/**
 * Whether something is to be seen to at this hole before the next result: what was recorded of it is then corrected on
 * demand, as that something needs the room.
 */
const isHeld = computed(() => waits.value || metSteel.value
  || built.value.disputed.some(({ hole }) => hole === step.value?.hole.id))
const correcting = ref(false)
watch(current, () => {
  replacing.value = undefined
  correcting.value = false
})

function record(result: MadeHole['result']) {
  if (!step.value) return
  if (before.value && replacing.value !== result) return void (replacing.value = result)
  const said = resultSaid(step.value.hole, result, plan.value?.marking.levelLine?.turn, before.value, {
    note: note.value,
    photo: picture.value,
  })
  const faults = store.record(said)
  replacing.value = undefined
  correcting.value = false
  noteFault.value = told(faults, 'The entry')
  if (faults.length > 0) return
  if (result !== 'hit') ask(step.value.hole.id, result)
  draftDone()
  if (result === 'hit') goOn()
}
/** What was met here, where the hole can be filled and drilled again in its place. */
const failed = computed(() => before.value && canDrillAgain(before.value) ? before.value : undefined)
function recordAgain() {
  if (!failed.value) return
  const faults = store.record({ ...drilledAgain(failed.value), ...note.value.trim() && { note: note.value.trim() } })
  noteFault.value = told(faults, 'The entry')
  if (faults.length > 0) return
  draftDone()
  close()
  goOn()
}
/** What would be asked of a lead about this hole. */
const question = computed(() => {
  const met = done.value ? ` ${RESULT_NAMES[done.value.result]}` : ''
  return `${step.value?.label}${met}: what is to be done?`
})
const tape = computed(() => tapeReading(mark.value?.running ?? 0, system.value, precision.value))
/** The holes of the row that is drilled, as they lie along the tape. */
const row = computed(() =>
  plan.value
    ? rowsOf(plan.value.marking.marks).find(({ marks }) => marks.some(({ id }) => id === step.value?.hole.id))
    : undefined,
)
watch(step, (now) => {
  if (now && mark.value)
    speak(
      `${now.label}. ${show(mark.value.running ?? 0)} from ${datum.value?.label}, ${show(mark.value.height ?? 0)} up.`,
    )
})
const photo = usePhoto(() => store.site, () => photoOf.value)
const has = () => step.value !== undefined
useCommands([
  { id: 'hole-next', title: 'Next hole', group: 'Hang', keys: ['arrowright', 'pagedown'], when: has, run: () => go(1) },
  {
    id: 'hole-back',
    title: 'Previous hole',
    group: 'Hang',
    keys: ['arrowleft', 'pageup'],
    when: has,
    run: () => go(-1),
  },
  { id: 'hole-hit', title: 'Record hit', group: 'Hang', keys: ['h'], when: has, run: () => record('hit') },
  { id: 'hole-miss', title: 'Record miss', group: 'Hang', keys: ['m'], when: has, run: () => record('miss') },
])
watch(steps, (list) => {
  if (!list.some(({ hole }) => hole.id === current.value))
    current.value = list.find(({ hole }) => !drilled.value.has(hole.id))?.hole.id ?? list[0]?.hole.id ?? ''
}, { immediate: true })
const toDrill = computed(() => {
  const { bit: of, depth = 0 } = step.value!.hole
  if (of === undefined) return 'see anchor instructions'
  return `${bit(of)} bit, ${show(depth)}${suffix.value ? ` ${suffix.value}` : ''} deep`
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p v-if="!step" class="text-sm">
      No holes to drill yet. Arrange the displays and choose a mount first.
    </p>
    <template v-else>
      <header class="flex items-baseline justify-between gap-2">
        <h1 class="text-xl font-bold whitespace-nowrap" data-testid="hole-name">
          {{ step.label }}
        </h1>
        <p class="flex items-center gap-2 text-sm text-ink-soft">
          <button
            v-if="canSpeak"
            type="button"
            class="press !px-2 max-md:!min-h-12"
            :aria-pressed="speaks"
            aria-label="Read figures aloud"
            @click="speaks = !speaks"
          >
            <component :is="speaks ? Volume2 : VolumeOff" class="size-5" aria-hidden="true" />
          </button>
          revision {{ issued?.revision }}, {{ index + 1 }} of {{ steps.length }}, {{ made }} drilled
        </p>
      </header>
      <dl class="figures mt-1 divide-y divide-hair border-y border-hair">
        <div class="flex items-baseline justify-between py-1">
          <dt class="text-base">
            from {{ datum?.label }}
          </dt>
          <dd class="whitespace-nowrap text-5xl font-semibold leading-none" data-testid="hole-running">
            {{ show(mark?.running ?? 0) }}<small class="ml-1 text-base font-normal">{{ suffix }}</small>
          </dd>
        </div>
        <div class="flex items-baseline justify-between py-1">
          <dt class="text-base">
            on the tape
          </dt>
          <dd class="whitespace-nowrap text-3xl font-semibold leading-none" data-testid="hole-tape">
            {{ tape.whole }}<span v-if="tape.rest" class="ml-2">{{ tape.rest }}</span>
          </dd>
        </div>
        <div class="flex items-baseline justify-between py-1">
          <dt class="text-base">
            above floor
          </dt>
          <dd class="whitespace-nowrap text-5xl font-semibold leading-none" data-testid="hole-height">
            {{ show(mark?.height ?? 0) }}<small class="ml-1 text-base font-normal">{{ suffix }}</small>
          </dd>
        </div>
        <div class="flex items-baseline justify-between py-1">
          <dt class="text-base">
            from level line
          </dt>
          <dd class="whitespace-nowrap text-3xl font-semibold leading-none">
            {{ fromLevel }}<small class="ml-1 text-base font-normal">{{ suffix }}</small>
          </dd>
        </div>
        <div class="flex items-baseline justify-between py-1 text-lg">
          <dt class="text-base">
            drill
          </dt>
          <dd class="font-semibold">
            {{ toDrill }}{{ step.hole.member === undefined ? '' : `, ${piece} ${step.hole.member + 1}` }}
          </dd>
        </div>
      </dl>
      <div class="flex min-h-0 flex-1 flex-col overflow-y-auto" tabindex="0" role="group" aria-label="About this hole">
        <p
          v-if="done"
          class="mt-2 border-l-4 px-2 py-1 text-sm"
          :class="done.result === 'hit' ? 'border-good bg-good-wash' : 'border-stop bg-stop-wash'"
          data-testid="hole-record"
        >
          <b>{{ recordTold }}</b> {{ whenOf(done.at) }}, {{ authorText(done) }}{{ done.note ? `: ${done.note}` : '' }}
        </p>
        <a
          v-if="done && photoOf"
          :href="photo.whole.value"
          target="_blank"
          rel="noopener"
        ><img
          :src="photo.small.value"
          :alt="`Photo of ${step.label}`"
          class="mt-1 max-h-20 rounded border border-hair"
        ></a>
        <DisputeCard :hole="step.hole.id" :label="step.label" />
        <SteelCard :key="step.hole.id" :hole="step.hole.id" :label="step.label" />
        <AnswerCard v-if="!metSteel" :hole="step.hole.id" @again="recordAgain" />
        <QuestionCard />
        <FindingList v-if="warnings.length && !isHeld" class="mt-2" :findings="warnings" />
        <RowTape v-if="row && !isHeld" :marks="row.marks" :current="step.hole.id" class="h-9 shrink-0 md:hidden" />
        <HoleLocator
          class="min-h-14 flex-1 md:hidden"
          :current="step.hole.id"
          :moves="answering ? change?.marks : undefined"
        />
      </div>
      <p v-if="waits && !before" class="py-1 text-sm font-semibold">
        This plate waits for the answer. Drill the holes of other plates meanwhile.
      </p>
      <template v-else-if="!isHeld || correcting">
        <p class="py-1 text-xs text-ink-soft">
          Near cables: isolate and prove dead. Wear eye protection and a dust mask. Use a sound ladder.
        </p>
        <FieldFrame :id="noteId" label="Note" :fault="noteFault">
          <input
            :id="noteId"
            v-model="note"
            class="field-input"
            autocomplete="off"
            :aria-invalid="noteFault !== ''"
            @input="noteFault = ''"
          >
        </FieldFrame>
        <ResultButtons :before="before" :replacing="replacing" @record="record" @keep="replacing = undefined" />
      </template>
      <div class="mt-2 flex flex-wrap gap-2 [&>*]:min-w-36 [&>*]:flex-1">
        <button v-if="failed && !waits" type="button" class="press !min-h-12" @click="recordAgain">
          Drilled again: hit
        </button>
        <button
          v-if="isHeld && (before || !waits) && !correcting"
          type="button"
          class="press !min-h-12"
          @click="correcting = true"
        >
          {{ before ? 'Correct result…' : 'Record result…' }}
        </button>
        <PhotoButton
          v-else-if="!waits || before"
          class="md:hidden [&_label]:!min-h-12 [&_label]:w-full"
          :site="store.site"
          :label="picture ? '✓ Photo' : 'Photo'"
          :of="{ hole: step.hole, entry: before?.entry }"
          :take="(photo: string, of: PhotoOf) => { noteFault = takePhoto(photo, of) }"
        />
        <StopAndAsk :about="step.hole.id" :question="question" />
      </div>
      <BackNext class="mt-2" :first="index === 0" :last="index === steps.length - 1" @go="go" />
    </template>
  </div>
</template>
