<script setup lang="ts">
import { weekdayText } from '~~/core/dates'
import { dayAfter, localTime, minuteOf, mondayOf } from '~~/core/programme'
import { timeAt } from '~/components/programme/when'

/** The week as a board: a row a crew, a column a day, a card a visit. What is published, as everybody sees it. */
const store = useProgrammeStore()
const visits = useVisits()
const today = localTime(minuteOf(new Date()), store.settings.zone).day
const monday = ref('')
watch(visits, (all) => {
  if (monday.value || all.length === 0) return
  const next = all.find(({ day }) => day >= today) ?? all.at(-1)!
  monday.value = mondayOf(next.day)
}, { immediate: true })
const week = computed(() => Array.from({ length: 7 }, (_, n) => dayAfter(monday.value || mondayOf(today), n)))
const rows = computed(() => {
  const crews = new Map(store.settings.crews.map(({ id, name }) => [id, name]))
  for (const { crew, stretches } of visits.value) if (!crews.has(crew)) crews.set(crew, stretches[0]!.crewName)
  return [...crews].map(([id, name]) => ({ id, name }))
})
const of = (crew: string, day: string) => visits.value.filter(visit => visit.crew === crew && visit.day === day)
const isFull = (day: string) => visits.value.some(visit => visit.day === day)
/** Days on which nobody is anywhere make room for the others, where those are many. */
const isNarrow = (day: string) => !isFull(day) && week.value.filter(isFull).length > 3
const dayTitle = (day: string) => weekdayText(day)
const offOn = (crew: string, day: string) =>
  store.settings.lost?.find(lost => lost.day === day && (lost.crew === crew || (!lost.crew && !lost.site)))
</script>

<template>
  <ProgrammeFrame title="Week">
    <main tabindex="0" aria-label="Week" class="flex-1 overflow-auto p-4">
      <div class="mb-3 flex flex-wrap items-center justify-between gap-3">
        <h1 class="text-2xl font-bold">
          Week of {{ dayTitle(week[0]!) }}
        </h1>
        <span class="flex gap-2">
          <button
            type="button"
            class="press"
            aria-label="One week earlier"
            @click="monday = dayAfter(week[0]!, -7)"
          >‹</button>
          <button
            type="button"
            class="press"
            aria-label="One week later"
            @click="monday = dayAfter(week[0]!, 7)"
          >›</button>
        </span>
      </div>
      <p v-if="store.data && store.published.length === 0" class="text-sm">
        No visits are published yet. A planner publishes the schedule.
      </p>
      <table v-else class="w-full table-fixed border-collapse text-sm max-md:block" data-testid="board">
        <thead class="max-md:hidden">
          <tr>
            <th class="w-28 p-2 text-left">
              Crew
            </th>
            <th
              v-for="day in week"
              :key="day"
              class="border-l border-hair p-2 text-left"
              :class="[{ 'w-16': isNarrow(day),
                         'text-ink-soft': !isFull(day)
                           && day !== today,
                         'bg-tape text-on-tape': day === today }]"
            >
              {{ dayTitle(day) }}
            </th>
          </tr>
        </thead>
        <tbody class="max-md:block">
          <tr v-for="crew in rows" :key="crew.id" class="border-t border-hair align-top max-md:mb-4 max-md:block">
            <th scope="row" class="p-2 text-left max-md:block">
              {{ crew.name }}
            </th>
            <td
              v-for="day in week"
              :key="day"
              class="border-l border-hair p-1 max-md:block"
              :class="{ 'max-md:hidden': of(crew.id, day).length === 0 && !offOn(crew.id, day) }"
            >
              <p class="hidden text-xs font-semibold max-md:block">
                {{ dayTitle(day) }}
              </p>
              <p v-if="offOn(crew.id, day)" class="bg-caution-wash p-1 text-xs text-caution">
                Lost day: {{ offOn(crew.id, day)!.reason }}
              </p>
              <NuxtLink
                v-for="visit in of(crew.id, day)"
                :key="visit.id"
                no-prefetch
                :to="`/programme/day?day=${visit.day}&crew=${visit.crew}`"
                class="mb-1 block border-l-4 border-pine bg-board p-2 hover:bg-paper"
              >
                <span class="figures block text-xs text-ink-soft">{{ timeAt(visit.from, store.zoneOf(visit.site)) }} to
                  {{ timeAt(visit.to, store.zoneOf(visit.site)) }}</span>
                <span class="block font-semibold">{{ store.siteName(visit.site) }}</span>
                <span
                  v-for="title in [...new Set(visit.stretches.map(({ title }) => title))]"
                  :key="title"
                  class="block text-xs"
                >{{ title }}</span>
              </NuxtLink>
            </td>
          </tr>
        </tbody>
      </table>
    </main>
  </ProgrammeFrame>
</template>
