<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { PlacedTask } from '~~/core/programme'
import { foldTime } from './fold'
import { dayAt, siteLetters, timeAt } from './when'

/**
 * Who does what when, a row a crew; hours at which nobody works are folded. A task is dragged to another time or crew.
 */
const { from, to, movable } = defineProps<{ from: number, to: number, movable: boolean }>()
const store = useProgrammeStore()
const { tell } = useUnits()
const [ROW, HEAD, BLOCK, SNAP, REACH] = [92, 44, 66, 15, 10]

const zone = computed(() => store.settings.zone)
const crews = computed(() => store.planned?.crews ?? [])
const frame = useTemplateRef<HTMLElement>('frame')
const { width: room } = useElementSize(frame)
const works = computed(() => [
  ...crews.value.flatMap(({ times }) => times),
  ...(store.planned?.placed ?? []).flatMap(({ spans }) => spans),
])
/** As wide as there is room, but never so narrow that a task of an hour cannot be pressed. */
const LEAST = 13
const pxPerHour = computed(() => {
  const at60 = foldTime(from, to, works.value, 1)
  const minutes = at60.stretches.reduce((sum, { width }) => sum + width, 0)
  return Math.max(LEAST, 60 * (room.value - 124 - (at60.width - minutes)) / Math.max(1, minutes))
})
const folded = computed(() => foldTime(from, to, works.value, pxPerHour.value / 60))
const height = computed(() => HEAD + ROW * crews.value.length)
const siteIndex = (site: string) => Math.max(0, store.planned?.places.findIndex(({ id }) => id === site) ?? 0)
const SITES = [
  'var(--color-pine)',
  'var(--color-chalk)',
  'var(--color-caution)',
  'var(--color-stop)',
  'var(--color-edge)',
]
const colourOf = (site: string) => SITES[siteIndex(site) % SITES.length]!

const hours = computed(() => folded.value.stretches.flatMap(({ from, to }) => {
  const every = pxPerHour.value >= 40 ? 60 : pxPerHour.value >= 18 ? 120 : 240
  return Array.from(
    { length: Math.ceil((to - from) / every) + 1 },
    (_, n) => Math.ceil(from / every) * every + n * every,
  ).filter(minute => minute > from && minute < to)
}))
/** As much of a day's title as there is room for. */
const titleIn = (width: number, title: string) => width > 84 ? title : width > 32 ? title.split(',')[0] : ''
const days = computed(() =>
  folded.value.stretches.map(({ from, x, width }) => ({
    x,
    width,
    title: titleIn(width, dayAt(from, zone.value)),
    from,
  })),
)

interface Block {
  placed: PlacedTask
  x: number
  width: number
  row: number
  first: boolean
  title: string
  wall: string
  site: string
}
const blocks = computed((): Block[] => (store.planned?.placed ?? []).flatMap((placed) => {
  const task = store.taskOf(placed.task)
  const row = crews.value.findIndex(({ id }) => id === placed.crew)
  if (!task || row < 0) return []
  return placed.spans.filter(span => span.to > from && span.from < to).map((span, n) => {
    const [x, end] = [folded.value.x(Math.max(from, span.from)), folded.value.x(Math.min(to, span.to))]
    return {
      placed,
      x,
      width: Math.max(3, end - x),
      row,
      first: n === 0,
      title: tell(task.title).split(',')[0]!,
      wall: task.wallName,
      site: task.site,
    }
  })
}))
const shifts = computed(() =>
  crews.value.flatMap(({ times }, row) =>
    times
      .filter(time => time.to > from && time.from < to)
      .map((time) => {
        const [x, end] = [folded.value.x(Math.max(from, time.from)), folded.value.x(Math.min(to, time.to))]
        return { x, width: end - x, row }
      }),
  ),
)

/** A task under the hand: where it would go. */
const drag = ref<{ placed: PlacedTask, grab: number, startX: number, x: number, row: number, moved: boolean }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
function at(event: PointerEvent) {
  const box = svg.value!.getBoundingClientRect()
  return { x: event.clientX - box.left, y: event.clientY - box.top }
}
/** What is pressed: the nearest task of that row, as what takes minutes is thinner than a finger. */
function pressed(hand: { x: number, y: number }): Block | undefined {
  const away = ({ x, width }: Block) => Math.max(x - hand.x, hand.x - x - width, 0)
  const near = blocks.value.filter(block => block.row === Math.floor((hand.y - HEAD) / ROW) && away(block) <= REACH)
  return near.reduce(
    (nearest: Block | undefined, block) => (nearest && away(nearest) < away(block) ? nearest : block),
    undefined,
  )
}
function take(event: PointerEvent) {
  const hand = at(event)
  const block = pressed(hand)
  if (!block) return
  event.preventDefault()
  const { placed, x, row } = block
  store.selected = placed.task
  if (!movable) return
  drag.value = { placed, grab: hand.x - x, startX: hand.x, x, row, moved: false }
  svg.value!.setPointerCapture(event.pointerId)
}
function carry(event: PointerEvent) {
  if (!drag.value) return
  const hand = at(event)
  const moved
    = drag.value.moved
      || Math.abs(hand.x - drag.value.startX) > 4
      || Math.abs(hand.y - (HEAD + ROW * drag.value.row + ROW / 2)) > ROW / 2
  drag.value = {
    ...drag.value,
    x: hand.x - drag.value.grab,
    row: Math.min(crews.value.length - 1, Math.max(0, Math.floor((hand.y - HEAD) / ROW))),
    moved,
  }
}
const dropAt = computed(() => drag.value && SNAP * Math.round(folded.value.minute(drag.value.x) / SNAP))
async function drop() {
  const now = drag.value
  const start = dropAt.value
  drag.value = undefined
  if (!now?.moved || start === undefined) return
  await store.told(store.fix(now.placed.task, crews.value[now.row]!.id, start))
}
function describe({ title, wall, site, placed }: (typeof blocks.value)[number]): string {
  const when = `${dayAt(placed.start, zone.value)} ${timeAt(placed.start, zone.value)}`
  return `${title}, ${wall}, ${store.siteName(site)}: ${when}${store.isFixed(placed.task) ? ', pinned' : ''}`
}
</script>

