<script setup lang="ts">
import { dayAfter, localTime, minuteOf } from '~~/core/programme'

/** A day that is lost, to weather or a locked door: planned anew in one step, with what that moves. */
const store = useProgrammeStore()
const form = reactive({
  day: dayAfter(localTime(minuteOf(new Date()), store.settings.zone).day),
  where: 'all',
  reason: '',
})
const fault = ref('')
const open = ref(false)
const whom = computed(() => [
  { value: 'all', label: 'everyone' },
  ...store.settings.crews.map(({ id, name }) => ({ value: `crew:${id}`, label: name })),
  ...(store.data?.sites ?? []).map(({ id, name }) => ({ value: `site:${id}`, label: name })),
])
const nameOf = (where: string) =>
  where === 'all'
    ? 'everyone'
    : where.startsWith('crew:')
      ? store.crewName(where.slice(5))
      : store.siteName(where.slice(5))
async function lose() {
  if (!form.reason.trim()) return void (fault.value = 'Enter a reason: weather, no access, illness.')
  const lost = {
    day: form.day,
    reason: form.reason.trim(),
    ...(form.where.startsWith('crew:') && { crew: form.where.slice(5) }),
    ...(form.where.startsWith('site:') && { site: form.where.slice(5) }),
  }
  fault.value = await store.edit(
    now => ({ ...now, lost: [...(now.lost ?? []), lost] }),
    `${form.day} lost for ${nameOf(form.where)}: ${lost.reason}`,
  )
  if (!fault.value) open.value = false
}
const giveBack = (n: number) =>
  store.told(store.edit(now => ({ ...now, lost: now.lost?.filter((_, k) => k !== n) }), 'Lost day restored'))
</script>

<template>
  <section class="space-y-2">
    <button type="button" class="press w-full" :aria-expanded="open" @click="open = !open">
      Record lost day…
    </button>
    <form v-if="open" class="space-y-2" novalidate @submit.prevent="lose">
      <FieldFrame id="lost-day" label="Day">
        <input id="lost-day" v-model="form.day" type="date" class="field-input">
      </FieldFrame>
      <ChoiceField
        label="Applies to"
        :value="form.where"
        :options="whom"
        :commit="chosen => { form.where = chosen; return [] }"
      />
      <FieldFrame id="lost-reason" label="Reason" :fault="fault">
        <input
          id="lost-reason"
          v-model="form.reason"
          class="field-input"
          autocomplete="off"
          maxlength="200"
          @input="fault = ''"
        >
      </FieldFrame>
      <button type="submit" class="press press-first w-full">
        Replan
      </button>
    </form>
    <ul v-if="store.settings.lost?.length" class="text-sm">
      <li v-for="(lost, n) in store.settings.lost" :key="n" class="flex items-center gap-2">
        <span
          class="flex-1"
        >{{ lost.day }}, {{ lost.crew ? store.crewName(lost.crew) : lost.site
          ? store.siteName(lost.site) : 'everyone' }}: {{ lost.reason }}</span>
        <button type="button" class="press !px-2" @click="giveBack(n)">
          Restore
        </button>
      </li>
    </ul>
  </section>
</template>
