<script setup lang="ts">
import { SKILL_WORDS, SKILLS, type Settings } from '~~/core/programme'

/** A crew: who is in it, what they can do, when they work, which days they are off, and its calendar. */
const { crew } = defineProps<{ crew: Settings['crews'][number] }>()
const store = useProgrammeStore()
const fault = ref('')
const off = reactive({ day: '', reason: '' })
async function change(make: (crew: Settings['crews'][number]) => Settings['crews'][number]) {
  fault.value = await store.edit(now => ({
    ...now,
    crews: now.crews.map(each => (each.id === crew.id ? make(each) : each)),
  }))
}
const set = (what: Partial<Settings['crews'][number]>) =>
  store.tried(
    store.edit(now => ({ ...now, crews: now.crews.map(each => (each.id === crew.id ? { ...each, ...what } : each)) })),
  )
const toggle = (list: string[], item: string) =>
  list.includes(item) ? list.filter(each => each !== item) : [...list, item]
async function remove() {
  fault.value = await store.edit(now => ({ ...now, crews: now.crews.filter(({ id }) => id !== crew.id) }))
}
async function addOff() {
  if (!off.day) return void (fault.value = 'Choose a day.')
  await change(each => ({
    ...each,
    off: [...(each.off ?? []), { day: off.day, ...(off.reason.trim() && { reason: off.reason.trim() }) }],
  }))
  if (!fault.value) Object.assign(off, { day: '', reason: '' })
}
const others = (person: string) =>
  store.settings.crews.filter(({ id, people }) => id !== crew.id && people.includes(person)).map(({ name }) => name)
</script>

<template>
  <section class="space-y-3 border-l-4 border-pine bg-board p-4" :aria-label="crew.name" :data-crew="crew.id">
    <div class="flex flex-wrap items-end gap-3">
      <TextField label="Name" :value="crew.name" :actions="{ commit: name => set({ name }) }" class="min-w-48 flex-1" />
      <TypedField
        label="Van"
        :shown="crew.van ?? ''"
        :read="text => ({ ok: true, value: text.trim() || undefined })"
        :actions="{ commit: van => set({ van }) }"
        :numeric="false"
        class="w-40"
      />
      <button type="button" class="press" :aria-label="`Remove ${crew.name}`" @click="remove">
        Remove
      </button>
    </div>
    <fieldset>
      <legend class="field-label">
        People
      </legend>
      <div class="flex flex-wrap gap-x-4 text-sm">
        <label v-for="person in store.data?.people ?? []" :key="person.id" class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="size-5"
            :checked="crew.people.includes(person.id)"
            @change="change(each => ({ ...each, people: toggle(each.people, person.id) }))"
          >
          {{ person.name }}<span
            v-if="others(person.id).length"
            class="text-xs text-ink-soft"
          >also in {{ others(person.id).join(', ') }}</span>
        </label>
      </div>
      <p v-if="crew.people.length === 0" class="text-sm font-semibold text-caution">
        The crew has no people: no task is scheduled for it.
      </p>
    </fieldset>
    <fieldset>
      <legend class="field-label">
        Skills
      </legend>
      <div class="flex flex-wrap gap-x-4 text-sm">
        <label v-for="skill in SKILLS" :key="skill" class="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            class="size-5"
            :checked="crew.skills.includes(skill)"
            @change="change(each =>
              ({ ...each, skills: SKILLS.filter(one => (one === skill) !== each.skills.includes(one)) }))"
          >
          {{ SKILL_WORDS[skill] }}
        </label>
      </div>
    </fieldset>
    <WindowFields label="Working hours" :windows="crew.hours" @change="hours => change(each => ({ ...each, hours }))" />
    <form class="space-y-1" novalidate @submit.prevent="addOff">
      <p class="field-label">
        Days off
      </p>
      <p v-for="(day, n) in crew.off ?? []" :key="n" class="flex items-center gap-2 text-sm">
        {{ day.day }}{{ day.reason ? `: ${day.reason}` : '' }}
        <button
          type="button"
          class="press !px-2"
          :aria-label="`Remove ${day.day}`"
          @click="change(each => ({ ...each, off: each.off?.filter((_, k) => k !== n) }))"
        >
          Remove day
        </button>
      </p>
      <div class="flex flex-wrap items-center gap-2">
        <input v-model="off.day" type="date" class="field-input !w-40" :aria-label="`Day off of ${crew.name}`">
        <input
          v-model="off.reason"
          class="field-input !w-48"
          :aria-label="`Reason for the day off of ${crew.name}`"
          placeholder="reason"
          maxlength="200"
        >
        <button type="submit" class="press">
          Add day
        </button>
      </div>
    </form>
    <CalendarAddress :path="`/programme/calendars/${crew.id}`" :of="crew.name" />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
