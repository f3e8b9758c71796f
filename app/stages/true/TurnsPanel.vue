<script setup lang="ts">
import { Check } from 'lucide-vue-next'
import { cornersOf, turnFaults } from '~~/core/true'
import { widening } from '~/drawing/seams'

/**
 * Which adjuster to turn, how far and which way, row after row in an order that works; what then remains, and what
 * binds.
 */
const store = useWallStore()
const { array, alignment, failed, working, last, now, isTrue } = useTruing()
/** Turns that would bring seams nearer to their target although all are within tolerance. */
const finer = ref(false)
watch(() => last.value?.id, () => { finer.value = false })
const { made, then, moves, entries, all, clear } = useTurns()
const { tell, showThin: far } = useUnits()
const fault = ref('')
const drawing = useSeamDrawing()
const count = computed(() => Object.keys(made.value).length)
const said = (screen: string) => screen.toUpperCase().replace('C', ' C')
const steps = computed(() =>
  (alignment.value?.sequence ?? []).map(step => ({
    ...step,
    moves: step.screens.flatMap(screen => moves.value.filter(move => move.screen === screen)),
  })),
)
/** Steps that were read round a corner and do not come back to where they began: one of the four is wrong. */
const APART = 0.6
const doubtful = computed(() =>
  cornersOf((alignment.value?.predicted ?? []).map(({ reading }) => reading)).filter(
    ({ off }) => Math.abs(off) > APART,
  ),
)
const headline = computed(() => {
  if (alignment.value?.again.length) return 'A reading has to be taken again.'
  if (isTrue.value) return 'Every seam read is within tolerance: nothing to turn.'
  return alignment.value?.closes ? 'All seams come within tolerance.' : 'Some seams stay out of tolerance.'
})
function record() {
  const tooFar = turnFaults(now.value, entries())
  if (tooFar.length > 0) return void (fault.value = tell(tooFar[0]!))
  fault.value = store
    .record({ kind: 'turned', array: array.value!.id, round: last.value!.round, moves: entries() })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) clear()
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col gap-2">
    <p v-if="!last" class="text-sm">
      Read the seams first. A gap that is not read is taken as it was read last, or as planned.
    </p>
    <p v-else-if="failed" class="field-fault" role="alert">
      The turns could not be calculated: {{ failed }}
    </p>
    <p v-else-if="!alignment || working" class="text-sm" role="status">
      Calculating the turns…
    </p>
    <template v-else>
      <p
        class="border-l-4 px-2 py-1 text-sm"
        :class="isTrue || alignment.closes ? 'border-good bg-good-wash' : 'border-caution bg-caution-wash'"
        data-testid="closes"
      >
        <b>{{ headline }}</b>
        Round {{ alignment.round }}: max gap deviation {{ far(alignment.before.gap) }}, then
        {{ far(alignment.after.gap) }}; max step {{ far(alignment.before.step) }}, then {{ far(alignment.after.step) }}.
        Tolerance {{ far(alignment.target.tolerance) }}.
      </p>
      <div
        class="flex overflow-hidden rounded border border-edge text-sm max-md:hidden"
        role="group"
        aria-label="The drawing shows"
      >
        <button
          v-for="of in [false, true]"
          :key="String(of)"
          type="button"
          class="min-h-[var(--target)] flex-1"
          :class="then === of ? 'bg-pine font-semibold text-on-pine' : 'bg-paper'"
          :aria-pressed="then === of"
          @click="then = of"
        >
          {{ of ? 'After turning' : 'As read' }}
        </button>
      </div>
      <p v-if="drawing" class="text-xs text-ink-soft max-md:hidden">
        Seams are drawn {{ widening(drawing.seams) }} times wider than real. A heavy edge marks the proud screen.
      </p>
      <div class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Turns">
        <ul v-if="alignment.binding.length" class="mb-1 text-sm" data-testid="binding">
          <li v-for="(bound, n) in alignment.binding.slice(0, 3)" :key="n">
            <b>{{ bound.between.map(said).join(' | ') }}{{ bound.end ? `, ${bound.end}` : '' }}: {{ far(bound.by) }}
              over.</b> {{ tell(bound.needs) }}
          </li>
        </ul>
        <p
          v-for="corner in doubtful"
          :key="corner.screens.join()"
          class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
        >
          Steps round the corner of {{ corner.screens.map(said).join(', ') }} do not add up, by
          {{ far(Math.abs(corner.off)) }}: read those four again.
        </p>
        <p
          v-for="(out, n) in alignment.leftOut"
          :key="`out${n}`"
          class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
        >
          The reading at {{ out.between.map(said).join(' | ') }}, {{ out.end }} is excluded: {{ tell(out.why) }}.
        </p>
        <p
          v-for="(out, n) in alignment.again"
          :key="`again${n}`"
          class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
          data-testid="read-again"
        >
          <b>
            Read {{ out.between.map(said).join(' | ') }}{{ out.end ? `, ${out.end}` : '' }} again before turning.
          </b>
          {{ tell(out.why) }}. If it reads the same again, it is taken as it is.
        </p>
        <p v-if="moves.length === 0 && alignment.again.length === 0" class="text-sm" data-testid="no-moves">
          No adjustment required.
        </p>
        <button v-if="isTrue && moves.length && !finer" type="button" class="press !min-h-12" @click="finer = true">
          Show finer turns
        </button>
        <section v-for="step in isTrue && !finer ? [] : steps" :key="step.row" class="mb-2" :data-row="step.row">
          <h2 class="sticky top-0 bg-board py-1 text-sm font-semibold">
            Row {{ step.row }}<template v-if="step.pulled">: pull out, turn, push home and lock, one screen at a
              time</template>
          </h2>
          <p v-if="step.touches" class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm">
            In any order, cases collide by {{ far(step.touches) }} on the way: open the gap beside it by hand first.
          </p>
          <ol class="divide-y divide-hair">
            <TurnLine v-for="move in step.moves" :key="`${move.screen} ${move.adjuster}`" :move="move" />
          </ol>
        </section>
        <p v-if="moves.length && (!isTrue || finer)" class="text-xs text-ink-soft">
          Check the turning direction in the mount’s instructions; on the first adjuster, check that the seam moves as
          stated. Turn the four depth adjusters of a screen in rotation, 1/8 turn at a time. Tick each adjuster when
          done. Use “Edit” to enter a different amount.
        </p>
      </div>
      <template v-if="moves.length && (!isTrue || finer)">
        <p v-if="fault" class="field-fault" role="alert">
          {{ fault }}
        </p>
        <div class="grid grid-cols-[auto_1fr] gap-2">
          <button type="button" class="press !min-h-12" @click="all">
            Tick all
          </button>
          <button type="button" class="press press-first !min-h-12" :disabled="count === 0" @click="record">
            <Check class="size-5" aria-hidden="true" /> Record {{ count }} turned
          </button>
        </div>
      </template>
    </template>
  </div>
</template>
