<script setup lang="ts">
import type { ModelKind } from '~~/core/catalogue'

/** How many of a model are in store and van, and entering what came or went; the ledger is only added to. */
const { kind, id, count } = defineProps<{ kind: ModelKind, id: string, count: number | undefined }>()
const emit = defineEmits<{ moved: [] }>()
const change = ref('')
const note = ref('')
const fault = ref('')
async function enter() {
  const typed = change.value.trim().replace('−', '-')
  if (!/^[+-]?\d{1,6}$/.test(typed))
    return void (fault.value = 'The quantity must be a whole number: 200 for goods in, -12 for goods out.')
  try {
    await api(`/catalogue/${kind}/stock`, {
      method: 'POST',
      body: { model: id, change: Number(typed), ...(note.value.trim() && { note: note.value.trim() }) },
    })
    change.value = note.value = fault.value = ''
    emit('moved')
  }
  catch (error) {
    const { faults, message } = error as ApiError
    fault.value = faults?.length ? faults.map(({ message }) => `It ${message}.`).join(' ') : message
  }
}
</script>

<template>
  <form class="border-t border-hair pt-2" novalidate data-testid="stock" @submit.prevent="enter">
    <p class="text-sm">
      In stock: <b class="figures">{{ count ?? 'not known' }}</b>
    </p>
    <div class="mt-1 flex items-end gap-2">
      <FieldFrame id="stock-change" v-slot="{ describedby }" label="Quantity, + in, − out" :fault="fault" class="w-40">
        <input
          id="stock-change"
          v-model="change"
          class="field-input text-right"
          inputmode="numeric"
          :aria-invalid="fault !== ''"
          :aria-describedby="describedby"
          autocomplete="off"
          @input="fault = ''"
        >
      </FieldFrame>
      <FieldFrame id="stock-note" label="Note" class="flex-1">
        <input id="stock-note" v-model="note" class="field-input" autocomplete="off" maxlength="2000">
      </FieldFrame>
      <button type="submit" class="press">
        Record
      </button>
    </div>
  </form>
</template>
