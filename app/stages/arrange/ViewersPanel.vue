<script setup lang="ts">
import {
  angleUp, EYE, farthestViewer, nearestViewer, OFF_AXIS_LIMIT, offAxis, pictureOf, pixelsNotVisible, USUAL_VIEWER,
  WALKWAY,
} from '~~/core/arrange'
import { depthsOf } from '~~/core/mount'

/** Who looks at the picture, from where, and what stands in the way. */
const store = useWallStore()
const { show, system, withUnit } = useUnits()
const { array, display, mount, arrangement } = useArray()
const who = useScreenState<keyof typeof EYE | 'own'>('arrange-eye', () => 'standing')
const ownEye = useScreenState('arrange-own-eye', () => USUAL_VIEWER[store.siteUnits].eye)
const along = useScreenState<number | undefined>('arrange-along', () => undefined)
const distance = useScreenState('arrange-distance', () => USUAL_VIEWER[store.siteUnits].distance)
const eye = computed(() => who.value === 'own' ? ownEye.value : EYE[who.value])
const picture = computed(() => arrangement.value?.cells.length ? pictureOf(arrangement.value.cells) : undefined)
const top = computed(
  () =>
    picture.value
    && angleUp(picture.value.foot + picture.value.height, eye.value, distance.value, 'Upward angle, top edge'),
)
const centre = computed(
  () =>
    picture.value
    && angleUp(picture.value.foot + picture.value.height / 2, eye.value, distance.value, 'Upward angle, centre'),
)
const out = computed(() =>
  array.value && mount.value && display.value ? depthsOf(array.value, mount.value, display.value).face : undefined,
)
/** Where along the wall they stand: before the picture's middle until it is said. */
const stands = computed(() => along.value ?? (picture.value ? picture.value.left + picture.value.width / 2 : 0))
const aside = computed(() => picture.value && offAxis(picture.value, stands.value, distance.value))
/**
 * The plan: the wall above, the viewer below as far off as they stand; the cone in which a picture is not too
 * foreshortened.
 */
const above = computed(() => {
  const { left, width } = picture.value!
  const deep = Math.max(distance.value, nearestViewer(picture.value!, eye.value).value) + 600
  const wall = store.shown!.width
  const [from, to] = [Math.min(0, stands.value - 400), Math.max(wall, stands.value + 400)]
  return {
    box: `${from} -200 ${to - from} ${deep + 200}`,
    wall,
    deep,
    middle: left + width / 2,
    left,
    right: left + width,
  }
})
/**
 * The side view: the wall at the left, the viewer as far to the right as they stand, mm. What is farther off is left
 * out.
 */
const scene = computed(() => {
  const nearest = picture.value ? nearestViewer(picture.value, eye.value).value : 0
  const width = Math.max(distance.value, nearest) + 900
  return { width, height: Math.max(store.shown?.height ?? 0, 2400) }
})
/** Takes a length that is more than nothing. */
const above0 = (take: (mm: number) => void) => ({
  commit(mm: number) {
    if (mm <= 0) return [{ path: '$', message: 'must be more than 0' }]
    take(mm)
    return []
  },
})
/** From the viewer's eye to a height of the picture. */
const sightLine = (y: number) => `M${distance.value} ${-eye.value} L${out.value?.value ?? 0} ${-y} `
</script>

