<script setup lang="ts">
import { FileText } from 'lucide-vue-next'
import type { ListedWall } from '~/composables/useWalls'

/** What can be printed of a site's walls as they stand: the mark-out that was issued last, what is handed over. */
const { site, walls } = defineProps<{ site: string, walls: ListedWall[] }>()
const files = computed(() => walls.flatMap(({ id, name, state }) => {
  const at = `/api/sites/${site}/walls/${id}`
  return [
    ...state?.revision ? [{ key: `${id} sheet`, title: `${name}: mark-out ${state.revision}`, href: `${at}/sheet?format=pdf&revision=${state.revision}` }] : [],
    ...state && state.stages.close !== 'not started' ? [{ key: `${id} pack`, title: `${name}: handover`, href: `${at}/handover?format=pdf` }] : [],
  ]
}))
</script>

<template>
  <section v-if="files.length" aria-label="Sheets" class="space-y-1">
    <h2 class="font-semibold">
      Sheets
    </h2>
    <ul class="text-sm">
      <li v-for="file in files" :key="file.key">
        <a :href="file.href" download class="flex min-h-8 items-center gap-2 underline"><FileText class="size-4 shrink-0" aria-hidden="true" />{{ file.title }} (PDF)</a>
      </li>
    </ul>
  </section>
</template>
