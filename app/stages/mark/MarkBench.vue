<script setup lang="ts">
/** Mark: where dimensions run from, what is issued, and the sheets that are made from it. */
const PANELS = [
  { id: 'marking', title: 'Marking' },
  { id: 'issue', title: 'Revisions' },
  { id: 'sheets', title: 'Sheets' },
] as const
const { panel, preview } = useSheetView()
const { plan } = useWallPlan()
const { fine } = usePreferences()
const holes = computed(() => plan.value?.marking.marks.filter(({ kind }) => kind === 'hole').length ?? 0)
useCommands([
  ...PANELS.map(({ id, title }) => ({
    id: `mark-${id}`,
    title: `Mark: ${title}`,
    group: 'Mark' as const,
    run: () => {
      panel.value = id
    },
  })),
  {
    id: 'sheet-preview',
    title: 'Preview sheet',
    group: 'Mark',
    keys: ['v'],
    run: () => {
      preview.value = !preview.value
    },
  },
  {
    id: 'sheet-fine',
    title: 'Switch finer figures on or off',
    group: 'Mark',
    keys: ['f'],
    run: () => {
      fine.value = !fine.value
    },
  },
])
</script>

<template>
  <BenchFrame stage="mark" title="Mark" :summary="`${holes} holes, ${plan?.marking.marks.length ?? 0} marks in total`">
    <BenchPanels v-model="panel" :panels="PANELS" label="Mark sections" />
    <MarkingPanel v-if="panel === 'marking'" />
    <RevisionsPanel v-else-if="panel === 'issue'" />
    <SheetsPanel v-else />
  </BenchFrame>
</template>
