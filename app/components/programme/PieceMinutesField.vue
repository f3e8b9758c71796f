<script setup lang="ts">
import { sortTitle, type PieceMinutes } from '~~/core/programme'

/** What a piece of a kind of work takes and what that rests on; the firm's own word for it is typed beside it. */
const { piece } = defineProps<{ piece: PieceMinutes }>()
const store = useProgrammeStore()
const FROM = { own: 'set by the firm', learned: 'from the firm’s logs', default: 'default' }
const own = computed(() => store.settings.minutes?.find(({ sort }) => sort === piece.sort)?.minutes)
function read(text: string): Read<number | undefined> {
  const typed = text.trim().replace(',', '.')
  if (typed === '') return { ok: true, value: undefined }
  return /^\d{1,5}(\.\d{1,2})?$/.test(typed)
    ? { ok: true, value: Number(typed) }
    : { ok: false, message: `“${text.trim()}” is not a number of minutes` }
}
const commit = (minutes: number | undefined) =>
  store.tried(
    store.edit(now => ({
      ...now,
      minutes: [
        ...(now.minutes ?? []).filter(({ sort }) => sort !== piece.sort),
        ...(minutes === undefined ? [] : [{ sort: piece.sort, minutes }]),
      ],
    })),
  )
const { text, fault, input, done, revert } = useField(() => String(own.value ?? ''), read, { commit })
const id = useId()
</script>

<template>
  <div class="border-t border-hair py-1 text-sm">
    <div class="flex items-center gap-2">
      <label :for="id" class="min-w-0 flex-1">{{ sortTitle(piece.sort, piece.kind) }}<span
        class="block text-xs text-ink-soft"
      ><b
        class="figures"
      >{{ Math.round(piece.minutes * 10) / 10 }}</b> {{ FROM[piece.from] }}<template
        v-if="piece.logs"
      >; {{ piece.logs }} {{ piece.logs === 1 ? 'entry' : 'entries' }}, median
        {{ Math.round(piece.middle! * 10) / 10 }}</template></span></label>
      <input
        :id="id"
        class="field-input !w-20 text-right"
        inputmode="decimal"
        :value="text"
        placeholder="not set"
        autocomplete="off"
        :aria-invalid="fault !== ''"
        :aria-describedby="fault ? `${id}-fault` : undefined"
        @input="input(($event.target as HTMLInputElement).value)"
        @change="done"
        @keydown.esc.stop="revert"
      >
    </div>
    <p v-if="fault" :id="`${id}-fault`" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
