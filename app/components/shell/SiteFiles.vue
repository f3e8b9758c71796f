<script setup lang="ts">
import type { SiteState } from '~~/core/api/sites'
import { FilePlus2, FileText } from 'lucide-vue-next'
import type { ListedWall } from '~/composables/useWalls'
import { sendSiteFile, siteFileAddress } from '~/utils/siteFiles'

/**
 * A site's files: permits, drawings of the building and the like; and what can be printed of its walls as they stand.
 */
const { site, walls } = defineProps<{ site: string, walls: ListedWall[] }>()
const state = defineModel<SiteState>()
const session = useSessionStore()
const may = computed(() => session.may('site.settings', site))
const files = computed(() => state.value?.site.files ?? [])
const sheets = computed(() => walls.flatMap(({ id, name, state }) => {
  const at = `/api/sites/${site}/walls/${id}`
  return [
    ...(state?.revision
      ? [
          {
            key: `${id} sheet`,
            title: `${name}: mark-out ${state.revision}`,
            href: `${at}/sheet?format=pdf&revision=${state.revision}`,
          },
        ]
      : []),
    ...(state && state.stages.close !== 'not started'
      ? [{ key: `${id} pack`, title: `${name}: handover pack`, href: `${at}/handover?format=pdf` }]
      : []),
  ]
}))

const sending = ref('')
const faults = ref<string[]>([])
/** The file that is about to be taken away. */
const leaving = ref('')
const said = ({ faults = [], message }: ApiError) =>
  faults.length > 0 ? faults.map(({ path, message }) => `${path.split('.').at(-1)} ${message}.`).join(' ') : message
async function add(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = [...input.files ?? []]
  input.value = ''
  faults.value = []
  for (const file of chosen) {
    sending.value = file.name
    try {
      state.value = await sendSiteFile(site, file)
    }
    catch (error) {
      faults.value.push(`${file.name}: ${said(error as ApiError)}`)
    }
  }
  sending.value = ''
}
async function takeAway(file: string) {
  try {
    state.value = await api<SiteState>(`/sites/${site}/files/${file}`, { method: 'DELETE', body: {} })
    faults.value = []
    leaving.value = ''
  }
  catch (error) {
    faults.value = [said(error as ApiError)]
  }
}
</script>

<template>
  <section v-if="may || files.length || sheets.length" aria-label="Files" class="space-y-2" data-testid="files">
    <h2 class="font-semibold">
      Files
    </h2>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="{ file, name, by, at } in files" :key="file" class="py-1">
        <div class="flex items-center gap-2">
          <a
            :href="siteFileAddress(site, file)"
            :download="name"
            class="flex min-h-8 min-w-0 flex-1 items-center gap-2"
          >
            <FileText class="size-4 shrink-0" aria-hidden="true" />
            <span class="min-w-0"><span class="break-words underline">{{ name }}</span><span
              class="block text-xs text-ink-soft"
            >{{ [by, at && whenOf(at)].filter(Boolean).join(', ') }}</span></span>
          </a>
          <button
            v-if="may && leaving !== file"
            type="button"
            class="press !px-2"
            :aria-label="`Delete ${name}`"
            @click="leaving = file"
          >
            Delete…
          </button>
        </div>
        <div v-if="leaving === file" class="flex flex-wrap items-center gap-2 pt-1">
          <span class="flex-1">Delete permanently?</span>
          <button type="button" class="press !px-2" @click="takeAway(file)">
            Delete file
          </button>
          <button type="button" class="press !px-2" @click="leaving = ''">
            Cancel
          </button>
        </div>
      </li>
      <li v-for="sheet in sheets" :key="sheet.key">
        <a
          :href="sheet.href"
          download
          class="flex min-h-8 items-center gap-2 underline"
        ><FileText class="size-4 shrink-0" aria-hidden="true" />{{ sheet.title }} (PDF)</a>
      </li>
    </ul>
    <label v-if="may" class="press relative w-full cursor-pointer focus-within:outline-3 focus-within:outline-focus">
      <FilePlus2 class="size-4" aria-hidden="true" /> <span
        aria-live="polite"
      >{{ sending ? `Sending ${sending}` : 'Add file' }}</span>
      <input type="file" multiple class="sr-only" data-testid="site-file" :disabled="sending !== ''" @change="add">
    </label>
    <p v-if="may && files.length === 0" class="text-xs text-ink-soft">
      Permits, building drawings, method statements: up to 25 MB each. Save for offline includes them.
    </p>
    <p v-for="fault in faults" :key="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
