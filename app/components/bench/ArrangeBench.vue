<script setup lang="ts">
import { Plus } from 'lucide-vue-next'
import { orientDisplay, outlineOf, retellPlacing, runFigure } from '~~/core/arrange'
import { ORIENTATIONS, type HorizontalEdge, type Orientation, type ScreenArray, type VerticalEdge } from '~~/core/job'
import { words, figure } from '~~/core/units'

/** Arrange: which display, how many, which way up, how far apart, and where. */
const store = useWallStore()
const { plan } = useWallPlan()
const array = computed(() => store.array)
const display = computed(() => store.catalogue.displays.find(({ id }) => id === array.value?.display))
const oriented = computed(() => array.value && display.value ? orientDisplay(display.value, array.value.orientation) : undefined)
const outline = computed(() => array.value && oriented.value ? outlineOf(array.value, oriented.value) : undefined)
const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))

const edit = (label: string, recipe: (array: ScreenArray) => void) => store.edit(label, wall => recipe(arrayOf(wall, array.value!.id)))
const actions = (label: string, set: (array: ScreenArray, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(arrayOf(wall, array.value!.id), value)),
  commit: value => edit(label, array => set(array, value)),
})
const TURNS: Record<Orientation, string> = {
  'landscape': 'Landscape', 'portrait-cw': 'Portrait, top to the right', 'portrait-ccw': 'Portrait, top to the left', 'inverted': 'Upside down',
}
const turn = (orientation: string) => edit('Orientation', (array) => { array.orientation = orientation as Orientation })
const ACROSS: { value: HorizontalEdge, label: string }[] = [{ value: 'left', label: 'left edge' }, { value: 'centre', label: 'centre' }, { value: 'right', label: 'right edge' }]
const UP: { value: VerticalEdge, label: string }[] = [{ value: 'bottom', label: 'bottom edge' }, { value: 'centre', label: 'centre' }, { value: 'top', label: 'top edge' }]
const holdAcross = (edge: string) => edit('Edge that is held', (array) => { array.at.x = retellPlacing(array.at.x, outline.value!.width, edge as HorizontalEdge) })
const holdUp = (edge: string) => edit('Edge that is held', (array) => { array.at.y = retellPlacing(array.at.y, outline.value!.height, edge as VerticalEdge) })

function nudge(dx: number, dy: number) {
  if (!array.value) return
  edit(`Nudge ${array.value.name}`, (array) => {
    array.at.x.value += dx
    array.at.y.value += dy
  })
}
function turnOn(by: number) {
  if (!array.value) return
  turn(ORIENTATIONS[(ORIENTATIONS.indexOf(array.value.orientation) + by + 4) % 4]!)
}
function centre() {
  edit('Centre on the wall', (array) => { array.at.x = { edge: 'centre', value: store.wall!.width / 2 } })
}
const has = () => array.value !== undefined
const STEPS = [['', 1], ['shift+', 10], ['alt+', 0.1]] as const
const WAYS = [['left', -1, 0], ['right', 1, 0], ['up', 0, 1], ['down', 0, -1]] as const
useCommands([
  ...STEPS.flatMap(([modifier, step]) => WAYS.map(([way, x, y]) => ({
    id: `nudge-${modifier}${way}`, title: `Nudge the grid ${way} by ${step} mm`, group: 'Arrange' as const, keys: [`${modifier}arrow${way}`], when: has, run: () => nudge(x * step, y * step),
  }))),
  { id: 'turn', title: 'Turn the displays a quarter', group: 'Arrange', keys: ['r'], when: has, run: () => turnOn(1) },
  { id: 'centre', title: 'Centre the grid on the wall', group: 'Arrange', keys: ['c'], when: has, run: centre },
])

function addGrid() {
  const { displays, mounts, fasteners } = store.catalogue
  const [first] = displays
  if (!first) return
  store.edit('Add a grid', (wall) => {
    const mount = mounts.find(({ capacity }) => capacity >= first.mass)
    wall.arrays.push({
      id: 'grid', name: 'Grid', display: first.id,
      ...mount && { mount: mount.id },
      ...fasteners.find(({ base }) => base === wall.structure.kind) && { fastener: fasteners.find(({ base }) => base === wall.structure.kind)!.id },
      rows: 1, columns: 1, orientation: 'landscape', gap: { x: 0, y: 0 },
      at: { x: { edge: 'centre', value: wall.width / 2 }, y: { edge: 'centre', value: wall.height / 2 } },
    })
  })
}

