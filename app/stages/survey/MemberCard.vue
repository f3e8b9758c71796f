<script setup lang="ts">
import { withDrilled } from '~~/core/log'
import {
  centreFigure, MEMBER_KIND_NAMES, MEMBER_SOURCE_NAMES, METHOD_NAMES, pointsTo, proofOf, signsOf, spacingFigure,
  startFigure, widthFigure,
} from '~~/core/survey'

/** One member of the framing map: how sure it is, what it rests on, and the sums behind it. */
const { index } = defineProps<{ index: number }>()
const { plan, planned, built } = useWallPlan()
const { piece, Piece } = usePiece()
const store = useWallStore()
const { show, tell, withUnit, fineWithUnit, quantity } = useUnits()
const { select, hover, leave } = useSelection()
const member = computed(() => plan.value!.members[index]!)
/** With what was drilled in it: each hole tells of the stud as a reading does. */
const wall = computed(() => withDrilled(planned.value ?? store.shown!, built.value))
/** How far it leans, and to which side, where its readings tell that it does. */
const leans = computed(() => {
  const { slope } = member.value.lean ?? { slope: 0 }
  return slope === 0 ? '' : `${quantity(Math.abs(1000 * slope), 'mm/m')} to the ${slope < 0 ? 'left' : 'right'}`
})
const run = computed(() => member.value.run === undefined ? undefined : plan.value!.runs[member.value.run])
const proof = computed(() => proofOf(member.value, wall.value, store.rules))
const signs = computed(() =>
  signsOf(wall.value)
    .filter(({ reading }) => member.value.evidence.includes(reading.id))
    .map((sign) => {
      const off = pointsTo(sign, member.value.width) - member.value.centre
      const vague = sign.kind === 'magnet' || sign.kind === 'hole'
      return {
        id: sign.reading.id,
        name: METHOD_NAMES[sign.reading.method],
        x: sign.x,
        agrees:
          vague || Math.abs(off) < 2
            ? 'agrees'
            : tell([{ mm: Math.abs(off) }, off < 0 ? ' to the left' : ' to the right']),
      }
    }),
)
/** Nails and knocks that speak against a member where this one is believed to be. */
const against = computed(() => signsOf(wall.value)
  .filter(({ speaksFor, x }) => !speaksFor && Math.abs(x - member.value.centre) < member.value.width / 2 - 3)
  .map(({ reading, x }) => ({ id: reading.id, name: METHOD_NAMES[reading.method], x })))
</script>

<template>
  <section class="border-t border-hair pt-2" data-testid="member-card" :aria-label="`${Piece} ${index + 1}`">
    <h2 class="text-sm font-semibold">
      {{ Piece }} {{ index + 1 }}: {{ MEMBER_KIND_NAMES[member.kind] }}, {{ MEMBER_SOURCE_NAMES[member.source] }},
      <span :class="proof.proved ? 'text-good' : 'text-stop'">{{ proof.proved ? 'confirmed' : 'unconfirmed' }}</span>
    </h2>
    <FigureLine label="Centre" :figure="centreFigure(wall, member, plan!.shared)" />
    <p class="text-xs text-ink-soft">
      ± {{ fineWithUnit(1.96 * member.sd) }} at 95 % confidence. Probability that a {{ piece }} is here:
      {{ member.confidence > 0.99 ? 'over 99' : Math.round(100 * member.confidence) }} %.
    </p>
    <p v-if="leans" class="text-xs text-caution">
      Leans {{ leans }} going up; its centre is given at {{ withUnit(member.lean!.at) }} above floor.
    </p>
    <p v-if="member.stretches" class="text-xs text-caution">
      Not full height: assumed
      {{ member.stretches.map(({ from, to }) => `from ${show(from)} to ${withUnit(to)}`).join(' and ') }}.
    </p>
    <FigureLine label="Width" :figure="widthFigure(wall, member)" />
    <template v-if="run">
      <FigureLine :label="`${Piece} spacing of run`" :figure="spacingFigure(run)" />
      <FigureLine label="Start of run" :figure="startFigure(run)" />
    </template>
    <p class="mt-1 text-xs">
      Based on {{ tell(proof.restsOn) }}.
    </p>
    <ul class="text-xs">
      <li v-for="sign in signs" :key="sign.id">
        <button
          type="button"
          class="flex w-full justify-between py-0.5 text-left hover:underline"
          @click="select('reading', sign.id)"
          @pointerenter="hover('reading', sign.id)"
          @pointerleave="leave"
        >
          <span>{{ sign.name }} at <b class="figures">{{ withUnit(sign.x) }}</b></span><span
            class="text-ink-soft"
          >{{ sign.agrees }}</span>
        </button>
      </li>
      <li v-for="sign in against" :key="sign.id">
        <button
          type="button"
          class="flex w-full justify-between py-0.5 text-left text-stop hover:underline"
          @click="select('reading', sign.id)"
        >
          <span>{{ sign.name }} at <b class="figures">{{ withUnit(sign.x) }}</b></span><span>contradicts: nothing
            there</span>
        </button>
      </li>
    </ul>
  </section>
</template>
