<script setup lang="ts">
import { Download, ImageUp } from 'lucide-vue-next'
import { EXPORTS, FORMATS } from '~~/core/formats'
import {
  fitSource, hiddenPixels, lostToSeams, massOf, pixelMap, powerOf, seamTolerance, testPicture,
} from '~~/core/arrange'

/** The picture that drives the array: its canvas, what seams hide of it, and how sources lie on it. */
const store = useWallStore()
const { array, display, arrangement } = useArray()
const map = computed(() =>
  arrangement.value?.cells.length ? pixelMap(arrangement.value.cells, arrangement.value.imageGap) : undefined,
)
const SOURCES = [
  { id: '16:9', width: 1920, height: 1080 },
  { id: '21:9', width: 2560, height: 1080 },
  { id: '32:9', width: 3840, height: 1080 },
  { id: '9:16', width: 1080, height: 1920 },
  { id: '4:3', width: 1440, height: 1080 },
]
const source = useScreenState('arrange-source', () => '16:9')
const own = useScreenState('arrange-own-source', () => ({ width: 1920, height: 1080, href: '', name: '' }))
const how = useScreenState<'fit' | 'fill'>('arrange-fit', () => 'fit')
const shape = computed(() => SOURCES.find(({ id }) => id === source.value) ?? own.value)
const laid = computed(() => map.value && fitSource(shape.value, map.value.canvas, how.value))
const told = computed(() => {
  if (!laid.value || !map.value) return ''
  const { width, height, cut } = laid.value
  const cuts = [
    cut.across > 1e-9 ? `${(50 * cut.across).toFixed(1)} % each at left and right` : '',
    cut.up > 1e-9 ? `${(50 * cut.up).toFixed(1)} % each at top and bottom` : '',
  ].filter(Boolean)
  if (how.value === 'fill')
    return cuts.length > 0 ? `Fills the canvas; cropped: ${cuts.join(', ')}.` : 'Fills the canvas exactly.'
  const bars = [Math.round(map.value.canvas.width - width), Math.round(map.value.canvas.height - height)]
  return bars.every(bar => bar === 0)
    ? 'Fills the canvas exactly.'
    : `Scaled to ${Math.round(width)} × ${Math.round(height)} px; black bars ${Math.max(...bars)} px in total.`
})
const ownSize = (side: 'width' | 'height'): FieldActions<number> => ({ commit: (n) => {
  if (n < 1) return [{ path: '$', message: 'must be at least 1' }]
  own.value = { ...own.value, [side]: n, href: '', name: '' }
  return []
} })

const preview = usePicturePreview()
const across = ref<'off' | 'test' | 'own'>('off')
const compensated = ref(true)
/** Lays the picture on the drawing anew whenever the canvas, the picture or the way it is laid changes. */
watch([across, compensated, map, laid, own], () => {
  if (across.value === 'off' || !map.value || !laid.value) return void (preview.value = undefined)
  const { canvas } = map.value
  const { width, height } = laid.value
  const isOwn = across.value === 'own' && own.value.href
  preview.value = {
    array: array.value!.id,
    compensated: compensated.value,
    href: isOwn
      ? own.value.href
      : `data:image/svg+xml;charset=utf-8,${encodeURIComponent(testPicture(map.value, array.value!.name))}`,
    at: isOwn
      ? { x: (canvas.width - width) / 2, y: (canvas.height - height) / 2, width, height }
      : { x: 0, y: 0, ...canvas },
  }
})
onScopeDispose(() => { preview.value = undefined })
const pictureFault = ref('')
async function takePicture(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  pictureFault.value = ''
  try {
    own.value = { ...await readPicture(file), name: file.name }
    source.value = 'own'
    across.value = 'own'
  }
  catch (error) {
    pictureFault.value = (error as Error).message
  }
}
const ratio = computed(() => map.value ? (map.value.canvas.width / map.value.canvas.height).toFixed(3) : '')
const tolerance = computed(() => display.value && seamTolerance(display.value))
const address = (format: string) =>
  `/api/sites/${store.site}/walls/${store.id}/pixels?format=${format}&array=${encodeURIComponent(array.value!.id)}`
