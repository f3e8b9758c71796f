<script setup lang="ts">
import type { Rect } from '~~/core/geometry'
import type { Zoom } from './useZoom'
import type { Canvas } from '~/stages/stage'

/** The wall from the front: structure, features, screens, plates, level line and the main dimensions. */
const { width, height, canvas } = defineProps<{ width: number, height: number, canvas: Canvas }>()
const emit = defineEmits<{
  zoomed: [zoom: Zoom]
  pointed: [at: { x: number, y: number }]
  drawn: [rect: Rect]
  dimension: [side: 'left' | 'right' | 'bottom' | 'top', value: number, at: { x: number, y: number }]
}>()
const draws = computed(() => canvas.draws)
const store = useWallStore()
const { pieces } = usePiece()
const { plan, drawn, planned, behind, drilled, unused } = useWallPlan()
const view = useDraftView()
const stands = useDrawingStands()
const wall = computed(() => planned.value ?? store.shown)
const { withUnit } = useUnits()
/** What can be picked on the drawing. */
const PICKED = ['box', 'hole', 'reading', 'feature', 'screen', 'member'] as const
const { hovered, select: choose } = useSelection()

const svg = useTemplateRef<SVGSVGElement>('svg')
defineExpose(
  useZoom(svg, { starts: event => !draws.value && event.target === svg.value, zoomed: zoom => emit('zoomed', zoom) }),
)

const transform = computed(
  () => `matrix(${view.value.scale} 0 0 ${-view.value.scale} ${view.value.x(0)} ${view.value.y(0)})`,
)
const cursor = ref<{ x: number, y: number }>()
function at({ offsetX, offsetY }: MouseEvent) {
  return { x: view.value.wallX(offsetX), y: view.value.wallY(offsetY) }
}
function point(event: MouseEvent) {
  if (draws.value === 'rect') return
  if (draws.value === 'point') return emit('pointed', at(event))
  const part = (event.target as Element).closest<SVGElement>(PICKED.map(kind => `[data-${kind}]`).join())
  const array = (event.target as Element).closest<SVGElement>('[data-array]')?.dataset.array
  if (array) store.arrayId = array
  const kind = PICKED.find(kind => part?.dataset[kind] !== undefined)
  if (part && kind) choose(kind, part.dataset[kind]!)
}

/** The rectangle that is being drawn, from where the hand came down. */
const began = ref<{ x: number, y: number }>()
const drawing = computed<Rect | undefined>(() => {
  if (!began.value || !cursor.value) return undefined
  const [a, b] = [began.value, cursor.value]
  return { x: Math.min(a.x, b.x), y: Math.min(a.y, b.y), width: Math.abs(a.x - b.x), height: Math.abs(a.y - b.y) }
})
function begin(event: PointerEvent) {
  if (draws.value !== 'rect' || event.button !== 0) return
  svg.value?.setPointerCapture(event.pointerId)
  began.value = cursor.value = at(event)
}
function end() {
  const rect = drawing.value
  began.value = undefined
  if (rect && rect.width >= 1 && rect.height >= 1)
    emit('drawn', {
      x: Math.round(rect.x),
      y: Math.round(rect.y),
      width: Math.round(rect.width),
      height: Math.round(rect.height),
    })
}
const arrays = computed(() => (drawn.value?.arrays ?? []).flatMap((arrayPlan) => {
  const array = wall.value?.arrays.find(({ id }) => id === arrayPlan.id)
  return array ? [{ array, plan: arrayPlan }] : []
}))
/** The outline of the array that is worked on, where the hand has it now. */
const { arrangement } = useArray()
const outline = computed(() =>
  behind.value
    ? arrangement.value?.outline
    : (drawn.value?.arrays.find(({ id }) => id === store.array?.id) ?? drawn.value?.arrays[0])?.outline,
)
const level = computed(() => drawn.value?.marking.levelLine)
const described = computed(() => {
  const { name, width, height } = wall.value!
  const members = drawn.value?.members.length ? `, ${drawn.value.members.length} ${pieces.value}` : ''
  return `Elevation of ${name}, ${withUnit(width)} wide and ${withUnit(height)} high${members}, `
    + `${arrays.value.length} arrays`
})
</script>

