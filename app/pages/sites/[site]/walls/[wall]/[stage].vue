<script setup lang="ts">
import type { Stage } from '~~/core/finding'
import type { Rect } from '~~/core/geometry'
import { arrange, snap } from '~~/core/arrange'
import type { Wall } from '~~/core/job'
import type { ArrayPlan } from '~~/core/mount'
import type { PaperName } from '~~/core/mark/sheet'
import { rowsOf, subjectOf } from '~~/core/mark'
import { knownFraming } from '~~/core/survey'
import { keyOf } from '~~/core/subject'
import type { Haul } from '~/composables/useDraftDrag'
import { openWall, useWallSync } from '~/sync/useWallSync'

definePageMeta({ key: route => `${String(route.params.site)}/${String(route.params.wall)}` })
const route = useRoute()
const { site, wall: wallId } = route.params as { site: string, wall: string }
const stage = computed<Stage>(() => isBuilt(String(route.params.stage)) ? route.params.stage as Stage : 'survey')
const base = `/sites/${site}/walls/${wallId}`

const store = useWallStore()
const failed = ref('')
try {
  await openWall(site, wallId)
}
catch (error) {
  failed.value = (error as Error).message
}
useEveryBench()
const { state, refused, waiting, resolve } = useWallSync()
const { plan, planned, findings } = useWallPlan()
const { system, precision, toggle } = useUnits()
const { selected, selectedOf } = useSelection()
const unsavedNow = computed(() => state.value !== 'saved')

const { comparing } = useComparison()
const mountLeaf = useMountPanel()
const { tool, importing } = useSurveyTool()
const { connected } = useInstruments()
watch(stage, () => {
  tool.value = undefined
  store.cancelPreview()
})
const survey = useTemplateRef<{ pointed: (at: { x: number, y: number }) => void, drawn: (rect: Rect) => void }>('survey')
const draws = computed(() => {
  if (stage.value !== 'survey' || store.conflict) return ''
  return tool.value?.enters === 'feature' ? 'rect' : tool.value || connected.value ? 'point' : ''
})

/** What a hand on the drawing is doing to the wall; taken as one edit when it lets go. */
let hauled: { label: string, recipe: (wall: Wall) => void } | undefined
function haul(label: string, recipe: (wall: Wall) => void) {
  hauled = { label, recipe }
  store.tryOut(recipe)
}
const tenth = (mm: number) => Math.round(mm * 10) / 10
const { met, linesFor } = useSnap()
function movingArray(dragged: ArrayPlan, { x, y, reach, free }: Haul) {
  const { id, name } = dragged
  const { at: from, outline } = arrange(arrayOf(store.wall!, id), store.catalogue.displays, store.wall!)!
  const snapped = free ? { dx: 0, dy: 0, met: [] } : snap({ ...outline, x: outline.x + x, y: outline.y + y }, linesFor(dragged), reach)
  met.value = snapped.met
  store.arrayId = id
  haul(`Move ${name}`, (wall) => {
    const moved = arrayOf(wall, id)
    holdPlace(wall, moved, 'x')
    holdPlace(wall, moved, 'y')
    moved.at.x.value = snapped.dx === 0 ? tenth(from.x.value + x) : from.x.value + x + snapped.dx
    moved.at.y.value = snapped.dy === 0 ? tenth(from.y.value + y) : from.y.value + y + snapped.dy
  })
}
/** A dimension of the drawing that is being typed. */
const typing = ref<{ side: 'left' | 'right' | 'bottom' | 'top', value: number, x: number, y: number }>()
function typed(mm: number) {
  const { side } = typing.value!
  const { id, name } = store.array!
  const { outline } = arrange(store.array!, store.catalogue.displays, store.wall!)!
  const { width, height } = store.wall!
  return store.edit(`Place ${name}`, (wall) => {
    const placed = arrayOf(wall, id)
    const axis = side === 'left' || side === 'right' ? 'x' : 'y'
    holdPlace(wall, placed, axis)
    const by = { left: mm - outline.x, right: width - mm - outline.width - outline.x, bottom: mm - outline.y, top: height - mm - outline.height - outline.y }[side]
    placed.at[axis].value += by
  })
}
function movingMember(id: string, { x }: Haul) {
  const index = plan.value?.members.findIndex(member => member.id === id) ?? -1
  haul(`Move member ${index + 1}`, (wall) => {
    const from = knownFraming(wall.structure).find(member => member.id === id)
    if (from) editMember(wall, id, { centre: Math.round(from.centre + x) })
  })
}
function moved() {
  met.value = []
  if (hauled) store.edit(hauled.label, hauled.recipe)
  hauled = undefined
}

