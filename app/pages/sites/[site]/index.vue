<script setup lang="ts">
import type { SiteState, SiteSummary } from '~~/core/api/sites'
import { FileArchive, FileDown, Plus, Scale } from 'lucide-vue-next'
import { formatLength, parseLength } from '~~/core/units'
import { choiceName, idFrom, type Wall } from '~~/core/job'
import { minuteOf } from '~~/core/programme/clock'
import { whenAt } from '~/components/programme/when'

const route = useRoute()
const id = route.params.site as string
const session = useSessionStore()
const site = ref<SiteSummary>()
const failed = ref('')
try {
  site.value = (await api<SiteSummary[]>('/sites')).find(site => site.id === id)
  if (!site.value) failed.value = 'This site does not exist, or you have no access to it.'
}
catch (error) {
  failed.value = (error as Error).message
}
const units = computed(() => site.value?.units ?? 'metric')
const { tell } = useUnits()
const { walls, load } = useWalls()
void load()
/**
 * What is said of the place, its people and its files: one for all three, so that a change of one makes no other stale.
 */
const state = ref<SiteState>()
onMounted(async () => { state.value = await api<SiteState>(`/sites/${id}`).catch(() => undefined) })
const stateOf = (wall: string) => walls.value?.find(each => each.site === id && each.id === wall)

