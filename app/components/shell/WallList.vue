<script setup lang="ts">
import { weekdayText } from '~~/core/dates'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useElementSize } from '@vueuse/core'
import { STAGES } from '~~/core/finding'
import { LOG_KINDS, type EntryKind } from '~~/core/log'
import type { ListedWall } from '~/composables/useWalls'
import { plural } from '~~/core/units/plural'

/**
 * Every wall at a glance: its nine stages, what stops it, who comes next, what was last; searched, filtered, sorted.
 * Only what is in sight is drawn.
 */
const { walls } = defineProps<{ walls: ListedWall[] }>()
const search = ref('')
const show = ref('all')
const sort = ref('site')
const hasStop = ({ state }: ListedWall) => (state?.stops.length ?? 0) > 0
const isDone = ({ state }: ListedWall) => state?.stages.close === 'settled'
const FILTERS: Record<string, { title: string, keeps: (wall: ListedWall) => boolean }> = {
  all: { title: 'all walls', keeps: () => true },
  stop: { title: 'with a stop', keeps: hasStop },
  caution: { title: 'with a caution', keeps: ({ state }) => STAGES.some(stage => state?.stages[stage] === 'caution') },
  work: {
    title: 'in progress',
    keeps: wall => !isDone(wall) && (wall.state?.stages.hang === 'in hand' || wall.state?.stages.hang === 'settled'),
  },
  open: { title: 'not handed over', keeps: wall => !isDone(wall) },
  done: { title: 'handed over', keeps: isDone },
  unplanned: { title: 'no visit scheduled', keeps: wall => !isDone(wall) && !wall.next },
}
const lastOf = ({ state, savedAt }: ListedWall) => state?.last && state.last.at > savedAt ? state.last.at : savedAt
const SORTS: Record<string, { title: string, by: (a: ListedWall, b: ListedWall) => number }> = {
  site: { title: 'site', by: (a, b) => a.siteName.localeCompare(b.siteName) || a.name.localeCompare(b.name) },
  stop: {
    title: 'stops first',
    by: (a, b) => Number(hasStop(b)) - Number(hasStop(a)) || a.siteName.localeCompare(b.siteName),
  },
  next: { title: 'next visit', by: (a, b) => (a.next?.startsAt ?? '9').localeCompare(b.next?.startsAt ?? '9') },
  last: { title: 'last change', by: (a, b) => lastOf(b).localeCompare(lastOf(a)) },
}
const filters = computed(() =>
  Object.entries(FILTERS).map(([value, { title, keeps }]) => ({
    value,
    label: `${title} (${walls.filter(keeps).length})`,
  })),
)
const orders = Object.entries(SORTS).map(([value, { title }]) => ({ value, label: title }))
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase().split(/\s+/)
  return walls
    .filter(
      wall =>
        FILTERS[show.value]!.keeps(wall)
        && wanted.every(word => `${wall.siteName} ${wall.name} ${wall.next?.crew ?? ''}`.toLowerCase().includes(word)),
    )
    .sort(SORTS[sort.value]!.by)
})
const scroller = useTemplateRef<HTMLElement>('scroller')
const { width } = useElementSize(scroller)
const rowHeight = computed(() => width.value > 0 && width.value < 640 ? 150 : 68)
const virtual = useVirtualizer(
  computed(() => ({
    count: shown.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => rowHeight.value,
    overscan: 8,
  })),
)
watch(rowHeight, () => virtual.value.measure())
const { tell } = useUnits()
const isNow = ({ next }: ListedWall) => next !== undefined && Date.parse(next.startsAt) <= Date.now()
const shortly = (at: string, timeZone?: string) => weekdayText(at, timeZone)
function lastSaid(wall: ListedWall) {
  const { last } = wall.state ?? {}
  return last && last.at > wall.savedAt
    ? `${LOG_KINDS[last.kind as EntryKind].title}, ${last.by}`
    : `saved, ${wall.savedBy || 'name not known'}`
}
/** Of a wall without a stop: what is said of it instead, and its mark-out. */
function standing(wall: (typeof shown.value)[number]): string {
  const { cautions, revision } = wall.state!
  const issued = revision ? `; mark-out ${revision}` : ''
  if (isDone(wall)) return `handed over${issued}`
  return `${cautions ? plural(cautions, 'caution') : 'no stops'}${issued}`
}
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" aria-label="Walls">
    <div class="mb-2 flex flex-wrap items-end gap-2">
      <FieldFrame id="wall-search" label="Search" class="min-w-40 flex-1">
        <input
          id="wall-search"
          v-model="search"
          type="search"
          class="field-input"
          autocomplete="off"
          placeholder="site, wall or crew"
        >
      </FieldFrame>
      <ChoiceField label="Show" :value="show" :options="filters" :commit="chosen => { show = chosen; return [] }" />
      <ChoiceField label="Sort by" :value="sort" :options="orders" :commit="chosen => { sort = chosen; return [] }" />
    </div>
    <p v-if="shown.length === 0" class="text-sm">
      No wall matches.
    </p>
    <div
      ref="scroller"
      class="min-h-0 flex-1 overflow-y-auto"
      data-testid="walls"
      tabindex="0"
      role="group"
      aria-label="List of walls"
    >
      <ul class="relative" :style="{ height: `${virtual.getTotalSize()}px` }">
        <li
          v-for="row in virtual.getVirtualItems()"
          :key="`${shown[row.index]!.site}/${shown[row.index]!.id}`"
          class="absolute inset-x-0 top-0 pb-1"
          :style="{ height: `${row.size}px`, transform: `translateY(${row.start}px)` }"
          :data-wall="`${shown[row.index]!.site}/${shown[row.index]!.id}`"
        >
          <div
            class="grid h-full grid-cols-1 content-center items-center gap-x-4 border-l-4 bg-board px-3
              sm:grid-cols-[minmax(0,220px)_auto_minmax(0,1fr)_minmax(0,180px)]"
            :class="hasStop(shown[row.index]!) ? 'border-stop' : 'border-pine'"
          >
            <p class="min-w-0 leading-tight">
              <NuxtLink
                :to="`/sites/${shown[row.index]!.site}/walls/${shown[row.index]!.id}`"
                no-prefetch
                class="block min-h-6 truncate leading-6 font-semibold hover:underline"
              >{{ shown[row.index]!.name }}</NuxtLink>
              <NuxtLink
                :to="`/sites/${shown[row.index]!.site}`"
                no-prefetch
                class="block min-h-6 truncate text-xs leading-6 text-ink-soft hover:underline"
              >{{ shown[row.index]!.siteName }}</NuxtLink>
            </p>
            <StageKnots :stages="shown[row.index]!.state?.stages ?? {}" />
            <p class="min-w-0 text-xs leading-tight max-sm:mt-0.5">
              <span
                v-if="hasStop(shown[row.index]!)"
                class="line-clamp-2 font-semibold text-stop"
              >{{ tell(shown[row.index]!.state!.stops[0]!.message) }}</span>
              <span
                v-else-if="shown[row.index]!.state"
                class="text-ink-soft"
              >{{ standing(shown[row.index]!) }}</span>
              <span v-else class="text-ink-soft">being calculated</span>
            </p>
            <p class="min-w-0 text-xs leading-tight max-sm:mt-0.5">
              <span
                v-if="shown[row.index]!.next"
                class="block truncate font-semibold"
              >{{ isNow(shown[row.index]!) ? 'on site now'
                : shortly(shown[row.index]!.next!.startsAt, shown[row.index]!.next!.zone) }},
                {{ shown[row.index]!.next!.crew }}</span>
              <span v-else class="block text-ink-soft">{{ isDone(shown[row.index]!) ? '' : 'no visit' }}</span>
              <span class="block truncate text-ink-soft">{{ shortly(lastOf(shown[row.index]!)) }}:
                {{ lastSaid(shown[row.index]!) }}</span>
            </p>
          </div>
        </li>
      </ul>
    </div>
  </section>
</template>
