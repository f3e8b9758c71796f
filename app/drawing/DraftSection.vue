<script setup lang="ts">
/** The wall cut through, to the right of the elevation and at its height: build-up, screens, pull-out. */
const { width, height, wiring = false } = defineProps<{ width: number, height: number, wiring?: boolean }>()
const { drawn } = useWallPlan()
const view = useDraftView()
const { wall, faces: screens } = useFaces('column')

const { core, layers, face } = useBuildUp(() => wall.value)
const margin = 10

const transform = computed(() => `matrix(${view.value.scale} 0 0 ${-view.value.scale} ${margin} ${view.value.y(0)})`)
</script>

<template>
  <svg
    v-if="wall"
    :width="width"
    :height="height"
    role="img"
    aria-label="Section"
    class="block overflow-hidden"
    data-testid="section"
  >
    <g :transform="transform">
      <g :transform="`scale(${1 / view.scale} ${1 / view.scale})`">
        <rect
          x="0"
          y="0"
          :width="core * view.scale"
          :height="wall.height * view.scale"
          :fill="`url(#${STRUCTURE_HATCHES[wall.structure.kind]})`"
          stroke="var(--color-ink)"
          stroke-width="1"
        />
        <rect
          v-for="(layer, index) in layers"
          :key="index"
          :x="layer.from * view.scale"
          y="0"
          :width="layer.thickness * view.scale"
          :height="wall.height * view.scale"
          :fill="`url(#${layer.hatch})`"
          stroke="var(--color-ink)"
          stroke-width="1"
          :data-layer="layer.material"
        >
          <title>{{ layer.material }}</title>
        </rect>
      </g>
      <g v-for="screen in screens" :key="screen.id">
        <template v-if="screen.plate">
          <path
            v-for="hole in screen.holes"
            :key="hole.id"
            :d="`M${face - (hole.depth ?? 0)} ${hole.y} H${face + screen.off}`"
            stroke="var(--color-good)"
            stroke-width="1.5"
            vector-effect="non-scaling-stroke"
          />
        </template>
        <rect
          v-if="screen.standOff && screen.plate"
          :x="face"
          :y="screen.plate.rect.y"
          :width="screen.standOff"
          :height="screen.plate.rect.height"
          fill="var(--color-edge)"
        />
        <rect
          :x="face + screen.off"
          :y="screen.outer.y"
          :width="screen.depth"
          :height="screen.outer.height"
          fill="var(--color-case)"
          :stroke="screen.lit ? 'var(--color-flag)' : 'var(--color-ink)'"
          :stroke-width="screen.lit ? 3 : 1"
          vector-effect="non-scaling-stroke"
        />
      </g>
      <LazyDraftBoxDepths v-if="wiring" :face="face" :screens="screens.map(({ id }) => id)" />
      <path
        v-if="drawn?.marking.levelLine"
        :d="`M-200 ${drawn.marking.levelLine.y} H4000`"
        class="text-chalk"
        stroke="currentColor"
        stroke-width="1.5"
        stroke-dasharray="12 4 2 4"
        vector-effect="non-scaling-stroke"
      />
      <path d="M-200 0 H4000" stroke="var(--color-ink)" stroke-width="3" vector-effect="non-scaling-stroke" />
    </g>
  </svg>
</template>
