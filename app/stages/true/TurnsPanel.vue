<script setup lang="ts">
import { Check } from 'lucide-vue-next'

/** Which adjuster to turn, how far and which way, in the order of the screens; what then remains, and what binds. */
const { round } = defineProps<{ round: number }>()
const store = useWallStore()
const { array, alignment, failed, working, last } = useTruing()
const { tell, showFine, suffix } = useUnits()
const { name, nameId, fault, signed } = useSigner('Write your name first: the log keeps who turned them.')
/** Moves that were made as told; those that are not ticked were not turned. */
const made = ref<Record<string, boolean>>({})
const keyOf = ({ screen, adjuster }: { screen: string, adjuster: string }) => `${screen} ${adjuster}`
watch(() => last.value?.id, () => { made.value = {} })
const count = computed(() => alignment.value?.moves.filter(move => made.value[keyOf(move)]).length ?? 0)
const far = (mm: number) => `${showFine(mm)}${suffix.value ? ` ${suffix.value}` : ''}`
function record() {
  const by = signed()
  if (!by) return
  const moves = alignment.value!.moves.filter(move => made.value[keyOf(move)]).map(({ screen, adjuster, turns, mm }) => ({ screen, adjuster, ...turns === undefined ? { mm } : { turns } }))
  fault.value = store.record(by, { kind: 'turned', array: array.value!.id, round, moves }).map(({ message }) => message).join(' ')
  if (!fault.value) made.value = {}
}
const all = () => { made.value = Object.fromEntries(alignment.value!.moves.map(move => [keyOf(move), true])) }
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col gap-2">
    <p v-if="!last" class="text-sm">
      Read the seams first: what is not read constrains nothing.
    </p>
    <p v-else-if="failed" class="field-fault" role="alert">
      The turns could not be worked out: {{ failed }}
    </p>
    <p v-else-if="!alignment || working" class="text-sm" role="status">
      The turns are worked out…
    </p>
    <template v-else>
      <p class="border-l-4 px-2 py-1 text-sm" :class="alignment.closes ? 'border-good bg-good-wash' : 'border-caution bg-caution-wash'" data-testid="closes">
        <b>{{ alignment.closes ? 'It closes.' : 'It does not close all the way.' }}</b>
        Round {{ alignment.round }}: gaps off by {{ far(alignment.before.gap) }} at most, then {{ far(alignment.after.gap) }}; steps {{ far(alignment.before.step) }}, then {{ far(alignment.after.step) }}. A seam is closed within {{ far(alignment.target.tolerance) }}.
      </p>
      <ul v-if="alignment.binding.length" class="text-sm" data-testid="binding">
        <li v-for="(bound, n) in alignment.binding.slice(0, 3)" :key="n">
          {{ bound.between.map(screen => screen.toUpperCase().replace('C', ' C')).join(' | ') }}{{ bound.end ? `, ${bound.end}` : '' }}: {{ far(bound.by) }} too much. {{ tell(bound.needs) }}
        </li>
      </ul>
      <p v-if="alignment.moves.length === 0" class="text-sm" data-testid="no-moves">
        Nothing is to be turned.
      </p>
      <ol v-else class="min-h-0 flex-1 divide-y divide-hair overflow-y-auto" tabindex="0" aria-label="Turns">
        <li v-for="move in alignment.moves" :key="keyOf(move)" :data-move="keyOf(move)">
          <label class="flex min-h-12 cursor-pointer items-center gap-3 py-1 text-lg leading-snug">
            <input v-model="made[keyOf(move)]" type="checkbox" class="size-7 shrink-0 accent-[var(--color-pine)]"> {{ tell(move.words) }}
          </label>
        </li>
      </ol>
      <template v-if="alignment.moves.length">
        <p class="text-xs text-ink-soft">
          Which way a screw goes is by the mount’s own sheet: see with the first one that the seam moves as told. Tick what was turned; what was turned otherwise is read anew in the next round.
        </p>
        <FieldFrame :id="nameId" label="Your name" :fault="fault" inline>
          <input :id="nameId" v-model="name" class="field-input" autocomplete="name" maxlength="200" :aria-invalid="fault !== ''" @input="fault = ''">
        </FieldFrame>
        <div class="grid grid-cols-[auto_1fr] gap-2">
          <button type="button" class="press !min-h-12" @click="all">
            Tick all
          </button>
          <button type="button" class="press press-first !min-h-12" :disabled="count === 0" @click="record">
            <Check class="size-5" aria-hidden="true" /> {{ count }} turned
          </button>
        </div>
      </template>
    </template>
  </div>
</template>
