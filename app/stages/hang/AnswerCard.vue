<script setup lang="ts">
import { canDrillAgain } from '~~/core/hang'
import { RESULT_NAMES } from '~~/core/log'
import type { ArrayPlan } from '~~/core/mount'
import { plural } from '~~/core/units'
import { screenLabel } from '~~/core/job/screenLabel'

/**
 * What follows from a hole that was not as planned: what moves and by how much, what fills it, and what else could be
 * done, each with what it costs.
 */
/** At a hole that it does not concern, it is told of in a line. */
const { hole } = defineProps<{ hole: string }>()
const emit = defineEmits<{ again: [] }>()
const { asked, change, moves, dead, close, isCalculating, open, waits } = useAnswer()
const shown = ref(false)
watch(() => hole, () => { shown.value = false })
const concerns = computed(() => shown.value || waits(hole))
const { live, steps } = useWallPlan()
const { piece, Piece } = usePiece()
const { stops, next, ready, issue } = useIssuing()
const { current, accept } = useRevisionAtWall()
const store = useWallStore()
const { show, tell, fineWithUnit: far, withUnit } = useUnits()
const labels = computed(() => new Map(steps.value.map(({ hole, label }) => [hole.id, label])))
const loose = computed(
  () => live.value?.arrays.flatMap(({ positions }) => positions).filter(({ plate }) => plate && !plate.held) ?? [],
)
const holesOf = (arrays: ArrayPlan[] = []) =>
  arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
/** What is known now of the member that the hole was for. */
const member = computed(() => {
  const frozen = current.value?.frozen.plan
  const index = holesOf(frozen?.arrays).find(({ id }) => id === asked.value?.hole)?.member
  const before = index === undefined ? undefined : frozen?.members[index]
  return (
    before && {
      number: index! + 1,
      before,
      now:
        live.value?.members.find(({ id }) => id === before.id)
        ?? live.value?.members.find(({ centre, width }) => Math.abs(centre - before.centre) < width / 2),
    }
  )
})
const plates = computed(
  () =>
    change.value?.plates.map(({ screen, dx, dy }) => ({
      screen,
      by: Math.hypot(dx, dy),
      label: live.value?.arrays.flatMap(({ positions }) => positions).find(({ id }) => id === screen),
    })) ?? [],
)
const FIRST = 4
/** What moves; where nothing does, whether that is as it should be. */
const headline = computed(() => {
  if (!change.value) return ''
  const { plates, marks, sum, dropped, added } = change.value
  if (moves.value) {
    const told = [
      ...plates.length > 0 ? [plural(plates.length, 'plate moves', 'plates move')] : [],
      ...marks.length > 0 ? [`${plural(marks.length, 'mark moves', 'marks move')}, by ${far(sum)} in total`] : [],
      ...dropped.length > 0 ? [`${plural(dropped.length, 'hole is', 'holes are')} no longer planned`] : [],
      ...added.length > 0 ? [`${plural(added.length, 'hole is', 'holes are')} new`] : [],
    ]
    return `${told.join('; ')}. Drilled holes stay.`
  }
  return loose.value.length > 0 ? 'No move of plates or marks replaces this hole.' : 'Nothing else moves.'
})
/** What the miss says of the stud: that it ends, leans, or is in doubt. */
const told = computed(() => live.value?.findings.find(({ subject }) =>
  subject.kind === 'reading' && subject.id === `drilled-${dead.value?.entry}`))
/** What stops this hole, and how that is cleared. */
const here = computed(() => stops.value.filter(({ subject }) => subject.kind === 'hole' && subject.id === hole))
const others = ref(false)
const fault = ref('')
function goOn() {
  if (!moves.value) return close()
  const faults = issue(
    asked.value
      ? `${labels.value.get(asked.value.hole) ?? asked.value.hole} ${RESULT_NAMES[asked.value.result]}`
      : 'after the drilling results',
  )
  fault.value = faultText(faults)
  if (faults.length > 0) return
  const { id } = store.revisions.at(-1)!
  if (id) accept(id)
  close()
}
</script>

