<script setup lang="ts">
/**
 * Boxes in the depth of the wall, as the section cuts it: how far each goes in from the face, and how far it stands
 * out.
 */
const { face, screens } = defineProps<{ face: number, screens: string[] }>()
const store = useWallStore()
const { plan } = useWallPlan()
const { isLit } = useSelection()
const boxes = computed(() =>
  (plan.value?.wiring.boxes ?? [])
    .filter(box => box.held && box.kind !== 'floor' && box.for.some(id => screens.includes(id)))
    .map((box) => {
      const model = store.catalogue.boxes?.find(({ id }) => id === box.model)
      const [inside, proud] = model?.surface ? [0, model.proud ?? model.depth] : [model?.depth ?? 0, model?.proud ?? 0]
      return { ...box, x: face - inside, width: inside + proud }
    }),
)
</script>

<template>
  <g data-part="boxes">
    <rect
      v-for="box in boxes"
      :key="box.id"
      :data-depth-of="box.id"
      :x="box.x"
      :y="box.cutout.y"
      :width="Math.max(box.width, 1)"
      :height="box.cutout.height"
      :fill="box.kind === 'pass-through' ? 'var(--color-signal)' : 'var(--color-pine)'"
      :stroke="isLit({ kind: 'box', id: box.id }) ? 'var(--color-flag)' : 'var(--color-on-case)'"
      :stroke-width="isLit({ kind: 'box', id: box.id }) ? 3 : 1"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
