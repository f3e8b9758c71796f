<script setup lang="ts">
import { drawSheet } from '~~/core/mark/sheet'
import { pageAsSvg } from '~~/core/sheet'

/** The mark-out sheet as it will be printed. */
const store = useWallStore()
const { plan, planned } = useWallPlan()
const { system, precision } = useUnits()
const { paper, scale, draft } = useSheetView()
const last = computed(() => store.revisions.at(-1))
const pages = computed(() => {
  if (!plan.value || !planned.value || !store.server) return []
  const options = {
    paper: paper.value,
    units: system.value,
    precision: precision.value,
    ...(scale.value !== undefined && { scale: scale.value }),
    address: `${location.origin}/sites/${store.site}/walls/${store.id}`,
  }
  const { frozen, revision, by, at } = (draft.value ? undefined : last.value) ?? {}
  const sheet = frozen
    ? drawSheet(frozen, frozen.wall, frozen.plan, { ...options, issue: { revision: revision!, by: by!, at: at! } })
    : drawSheet(store.server.job, planned.value, plan.value, options)
  return sheet.pages.map((_, n) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(pageAsSvg(sheet, n))}`)
})
</script>

<template>
  <div class="h-full space-y-4 overflow-y-auto bg-rail p-4" tabindex="0" role="group" aria-label="Printed sheet">
    <img
      v-for="(page, n) in pages"
      :key="n"
      :src="page"
      :alt="`Mark-out sheet, page ${n + 1} of ${pages.length}`"
      class="w-full bg-white shadow"
    >
  </div>
</template>