const form = reactive({ name: '', width: '', height: '' })
const faults = reactive({ name: '', width: '', height: '' })
const fields: [keyof typeof form, string][] = [['name', 'Name'], ['width', 'Width'], ['height', 'Height']]
async function create() {
  const [width, height] = [parseLength(form.width, units.value), parseLength(form.height, units.value)]
  faults.name = form.name.trim() ? '' : 'Enter a name.'
  faults.width = width.ok ? '' : width.message
  faults.height = height.ok ? '' : height.message
  if (!width.ok || !height.ok || faults.name) return
  const wall: Wall = {
    id: idFrom(
      form.name,
      'wall',
      site.value!.walls.map(({ id }) => id),
    ),
    name: form.name.trim(),
    width: width.mm,
    height: height.mm,
    structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 89, specificGravity: 0.42 },
    covering: [{ material: 'gypsum-board', thickness: 12.5 }],
    arrays: [],
  }
  try {
    await api(`/sites/${id}/walls`, { method: 'POST', body: { wall } })
    await navigateTo(`/sites/${id}/walls/${wall.id}/survey`)
  }
  catch (error) {
    const refused = error as ApiError
    for (const { path, message } of refused.faults) {
      const field = path.slice(2)
      if (field in faults) faults[field as keyof typeof faults] = `${message}.`
    }
    if (refused.faults.length === 0) faults.name = refused.message
  }
}
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: site?.name ?? id }]" />
    <main
      class="mx-auto grid min-h-0 w-full max-w-7xl flex-1 content-start gap-6 overflow-y-auto p-6
        md:grid-cols-[minmax(0,1fr)_340px] md:content-stretch md:overflow-hidden md:p-0"
    >
      <section class="md:overflow-y-auto md:p-6" tabindex="0" aria-label="Walls and visits">
        <div class="mb-3 flex flex-wrap items-start justify-between gap-3">
          <h1 class="text-2xl font-bold">
            {{ site?.name ?? id }}
          </h1>
          <TakeAlong v-if="site && site.walls.length > 0" :site="id" class="md:text-right" />
        </div>
        <p v-if="failed" class="field-fault" role="alert">
          {{ failed }}
        </p>
        <p v-else-if="site?.walls.length === 0" class="text-sm">
          {{ session.may('wall.design', id) ? 'No walls yet. Measure one and enter it on the right.'
            : 'No walls yet.' }}
        </p>
        <ul class="grid gap-3 sm:grid-cols-2">
          <li v-for="wall in site?.walls" :key="wall.id">
            <NuxtLink
              :to="`/sites/${id}/walls/${wall.id}/survey`"
              class="flex h-full flex-col gap-2 border-l-4 bg-board px-4 py-3 hover:bg-paper"
              :class="stateOf(wall.id)?.state?.stops.length ? 'border-stop' : 'border-pine'"
              :data-wall="wall.id"
            >
              <span class="text-lg font-semibold leading-tight">{{ wall.name }}</span>
              <WallPicture
                :width="wall.width"
                :height="wall.height"
                :screens="stateOf(wall.id)?.state?.screens ?? []"
              />
              <StageKnots :stages="stateOf(wall.id)?.state?.stages ?? {}" />
              <span
                v-if="stateOf(wall.id)?.state?.stops.length"
                class="text-sm font-semibold text-stop"
              >{{ tell(stateOf(wall.id)!.state!.stops[0]!.message) }}</span>
              <span
                v-if="stateOf(wall.id)?.next"
                class="text-sm"
              ><b>{{ whenAt(minuteOf(stateOf(wall.id)!.next!.startsAt),
                            stateOf(wall.id)!.next!.zone) }}</b>, {{ stateOf(wall.id)!.next!.crew }}</span>
              <span class="text-sm text-ink-soft"><span class="figures">{{ formatLength(wall.width, units) }} ×
                {{ formatLength(wall.height, units) }}</span>{{ units === 'metric' ? ' mm' : '' }},
                {{ choiceName(wall.structure) }}, saved by {{ wall.savedBy }}</span>
            </NuxtLink>
          </li>
        </ul>
        <SiteVisits v-if="site && session.may('programme.read')" :site="id" class="mt-6" />
        <SiteStock v-if="site?.walls.length && session.may('programme.read')" :site="id" class="mt-6" />
      </section>
      <aside v-if="site" class="space-y-6 md:overflow-y-auto md:p-6" tabindex="0" aria-label="About the site">
        <form v-if="session.may('wall.design', id)" class="space-y-2" novalidate @submit.prevent="create">
          <h2 class="font-semibold">
            New wall
          </h2>
          <FieldFrame
            v-for="[key, label] in fields"
            :id="`wall-${key}`"
            :key="key"
            v-slot="{ describedby }"
            :label="label"
            :fault="faults[key]"
          >
            <input
              :id="`wall-${key}`"
              v-model="form[key]"
              class="field-input"
              :aria-invalid="faults[key] !== ''"
              :aria-describedby="describedby"
              autocomplete="off"
              @input="faults[key] = ''"
            >
          </FieldFrame>
          <button type="submit" class="press press-first w-full">
            <Plus class="size-4" aria-hidden="true" /> Create wall
          </button>
        </form>
        <div class="space-y-2">
          <h2 class="font-semibold">
            House rules
          </h2>
          <NuxtLink class="press w-full" :to="`/sites/${id}/rules`">
            <Scale
              class="size-4"
              aria-hidden="true"
            /> {{ session.may('site.settings', id) ? 'Edit site rules' : 'View site rules' }}
          </NuxtLink>
        </div>
        <SitePlace v-model="state" :site="id" />
        <SiteContacts v-model="state" :site="id" />
        <SiteFiles v-model="state" :site="id" :walls="(walls ?? []).filter(wall => wall.site === id)" />
        <ChainState :site="id" />
        <div v-if="session.may('site.export', id)" class="space-y-2">
          <h2 class="font-semibold">
            Job file
          </h2>
          <a class="press w-full" :href="`/api/sites/${id}/job`" download>
            <FileDown class="size-4" aria-hidden="true" /> Export job file
          </a>
          <a class="press w-full" :href="`/api/sites/${id}/archive`" download>
            <FileArchive class="size-4" aria-hidden="true" /> Export ZIP with files
          </a>
          <p class="text-xs text-ink-soft">
            The job file contains walls, catalogue and log, for your own scripts. The ZIP file adds the photos and all
            other files. You can import either on another server.
          </p>
        </div>
      </aside>
    </main>
  </div>
</template>