<template>
  <svg
    v-if="wall"
    ref="svg"
    :width="width"
    :height="height"
    role="img"
    :aria-label="described"
    class="block overflow-hidden touch-none"
    :class="{ 'cursor-crosshair': draws }"
    data-testid="elevation"
    @click="point"
    @pointerdown="begin"
    @pointerup="end"
    @pointermove="cursor = at($event)"
    @pointerleave="cursor = undefined"
  >
    <DraftHatches />
    <g :transform="transform" :pointer-events="draws ? 'none' : undefined">
      <rect
        :x="0"
        :y="0"
        :width="wall.width"
        :height="wall.height"
        fill="var(--color-wall)"
        stroke="var(--color-ink)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
        pointer-events="none"
      />
      <LazyDraftCoursing v-if="drawn?.coursing" :coursing="drawn.coursing" :width="wall.width" :height="wall.height" />
      <DraftMember
        v-for="(member, index) in drawn?.members"
        :key="member.id"
        :member="member"
        :index="index"
        :height="wall.height"
        :movable="canvas.movable === 'members'"
        @moving="canvas.movingMember?.(member.id, $event)"
        @moved="canvas.moved?.()"
      />
      <DraftFeature v-for="feature in wall.features" :key="feature.id" :feature="feature" />
      <DraftArray
        v-for="{ array, plan: arrayPlan } in arrays"
        :key="array.id"
        :array="array"
        :plan="arrayPlan"
        :drilled="drilled"
        :movable="canvas.movable === 'arrays'"
        :show-plates="canvas.showPlates"
        :ghost="canvas.ghost"
        :current="canvas.current"
        @moving="canvas.movingArray?.(arrayPlan, $event)"
        @moved="canvas.moved?.()"
      />
      <path
        v-if="canvas.showPlates"
        :d="(drawn?.members
          ?? []).map(({ centre, width }) =>
          `M${centre - width / 2} 0 V${wall!.height} M${centre + width / 2} 0 V${wall!.height}`).join('')"
        stroke="var(--color-wood)"
        stroke-width="1"
        stroke-dasharray="3 4"
        opacity="0.55"
        vector-effect="non-scaling-stroke"
        pointer-events="none"
      />
      <template v-if="canvas.showPlates">
        <DraftLeftBehind v-for="hole in unused" :key="`${hole.hole} ${hole.entry}`" :hole="hole" />
      </template>
      <g v-if="level" class="text-chalk" pointer-events="none">
        <path
          :d="`M${-wall.width} ${level.y} H${2 * wall.width}`"
          stroke="currentColor"
          stroke-width="1.5"
          stroke-dasharray="12 4 2 4"
          vector-effect="non-scaling-stroke"
        />
        <DraftLettering :x="0" :y="level.y" :dx="4" :dy="-5" :size="12" halo>
          level line {{ withUnit(level.y) }}
        </DraftLettering>
      </g>
      <LazyDraftWiring
        v-if="canvas.wiring && plan"
        :wiring="plan.wiring"
        :wall="wall"
        :seen-through="canvas.wiring === true"
        :movable="canvas.movable === 'boxes'"
        @moving="(id, by) => canvas.movingBox?.(id, by)"
        @moved="canvas.moved?.()"
      />
      <LazyDraftMoves v-if="canvas.moves?.length" :moves="canvas.moves" />
      <LazyDraftSeams v-if="canvas.seams" :drawing="canvas.seams" />
      <LazyDraftSurvey v-if="canvas.surveying" :wall="wall" />
      <template v-if="outline">
        <path
          :d="`M${outline.x + outline.width / 2} ${outline.y - 150} V${outline.y + outline.height + 150}`"
          class="text-chalk"
          stroke="currentColor"
          stroke-width="1.2"
          stroke-dasharray="12 4 2 4"
          vector-effect="non-scaling-stroke"
          pointer-events="none"
        />
        <DraftPlacing
          :outline="outline"
          :wall="wall"
          :editable="canvas.movable === 'arrays'"
          @pressed="(side, value, at) => emit('dimension', side, value, at)"
        />
      </template>
      <path
        :d="`M${-wall.width} 0 H${2 * wall.width}`"
        stroke="var(--color-ink)"
        stroke-width="3"
        vector-effect="non-scaling-stroke"
        pointer-events="none"
      />
      <LazyDraftSnap v-if="stands && canvas.movable === 'arrays'" :wall="wall" />
      <rect
        v-if="drawing"
        v-bind="drawing"
        fill="var(--color-flag)"
        fill-opacity="0.2"
        stroke="var(--color-flag)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <slot :cursor="cursor" :wall="wall" :hovered="hovered" />
    </g>
  </svg>
</template>
