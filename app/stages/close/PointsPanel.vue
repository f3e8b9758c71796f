<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { stillOpen } from '~~/core/close'

/** What is still to be done, by whom and by when. */
const store = useWallStore()
const { record } = useClose()
const form = reactive({ what: '', owner: '', due: '' })
const faults = reactive({ what: '', owner: '', due: '' })
const fault = ref('')
const open = computed(() => record.value ? stillOpen(record.value) : [])
const done = computed(() => record.value?.points.filter(({ done }) => done) ?? [])
const today = new Date().toISOString().slice(0, 10)
function add() {
  faults.what = form.what.trim() ? '' : 'Enter what has to be done.'
  faults.owner = form.owner.trim() ? '' : 'Enter an owner.'
  faults.due = form.due ? '' : 'Enter a due date.'
  if (faults.what || faults.owner || faults.due) return
  fault.value = store
    .record({ kind: 'point', what: form.what.trim(), owner: form.owner.trim(), due: form.due })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value) Object.assign(form, { what: '', owner: '', due: '' })
}
function end(point: string) {
  fault.value = faultText(store.record({ kind: 'point-done', point }))
}
</script>

<template>
  <section aria-label="Snags">
    <h2 class="text-sm font-semibold">
      Snags
    </h2>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="point in open" :key="point.id" class="flex items-center gap-2 py-1" :data-point="point.id">
        <span class="flex-1">{{ point.what }} <span class="text-ink-soft">{{ point.owner }}, due
        </span><span
          :class="point.due < today ? 'font-semibold text-stop' : 'text-ink-soft'"
        >{{ point.due }}{{ point.due < today
          ? ', overdue' : '' }}</span></span>
        <button type="button" class="press max-md:!min-h-12" @click="end(point.id)">
          Done
        </button>
      </li>
      <li v-for="point in done" :key="point.id" class="py-1 text-ink-soft">
        ✓ {{ point.what }}, done by {{ authorText(point.done!) }}, {{ whenOf(point.done!.at) }}
      </li>
    </ul>
    <form class="mt-1 grid grid-cols-2 gap-2" novalidate @submit.prevent="add">
      <FieldFrame id="point-what" label="Snag" :fault="faults.what" class="col-span-2">
        <input
          id="point-what"
          v-model="form.what"
          class="field-input"
          autocomplete="off"
          maxlength="2000"
          :aria-invalid="faults.what !== ''"
          @input="faults.what = ''"
        >
      </FieldFrame>
      <FieldFrame id="point-owner" label="Owner" :fault="faults.owner">
        <input
          id="point-owner"
          v-model="form.owner"
          class="field-input"
          autocomplete="off"
          maxlength="200"
          :aria-invalid="faults.owner !== ''"
          @input="faults.owner = ''"
        >
      </FieldFrame>
      <FieldFrame id="point-due" label="Due" :fault="faults.due">
        <input
          id="point-due"
          v-model="form.due"
          type="date"
          class="field-input"
          :aria-invalid="faults.due !== ''"
          @input="faults.due = ''"
        >
      </FieldFrame>
      <button type="submit" class="press col-span-2">
        Add snag
      </button>
    </form>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
