<script setup lang="ts">
import { angleUp, EYE, farthestViewer, nearestViewer, pictureOf, pixelsMelt, WALKWAY } from '~~/core/arrange'
import { figure, words } from '~~/core/units'

/** Who looks at the picture, from where, and what stands in the way. */
const store = useWallStore()
const { show } = useUnits()
const { display, mount, arrangement } = useArray()
const who = useState<keyof typeof EYE>('arrange-eye', () => 'standing')
const distance = useState('arrange-distance', () => 4000)
const eye = computed(() => EYE[who.value])
const picture = computed(() => arrangement.value?.cells.length ? pictureOf(arrangement.value.cells) : undefined)
const top = computed(() => picture.value && angleUp(picture.value.foot + picture.value.height, eye.value, distance.value, 'Up to the top edge'))
const centre = computed(() => picture.value && angleUp(picture.value.foot + picture.value.height / 2, eye.value, distance.value, 'Up to the centre'))
const out = computed(() => mount.value && display.value
  ? figure([{ label: 'Face out of the wall', expression: words`mount ${mount.value.depth.stowed} + display ${display.value.depth}`, value: mount.value.depth.stowed + display.value.depth, unit: 'mm', source: 'makers’ sheets' }])
  : undefined)
/** The side view: the wall at the left, the viewer as far to the right as they stand, mm. What is farther off is left out. */
const scene = computed(() => {
  const nearest = picture.value ? nearestViewer(picture.value, eye.value).value : 0
  const width = Math.max(distance.value, nearest) + 900
  return { width, height: Math.max(store.shown?.height ?? 0, 2400) }
})
</script>

<template>
  <div v-if="picture && arrangement && top && centre" class="space-y-2.5">
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField label="Viewers" :value="who" :options="[{ value: 'standing', label: 'standing' }, { value: 'seated', label: 'seated' }]" :commit="(value) => { who = value as 'standing'; return [] }" />
      <LengthField label="At a distance of" :value="distance" :actions="{ commit: (mm) => { if (mm <= 0) return [{ path: '$', message: 'must be more than 0' }]; distance = mm; return [] } }" />
    </div>
    <svg :viewBox="`-200 ${-scene.height - 100} ${scene.width + 300} ${scene.height + 300}`" class="max-h-44 w-full" role="img" aria-label="Side view of wall and viewer" data-testid="side-view">
      <rect x="-200" :y="-scene.height" width="200" :height="scene.height" fill="url(#hatch-wood)" />
      <rect x="0" :y="-picture.foot - picture.height" :width="Math.max(out?.value ?? 80, 60)" :height="picture.height" fill="var(--color-case)" />
      <path :d="`M-200 0 H${scene.width + 100}`" stroke="var(--color-ink)" stroke-width="2" vector-effect="non-scaling-stroke" />
      <g class="text-chalk" fill="none" stroke="currentColor">
        <path :d="`M${distance} ${-eye} L${out?.value ?? 0} ${-picture.foot - picture.height} M${distance} ${-eye} L${out?.value ?? 0} ${-picture.foot - picture.height / 2}`" stroke-width="1.5" stroke-dasharray="5 4" vector-effect="non-scaling-stroke" />
      </g>
      <g fill="var(--color-ink)">
        <circle :cx="distance + 60" :cy="-eye" r="110" />
        <rect :x="distance" :y="-eye + 130" width="150" :height="Math.max(eye - 130, 0)" rx="60" opacity="0.5" />
      </g>
      <path :d="`M${nearestViewer(picture, eye).value} -60 v120 M${farthestViewer(picture).value} -60 v120`" stroke="var(--color-flag)" stroke-width="3" vector-effect="non-scaling-stroke" />
    </svg>
    <p class="text-xs text-ink-soft">
      Marks on the floor: nearest useful viewer, and the farthest if drawn. Eye {{ show(eye) }} above the floor.
    </p>
    <div class="border-t border-hair">
      <FigureLine label="Nearest in comfort" :figure="nearestViewer(picture, eye)" />
      <FigureLine label="Farthest who can read 3 %" :figure="farthestViewer(picture)" />
      <FigureLine label="Pixels melt from" :figure="pixelsMelt(arrangement.display)" />
      <FigureLine label="Up to the top edge" :figure="top" />
      <FigureLine label="Up to the centre" :figure="centre" />
      <FigureLine v-if="out" label="Face out of the wall" :figure="out" />
    </div>
    <p v-if="top.value > 30 || centre.value > 15" class="text-sm font-semibold text-caution">
      From there the neck is bent too far: over {{ top.value > 30 ? '30° to the top edge' : '15° to the centre' }}.
    </p>
    <label class="flex min-h-[var(--target)] items-center gap-2 text-sm">
      <input type="checkbox" class="size-5" :checked="store.wall?.walkway === true" @change="store.edit('Walkway', (wall) => { if (wall.walkway) delete wall.walkway; else wall.walkway = true })"> people walk along this wall
    </label>
    <p class="text-xs text-ink-soft">
      Between {{ show(WALKWAY.from) }} and {{ show(WALKWAY.to) }} a thing may stand {{ show(WALKWAY.out) }} into a walkway (ADA 307.2). Check local accessibility rules.
    </p>
  </div>
</template>
