<script setup lang="ts">
import { weekdayText } from '~~/core/dates'
import { Printer } from 'lucide-vue-next'
import { dayAfter, KINDS, localTime, minuteOf, type WorkKind } from '~~/core/programme'
import { pickList } from '~~/core/programme/stock/pick'
import { timeAt } from '~/components/programme/when'
import { siteFileAddress } from '~/utils/siteFiles'

/** A crew's day: where, when, what, who opens, which walls to take along, and what to load; on a phone and on paper. */
const store = useProgrammeStore()
const route = useRoute()
const { tell, system } = useUnits()
const me = useMe()
const nameOfModel = useModelNames()
const visits = useVisits()
const day = ref(String(route.query.day ?? localTime(minuteOf(new Date()), store.settings.zone).day))
const crew = ref(String(route.query.crew ?? ''))
watch(() => [store.data, visits.value] as const, () => {
  if (!crew.value)
    crew.value
      = store.settings.crews.find(({ people }) => people.includes(me.id.value))?.id ?? store.settings.crews[0]?.id ?? ''
  // Without a day in the address it is the next one on which there is anything.
  if (!route.query.day && !visits.value.some(visit => visit.day === day.value && visit.crew === crew.value))
    day.value = visits.value.find(visit => visit.crew === crew.value && visit.day > day.value)?.day ?? day.value
}, { immediate: true })
/** Whether the person who looks is in no crew, so that the day shown is another's. */
const inNoCrew = computed(
  () => store.data !== undefined && !store.settings.crews.some(({ people }) => people.includes(me.id.value)),
)
/** Whether it is the day of the crew of who looks. */
const mine = computed(() =>
  store.settings.crews.some(({ id, people }) => id === crew.value && people.includes(me.id.value)),
)
const today = computed(() => visits.value.filter(visit => visit.day === day.value && visit.crew === crew.value))
const people = computed(
  () => store.settings.crews.find(({ id }) => id === crew.value)?.people.map(store.personName) ?? [],
)
const wallOf = (site: string, wall: string) => store.data?.walls.find(each => each.site === site && each.id === wall)
const stopsAt = (site: string, wall: string) => (wallOf(site, wall)?.stops ?? 0) > 0
const isDone = (site: string, wall: string, kind: WorkKind) =>
  wallOf(site, wall)?.work?.some(work => work.kind === kind && work.done >= work.pieces) ?? false
const siteOf = (id: string) => store.data?.sites.find(site => site.id === id)
const walls = computed(() =>
  [
    ...new Map(
      today.value.flatMap(({ stretches }) => stretches).map(stretch => [`${stretch.site}/${stretch.wall}`, stretch]),
    ).values(),
  ].map(({ site, wall }) => ({
    site,
    wall,
    kinds: [
      ...new Set(
        today.value
          .flatMap(({ stretches }) => stretches)
          .filter(each => each.site === site && each.wall === wall)
          .map(({ kind }) => kind),
      ),
    ],
  })),
)
const pick = computed(() => pickList(walls.value.map(({ site, wall, kinds }) => {
  const known = wallOf(site, wall)
  return { kinds, needed: known?.needed ?? [], kit: known?.kit ?? [] }
}), system.value))
const dayTitle = computed(() => weekdayText(day.value))
const print = () => window.print()
function wayTo(id: string): [string, string | undefined][] {
  const { address, access, parking, delivery } = siteOf(id) ?? {}
  return [['Address', address], ['Access', access], ['Parking', parking], ['Lift and deliveries', delivery]]
}
</script>

