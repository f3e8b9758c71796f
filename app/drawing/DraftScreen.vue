<script setup lang="ts">
import { turnSide } from '~~/core/arrange'
import type { Side } from '~~/core/job'
import type { Position } from '~~/core/mount'
import { screenLabel } from '~~/core/job/screenLabel'

/**
 * One screen: its case, its picture, a bar along the edge that is the display's own top, and where its sockets and
 * vents come to.
 */
const { position, ghost = false, small = false } = defineProps<{
  position: Position
  /** Whether only its outline is drawn. */
  ghost?: boolean
  /** Whether its name keeps out of the way of the plate. */
  small?: boolean
}>()
const { isLit, hover, leave } = useSelection()
const lit = computed(() => isLit({ kind: 'screen', id: position.id }))
const name = computed(() => screenLabel(position))

/** The middle third of the edge where the display's own top comes to lie. */
const topBar = computed(() => {
  const { x, y, width, height } = position.outer
  const [across, up] = [width / 3, height / 3]
  const inset = Math.min(width, height) * 0.035
  return {
    'landscape': `M${x + across} ${y + height - inset} h${across}`,
    'inverted': `M${x + across} ${y + inset} h${across}`,
    'portrait-cw': `M${x + width - inset} ${y + up} v${up}`,
    'portrait-ccw': `M${x + inset} ${y + up} v${up}`,
  }[position.orientation]
})
const store = useWallStore()
const model = computed(() => store.catalogue.displays.find(({ id }) => id === position.model))
/** A stretch along the edge of the case on a side as it hangs, in the share of the side from … to. */
function along(side: Side, from: number, to: number): string {
  const { x, y, width, height } = position.outer
  const inset = Math.min(width, height) * 0.012
  const [a, b] = [from, to]
  return {
    top: `M${x + a * width} ${y + height - inset} H${x + b * width}`,
    bottom: `M${x + a * width} ${y + inset} H${x + b * width}`,
    left: `M${x + inset} ${y + a * height} V${y + b * height}`,
    right: `M${x + width - inset} ${y + a * height} V${y + b * height}`,
  }[side]
}
const ports = computed(() =>
  (model.value?.ports ?? []).map(side => along(turnSide(side, position.orientation), 0.42, 0.58)).join(''),
)
const vents = computed(() =>
  (model.value?.vents ?? [])
    .map(
      side =>
        along(turnSide(side, position.orientation), 0.1, 0.3) + along(turnSide(side, position.orientation), 0.7, 0.9),
    )
    .join(''),
)
const described = computed(() =>
  `${name.value}: top edge of the display at the short bar${ports.value ? ', ports at the blue bar' : ''}${
    vents.value ? ', vents dotted' : ''}`)
</script>

<template>
  <g
    :data-screen="position.id"
    @pointerenter="hover('screen', position.id)"
    @pointerleave="leave"
  >
    <title>{{ described }}</title>
    <rect
      v-bind="position.outer"
      fill="var(--color-case)"
      :fill-opacity="ghost ? 0.08 : 0.9"
      :stroke-dasharray="ghost ? '6 4' : undefined"
      :stroke="lit ? 'var(--color-flag)' : 'var(--color-ink)'"
      :stroke-width="lit ? 3 : 1"
      vector-effect="non-scaling-stroke"
    />
    <rect v-if="!ghost" v-bind="position.picture" fill="var(--color-glass)" fill-opacity="0.55" />
    <template v-if="!ghost">
      <path
        v-if="vents"
        :d="vents"
        stroke="var(--color-on-case)"
        stroke-width="2.5"
        stroke-dasharray="2 3"
        vector-effect="non-scaling-stroke"
        data-part="vents"
      />
      <path
        v-if="ports"
        :d="ports"
        stroke="#8fbcff"
        stroke-width="4"
        vector-effect="non-scaling-stroke"
        data-part="ports"
      />
    </template>
    <path :d="topBar" stroke="var(--color-tape)" stroke-width="3" vector-effect="non-scaling-stroke" />
    <DraftLettering
      v-if="small"
      class="text-on-case"
      :x="position.outer.x"
      :y="position.outer.y + position.outer.height"
      :dx="3"
      :dy="11"
      :size="10.5"
    >
      {{ name }}
    </DraftLettering>
    <DraftLettering
      v-else
      :class="ghost ? 'text-ink' : 'text-on-case'"
      :x="position.outer.x"
      :y="position.outer.y"
      :dx="5"
      :dy="-6"
      :size="12"
    >
      {{ name }}
    </DraftLettering>
  </g>
</template>