const rows = computed(() => rowsOf(plan.value?.marking.marks ?? []))
const row = computed(() => rows.value.find(({ marks }) => marks.some(({ id }) => id === selectedOf('hole') || id === current.value)) ?? rows.value[0])
const stopped = computed(() => new Set(findings.value.filter(({ severity }) => severity === 'stop').map(({ subject }) => keyOf(subject))))
const alongMembers = computed(() => (stage.value === 'survey' && (plan.value?.members.length ?? 0) > 0) || !row.value)
const tape = computed(() => alongMembers.value || !row.value
  ? (plan.value?.members ?? []).map(({ id, centre }) => ({ subject: { kind: 'member' as const, id }, x: centre }))
  : row.value.marks.map(mark => ({ subject: subjectOf(mark), x: mark.running + plan.value!.marking.datum.x, doubtful: stopped.value.has(keyOf(subjectOf(mark))) })))
const tapeLabel = computed(() => alongMembers.value || !row.value ? 'members' : `${row.value.label} holes`)

const current = ref('')
watch(selected, () => { if (stage.value === 'hang') current.value = selectedOf('hole') ?? current.value })
const paper = ref<PaperName>(system.value === 'metric' ? 'a3' : 'letter')
const preview = ref(false)
const pages = computedAsync(async () => {
  if (!preview.value || !plan.value || !planned.value || !store.server) return []
  const [job, wall, planOfWall, options] = [store.server.job, planned.value, plan.value, { paper: paper.value, units: system.value, precision: precision.value }]
  const { drawSheet, pageAsSvg } = await import('~~/core/mark/sheet')
  const sheet = drawSheet(job, wall, planOfWall, options)
  return sheet.pages.map((_, n) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(pageAsSvg(sheet, n))}`)
}, [])

const go = (to: string) => () => { void navigateTo(`${base}/${to}`) }
useCommands([
  { id: 'undo', title: 'Undo', group: 'Everywhere', keys: ['ctrl+z'], when: () => store.history.past.length > 0, run: () => store.undo() },
  { id: 'redo', title: 'Redo', group: 'Everywhere', keys: ['ctrl+shift+z', 'ctrl+y'], when: () => store.history.future.length > 0, run: () => store.redo() },
  { id: 'units', title: 'Change between mm and feet and inches', group: 'Everywhere', keys: ['u'], run: toggle },
  ...STAGE_INFO.flatMap(({ id, title, built }, index) => built ? [{ id: `go-${id}`, title, group: 'Go to' as const, keys: [String(index + 1)], run: go(id) }] : []),
  { id: 'go-site', title: 'The site’s walls', group: 'Go to', run: () => { void navigateTo(`/sites/${site}`) } },
])
useHead({ title: () => `${store.shown?.name ?? 'Wall'} · Wide Trellis` })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: store.server?.job.site.name ?? site, to: `/sites/${site}` }, { title: store.shown?.name ?? wallId }]">
      <select class="h-9 rounded border border-on-bar-soft bg-bar px-2 text-sm md:hidden" aria-label="Stage" :value="stage" @change="go(($event.target as HTMLSelectElement).value)()">
        <option v-for="{ id, title } in STAGE_INFO.filter(({ built }) => built)" :key="id" :value="id">
          {{ title }}
        </option>
      </select>
    </TopBar>
    <main v-if="failed" class="p-6">
      <h1 class="text-xl font-bold">
        This wall cannot be opened
      </h1>
      <p class="mt-2">
        {{ failed }}
      </p>
      <NuxtLink class="press mt-4" to="/">
        All sites
      </NuxtLink>
    </main>
    <template v-else-if="store.wall">
      <LazyConflictBanner v-if="store.conflict" @resolve="resolve" />
      <main class="wall-frame min-h-0 flex-1" :data-stage="stage">
        <PlumbLine :current="stage" :base="base" class="plumb" />
        <div class="bench min-h-0 border-x border-hair bg-board" :inert="!!store.conflict && stage !== 'hang'">
          <LazySurveyBench v-if="stage === 'survey'" ref="survey" />
          <ArrangeBench v-else-if="stage === 'arrange'" />
          <LazyMountBench v-else-if="stage === 'mount'" />
          <LazyFixBench v-else-if="stage === 'fix'" />
          <LazyMarkBench v-else-if="stage === 'mark'" v-model:paper="paper" v-model:preview="preview" />
          <LazyHangBench v-else-if="stage === 'hang'" v-model:current="current" />
        </div>
        <div class="cross min-h-0 min-w-0">
          <div v-if="stage === 'mark' && preview" class="h-full space-y-4 overflow-y-auto bg-rail p-4" tabindex="0" aria-label="Printed sheet">
            <img v-for="(page, n) in pages" :key="n" :src="page" :alt="`Mark-out sheet, page ${n + 1} of ${pages.length}`" class="w-full bg-white shadow">
          </div>
          <LazyAlternativesView v-else-if="stage === 'arrange' && comparing && store.wall.alternatives" />
          <LazyDepthSection v-else-if="stage === 'mount' && mountLeaf === 'depth' && store.array" />
          <LazyEvidenceImport v-else-if="stage === 'survey' && importing" />
          <DraftingCross
            v-else
            :show-plates="stage !== 'survey' && stage !== 'arrange'"
            :ghost="stage === 'survey'"
            :movable="store.conflict || draws ? '' : stage === 'arrange' || stage === 'mount' ? 'arrays' : stage === 'survey' && store.wall.structure.members?.length ? 'members' : ''"
            :draws="draws"
            :surveying="stage === 'survey'"
            :current="stage === 'hang' ? current : ''"
            :tape="tape"
            :tape-label="tapeLabel"
            @pointed="survey?.pointed($event)"
            @drawn="survey?.drawn($event)"
            @moving-array="movingArray"
            @moving-member="movingMember"
            @moved="moved"
            @dimension="(side, value, at) => { typing = { side, value, ...at } }"
          >
            <template #over>
              <DimensionInput v-if="typing && store.array" :key="typing.side" :label="`${{ left: 'From the wall’s left', right: 'From the wall’s right', bottom: 'Above the floor', top: 'Below the top of the wall' }[typing.side]} to ${store.array.name}`" :value="typing.value" :x="typing.x" :y="typing.y" :commit="typed" @done="typing = undefined" />
            </template>
            <template #ledger>
              <LazySurveyLedger v-if="stage === 'survey'" />
              <ScreenLedger v-else-if="stage === 'arrange'" />
              <LazyMarkLedger v-else :holes-only="stage !== 'mark'" />
            </template>
          </DraftingCross>
        </div>
      </main>
      <StatusLine :state="state" :refused="refused" :count="waiting.count" :data-unsaved="unsavedNow" />
    </template>
  </div>
</template>

<style scoped>
.wall-frame { display: grid; grid-template-columns: 148px 308px minmax(0, 1fr); }
.wall-frame[data-stage="hang"] { grid-template-columns: 148px 372px minmax(0, 1fr); }
@media (max-width: 767px) {
  .wall-frame, .wall-frame[data-stage="hang"] { grid-template-columns: minmax(0, 1fr); grid-template-rows: minmax(0, 1fr) auto; }
  .plumb { display: none; }
  .cross { display: none; }
  .wall-frame:not([data-stage="hang"]) { grid-template-rows: minmax(0, 1fr) minmax(0, 1fr); }
  .wall-frame:not([data-stage="hang"]) .cross { display: block; grid-row: 1; }
}
</style>