const LEAVES = [{ id: 'grid', title: 'Grid' }, { id: 'picture', title: 'Picture' }, { id: 'viewers', title: 'Viewers' }] as const
const leaf = useState<typeof LEAVES[number]['id']>('arrange-leaf', () => 'grid')
useCommands(LEAVES.map(({ id, title }) => ({ id: `arrange-${id}`, title: `Arrange: ${title}`, group: 'Arrange' as const, when: has, run: () => { leaf.value = id } })))
const seam = (axis: 'x' | 'y') => {
  const { bezel } = oriented.value!
  const gap = array.value!.gap[axis]
  const [a, b] = axis === 'x' ? [bezel.right, bezel.left] : [bezel.bottom, bezel.top]
  return figure([{ label: 'Seam in the picture', expression: words`bezel ${a} + gap ${gap} + bezel ${b}`, value: a + gap + b, unit: 'mm' }])
}
</script>

<template>
  <BenchFrame stage="arrange" title="Arrange" :summary="array ? undefined : 'No displays yet'">
    <button v-if="!array" type="button" class="press press-first w-full" @click="addGrid">
      <Plus class="size-4" aria-hidden="true" /> Add a grid of displays
    </button>
    <BenchLeaves v-else v-model="leaf" :leaves="LEAVES" label="Parts of the arrangement" />
    <LazyPictureLeaf v-if="array && leaf === 'picture'" />
    <LazyViewersLeaf v-else-if="array && leaf === 'viewers'" />
    <template v-else-if="array">
      <ChoiceField label="Display" :value="array.display" :options="store.catalogue.displays.map(({ id, name }) => ({ value: id, label: name }))" :commit="id => edit('Display', (array) => { array.display = id })" />
      <ChoiceField label="Mount" :value="array.mount ?? ''" :options="store.catalogue.mounts.map(({ id, name }) => ({ value: id, label: name }))" :commit="id => edit('Mount', (array) => { array.mount = id })" />
      <div class="grid grid-cols-2 gap-3">
        <CountField label="Rows" :value="array.rows" :actions="actions('Rows', (array, n) => setGrid(array, n, array.columns))" />
        <CountField label="Columns" :value="array.columns" :actions="actions('Columns', (array, n) => setGrid(array, array.rows, n))" />
      </div>
      <ChoiceField inline label="Orientation" :value="array.orientation" :options="ORIENTATIONS.map(value => ({ value, label: TURNS[value] }))" :commit="turn" />
      <div class="grid grid-cols-2 gap-3">
        <LengthField label="Gap across" :value="array.gap.x" :actions="actions('Gap across', (array, mm) => { array.gap.x = mm })" />
        <LengthField label="Gap up" :value="array.gap.y" :actions="actions('Gap up', (array, mm) => { array.gap.y = mm })" />
        <ChoiceField label="Across, hold its" :value="array.at.x.edge" :options="ACROSS" :commit="holdAcross" />
        <LengthField label="from the wall’s left" :value="array.at.x.value" :actions="actions('Place across', (array, mm) => { array.at.x.value = mm })" />
        <ChoiceField label="Up, hold its" :value="array.at.y.edge" :options="UP" :commit="holdUp" />
        <LengthField label="above the floor" :value="array.at.y.value" :actions="actions('Place up', (array, mm) => { array.at.y.value = mm })" />
      </div>
      <div v-if="oriented && arrayPlan" class="border-t border-hair">
        <FigureLine label="Outline width" :figure="runFigure(array, oriented, 'x')" />
        <FigureLine label="Outline height" :figure="runFigure(array, oriented, 'y')" />
        <FigureLine v-if="array.columns > 1" label="Upright seam in the picture" :figure="seam('x')" />
        <FigureLine v-if="array.rows > 1" label="Level seam in the picture" :figure="seam('y')" />
      </div>
    </template>
  </BenchFrame>
</template>