<template>
  <div v-if="picture && arrangement && top && centre" class="space-y-1.5">
    <div class="grid grid-cols-2 gap-x-2 gap-y-1">
      <ChoiceField
        label="Viewers"
        :value="who"
        :options="[{ value: 'standing', label: 'standing' }, { value: 'seated', label: 'seated' },
                   { value: 'both', label: 'both' }, { value: 'own', label: 'other eye height' }]"
        :commit="(value) => { who = value as 'standing'; return [] }"
      />
      <LengthField
        label="Viewing distance"
        :value="distance"
        :actions="above0(mm => { distance = mm })"
      />
      <LengthField
        v-if="who === 'own'"
        label="Eye height"
        :value="ownEye"
        :actions="above0(mm => { ownEye = mm })"
      />
      <LengthField label="Viewer from left" :value="stands" :actions="{ commit: (mm) => { along = mm; return [] } }" />
    </div>
    <div class="grid grid-cols-2 gap-2">
      <svg
        :viewBox="`-200 ${-scene.height - 100} ${scene.width + 300} ${scene.height + 300}`"
        class="max-h-20 w-full"
        role="img"
        aria-label="Side view of wall and viewer"
        data-testid="side-view"
      >
        <rect x="-200" :y="-scene.height" width="200" :height="scene.height" fill="url(#hatch-wood)" />
        <rect
          x="0"
          :y="-picture.foot - picture.height"
          :width="Math.max(out?.value ?? 80, 60)"
          :height="picture.height"
          fill="var(--color-case)"
        />
        <path
          :d="`M-200 0 H${scene.width + 100}`"
          stroke="var(--color-ink)"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
        <g class="text-chalk" fill="none" stroke="currentColor">
          <path
            :d="sightLine(picture.foot + picture.height) + sightLine(picture.foot + picture.height / 2)"
            stroke-width="1.5"
            stroke-dasharray="5 4"
            vector-effect="non-scaling-stroke"
          />
        </g>
        <g fill="var(--color-ink)">
          <circle :cx="distance + 60" :cy="-eye" r="110" />
          <rect :x="distance" :y="-eye + 130" width="150" :height="Math.max(eye - 130, 0)" rx="60" opacity="0.5" />
        </g>
        <text
          v-if="farthestViewer(picture).value > scene.width"
          :x="scene.width + 60"
          :y="scene.height * -0.9"
          :font-size="scene.width * 0.075"
          text-anchor="end"
          fill="var(--color-ink)"
          class="figures"
        >max {{ withUnit(farthestViewer(picture).value) }} →</text>
        <path
          :d="`M${nearestViewer(picture, eye).value} -60 v120 M${farthestViewer(picture).value} -60 v120`"
          stroke="var(--color-flag)"
          stroke-width="3"
          vector-effect="non-scaling-stroke"
        />
      </svg>
      <svg
        :viewBox="above.box"
        class="max-h-20 w-full"
        role="img"
        aria-label="Plan of wall and viewer"
        data-testid="plan-view"
      >
        <path
          :d="`M${above.middle} 0 L${above.middle - above.deep} ${above.deep} H${above.middle + above.deep} Z`"
          fill="var(--color-good-wash)"
        />
        <rect
          x="0"
          y="-120"
          :width="above.wall"
          height="120"
          fill="var(--color-rail)"
          stroke="var(--color-ink)"
          vector-effect="non-scaling-stroke"
        />
        <rect :x="above.left" y="0" :width="above.right - above.left" height="90" fill="var(--color-case)" />
        <path
          :d="`M${above.left} 90 L${stands} ${distance} L${above.right} 90`"
          fill="none"
          class="text-chalk"
          stroke="currentColor"
          stroke-width="1.5"
          stroke-dasharray="5 4"
          vector-effect="non-scaling-stroke"
        />
        <path
          :d="`M${above.left} ${nearestViewer(picture, eye).value} H${above.right}`"
          stroke="var(--color-flag)"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
        <circle :cx="stands" :cy="distance" r="140" fill="var(--color-ink)" />
      </svg>
    </div>
    <p class="text-xs text-ink-soft">
      Red mark: min distance. Eye height {{ withUnit(eye) }}.
    </p>
    <div class="border-t border-hair">
      <FigureLine label="Min viewing distance" :figure="nearestViewer(picture, eye)" />
      <FigureLine label="Max distance, 3 % text" :figure="farthestViewer(picture)" />
      <FigureLine label="Pixels visible up to" :figure="pixelsNotVisible(arrangement.display)" />
      <FigureLine label="Upward angle, top edge" :figure="top" />
      <FigureLine label="Upward angle, centre" :figure="centre" />
      <FigureLine v-if="aside" label="Off-axis angle" :figure="aside" />
      <FigureLine v-if="out" label="Screen face from wall" :figure="out" />
    </div>
    <p v-if="top.value > 30 || centre.value > 15" class="text-sm font-semibold text-caution">
      Upward viewing angle too steep: over {{ top.value > 30 ? '30° to the top edge' : '15° to the centre' }}.
    </p>
    <p v-if="aside && aside.value > OFF_AXIS_LIMIT" class="text-sm font-semibold text-caution">
      Viewing position too far off axis: over {{ OFF_AXIS_LIMIT }}°.
    </p>
    <label class="flex min-h-[var(--target)] items-center gap-2 text-sm">
      <input
        type="checkbox"
        class="size-5"
        :checked="store.wall?.walkway === true"
        @change="store.edit('Walkway', (wall) => { if (wall.walkway) delete wall.walkway; else wall.walkway = true })"
      > Walkway along this wall
    </label>
    <p class="text-xs text-ink-soft">
      Max {{ withUnit(WALKWAY[system].out) }} from the wall, {{ show(WALKWAY[system].from) }} to
      {{ withUnit(WALKWAY[system].to) }} above floor (ADA 307.2). Check local rules.
    </p>
  </div>
</template>