<template>
  <ProgrammeFrame :title="mine ? 'My day' : 'Day sheet'">
    <main
      tabindex="0"
      aria-label="Day sheet"
      class="mx-auto w-full max-w-3xl flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0"
      data-testid="day-sheet"
    >
      <div class="mb-3 flex flex-wrap items-end gap-2 print:hidden">
        <FieldFrame id="day-crew" label="Crew" class="min-w-40 flex-1">
          <select id="day-crew" v-model="crew" class="field-input">
            <option v-for="each in store.settings.crews" :key="each.id" :value="each.id">
              {{ each.name }}
            </option>
          </select>
        </FieldFrame>
        <FieldFrame id="day-day" label="Day" class="w-40">
          <input id="day-day" v-model="day" type="date" class="field-input">
        </FieldFrame>
        <button type="button" class="press" aria-label="Previous day" @click="day = dayAfter(day, -1)">
          ‹
        </button>
        <button type="button" class="press" aria-label="Next day" @click="day = dayAfter(day)">
          ›
        </button>
        <button type="button" class="press max-md:hidden" @click="print">
          <Printer class="size-4" aria-hidden="true" /> Print
        </button>
      </div>
      <h1 class="text-2xl font-bold">
        {{ mine ? `My day: ${dayTitle}` : dayTitle }}
      </h1>
      <p class="text-sm text-ink-soft">
        {{ store.crewName(crew) }}: {{ people.join(', ') || 'no people' }}
      </p>
      <p
        v-if="inNoCrew"
        class="mt-2 border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
        data-testid="no-crew"
      >
        You are in no crew yet{{ crew ? `; this is the day of ${store.crewName(crew)}` : '' }}.
        A planner adds you under Crews and hours.
      </p>
      <p v-if="today.length === 0" class="mt-4 text-sm">
        No visits are published for this crew on this day.
      </p>
      <section
        v-for="visit in today"
        :key="visit.id"
        class="mt-4 border-l-4 border-pine bg-board p-3 print:break-inside-avoid"
        :aria-label="store.siteName(visit.site)"
      >
        <h2 class="text-lg font-bold">
          <span class="figures">{{ timeAt(visit.from, store.zoneOf(visit.site)) }} to
            {{ timeAt(visit.to, store.zoneOf(visit.site)) }}</span> {{ store.siteName(visit.site) }}
        </h2>
        <ol class="mt-2 space-y-1">
          <li
            v-for="stretch in visit.stretches"
            :key="`${stretch.task} ${stretch.from}`"
            class="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm"
          >
            <span class="figures w-24 shrink-0">{{ timeAt(stretch.from, store.zoneOf(visit.site)) }} to
              {{ timeAt(stretch.to, store.zoneOf(visit.site)) }}</span>
            <NuxtLink
              :to="`/sites/${stretch.site}/walls/${stretch.wall}/${KINDS[stretch.kind].stage}`"
              no-prefetch
              class="flex min-h-6 min-w-36 flex-1 items-center underline"
            >
              {{ stretch.title }}
            </NuxtLink>
            <TaskDone
              :site="stretch.site"
              :wall="stretch.wall"
              :kind="stretch.kind"
              :done="isDone(stretch.site, stretch.wall, stretch.kind)"
              class="ml-auto"
            />
            <b
              v-if="stopsAt(stretch.site, stretch.wall)"
              class="basis-full text-stop"
            >This wall has a stop: ask before you drill or hang anything.</b>
          </li>
        </ol>
        <dl class="mt-3 space-y-1 text-sm">
          <template
            v-for="[label, said] in wayTo(visit.site)"
            :key="label"
          >
            <div v-if="said" class="flex gap-2">
              <dt class="w-28 shrink-0 text-ink-soft">
                {{ label }}
              </dt>
              <dd>{{ said }}</dd>
            </div>
          </template>
          <div v-if="siteOf(visit.site)?.files?.length" class="flex gap-2">
            <dt class="w-28 shrink-0 text-ink-soft">
              Files
            </dt>
            <dd class="flex flex-wrap gap-x-4">
              <a
                v-for="{ file, name } in siteOf(visit.site)!.files"
                :key="file"
                :href="siteFileAddress(visit.site, file)"
                :download="name"
                class="underline"
              >{{ name }}</a>
            </dd>
          </div>
          <div v-for="contact in siteOf(visit.site)?.contacts ?? []" :key="contact.name" class="flex gap-2">
            <dt class="w-28 shrink-0 text-ink-soft">
              Contact
            </dt>
            <dd>{{ contact.name }}{{ contact.for ? ` (${contact.for})` : '' }}<template v-if="contact.phone">,
              <a :href="`tel:${contact.phone}`" class="underline">{{ contact.phone }}</a></template></dd>
          </div>
        </dl>
        <p class="mt-2 text-xs">
          Isolate, lock off and prove dead before opening a box. Detect live cables before every hole. Keep clear below
          unlocked screens. Fixed wiring: licensed electricians only, to local code.
        </p>
        <TakeAlong :site="visit.site" class="mt-2 print:hidden" />
      </section>
      <section v-if="today.length" class="mt-4" aria-label="Pick list" data-testid="pick-list">
        <h2 class="text-lg font-bold">
          Pick list
        </h2>
        <ul class="divide-y divide-hair text-sm">
          <li v-for="part in pick.parts" :key="`${part.kind} ${part.model}`" class="flex gap-3 py-1">
            <span class="figures w-12 text-right font-semibold">{{ part.count }}</span>
            <span>{{ nameOfModel(part.kind, part.model) }}</span>
          </li>
          <li v-for="(tool, n) in pick.tools" :key="n" class="flex gap-3 py-1">
            <span class="figures w-12 text-right font-semibold">{{ tool.count }}</span>
            <span>{{ tell(tool.name) }}</span>
          </li>
        </ul>
      </section>
    </main>
  </ProgrammeFrame>
</template>
