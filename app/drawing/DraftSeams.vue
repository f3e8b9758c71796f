<script setup lang="ts">
import type { Rect } from '~~/core/geometry'
import { MM_PER_INCH } from '~~/core/units'
import { endAt, widening, type Seam, type SeamDrawing, type SeamEnd } from './seams'

/**
 * Seams drawn many times wider than they are, each end with its figure: the side that stands out is drawn heavier; an
 * end that was not read is dashed.
 */
const { drawing } = defineProps<{ drawing: SeamDrawing }>()
const { system } = useUnits()
const view = useDraftView()
const factor = computed(() => widening(drawing.seams))
/** Figures stand only where a screen has room for them. */
const roomy = computed(() => drawing.seams.every(({ a }) => Math.min(a.width, a.height) * view.value.scale > 42))
const off = ({ gap, target }: SeamEnd) => gap !== undefined && Math.abs(gap - target) > drawing.tolerance + 1e-6
const stepOff = ({ step }: SeamEnd) => step !== undefined && Math.abs(step) > drawing.tolerance + 1e-6
/** The seam as a shape from end to end, as wide at each as was read there. */
function shape(seam: Seam): string {
  const [one, other] = seam.ends.map(end => ({
    at: endAt(seam, end.end),
    half: ((end.gap ?? end.target) * factor.value) / 2,
  }))
  if (!one || !other) return ''
  const upright = seam.ends[0]!.end === 'top' || seam.ends[0]!.end === 'bottom'
  const corner = ({ at, half }: typeof one, sign: number) =>
    upright ? `${at.x + sign * half} ${at.y}` : `${at.x} ${at.y + sign * half}`
  return `M${corner(one, -1)} L${corner(one, 1)} L${corner(other, 1)} L${corner(other, -1)} Z`
}
const read = (seam: Seam) => seam.ends.every(({ gap }) => gap !== undefined)
const wrong = (seam: Seam) => seam.ends.some(off)
/** A line along the side whose face stands out, as heavy as it does. */
function proud(seam: Seam, end: SeamEnd) {
  const at = endAt(seam, end.end)
  const upright = end.end === 'top' || end.end === 'bottom'
  const side = (end.step ?? 0) > 0 ? 1 : -1
  const half = (end.gap ?? end.target) * factor.value / 2
  const inwards = end.end === 'top' || end.end === 'right' ? -1 : 1
  const length = 0.28 * (upright ? seam.a.height : seam.a.width)
  // Of a level seam the second screen lies below.
  return upright
    ? `M${at.x + side * half} ${at.y} v${inwards * length}`
    : `M${at.x} ${at.y - side * half} h${inwards * length}`
}
/** A gap as it stands on the drawing: inches in thousandths, without the nought before the point. */
const inches = (mm: number) => `${(mm / MM_PER_INCH).toFixed(3).replace(/^0/, '')}"`
const figure = ({ gap = 0 }: SeamEnd) => system.value === 'metric' ? String(Number(gap.toFixed(1))) : inches(gap)
const inset = (end: SeamEnd) =>
  ({ top: { dy: 24 }, bottom: { dy: -16 }, left: { dx: 34, dy: 4 }, right: { dx: -34, dy: 4 } })[end.end]
/** A stroke across the middle of a screen. */
const acrossOf = ({ x, y, width, height }: Rect) => `M${x + width * 0.2} ${y + height / 2} h${width * 0.6}`
</script>

<template>
  <g data-part="seams">
    <g v-for="seam in drawing.seams" :key="seam.id" :data-seam="seam.id">
      <path
        :d="shape(seam)"
        :fill="wrong(seam) ? 'var(--color-caution)' : 'var(--color-good)'"
        :fill-opacity="read(seam) ? 0.85 : 0"
        :stroke="read(seam) ? 'var(--color-ink)' : 'var(--color-on-case)'"
        stroke-width="1"
        :stroke-dasharray="read(seam) ? undefined : '4 3'"
        vector-effect="non-scaling-stroke"
      />
      <template v-for="end in seam.ends" :key="end.key">
        <path
          v-if="stepOff(end)"
          :d="proud(seam, end)"
          stroke="var(--color-flag)"
          :stroke-width="Math.min(7, 2 + 2 * Math.abs(end.step!))"
          vector-effect="non-scaling-stroke"
        />
      </template>
    </g>
    <g v-for="level in drawing.levels.filter(({ key }) => key === drawing.current)" :key="level.key">
      <circle
        :cx="level.outer.x + level.outer.width / 2"
        :cy="level.outer.y + level.outer.height / 2"
        :r="9 / view.scale"
        fill="var(--color-flag)"
        stroke="var(--color-paper)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <path
        :d="acrossOf(level.outer)"
        stroke="var(--color-flag)"
        stroke-width="3"
        vector-effect="non-scaling-stroke"
      />
    </g>
    <g v-for="seam in drawing.seams" :key="`ends ${seam.id}`">
      <g
        v-for="end in seam.ends"
        :key="end.key"
        class="cursor-pointer"
        :data-end="end.key"
        @click.stop="drawing.pick(end.key)"
      >
        <circle
          :cx="endAt(seam, end.end).x"
          :cy="endAt(seam, end.end).y"
          :r="12 / view.scale"
          fill="transparent"
          :stroke="drawing.current === end.key ? 'var(--color-flag)' : 'transparent'"
          stroke-width="4"
          vector-effect="non-scaling-stroke"
        />
        <DraftLettering
          v-if="end.gap !== undefined && roomy"
          :x="endAt(seam, end.end).x"
          :y="endAt(seam, end.end).y"
          v-bind="inset(end)"
          anchor="middle"
          :size="11"
          halo
          :class="off(end) ? 'text-stop font-bold' : 'text-ink'"
        >
          {{ figure(end) }}
        </DraftLettering>
      </g>
    </g>
  </g>
</template>
