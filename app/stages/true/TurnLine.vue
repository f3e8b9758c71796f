<script setup lang="ts">
import { ADJUSTER_NAMES, type Move } from '~~/core/true'

/** One adjuster to turn: ticked as stated, or entered as it was turned. */
const { move } = defineProps<{ move: Move }>()
const { made, keyOf, tick, by, otherwise } = useTurns()
const { tell, fineWithUnit } = useUnits()
const open = ref(false)
const done = computed(() => made.value[keyOf(move)])
const said = computed(() =>
  move.turns === undefined ? fineWithUnit(done.value ?? move.mm) : `${done.value ?? move.turns} turns`,
)
</script>

<template>
  <li :data-move="keyOf(move)">
    <div class="flex items-center gap-2">
      <label class="flex min-h-12 flex-1 cursor-pointer items-center gap-3 py-1 text-base leading-snug max-md:text-lg">
        <input
          type="checkbox"
          class="size-7 shrink-0"
          :checked="done !== undefined"
          @change="tick(move, ($event.target as HTMLInputElement).checked)"
        > <span>{{ tell(move.words) }}<small
          v-if="move.why"
          class="block text-xs text-ink-soft"
        >{{ tell(move.why) }}</small></span>
      </label>
      <button
        type="button"
        class="press !px-2 max-md:!min-h-12"
        :aria-expanded="open"
        :aria-label="`Edit turns: ${move.screen.toUpperCase()}, ${ADJUSTER_NAMES[move.adjuster]}`"
        @click="open = !open"
      >
        Edit
      </button>
    </div>
    <div
      v-if="open || otherwise(move)"
      class="mb-2 flex items-center gap-2 text-sm"
      role="group"
      aria-label="Actual turns"
    >
      Actual:
      <button type="button" class="press !size-12 !p-0 !text-xl" aria-label="One step less" @click="by(move, -1)">
        −
      </button>
      <b class="figures min-w-24 text-center text-lg" data-testid="as-turned">{{ said }}</b>
      <button type="button" class="press !size-12 !p-0 !text-xl" aria-label="One step more" @click="by(move, 1)">
        +
      </button>
      <span class="text-ink-soft">+ is up, right or out</span>
    </div>
  </li>
</template>
