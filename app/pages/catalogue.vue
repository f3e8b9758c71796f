<script setup lang="ts">
import { EXPORTS, FORMATS } from '~~/core/formats'
import { useLocalStorage } from '@vueuse/core'
import { Download, FileUp, Plus } from 'lucide-vue-next'
import { KINDS, MODEL_KINDS, offered, type Model, type ModelKind } from '~~/core/catalogue'

/** The firm's catalogue: displays, mounts, fasteners and screw kits, from which every wall takes its models. */
const session = useSessionStore()
const { house, failed, load, modelsOfKind } = useHouseCatalogue()
await load()
const { system, toggle } = useUnits()
useCommands([
  { id: 'units', title: 'Switch between mm and feet and inches', group: 'Everywhere', keys: ['u'], run: toggle },
])
const kind = ref<ModelKind>('display')
const search = ref('')
const shown = ref('current')
const chosen = ref('')
/** Figures that were changed and not kept yet, by kind and id; they outlive a reload. */
const drafts = useLocalStorage<Record<string, Model>>('wide-trellis:models', {})
const file = shallowRef<File>()
const said = ref('')
const keyOf = (id: string) => `${kind.value}/${id}`
const kept = computed(() => modelsOfKind(kind.value))
const isKept = (id: string) => kept.value.some(model => model.id === id)
/** What the catalogue has, and what is being made and is not in it yet. */
const models = computed(() => [
  ...kept.value,
  ...Object.entries(drafts.value).flatMap(([key, draft]) =>
    key === keyOf(draft.id) && !isKept(draft.id) ? [draft] : [],
  ),
])
const usedBy = (id: string) => house.value?.kept[keyOf(id)]?.usedBy ?? []
const model = computed(() => models.value.find(({ id }) => id === chosen.value))
function look(next: ModelKind) {
  kind.value = next
  search.value = said.value = ''
  file.value = undefined
  chosen.value
    = [...offered(modelsOfKind(next))].sort((a, b) => (a.name ?? a.id).localeCompare(b.name ?? b.id))[0]?.id ?? ''
}
look('display')
watch(chosen, () => { said.value = '' })
const hold = (draft: Model) => { drafts.value = { ...drafts.value, [keyOf(draft.id)]: draft } }
function leave(id: string) {
  const { [keyOf(id)]: _, ...others } = drafts.value
  drafts.value = others
}

