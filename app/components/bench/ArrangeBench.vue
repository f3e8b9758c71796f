<script setup lang="ts">
import { Plus } from 'lucide-vue-next'
import { EYE, retellPlacing, runFigure } from '~~/core/arrange'
import { ORIENTATIONS, type HorizontalEdge, type Orientation, type ScreenArray, type VerticalEdge, type Wall } from '~~/core/job'
import { words, figure } from '~~/core/units'

/** Arrange: which display, how many, which way up, how far apart, and where. */
const store = useWallStore()
const { plan } = useWallPlan()
const { array, arrangement, edit } = useArray()
const oriented = computed(() => arrangement.value?.display)
const at = computed(() => arrangement.value?.at)
const outline = computed(() => arrangement.value?.outline)
const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))

const actions = (label: string, set: (array: ScreenArray, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(arrayOf(wall, array.value!.id), value)),
  commit: value => edit(label, array => set(array, value)),
})
const TURNS: Record<Orientation, string> = {
  'landscape': 'Landscape', 'portrait-cw': 'Portrait, top right', 'portrait-ccw': 'Portrait, top left', 'inverted': 'Upside down',
}
const turn = (orientation: string) => edit('Orientation', (array) => { array.orientation = orientation as Orientation })
const ACROSS: { value: HorizontalEdge, label: string }[] = [{ value: 'left', label: 'left edge' }, { value: 'centre', label: 'centre' }, { value: 'right', label: 'right edge' }]
const UP: { value: VerticalEdge, label: string }[] = [{ value: 'bottom', label: 'bottom edge' }, { value: 'centre', label: 'centre' }, { value: 'top', label: 'top edge' }]
/** Features from left to right, by which an array can be placed. */
const features = computed(() => [...store.shown?.features ?? []].sort((a, b) => a.x - b.x))
const acrossRules = computed(() => [
  { value: 'wall-centre', label: 'middle of the wall, kept' },
  ...features.value.slice(1).map((right, n) => ({ value: `between ${features.value[n]!.id} ${right.id}`, label: `between ${featureName(features.value[n]!.kind).toLowerCase()} and ${featureName(right.kind).toLowerCase()}, kept` })),
])
const upRules = computed(() => [
  { value: 'eye standing', label: 'centre at standing eye, kept' }, { value: 'eye seated', label: 'centre at seated eye, kept' },
  ...features.value.flatMap(({ id, kind }) => [{ value: `above ${id}`, label: `above ${featureName(kind).toLowerCase()}, kept` }, { value: `below ${id}`, label: `below ${featureName(kind).toLowerCase()}, kept` }]),
])
const acrossChoice = computed(() => {
  const rule = array.value?.follows?.x
  return rule ? rule.rule === 'between' ? `between ${rule.features?.join(' ')}` : rule.rule : at.value?.x.edge ?? 'centre'
})
const upChoice = computed(() => {
  const rule = array.value?.follows?.y
  if (!rule) return at.value?.y.edge ?? 'centre'
  return rule.rule === 'eye' ? `eye ${rule.value === EYE.seated ? 'seated' : 'standing'}` : `${rule.rule} ${rule.feature}`
})
/** Keeps the array where it lies, told by another edge; or has it follow a rule from now on. */
function holdAcross(choice: string) {
  const [rule, ...ids] = choice.split(' ')
  return store.edit('Place across', (wall) => {
    const chosen = arrayOf(wall, array.value!.id)
    holdPlace(wall, chosen, 'x')
    if (rule === 'wall-centre') chosen.follows = { ...chosen.follows, x: { rule } }
    else if (rule === 'between') chosen.follows = { ...chosen.follows, x: { rule, features: ids } }
    else chosen.at.x = retellPlacing(chosen.at.x, outline.value!.width, choice as HorizontalEdge)
  })
}
/** How far above or below a feature an array hangs at first, mm. */
const CLEAR = 100
function holdUp(choice: string) {
  const [rule, what] = choice.split(' ') as [string, string]
  return store.edit('Place up', (wall) => {
    const chosen = arrayOf(wall, array.value!.id)
    holdPlace(wall, chosen, 'y')
    if (rule === 'eye') chosen.follows = { ...chosen.follows, y: { rule, value: EYE[what as keyof typeof EYE] } }
    else if (rule === 'above' || rule === 'below') chosen.follows = { ...chosen.follows, y: { rule, feature: what, value: CLEAR } }
    else chosen.at.y = retellPlacing(chosen.at.y, outline.value!.height, choice as VerticalEdge)
  })
}
const setAcross = (wall: Wall, mm: number) => {
  const placed = arrayOf(wall, array.value!.id)
  holdPlace(wall, placed, 'x')
  placed.at.x.value = mm
}
const setUp = (wall: Wall, mm: number) => {
  const placed = arrayOf(wall, array.value!.id)
  if (placed.follows?.y) placed.follows.y.value = mm
  else placed.at.y.value = mm
}
const placing = (label: string, set: (wall: Wall, mm: number) => void): FieldActions<number> => ({
  tryOut: mm => store.tryOut(wall => set(wall, mm)),
  commit: mm => store.edit(label, wall => set(wall, mm)),
})
const upLabel = computed(() => {
  const rule = array.value?.follows?.y?.rule
  return rule === 'eye' ? 'eye height' : rule === 'above' ? 'clear above it' : rule === 'below' ? 'clear below it' : 'above the floor'
})

function nudge(dx: number, dy: number) {
  if (!array.value) return
  const { id, name } = array.value
  store.edit(`Nudge ${name}`, (wall) => {
    const nudged = arrayOf(wall, id)
    if (dx !== 0) holdPlace(wall, nudged, 'x')
    if (dy !== 0) holdPlace(wall, nudged, 'y')
    nudged.at.x.value += dx
    nudged.at.y.value += dy
  })
}
function turnOn(by: number) {
  if (!array.value) return
  turn(ORIENTATIONS[(ORIENTATIONS.indexOf(array.value.orientation) + by + 4) % 4]!)
}
function centre() {
  edit('Centre on the wall', (array) => { array.follows = { ...array.follows, x: { rule: 'wall-centre' } } })
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
        <ChoiceField label="Across, hold its" :value="acrossChoice" :options="[...ACROSS, ...acrossRules]" :commit="holdAcross" />
        <LengthField label="from the wall’s left" :value="at?.x.value" :actions="placing('Place across', setAcross)" />
        <ChoiceField label="Up, hold its" :value="upChoice" :options="[...UP, ...upRules]" :commit="holdUp" />
        <LengthField :label="upLabel" :value="array.follows?.y?.value ?? at?.y.value" :actions="placing('Place up', setUp)" />
      </div>
      <div v-if="oriented && arrayPlan" class="border-t border-hair">
        <FigureLine label="Outline width" :figure="runFigure(array, oriented, arrangement!.cells, 'x')" />
        <FigureLine label="Outline height" :figure="runFigure(array, oriented, arrangement!.cells, 'y')" />
        <FigureLine v-if="array.columns > 1" label="Upright seam in the picture" :figure="seam('x')" />
        <FigureLine v-if="array.rows > 1" label="Level seam in the picture" :figure="seam('y')" />
      </div>
    </template>
  </BenchFrame>
</template>
