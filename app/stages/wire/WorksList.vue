<script setup lang="ts">
/** What all routes together have opened, bored and closed, each thing once, with what is wanted for it. */
const { plan } = useWallPlan()
const { show, bit } = useUnits()
const works = computed(() => plan.value?.wiring.works)
const bits = computed(() => {
  const sizes = new Map<number, number>()
  for (const { diameter } of works.value?.bores ?? []) if (Number.isFinite(diameter)) sizes.set(diameter, (sizes.get(diameter) ?? 0) + 1)
  return [...sizes].sort(([a], [b]) => a - b).map(([size, count]) => `${count} × ${bit(size)}`).join(', ')
})
</script>

<template>
  <section v-if="works" class="max-h-72 space-y-1 overflow-y-auto text-sm" tabindex="0" aria-label="What is opened and closed" data-testid="works">
    <p>
      <b>All routes: {{ Math.round(works.minutes) }} min</b>, what several share counted once.
    </p>
    <ul class="list-disc pl-5">
      <li v-if="works.openings.length">
        {{ works.openings.length }} {{ works.openings.length === 1 ? 'opening' : 'openings' }}, {{ show(works.openings[0]!.rect.width) }} × {{ show(works.openings[0]!.rect.height) }} or more: cut sloping so that the piece goes back, keep it, screw it to battens, tape and two coats of filler, each dry by its maker’s sheet before sanding
      </li>
      <li v-if="bits">
        bored holes: {{ bits }}, each sealed
      </li>
      <li v-if="works.guards">
        {{ works.guards }} steel plates where a hole comes near a face
      </li>
      <li v-if="works.raceway">
        raceway {{ show(works.raceway.length) }}, at least {{ show(works.raceway.inside) }} wide inside; {{ show(works.raceway.seen) }} of it in sight
      </li>
      <li v-for="reel in works.reels" :key="reel.model.id">
        {{ reel.model.name ?? reel.model.id }}: {{ reel.lengths.map(length => show(length)).join(' + ') }} on reels, {{ show(reel.left) }} left over
      </li>
    </ul>
    <p class="text-xs text-ink-soft">
      On the drawing: yellow lines are power, blue ones signal; what drops by itself is a plain line. Bays are green where a line runs freely, yellow past insulation, red where the covering is opened.
    </p>
  </section>
</template>
