<script setup lang="ts">
import SignaturePad from 'signature_pad'

/**
 * A field to sign in with a finger, a pen or a mouse; what is signed is strokes in 1000 by 400, the same on every
 * screen.
 */
const ink = defineModel<number[][]>({ required: true })
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const [WIDE, HIGH] = [1000, 400]
/** A stroke has so many points at most: more add nothing that is seen. */
const MOST = 400
let pad: SignaturePad | undefined

function read() {
  const width = canvas.value!.getBoundingClientRect().width
  ink.value = pad!.toData().map(({ points }) => {
    const each = Math.max(1, Math.ceil(points.length / MOST))
    return points
      .filter((_, n) => n % each === 0 || n === points.length - 1)
      .flatMap(({ x, y }) => [Math.round((x * WIDE) / width), Math.round((y * WIDE) / width)])
  }).filter(stroke => stroke.length >= 4)
}
function clear() {
  pad?.clear()
  ink.value = []
}
onMounted(() => {
  const { width } = canvas.value!.getBoundingClientRect()
  const ratio = window.devicePixelRatio || 1
  Object.assign(canvas.value!, { width: width * ratio, height: width * HIGH / WIDE * ratio })
  canvas.value!.getContext('2d')!.scale(ratio, ratio)
  pad = new SignaturePad(canvas.value!, { minWidth: 1, maxWidth: 2.2, penColor: '#16211f' })
  pad.addEventListener('endStroke', read)
})
onScopeDispose(() => pad?.off())
</script>

<template>
  <div>
    <canvas
      ref="canvas"
      class="aspect-[5/2] w-full touch-none rounded border border-edge bg-white"
      data-testid="signature-field"
      role="img"
      aria-label="Signature box: sign by finger, pen or mouse"
    />
    <div class="flex items-center justify-between text-xs text-ink-soft">
      <span>{{ ink.length ? 'Signed.' : 'Sign above, by finger, pen or mouse.' }}</span>
      <button type="button" class="press !min-h-8 !px-2" :disabled="ink.length === 0" @click="clear">
        Clear signature
      </button>
    </div>
  </div>
</template>
