<script setup lang="ts">
/** A dimension between two points of one row or one upright, with its figure on the line; one with a name can be pressed. */
const { from, to, at, upright = false, name = '' } = defineProps<{ from: number, to: number, at: number, upright?: boolean, name?: string }>()
const emit = defineEmits<{ pressed: [] }>()
const view = useDraftView()
const { show } = useUnits()
const tick = computed(() => 5 / view.value.scale)
const path = computed(() => upright
  ? `M${at} ${from} V${to} M${at - tick.value} ${from} h${2 * tick.value} M${at - tick.value} ${to} h${2 * tick.value}`
  : `M${from} ${at} H${to} M${from} ${at - tick.value} v${2 * tick.value} M${to} ${at - tick.value} v${2 * tick.value}`)
</script>

<template>
  <g class="text-ink" :pointer-events="name ? undefined : 'none'" :class="{ 'cursor-text': name }" :data-dimension="name || undefined" @click.stop="name && emit('pressed')">
    <title v-if="name">Press to type it</title>
    <path :d="path" stroke="currentColor" stroke-width="1" fill="none" vector-effect="non-scaling-stroke" />
    <DraftLettering :x="upright ? at : (from + to) / 2" :y="upright ? (from + to) / 2 : at" anchor="middle" :size="13" :dy="4" halo>
      {{ show(Math.abs(to - from)) }}
    </DraftLettering>
    <path v-if="name" :d="path" stroke="transparent" stroke-width="22" fill="none" vector-effect="non-scaling-stroke" />
  </g>
</template>
