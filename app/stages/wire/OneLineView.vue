<script setup lang="ts">
import { drawOneLine } from '~~/core/wire'
import { group, type Shape } from '~~/core/svg'
import { ShapeView } from '~/drawing/ShapeView'

/** The one-line diagram of each circuit that feeds screens, in place of the wall. */
const { plan } = useWallPlan()
const { withUnit } = useUnits()
const [WIDTH, EDGE, APART] = [190, 6, 10]
const drawing = computed(() => {
  const wiring = plan.value?.wiring
  const shapes: Shape[] = []
  let y = EDGE
  for (const circuit of wiring?.circuits ?? []) {
    const at = { x: EDGE, y, width: WIDTH - 2 * EDGE }
    const { shape, height } = drawOneLine(circuit, wiring!, at, withUnit)
    if (height === 0) continue
    shapes.push(shape)
    y += height + APART
  }
  return shapes.length > 0 ? { shape: group({}, ...shapes), height: y } : undefined
})
const said = computed(() => (plan.value?.wiring.circuits ?? [])
  .map(({ name, chain }) => `${name}: ${chain.length} boxes`).join('; '))
</script>

<template>
  <div class="h-full overflow-auto bg-rail p-4" tabindex="0" role="group" aria-label="One-line diagrams">
    <svg
      v-if="drawing"
      class="w-full min-w-160 bg-white shadow"
      :viewBox="`0 0 ${WIDTH} ${drawing.height}`"
      role="img"
      :aria-label="`One-line diagram. ${said}`"
    >
      <ShapeView :shape="drawing.shape" />
    </svg>
    <p v-else class="text-sm">
      No circuit feeds a box yet. Add boxes under Boxes.
    </p>
  </div>
</template>
