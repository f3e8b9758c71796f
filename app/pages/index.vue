<script setup lang="ts">
import type { SiteSummary } from '~~/core/api/sites'
import { CalendarRange, FileUp, MapPin, Package, Plus, Scale } from 'lucide-vue-next'
import type { UnitSystem } from '~~/core/units'

const session = useSessionStore()
const sites = ref<SiteSummary[]>()
const failed = ref('')
const { walls, pending, load: loadWalls } = useWalls()
async function load() {
  try {
    sites.value = await api<SiteSummary[]>('/sites')
    void loadWalls()
    failed.value = ''
  }
  catch (error) {
    failed.value = (error as Error).message
  }
}
await load()

const name = ref('')
const units = ref<UnitSystem>('metric')
const fault = ref('')
async function create() {
  try {
    const { timeZone: zone } = Intl.DateTimeFormat().resolvedOptions()
    const body = { name: name.value, units: units.value, zone }
    const { id } = await api<{ id: string }>('/sites', { method: 'POST', body })
    await navigateTo(`/sites/${id}`)
  }
  catch (error) {
    fault.value
      = (error as ApiError).faults?.map(({ message }) => `The name ${message}.`).join(' ') || (error as Error).message
  }
}

/** What was brought in and is here already: a job, or a ZIP file with its pictures. */
const taken = ref<{ brought: unknown, message: string }>()
const leftOut = ref<{ id: string, files: string[] }>()
const faults = ref<{ path: string, message: string }[]>([])
const file = useTemplateRef<HTMLInputElement>('file')
async function bringIn(brought: unknown, copy: boolean) {
  taken.value = leftOut.value = undefined
  faults.value = []
  try {
    const path = brought instanceof Blob ? 'archive' : 'import'
    const { id, leftOut: files = [] } = await api<{ id: string, leftOut?: string[] }>(
      `/sites/${path}${copy ? '?copy=1' : ''}`,
      { method: 'POST', body: brought },
    )
    if (files.length === 0) return void await navigateTo(`/sites/${id}`)
    leftOut.value = { id, files }
    await load()
  }
  catch (error) {
    const refused = error as ApiError
    if (refused.code === 'site-exists') taken.value = { brought, message: refused.message }
    else faults.value = refused.faults.length > 0 ? refused.faults : [{ path: '', message: refused.message }]
  }
}
async function readFile(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  try {
    await bringIn(chosen.name.toLowerCase().endsWith('.zip') ? chosen : JSON.parse(await chosen.text()), false)
  }
  catch (error) {
    faults.value = [{ path: chosen.name, message: `is not a job file: ${(error as Error).message}` }]
  }
  input.value = ''
}
useCommands([
  {
    id: 'import',
    title: 'Import job file',
    group: 'Everywhere',
    when: () => session.may('site.begin'),
    run: () => file.value?.click(),
  },
])
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites' }]" />
    <main
      class="mx-auto grid min-h-0 w-full max-w-7xl flex-1 gap-6 overflow-y-auto p-4 md:grid-cols-[minmax(0,1fr)_260px]
        md:overflow-hidden"
    >
      <section class="flex min-h-[70vh] flex-col md:min-h-0">
        <h1 class="mb-2 text-2xl font-bold">
          Sites
        </h1>
        <p v-if="failed" class="field-fault" role="alert">
          {{ failed }} <button type="button" class="press ml-2" @click="load">
            Try again
          </button>
        </p>
        <p v-else-if="sites?.length === 0" class="text-sm">
          {{ session.may('site.begin') ? 'No sites yet. Create one on the right, or import a job file.'
            : 'You have no sites yet. A planner assigns people to sites.' }}
        </p>
        <ul v-if="sites?.length" class="mb-3 flex max-h-32 flex-wrap gap-2 overflow-y-auto">
          <li v-for="site in sites" :key="site.id">
            <NuxtLink
              :to="`/sites/${site.id}`"
              no-prefetch
              class="flex min-h-[var(--target)] items-center gap-2 border border-edge bg-paper px-3 text-sm
                font-semibold hover:border-ink"
            >
              <MapPin class="size-4 text-ink-soft" aria-hidden="true" />{{ site.name }}<span
                class="font-normal text-ink-soft"
              >{{ site.walls.length }}</span>
            </NuxtLink>
          </li>
        </ul>
        <p v-if="pending > 0" class="mb-2 bg-caution-wash px-2 py-1 text-sm text-caution" role="status">
          {{ pending === 1 ? 'One wall is' : `${pending} walls are` }} being calculated; all others are up to date.
        </p>
        <WallList v-if="walls?.length" :walls="walls" />
      </section>
      <aside class="space-y-4 md:overflow-y-auto" tabindex="0" aria-label="More">
        <div v-if="session.may('programme.read')" class="space-y-2">
          <h2 class="font-semibold">
            Programme
          </h2>
          <NuxtLink class="press w-full" to="/programme">
            <CalendarRange
              class="size-4"
              aria-hidden="true"
            /> {{ session.may('programme.plan') ? 'Open schedule' : 'View visits' }}
          </NuxtLink>
        </div>
        <form v-if="session.may('site.begin')" class="space-y-2" novalidate @submit.prevent="create">
          <h2 class="font-semibold">
            New site
          </h2>
          <FieldFrame id="site-name" v-slot="{ describedby }" label="Name" :fault="fault">
            <input
              id="site-name"
              v-model="name"
              class="field-input"
              :aria-invalid="fault !== ''"
              :aria-describedby="describedby"
              autocomplete="off"
              @input="fault = ''"
            >
          </FieldFrame>
          <FieldFrame id="site-units" label="Units">
            <select id="site-units" v-model="units" class="field-input">
              <option value="metric">
                millimetres
              </option>
              <option value="imperial">
                feet and inches
              </option>
            </select>
          </FieldFrame>
          <button type="submit" class="press press-first w-full">
            <Plus class="size-4" aria-hidden="true" /> Create site
          </button>
        </form>
        <div class="space-y-2">
          <h2 class="font-semibold">
            Catalogue
          </h2>
          <NuxtLink class="press w-full" to="/catalogue">
            <Package class="size-4" aria-hidden="true" /> Displays, mounts, fasteners
          </NuxtLink>
        </div>
        <div class="space-y-2">
          <h2 class="font-semibold">
            House rules
          </h2>
          <NuxtLink class="press w-full" to="/rules">
            <Scale
              class="size-4"
              aria-hidden="true"
            /> {{ session.may('firm.rules') ? 'Edit house rules' : 'View house rules' }}
          </NuxtLink>
        </div>
        <div v-if="session.may('site.begin')" class="space-y-2">
          <h2 class="font-semibold">
            Job file
          </h2>
          <input
            ref="file"
            type="file"
            accept=".json,.zip,application/json,application/zip"
            class="hidden"
            data-testid="job-file"
            aria-label="Job file"
            @change="readFile"
          >
          <button type="button" class="press w-full" @click="file?.click()">
            <FileUp class="size-4" aria-hidden="true" /> Import job file
          </button>
          <p class="text-xs text-ink-soft">
            A site exported elsewhere: its job file, or the ZIP file with its photos.
          </p>
          <div v-if="taken" class="border-l-4 border-caution bg-caution-wash p-2 text-sm" role="alert">
            {{ taken.message }}
            <button type="button" class="press mt-2 w-full" @click="bringIn(taken.brought, true)">
              Import as a copy
            </button>
          </div>
          <p v-if="leftOut" class="border-l-4 border-caution bg-caution-wash p-2 text-sm" role="status">
            <NuxtLink :to="`/sites/${leftOut.id}`" class="underline">The site</NuxtLink> is imported. These files in the
            ZIP were left out: {{ leftOut.files.slice(0, 5).join(', ') }}{{ leftOut.files.length > 5 ? ', …' : '' }}.
          </p>
          <ul
            v-if="faults.length"
            class="max-h-60 overflow-y-auto border-l-4 border-stop bg-stop-wash p-2 text-sm"
            role="alert"
          >
            <li v-for="wrong in faults" :key="wrong.path + wrong.message">
              <code class="figures break-all">{{ wrong.path }}</code> {{ wrong.message }}
            </li>
          </ul>
        </div>
      </aside>
    </main>
  </div>
</template>