<template>
  <p v-if="isCalculating" class="mt-2 text-sm" role="status">
    Replanning the remaining holes…
  </p>
  <p
    v-else-if="open && change && !concerns"
    class="mt-2 flex items-center justify-between gap-2 border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
    data-testid="answer-elsewhere"
  >
    <span>
      An answer is open{{ asked ? ` for ${labels.get(asked.hole) ?? asked.hole}` : '' }}.
      This hole is not affected: go on.
    </span>
    <button type="button" class="press !min-h-12 shrink-0" @click="shown = true">
      Show
    </button>
  </p>
  <section
    v-else-if="open && change"
    class="mt-2 border-l-4 border-caution bg-caution-wash px-2 py-1.5 text-sm"
    data-testid="answer"
    aria-label="Effect of the result"
  >
    <p class="font-semibold">
      {{ headline }}
    </p>
    <p v-if="member && !member.now" class="font-semibold">
      No {{ piece }} is assumed at {{ withUnit(member.before.centre) }} any more.
    </p>
    <p v-else-if="member?.now && Math.abs(member.now.centre - member.before.centre) > 0.5">
      {{ Piece }} {{ member.number }} is now assumed at {{ withUnit(member.now.centre) }}, not at
      {{ withUnit(member.before.centre) }}.
    </p>
    <p v-if="told" data-testid="answer-stud">
      {{ tell(told.message) }} {{ told.remedy ? tell(told.remedy) : '' }}
    </p>
    <p v-for="plate in plates.slice(0, FIRST)" :key="plate.screen">
      Move the plate of {{ plate.label ? screenLabel(plate.label) : plate.screen }} by
      {{ far(plate.by) }}.
    </p>
    <ul v-if="change.marks.length" class="mt-1">
      <li v-for="move in change.marks.slice(0, FIRST)" :key="move.hole" class="figures">
        {{ labels.get(move.hole) ?? move.hole }}: {{ show(move.from.x) }} → {{ withUnit(move.to.x) }}
        along{{ Math.abs(move.to.y - move.from.y) > 0.05 ? `, ${show(move.from.y)} → ${withUnit(move.to.y)} up` : '' }}
      </li>
      <li v-if="change.marks.length > FIRST">
        and {{ change.marks.length - FIRST }} more, ringed on the drawing
      </li>
    </ul>
    <p v-if="loose.length" class="mt-1 font-semibold text-stop">
      {{ plural(loose.length, 'plate is', 'plates are') }} no longer fixed:
      {{ loose.slice(0, 3).map(screenLabel).join(', ') }}.
    </p>
    <p v-if="dead && !canDrillAgain(dead)" class="mt-1">
      Dead hole: {{ dead.fill }}. Keep new holes {{ far(dead.keepOff) }} away from it.
    </p>
    <div v-if="moves && stops.length" class="mt-1" data-testid="answer-blocked">
      <p class="font-semibold text-stop">
        {{ stops.length === 1 ? 'This stop blocks' : `These ${stops.length} stops block` }} a new revision.
        Clear {{ stops.length === 1 ? 'it' : 'them' }}, choose another remedy, or stop and ask.
      </p>
      <FindingList class="mt-1" :findings="stops" />
    </div>
    <FindingList v-if="!moves && here.length" class="mt-1" :findings="here" />
    <p v-if="moves && !store.rights('wall.issue')" class="mt-1 font-semibold" data-testid="ask-lead">
      This needs a new revision, which only a lead or planner can issue: stop and ask.
    </p>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <div class="sticky bottom-0 -mx-2 mt-0.5 flex flex-wrap gap-2 bg-caution-wash px-2 py-1">
      <button v-if="dead && canDrillAgain(dead)" type="button" class="press !min-h-12" @click="emit('again')">
        Drilled again: hit
      </button>
      <button
        v-if="!moves || (stops.length === 0 && store.rights('wall.issue'))"
        type="button"
        class="press press-first !min-h-12"
        :disabled="moves && !ready"
        @click="goOn"
      >
        {{ moves ? `Issue revision ${next}` : 'Continue' }}
      </button>
      <button type="button" class="press !min-h-12" :aria-expanded="others" @click="others = !others">
        Other remedies
      </button>
    </div>
    <OtherWays v-if="others || (moves && stops.length > 0)" />
  </section>
</template>