<template>
  <div
    ref="frame"
    class="overflow-x-auto border-y border-hair bg-board"
    tabindex="0"
    role="group"
    aria-label="Schedule by crew"
  >
    <div class="flex" :style="{ minWidth: `${folded.width + 120}px` }">
      <div
        class="sticky left-0 z-10 w-[112px] shrink-0 border-r border-hair bg-board"
        :style="{ paddingTop: `${HEAD}px` }"
      >
        <p
          v-for="crew in crews"
          :key="crew.id"
          class="flex flex-col justify-center border-t border-hair px-2 text-sm font-semibold"
          :style="{ height: `${ROW}px` }"
        >
          {{ crew.name }}
          <span
            class="text-xs font-normal text-ink-soft"
          >{{ store.settings.crews.find(({ id }) =>
            id === crew.id)?.people.length
            ?? 0 }} {{ store.settings.crews.find(({ id }) => id === crew.id)?.people.length === 1 ? 'person'
            : 'people' }}</span>
        </p>
      </div>
      <svg
        ref="svg"
        :width="folded.width + 8"
        :height="height"
        class="touch-pan-x select-none"
        data-testid="timeline"
        @pointerdown="take"
        @pointermove="carry"
        @pointerup="drop"
        @pointercancel="drag = undefined"
      >
        <g v-for="day in days" :key="day.from">
          <rect :x="day.x" y="0" :width="day.width" :height="height" fill="var(--color-paper)" />
          <text :x="day.x + 4" y="16" font-size="13" font-weight="600" fill="var(--color-ink)">{{ day.title }}</text>
        </g>
        <g v-for="hour in hours" :key="hour">
          <line :x1="folded.x(hour)" :x2="folded.x(hour)" y1="34" :y2="height" stroke="var(--color-hair)" />
          <text
            :x="folded.x(hour)"
            y="31"
            font-size="11"
            text-anchor="middle"
            class="figures"
            fill="var(--color-ink-soft)"
          >{{ timeAt(hour, zone) }}</text>
        </g>
        <rect
          v-for="(shift, n) in shifts"
          :key="`shift ${n}`"
          :x="shift.x"
          :y="HEAD + ROW * shift.row + ROW - 8"
          :width="shift.width"
          height="4"
          fill="var(--color-edge)"
          opacity="0.5"
        />
        <line
          v-for="(crew, n) in crews"
          :key="crew.id"
          x1="0"
          :x2="folded.width"
          :y1="HEAD + ROW * n"
          :y2="HEAD + ROW * n"
          stroke="var(--color-hair)"
        />
        <g
          v-for="block in blocks"
          :key="`${block.placed.task} ${block.x}`"
          :transform="`translate(${block.x} ${HEAD + ROW * block.row + 10})`"
          role="button"
          tabindex="0"
          :class="movable ? 'cursor-grab' : 'cursor-pointer'"
          :data-task="block.placed.task"
          :aria-pressed="store.selected === block.placed.task"
          :aria-label="describe(block)"
          @keydown.enter="store.selected = block.placed.task"
          @keydown.space.prevent="store.selected = block.placed.task"
        >
          <title>{{ block.title }}, {{ block.wall }}, {{ store.siteName(block.site) }}</title>
          <rect
            :width="block.width"
            :height="BLOCK"
            rx="2"
            fill="var(--color-board)"
            :stroke="store.selected === block.placed.task ? 'var(--color-ink)' : 'var(--color-edge)'"
            :stroke-width="store.selected === block.placed.task ? 2.5 : 1"
            :stroke-dasharray="block.first ? undefined : '4 3'"
            :opacity="drag?.placed === block.placed && drag.moved ? 0.4 : 1"
          />
          <rect :width="Math.min(block.width, 5)" :height="BLOCK" :fill="colourOf(block.site)" />
          <svg v-if="block.width > 22" x="7" y="0" :width="block.width - 9" :height="BLOCK">
            <text
              y="16"
              font-size="12"
              font-weight="700"
              fill="var(--color-ink)"
            >{{ siteLetters(store.siteName(block.site)) }}{{ store.isFixed(block.placed.task) ? ' ◆' : '' }}</text>
            <text y="34" font-size="12" font-weight="600" fill="var(--color-ink)">{{ block.title }}</text>
            <text y="51" font-size="11" fill="var(--color-ink-soft)">{{ block.wall }}</text>
          </svg>
        </g>
        <g v-if="drag?.moved" :transform="`translate(${drag.x} ${HEAD + ROW * drag.row + 10})`" pointer-events="none">
          <rect
            width="90"
            :height="BLOCK"
            rx="2"
            fill="var(--color-tape)"
            stroke="var(--color-ink)"
            stroke-width="1.5"
          />
          <text
            x="8"
            y="28"
            font-size="13"
            font-weight="700"
            fill="var(--color-on-tape)"
          >{{ timeAt(dropAt!, zone) }}</text>
          <text x="8" y="46" font-size="11" fill="var(--color-on-tape)">{{ dayAt(dropAt!, zone) }}</text>
        </g>
      </svg>
    </div>
  </div>
</template>
