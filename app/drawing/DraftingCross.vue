<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Rect } from '~~/core/geometry'
import type { Canvas } from '~/stages/stage'
import { WHOLE, type Zoom } from './useZoom'

/**
 * The wall as installers draw it: elevation, section to its right at the same height, plan below
 * at the same width with the tape between. The ledger takes what room is left.
 */
const { canvas } = defineProps<{ canvas: Canvas }>()
const emit = defineEmits<{
  pointed: [at: { x: number, y: number }]
  drawn: [rect: Rect]
  dimension: [side: 'left' | 'right' | 'bottom' | 'top', value: number, at: { x: number, y: number }]
}>()
const store = useWallStore()
const frame = useTemplateRef<HTMLElement>('frame')
const { width: frameWidth, height: frameHeight } = useElementSize(frame)
const elevation = useTemplateRef<{ zoomBy: (k: number) => void, fit: () => void }>('elevation')
const slots = useSlots()

const SECTION = 104
const TAPE = 44
const PLAN = 74
const LEDGER = 170
const PAD = { x: 14, top: 22, foot: 12 }

const { planned, reading, isKept } = useWallPlan()
const wall = computed(() => reading.value ? planned.value : store.shown)
const width = computed(() => Math.max(200, frameWidth.value - SECTION))
const fitWidth = computed(() => (width.value - 2 * PAD.x) / (wall.value?.width ?? 1))
const height = computed(() => {
  const room = frameHeight.value - TAPE - PLAN - (slots.ledger ? LEDGER : 0)
  const needed = (wall.value?.height ?? 0) * fitWidth.value + PAD.top + PAD.foot
  return Math.max(160, Math.min(room, needed))
})
const fit = computed(() => Math.min(fitWidth.value, (height.value - PAD.top - PAD.foot) / (wall.value?.height ?? 1)))

const transform = shallowRef<Zoom>(WHOLE)
const view = computed<DraftView>(() => {
  const { k, x: tx, y: ty } = transform.value
  const left = (width.value - (wall.value?.width ?? 0) * fit.value) / 2
  const foot = height.value - PAD.foot
  const scale = fit.value * k
  return {
    scale,
    x: mm => (left + mm * fit.value) * k + tx,
    y: mm => (foot - mm * fit.value) * k + ty,
    wallX: px => ((px - tx) / k - left) / fit.value,
    wallY: px => (foot - (px - ty) / k) / fit.value,
  }
})
provideDraftView(view)
useCommands([
  { id: 'zoom-in', title: 'Zoom in', group: 'Drawing', keys: ['+', '='], run: () => elevation.value?.zoomBy(1.4) },
  { id: 'zoom-out', title: 'Zoom out', group: 'Drawing', keys: ['-'], run: () => elevation.value?.zoomBy(1 / 1.4) },
  { id: 'fit', title: 'Show the whole wall', group: 'Drawing', keys: ['0'], run: () => elevation.value?.fit() },
])
const scaleText = computed(() =>
  transform.value.k > 1.01 ? `Zoom ${transform.value.k.toFixed(1)} ×. Press 0 to show the whole wall.` : '',
)
</script>

<template>
  <div ref="frame" class="flex h-full min-h-0 flex-col">
    <div
      v-if="wall && frameWidth > 0"
      class="grid shrink-0"
      :style="{ gridTemplateColumns: `${width}px ${SECTION}px` }"
    >
      <div class="relative">
        <DraftElevation
          ref="elevation"
          :width="width"
          :height="height"
          :canvas="canvas"
          @zoomed="transform = $event"
          @pointed="emit('pointed', $event)"
          @drawn="emit('drawn', $event)"
          @dimension="(side, value, at) => emit('dimension', side, value, { x: view.x(at.x), y: view.y(at.y) })"
        >
          <template #default="scope">
            <slot name="drawing" v-bind="scope" />
          </template>
        </DraftElevation>
        <p
          v-if="isKept"
          class="pointer-events-none absolute left-2 top-1 rounded bg-board px-2 py-0.5 text-xs font-semibold"
          role="status"
          data-testid="plan-kept"
        >
          Last plan. Updating…
        </p>
        <slot name="over" />
      </div>
      <div class="relative">
        <DraftSection :width="SECTION" :height="height" :wiring="!!canvas.wiring" />
        <span class="pointer-events-none absolute right-2 top-1 text-xs text-ink-soft">Section</span>
      </div>
      <DraftTape :width="width" :points="canvas.tape.points" :label="canvas.tape.label" />
      <div class="flex items-center px-2 text-xs leading-tight text-ink-soft">
        Tape: {{ canvas.tape.label }}
      </div>
      <DraftPlan :width="width" :height="PLAN" :wiring="canvas.wiring === true" />
      <div class="px-2 pt-1 text-xs leading-tight text-ink-soft">
        Plan<span v-if="scaleText" class="mt-2 block">{{ scaleText }}</span>
      </div>
    </div>
    <div
      v-if="$slots.ledger"
      class="min-h-0 flex-1 overflow-y-auto border-t border-hair"
      tabindex="0"
      role="group"
      aria-label="Ledger"
      data-scrolls
    >
      <slot name="ledger" />
    </div>
  </div>
</template>
