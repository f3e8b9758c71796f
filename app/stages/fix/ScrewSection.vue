<script setup lang="ts">
import type { ScrewChoice } from '~~/core/fix'

/**
 * The screw into the display cut through, to scale: bracket and washers, what is between, the insert, and where the
 * screw must end.
 */
const { choice, chosen } = defineProps<{ choice: ScrewChoice, chosen?: number }>()
const range = computed(() => choice.range!)
/** From under the head to where thread and free depth begin and end, mm. */
const shortest = computed(() => range.value.shortest.value)
const longest = computed(() => range.value.longest.value)
const length = computed(() => chosen ?? (choice.fits ? choice.length : undefined))
const stack = computed(() => choice.fits ? choice.stack : undefined)
const over = computed(() =>
  stack.value
    ? stack.value.bracket + stack.value.washers + stack.value.spacer + stack.value.recess
    : shortest.value - 6,
)
const wide = computed(() => Math.max(longest.value, length.value ?? 0) + 12)
const bad = computed(
  () => length.value !== undefined && (length.value > longest.value + 1e-9 || length.value < shortest.value - 1e-9),
)
</script>

<template>
  <svg
    :viewBox="`-6 -12 ${wide} 26`"
    class="max-h-28 w-full"
    role="img"
    aria-label="Section through the screw in the display"
    data-testid="screw-section"
  >
    <rect
      x="0"
      y="-11"
      :width="Math.max(over, 0)"
      height="22"
      fill="var(--color-rail)"
      stroke="var(--color-ink)"
      stroke-width="1"
      vector-effect="non-scaling-stroke"
    />
    <rect
      :x="over"
      y="-7"
      :width="longest + 1 - over"
      height="14"
      fill="var(--color-wood)"
      stroke="var(--color-wood-edge)"
      stroke-width="1"
      vector-effect="non-scaling-stroke"
    />
    <rect
      :x="shortest"
      y="-11"
      :width="Math.max(longest - shortest, 0)"
      height="22"
      fill="var(--color-good)"
      opacity="0.22"
    />
    <template v-if="length !== undefined">
      <rect x="-4" y="-5" width="4" height="10" fill="var(--color-case)" />
      <rect
        x="0"
        y="-3"
        :width="length"
        height="6"
        :fill="bad ? 'var(--color-stop)' : 'var(--color-glass)'"
        :stroke-dasharray="bad ? '2 2' : undefined"
        stroke="var(--color-ink)"
        stroke-width="1"
        vector-effect="non-scaling-stroke"
      />
    </template>
  </svg>
</template>