const fault = ref('')
async function savePng() {
  fault.value = ''
  try {
    const { width, height } = map.value!.canvas
    const blob = await rasterise(testPicture(map.value!, array.value!.name), width, height)
    saveFile(`${store.site}-${store.id}-${array.value!.id}-pixels.png`, blob)
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}
</script>

<template>
  <div v-if="array && display && arrangement && map" class="space-y-2.5">
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField
        label="Show on drawing"
        :value="across"
        :options="[{ value: 'off', label: 'no picture' }, { value: 'test', label: 'test pattern' }, ...own.href
          ? [{ value: 'own', label: 'your picture' }] : []]"
        :commit="(value) => { across = value as 'test'; return [] }"
      />
      <label class="press cursor-pointer self-end focus-within:outline-3 focus-within:outline-focus">
        <ImageUp class="size-4" aria-hidden="true" /> Load picture
        <input type="file" class="sr-only" accept="image/*" data-testid="own-picture" @change="takePicture">
      </label>
    </div>
    <label
      v-if="across !== 'off'"
      class="flex min-h-8 items-center gap-2 text-sm"
    ><input v-model="compensated" type="checkbox" class="size-5"> Bezel compensation</label>
    <p v-if="pictureFault" class="field-fault" role="alert">
      {{ pictureFault }}
    </p>
    <img
      v-if="across === 'off'"
      :src="`data:image/svg+xml;charset=utf-8,${encodeURIComponent(testPicture(map, array.name))}`"
      :alt="`Test pattern of ${array.name}`"
      class="max-h-18 w-full border border-hair bg-black object-contain"
    >
    <p class="text-sm" data-testid="canvas">
      Canvas <b class="figures text-base">{{ map.canvas.width }} × {{ map.canvas.height }}</b> px, {{ ratio }} : 1
    </p>
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField
        label="Source format"
        :value="source"
        :options="[...SOURCES.map(({ id }) => ({ value: id, label: id })), { value: 'own',
                                                                             label: own.name
                                                                               || 'other size' }]"
        :commit="(value) => { source = value; return [] }"
      />
      <ChoiceField
        label="Scaling"
        :value="how"
        :options="[{ value: 'fit', label: 'fit, show all' }, { value: 'fill', label: 'fill, crop' }]"
        :commit="(value) => { how = value as 'fit'; return [] }"
      />
    </div>
    <div v-if="source === 'own'" class="grid grid-cols-2 gap-2">
      <CountField label="Width (px)" :value="own.width" :actions="ownSize('width')" />
      <CountField label="Height (px)" :value="own.height" :actions="ownSize('height')" />
    </div>
    <p class="text-xs text-ink-soft" data-testid="source-fit">
      {{ told }}
    </p>
    <div class="border-t border-hair">
      <FigureLine
        v-if="array.columns > 1"
        label="Hidden per vertical seam"
        :figure="hiddenPixels(arrangement.imageGap.x, map.pitch.x)"
      />
      <FigureLine
        v-if="array.rows > 1"
        label="Hidden per horizontal seam"
        :figure="hiddenPixels(arrangement.imageGap.y, map.pitch.y)"
      />
      <FigureLine label="Picture lost to seams" :figure="lostToSeams(arrangement.cells)" />
      <template v-if="tolerance">
        <FigureLine label="Gap deviation, worst ±" :figure="tolerance.worst" />
        <FigureLine label="Gap deviation, typical ±" :figure="tolerance.usual" />
      </template>
      <FigureLine label="Total mass" :figure="massOf(arrangement.cells, array, store.catalogue)" />
      <FigureLine
        v-if="powerOf(arrangement.cells, store.catalogue, 'max')"
        label="Max power"
        :figure="powerOf(arrangement.cells, store.catalogue, 'max')!"
      />
      <p v-else class="py-2 text-sm">
        Max power: not known. Enter it for the display in the catalogue.
      </p>
    </div>
    <div class="grid grid-cols-4 gap-1">
      <a v-for="format in EXPORTS.pixels" :key="format" class="press !px-1" :href="address(format)" download>
        <Download class="size-3.5" aria-hidden="true" /> {{ FORMATS[format].name }}
      </a>
      <button type="button" class="press !px-1" @click="savePng">
        <Download class="size-3.5" aria-hidden="true" /> PNG
      </button>
    </div>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
