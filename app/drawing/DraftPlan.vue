<script setup lang="ts">
import { structureKindOf, type Layer } from '~~/core/job'

/** The wall from above, below the elevation and at its width: members cut, screens stowed or pulled out. */
const { width, height, wiring = false } = defineProps<{ width: number, height: number, wiring?: boolean }>()
const { drawn } = useWallPlan()
const view = useDraftView()
const { isLit } = useSelection()
const { wall, faces: screens } = useFaces('row')
const { core, layers, face } = useBuildUp(() => wall.value)
/** Furring lies in strips; where they are is not surveyed, so they are drawn from the left edge on. */
const strips = (layer: Layer) =>
  layer.material === 'furring' && layer.width && layer.spacing
    ? Array.from(
        { length: Math.floor((wall.value!.width - layer.width) / layer.spacing) + 1 },
        (_, n) => n * layer.spacing!,
      )
    : undefined
const framed = computed(() => wall.value && structureKindOf(wall.value.structure).framed)

/** y of the drawing grows into the room, from the back of the wall. */
const transform = computed(() => `matrix(${view.value.scale} 0 0 ${view.value.scale} ${view.value.x(0)} 3)`)
</script>

<template>
  <svg
    v-if="wall"
    :width="width"
    :height="height"
    role="img"
    aria-label="Plan"
    class="block overflow-hidden"
    data-testid="plan"
  >
    <g :transform="transform">
      <rect
        v-if="framed"
        :x="0"
        :y="0"
        :width="wall.width"
        :height="core"
        fill="var(--color-wall)"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
      <g v-else :transform="`scale(${1 / view.scale})`">
        <rect
          x="0"
          y="0"
          :width="wall.width * view.scale"
          :height="core * view.scale"
          :fill="`url(#${STRUCTURE_HATCHES[wall.structure.kind]})`"
          stroke="var(--color-ink)"
        />
      </g>
      <rect
        v-for="(member, index) in drawn?.members"
        :key="index"
        :x="member.centre - member.width / 2"
        :y="0"
        :width="member.width"
        :height="core"
        :fill="member.source === 'observed' ? 'var(--color-wood)' : 'none'"
        :stroke-dasharray="member.source === 'observed' ? undefined : '4 3'"
        :stroke="isLit({ kind: 'member', id: member.id }) ? 'var(--color-flag)' : 'var(--color-wood-edge)'"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <g v-for="(layer, index) in layers" :key="`layer-${index}`">
        <rect
          :x="0"
          :y="layer.from"
          :width="wall.width"
          :height="layer.thickness"
          :fill="strips(layer) ? 'var(--color-plaster)' : 'var(--color-paper)'"
          stroke="var(--color-ink)"
          stroke-width="1"
          vector-effect="non-scaling-stroke"
        />
        <rect
          v-for="x in strips(layer)"
          :key="x"
          :x="x"
          :y="layer.from"
          :width="layer.width"
          :height="layer.thickness"
          fill="var(--color-wood)"
          stroke="var(--color-wood-edge)"
          stroke-width="1"
          vector-effect="non-scaling-stroke"
        />
      </g>
      <LazyDraftCablePlan v-if="wiring" :core="core" />
      <g v-for="screen in screens" :key="screen.id">
        <path
          v-for="hole in screen.holes"
          :key="hole.id"
          :d="`M${hole.x} ${face - (hole.depth ?? 0)} V${face + screen.off}`"
          stroke="var(--color-good)"
          stroke-width="1.5"
          vector-effect="non-scaling-stroke"
        />
        <rect
          :x="screen.outer.x"
          :y="face + screen.off"
          :width="screen.outer.width"
          :height="screen.depth"
          fill="var(--color-case)"
          :stroke="screen.lit ? 'var(--color-flag)' : 'var(--color-plaster)'"
          :stroke-width="screen.lit ? 3 : 1"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </g>
  </svg>
</template>
