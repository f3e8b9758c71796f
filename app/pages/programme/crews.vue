<script setup lang="ts">
import { idFrom } from '~~/core/job'

/** Crews and their hours, lifting aids, ways between sites, and what a piece of work takes. */
const store = useProgrammeStore()
if (!useSessionStore().may('programme.plan')) await navigateTo('/programme/week', { replace: true })
const session = useSessionStore()
const may = computed(() => session.may('programme.plan'))
const name = ref('')
const fault = ref('')
async function addCrew() {
  if (!name.value.trim()) return void (fault.value = 'Enter a crew name.')
  const id = idFrom(name.value, 'crew', store.settings.crews.map(({ id }) => id))
  fault.value = await store.edit(now => ({
    ...now,
    crews: [
      ...now.crews,
      {
        id,
        name: name.value.trim(),
        people: [],
        skills: ['fitting'],
        hours: [{ days: ['mon', 'tue', 'wed', 'thu', 'fri'], from: '08:00', to: '16:30' }],
      },
    ],
  }))
  if (!fault.value) name.value = ''
}
const { form: general, clear } = useDraftForm(() => {
  const { zone, aids, betweenSites } = store.settings
  return { zone, aids: String(aids), betweenSites: String(betweenSites) }
})
const generalFault = ref('')
async function saveGeneral() {
  if (![general.aids, general.betweenSites].every(typed => /^\d{1,5}$/.test(typed.trim())))
    return void (generalFault.value = 'Enter lifting aids and minutes as whole numbers.')
  generalFault.value = await store.edit(now => ({
    ...now,
    zone: general.zone.trim(),
    aids: Number(general.aids),
    betweenSites: Number(general.betweenSites),
  }))
  if (!generalFault.value) clear()
}
const way = reactive({ from: '', to: '', minutes: '' })
async function addWay() {
  if (!way.from || !way.to || way.from === way.to) return void (generalFault.value = 'Choose two sites.')
  if (!/^\d{1,5}$/.test(way.minutes.trim())) return void (generalFault.value = 'Enter the minutes as a whole number.')
  generalFault.value = await store.edit(now => ({
    ...now,
    travel: [
      ...(now.travel ?? []).filter(
        each => !([each.from, each.to].includes(way.from) && [each.from, each.to].includes(way.to)),
      ),
      { from: way.from, to: way.to, minutes: Number(way.minutes) },
    ],
  }))
  if (!generalFault.value) Object.assign(way, { from: '', to: '', minutes: '' })
}
</script>

<template>
  <ProgrammeFrame title="Crews and hours">
    <main tabindex="0" aria-label="Crews and hours" class="mx-auto w-full max-w-6xl flex-1 overflow-y-auto p-4">
      <h1 class="mb-3 text-2xl font-bold">
        Crews and hours
      </h1>
      <p v-if="!may" class="text-sm">
        Only a planner can edit crews and hours.
      </p>
      <div v-else-if="store.data" class="grid gap-6 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div class="space-y-4">
          <CrewEditor v-for="crew in store.settings.crews" :key="crew.id" :crew="crew" />
          <form class="flex items-end gap-2" novalidate @submit.prevent="addCrew">
            <FieldFrame id="new-crew" label="New crew" :fault="fault" class="flex-1">
              <input
                id="new-crew"
                v-model="name"
                class="field-input"
                maxlength="200"
                autocomplete="off"
                @input="fault = ''"
              >
            </FieldFrame>
            <button type="submit" class="press press-first">
              Add crew
            </button>
          </form>
        </div>
        <aside class="space-y-6">
          <form class="space-y-2" novalidate @submit.prevent="saveGeneral">
            <h2 class="font-semibold">
              Firm
            </h2>
            <FieldFrame id="firm-zone" label="Time zone" hint="For example Europe/Oslo. A site can have its own.">
              <input id="firm-zone" v-model="general.zone" class="field-input" autocomplete="off">
            </FieldFrame>
            <FieldFrame id="firm-aids" label="Lifting aids">
              <input
                id="firm-aids"
                v-model="general.aids"
                class="field-input text-right"
                inputmode="numeric"
                autocomplete="off"
              >
            </FieldFrame>
            <FieldFrame id="firm-between" label="Default travel time (min)" hint="Used where no travel time is set.">
              <input
                id="firm-between"
                v-model="general.betweenSites"
                class="field-input text-right"
                inputmode="numeric"
                autocomplete="off"
              >
            </FieldFrame>
            <button type="submit" class="press w-full">
              Save settings
            </button>
          </form>
          <form class="space-y-2" novalidate @submit.prevent="addWay">
            <h2 class="font-semibold">
              Travel times between sites
            </h2>
            <p v-for="each in store.settings.travel ?? []" :key="`${each.from} ${each.to}`" class="text-sm">
              {{ store.siteName(each.from) }} and {{ store.siteName(each.to) }}:
              <b class="figures">{{ each.minutes }}</b> min
            </p>
            <div class="grid grid-cols-2 gap-2">
              <select v-model="way.from" class="field-input" aria-label="From site">
                <option v-for="site in store.data.sites" :key="site.id" :value="site.id">
                  {{ site.name }}
                </option>
              </select>
              <select v-model="way.to" class="field-input" aria-label="To site">
                <option v-for="site in store.data.sites" :key="site.id" :value="site.id">
                  {{ site.name }}
                </option>
              </select>
              <input
                v-model="way.minutes"
                class="field-input text-right"
                inputmode="numeric"
                aria-label="Minutes"
                placeholder="min"
              >
              <button type="submit" class="press">
                Save time
              </button>
            </div>
            <p v-if="generalFault" class="field-fault" role="alert">
              {{ generalFault }}
            </p>
          </form>
          <section class="space-y-1" aria-label="Time per unit" data-testid="pieces">
            <h2 class="font-semibold">
              Time per unit (min)
            </h2>
            <p class="text-xs text-ink-soft">
              After ten log entries the firm’s own median is used. A figure that you enter overrides it until you clear
              it.
            </p>
            <PieceMinutesField v-for="piece in store.planned?.pieces ?? []" :key="piece.sort" :piece="piece" />
          </section>
        </aside>
      </div>
    </main>
  </ProgrammeFrame>
</template>
