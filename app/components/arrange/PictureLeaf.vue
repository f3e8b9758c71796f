<script setup lang="ts">
import { Download } from 'lucide-vue-next'
import { fitSource, hiddenPixels, lostToSeams, massOf, pixelMap, powerOf, seamTolerance, testPicture } from '~~/core/arrange'

/** The picture that drives the array: its canvas, what seams hide of it, and how sources lie on it. */
const store = useWallStore()
const { array, display, arrangement } = useArray()
const map = computed(() => arrangement.value?.cells.length ? pixelMap(arrangement.value.cells, arrangement.value.imageGap) : undefined)
const SOURCES = [
  { id: '16:9', width: 1920, height: 1080 }, { id: '21:9', width: 2560, height: 1080 }, { id: '32:9', width: 3840, height: 1080 }, { id: '9:16', width: 1080, height: 1920 }, { id: '4:3', width: 1440, height: 1080 },
]
const source = useState('arrange-source', () => '16:9')
const how = useState<'fit' | 'fill'>('arrange-fit', () => 'fit')
const laid = computed(() => {
  const shape = SOURCES.find(({ id }) => id === source.value)!
  return map.value && fitSource(shape, map.value.canvas, how.value)
})
const told = computed(() => {
  if (!laid.value || !map.value) return ''
  const { width, height, cut } = laid.value
  const cuts = [cut.across > 1e-9 ? `${(100 * cut.across).toFixed(1)} % of its width` : '', cut.up > 1e-9 ? `${(100 * cut.up).toFixed(1)} % of its height` : ''].filter(Boolean)
  if (how.value === 'fill') return cuts.length > 0 ? `Covers the canvas; ${cuts.join(' and ')} is cut off.` : 'Covers the canvas exactly.'
  const bars = [Math.round(map.value.canvas.width - width), Math.round(map.value.canvas.height - height)]
  return bars.every(bar => bar === 0) ? 'Covers the canvas exactly.' : `Lies at ${Math.round(width)} × ${Math.round(height)}; bars of ${Math.max(...bars)} px in all.`
})
const ratio = computed(() => map.value ? (map.value.canvas.width / map.value.canvas.height).toFixed(3) : '')
const tolerance = computed(() => display.value && seamTolerance(display.value))
const address = (format: string) => `/api/sites/${store.site}/walls/${store.id}/pixels?format=${format}&array=${encodeURIComponent(array.value!.id)}`
const fault = ref('')
async function savePng() {
  fault.value = ''
  try {
    const { width, height } = map.value!.canvas
    const blob = await rasterise(testPicture(map.value!, array.value!.name), width, height)
    const link = Object.assign(document.createElement('a'), { href: URL.createObjectURL(blob), download: `${store.site}-${store.id}-${array.value!.id}-pixels.png` })
    link.click()
    URL.revokeObjectURL(link.href)
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}
</script>

<template>
  <div v-if="array && display && arrangement && map" class="space-y-2.5">
    <img :src="`data:image/svg+xml;charset=utf-8,${encodeURIComponent(testPicture(map, array.name))}`" :alt="`Test picture of ${array.name}`" class="max-h-40 w-full border border-hair bg-black object-contain">
    <p class="text-sm" data-testid="canvas">
      Canvas <b class="figures text-base">{{ map.canvas.width }} × {{ map.canvas.height }}</b> px, {{ ratio }} : 1
    </p>
    <div class="grid grid-cols-2 gap-2">
      <ChoiceField label="A source of" :value="source" :options="SOURCES.map(({ id }) => ({ value: id, label: id }))" :commit="(value) => { source = value; return [] }" />
      <ChoiceField label="Laid so as to" :value="how" :options="[{ value: 'fit', label: 'show all of it' }, { value: 'fill', label: 'cover the canvas' }]" :commit="(value) => { how = value as 'fit'; return [] }" />
    </div>
    <p class="text-xs text-ink-soft" data-testid="source-fit">
      {{ told }}
    </p>
    <div class="border-t border-hair">
      <FigureLine v-if="array.columns > 1" label="Hidden by an upright seam" :figure="hiddenPixels(arrangement.imageGap.x, map.pitch.x)" />
      <FigureLine v-if="array.rows > 1" label="Hidden by a level seam" :figure="hiddenPixels(arrangement.imageGap.y, map.pitch.y)" />
      <FigureLine label="Lost to seams" :figure="lostToSeams(arrangement.cells)" />
      <template v-if="tolerance">
        <FigureLine label="Seam off its gap, at worst ±" :figure="tolerance.worst" />
        <FigureLine label="Seam off its gap, usual ±" :figure="tolerance.usual" />
      </template>
      <FigureLine label="Mass on the wall" :figure="massOf(arrangement.cells, array, store.catalogue)" />
      <FigureLine v-if="powerOf(arrangement.cells, store.catalogue, 'max')" label="Power, most" :figure="powerOf(arrangement.cells, store.catalogue, 'max')!" />
      <p v-else class="py-2 text-sm">
        Power: not known, the display’s sheet gives none.
      </p>
    </div>
    <div class="grid grid-cols-4 gap-1">
      <a v-for="format in ['json', 'csv', 'svg']" :key="format" class="press !px-1" :href="address(format)" download>
        <Download class="size-3.5" aria-hidden="true" /> {{ format.toUpperCase() }}
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
