<script setup lang="ts">
/**
 * A dimension between two points of one row or one upright, with its figure in the line; one with a name can be
 * pressed.
 */
const {
  from,
  to,
  at,
  upright = false,
  name = '',
} = defineProps<{ from: number, to: number, at: number, upright?: boolean, name?: string }>()
const emit = defineEmits<{ pressed: [] }>()
const view = useDraftView()
const { show } = useUnits()
const tick = computed(() => 5 / view.value.scale)
const figure = computed(() => show(Math.abs(to - from)))
/** The room that the figure takes on its line, and the dimension's own length, px. */
const taken = computed(() => upright ? 20 : figure.value.length * 6 + 10)
const length = computed(() => Math.abs(to - from) * view.value.scale)
/** A line is left open where its figure stands; on one too short for that the figure stands beside it. */
const open = computed(() => length.value > taken.value + 8)
const path = computed(() => {
  const half = open.value ? Math.sign(to - from) * taken.value / 2 / view.value.scale : 0
  const middle = (from + to) / 2
  return upright
    ? `M${at} ${from} V${middle - half} M${at} ${middle + half} V${to} M${at - tick.value} ${from} h${2 * tick.value} `
    + `M${at - tick.value} ${to} h${2 * tick.value}`
    : `M${from} ${at} H${middle - half} M${middle + half} ${at} H${to} M${from} ${at - tick.value} v${2 * tick.value} `
      + `M${to} ${at - tick.value} v${2 * tick.value}`
})
</script>

<template>
  <g
    class="text-ink"
    :pointer-events="name ? undefined : 'none'"
    :class="{ 'cursor-text': name }"
    :data-dimension="name || undefined"
    @click.stop="name && emit('pressed')"
  >
    <title v-if="name">Press to edit</title>
    <path :d="path" stroke="currentColor" stroke-width="1" fill="none" vector-effect="non-scaling-stroke" />
    <DraftLettering
      :x="upright ? at : (from + to) / 2"
      :y="upright ? (from + to) / 2 : at"
      :anchor="upright && !open ? 'start' : 'middle'"
      :size="13"
      :dx="upright && !open ? 8 : 0"
      :dy="upright || open ? 4 : -6"
      halo
    >
      {{ figure }}
    </DraftLettering>
    <path
      v-if="name"
      :d="upright ? `M${at} ${from} V${to}` : `M${from} ${at} H${to}`"
      stroke="transparent"
      stroke-width="22"
      fill="none"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