/** A new model begins as a copy of the one that is looked at, under an id of its own. */
function begin(from: Model) {
  const root = from.id.replace(/(\.r\d+|-\d+)$/, '')
  let n = 2
  while (models.value.some(({ id }) => id === `${root}-${n}`)) n++
  const { supersedes: _s, retired: _r, ...figures } = from
  hold({ ...figures, id: `${root}-${n}`, name: `${from.name ?? from.id} (copy)` } as Model)
  chosen.value = `${root}-${n}`
}
async function save(next: Model) {
  const version = house.value!.kept[keyOf(next.id)]?.version
  try {
    const { id } = await api<{ id: string }>(`/catalogue/${kind.value}`, {
      method: 'PUT',
      body: { model: next, version },
    })
    await load()
    leave(next.id)
    chosen.value = id
    await nextTick()
    said.value = id === next.id ? 'Saved.' : `Saved as revision ${id}. Walls that use ${next.id} show a note.`
  }
  catch (error) {
    const refused = error as ApiError
    if (refused.code === 'stale') await load()
    said.value = [refused.message, ...refused.faults.map(({ path, message }) => `${path} ${message}.`)].join(' ')
  }
}
/** Models that ship with the product and that nobody has made his own. */
const sample = computed(
  () => Object.values(house.value?.kept ?? {}).filter(({ savedBy }) => savedBy === 'Sample').length,
)
async function changeSample(method: 'DELETE' | 'POST') {
  try {
    const { held = 0 } = await api<{ held?: number }>('/catalogue/sample', { method, body: {} })
    await load()
    look(kind.value)
    said.value = held > 0 ? `${held} sample models stay: sites use them.` : ''
  }
  catch (error) {
    said.value = (error as Error).message
  }
}
async function bringIn(taken: Model[]) {
  try {
    await api(`/catalogue/${kind.value}/import`, { method: 'POST', body: { models: taken } })
    await load()
    file.value = undefined
    said.value = `${taken.length} imported.`
  }
  catch (error) {
    said.value = (error as Error).message
  }
}
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  file.value = input.files?.[0]
  input.value = ''
}
useHead({ title: 'Catalogue · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'Catalogue' }]">
      <button
        type="button"
        class="min-h-9 rounded border border-on-bar-soft px-2 text-sm"
        title="Switch between mm and feet and inches"
        @click="toggle"
      >
        {{ system === 'metric' ? 'mm' : 'ft in' }}
      </button>
    </TopBar>
    <p v-if="failed" class="field-fault p-6" role="alert">
      {{ failed }}
    </p>
    <main
      v-else
      class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-3 overflow-y-auto p-4
        md:grid-cols-[minmax(0,5fr)_minmax(0,7fr)] md:overflow-hidden"
    >
      <div class="flex min-h-0 flex-col gap-3">
        <div class="flex items-center gap-3 max-md:flex-col max-md:items-stretch">
          <h1 class="text-2xl font-bold">
            Catalogue
          </h1>
          <BenchPanels
            class="flex-1"
            :model-value="kind"
            :panels="MODEL_KINDS.map(id => ({ id, title: KINDS[id].names }))"
            label="Model types"
            @update:model-value="look"
          />
        </div>
        <div
          v-if="session.may('firm.catalogue') && (sample > 0 || models.length === 0)"
          class="flex flex-wrap items-center gap-2 border-l-4 border-caution bg-caution-wash px-2 py-1.5 text-sm"
          data-testid="sample"
        >
          <p v-if="sample > 0" class="flex-1">
            <b>Sample:</b> {{ sample }} models here are invented. Plan real walls with your own, from the makers’ data
            sheets.
          </p>
          <p v-else class="flex-1">
            No models yet. Import them, or load the sample and copy a model from it.
          </p>
          <button v-if="sample > 0" type="button" class="press" @click="changeSample('DELETE')">
            Start empty
          </button>
          <button v-else type="button" class="press" @click="changeSample('POST')">
            Load sample
          </button>
        </div>
        <ModelTable
          v-model:search="search"
          v-model:shown="shown"
          v-model:chosen="chosen"
          class="flex-1"
          :kind="kind"
          :models="models"
          :used-by="id => usedBy(id).length"
          :unkept="id => keyOf(id) in drafts"
        />
        <div class="flex flex-wrap gap-2">
          <button
            v-if="session.may('firm.catalogue')"
            type="button"
            class="press"
            :disabled="!model"
            @click="model && begin(model)"
          >
            <Plus class="size-4" aria-hidden="true" /> New from this model
          </button>
          <label
            v-if="session.may('firm.catalogue')"
            class="press cursor-pointer focus-within:outline-3 focus-within:outline-focus"
          >
            <FileUp class="size-4" aria-hidden="true" /> Import
            <input
              type="file"
              class="sr-only"
              accept=".csv,.json,text/csv,application/json"
              data-testid="model-file"
              @change="choose"
            >
          </label>
          <a
            v-for="format in EXPORTS.catalogue"
            :key="format"
            class="press"
            :href="`/api/catalogue/${kind}?format=${format}`"
            download
          ><Download class="size-4" aria-hidden="true" /> {{ FORMATS[format].name }}</a>
        </div>
        <p class="min-h-5 text-sm" role="status">
          {{ said }}
        </p>
      </div>
      <div class="min-h-0 bg-board p-4">
        <ModelImport v-if="file" :kind="kind" :file="file" :kept="kept" @take="bringIn" @leave="file = undefined" />
        <div v-else-if="model" class="flex h-full min-h-0 flex-col gap-2">
          <ModelEditor
            :key="`${kind} ${model.id}`"
            :kind="kind"
            :model="model"
            :draft="drafts[keyOf(model.id)] ?? model"
            :used-by="usedBy(model.id)"
            :held="house?.kept[keyOf(model.id)]?.held"
            :fresh="!isKept(model.id)"
            class="flex-1" @change="hold" @save="save" @duplicate="begin" @leave="leave(model.id)"
          />
          <StockPanel
            v-if="isKept(model.id) && session.may('firm.stock')"
            :id="model.id"
            :key="`stock ${kind} ${model.id}`"
            :kind="kind"
            :count="house?.stock[keyOf(model.id)]"
            @moved="load"
          />
        </div>
      </div>
    </main>
  </div>
</template>
