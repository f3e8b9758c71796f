<script setup lang="ts">
/** What all routes together have opened, bored and closed, each thing once, with what is wanted for it. */
const { plan } = useWallPlan()
const { show, bit, withUnit } = useUnits()
const works = computed(() => plan.value?.wiring.works)
const bits = computed(() => {
  const sizes = new Map<number, number>()
  for (const { diameter } of works.value?.bores ?? [])
    if (Number.isFinite(diameter)) sizes.set(diameter, (sizes.get(diameter) ?? 0) + 1)
  return [...sizes].sort(([a], [b]) => a - b).map(([size, count]) => `${count} × ${bit(size)}`).join(', ')
})
</script>

<template>
  <section
    v-if="works"
    class="max-h-72 space-y-1 overflow-y-auto text-sm"
    tabindex="0"
    aria-label="Openings and making good"
    data-testid="works"
  >
    <p>
      <b>All routes: {{ Math.round(works.minutes) }} min</b>, shared work counted once.
    </p>
    <ul class="list-disc pl-5">
      <li v-if="works.openings.length">
        {{ works.openings.length }} {{ works.openings.length === 1 ? 'opening' : 'openings' }},
        {{ show(works.openings[0]!.rect.width) }} × {{ withUnit(works.openings[0]!.rect.height) }} or larger: cut with
        bevelled edges and keep the piece. Screw it back to battens, tape, apply two coats of filler, let each dry to
        the maker’s instructions, then sand
      </li>
      <li v-if="bits">
        bored holes: {{ bits }}; seal each one
      </li>
      <li v-if="works.guards">
        {{ works.guards }} nail plates where a hole is close to a wall face
      </li>
      <li v-if="works.grommets">
        {{ works.grommets }} grommets where a cable passes sheet steel
      </li>
      <li v-if="works.connectors">
        {{ works.connectors }} connectors for metal-clad cable or conduit{{ works.pullBoxes
          ? `, ${works.pullBoxes} pull boxes that stay accessible` : '' }}
      </li>
      <li v-for="raceway in works.raceways" :key="raceway.kind">
        raceway for {{ raceway.kind }} {{ withUnit(raceway.length) }}, inside width at least
        {{ withUnit(raceway.inside) }}, {{ raceway.corners }} {{ raceway.corners === 1 ? 'corner' : 'corners' }};
        {{ withUnit(raceway.seen) }} of it visible
      </li>
      <li v-for="reel in works.reels" :key="reel.model.id">
        {{ reel.model.name ?? reel.model.id }}: {{ reel.lengths.map(length => withUnit(length)).join(' + ') }} off
        reels, offcut {{ withUnit(reel.left) }}
      </li>
    </ul>
    <p class="text-xs text-ink-soft">
      On the drawing: yellow lines are power, blue lines signal; solid lines drop freely. Stud bays are green where a
      line runs freely, yellow past insulation, red where the covering is opened.
    </p>
  </section>
</template>
