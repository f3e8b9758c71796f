<script setup lang="ts">
import { Plus } from 'lucide-vue-next'
import { leastGap, placeByRule, screenId } from '~~/core/arrange'
import { ORIENTATIONS } from '~~/core/job'
import type { Display, Fastener, Mount, Orientation } from '~~/core/job'
import type { Model } from '~~/core/catalogue'

/** Arrange: which displays, how many, which way up, how far apart, and where; each array by itself and all together. */
const store = useWallStore()
const { select, clear } = useSelection()
const { array, cell, arrangement, edit } = useArray()
const { optionsOf, take } = useModelChoice()
const { house, load } = useHouseCatalogue()
const { system } = useUnits()

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
/**
 * Turns the screen that is chosen, or else all of them: in a grid of oblong cells a screen by itself goes upside down.
 */
function turnOn() {
  const chosen = cell.value
  if (!array.value) return
  const next = (orientation: Orientation, by: number) => ORIENTATIONS[(ORIENTATIONS.indexOf(orientation) + by) % 4]!
  if (!chosen) return void edit('Orientation', (array) => { array.orientation = next(array.orientation, 1) })
  const UPSIDE: Record<Orientation, Orientation> = {
    'landscape': 'inverted',
    'inverted': 'landscape',
    'portrait-cw': 'portrait-ccw',
    'portrait-ccw': 'portrait-cw',
  }
  const orientation = array.value.align ? next(chosen.orientation, 1) : UPSIDE[chosen.orientation]
  edit('Rotate screen', array =>
    setCell(array, chosen.row, chosen.column, {
      orientation: orientation === array.orientation ? undefined : orientation,
    }),
  )
}
function centre() {
  edit('Centre on the wall', (array) => { array.follows = { ...array.follows, x: { rule: 'wall-centre' } } })
}
/** Goes to the next screen that way; from none, to the first. */
function step(down: number, right: number) {
  const cells = arrangement.value?.cells ?? []
  const from = cell.value
  const [first] = cells
  if (!array.value || !first) return
  let [row, column] = from ? [from.row + down, from.column + right] : [first.row, first.column]
  while (row >= 1 && row <= array.value.rows && column >= 1 && column <= array.value.columns) {
    if (cells.some(cell => cell.row === row && cell.column === column))
      return void select('screen', screenId(array.value, row, column))
    row += down
    column += right
  }
}
const has = () => array.value !== undefined
const WAYS = [['left', -1, 0], ['right', 1, 0], ['up', 0, 1], ['down', 0, -1]] as const
useCommands(() =>
  NUDGES[system.value].flatMap(({ held, by, words }) =>
    WAYS.map(([way, x, y]) => ({
      id: `nudge-${held}${way}`,
      title: `Nudge the array ${way} by ${words}`,
      group: 'Arrange' as const,
      keys: [`${held}arrow${way}`],
      when: has,
      run: () => nudge(x * by, y * by),
    })),
  ),
)
useCommands([
  ...WAYS.map(([way, x, y]) => ({
    id: `step-${way}`,
    title: `Select the next screen ${way}`,
    group: 'Arrange' as const,
    keys: [`ctrl+arrow${way}`],
    when: has,
    run: () => step(-y, x),
  })),
  {
    id: 'turn',
    title: 'Rotate all screens or the selected one',
    group: 'Arrange',
    keys: ['r'],
    when: has,
    run: turnOn,
  },
  {
    id: 'whole',
    title: 'Deselect screen',
    group: 'Arrange',
    keys: ['escape'],
    when: () => cell.value !== undefined,
    run: clear,
  },
  { id: 'centre', title: 'Centre the array on the wall', group: 'Arrange', keys: ['c'], when: has, run: centre },
])

const missed = ref('')
async function addGrid() {
  if (!house.value) await load()
  const first = optionsOf('display', undefined)[0]?.value
  missed.value = first
    ? ''
    : house.value
      ? 'The catalogue has no displays: add one there first.'
      : 'The catalogue is not on this device yet: connect once to load it.'
  if (!first) return
  take('display', first)
  const display = store.catalogue.displays.find(({ id }) => id === first) as Display
  const mount = optionsOf('mount', undefined, (model: Model) => (model as Mount).capacity >= display.mass)[0]?.value
  if (mount) take('mount', mount)
  const base = store.wall!.structure.kind
  const fastener = optionsOf('fastener', undefined, (model: Model) => (model as Fastener).base === base)[0]?.value
  if (fastener) take('fastener', fastener)
  const gap = leastGap(display, store.siteUnits)
  const place = placeByRule(store.wall!, store.rules, store.siteUnits)
  if (!place) missed.value = 'The house rule for height finds no matching feature on this wall: the array is centred.'
  store.edit('Add array', (wall) => {
    store.arrayId = addArray(wall, {
      name: 'Grid', display: first, ...mount && { mount }, ...fastener && { fastener },
      rows: 1, columns: 1, orientation: 'landscape', gap: { x: gap, y: gap },
      ...place ?? placeByRule(wall, {})!,
    })
  })
}

const PANELS = [
  { id: 'grid', title: 'Array' },
  { id: 'screens', title: 'Screen' },
  { id: 'all', title: 'All' },
  { id: 'picture', title: 'Picture' },
  { id: 'viewers', title: 'Viewers' },
] as const
const panel = useScreenState<typeof PANELS[number]['id']>('arrange-panel', () => 'grid')
useCommands(
  PANELS.map(({ id, title }) => ({
    id: `arrange-${id}`,
    title: `Arrange: ${title}`,
    group: 'Arrange' as const,
    when: has,
    run: () => {
      panel.value = id
    },
  })),
)
</script>

<template>
  <BenchFrame stage="arrange" title="Arrange" :summary="array ? undefined : 'No displays yet'">
    <button v-if="!array" type="button" class="press press-first w-full" @click="addGrid">
      <Plus class="size-4" aria-hidden="true" /> Add display array
    </button>
    <p v-if="missed" class="field-fault" role="alert">
      {{ missed }}
    </p>
    <BenchPanels v-if="array || panel === 'all'" v-model="panel" :panels="PANELS" label="Arrange sections" />
    <ChoiceField
      v-if="array && store.arrays.length > 1 && panel !== 'all'"
      inline
      label="Array"
      :value="array.id"
      :options="store.arrays.map(({ id, name }) => ({ value: id, label: name }))"
      :commit="(id) => { store.arrayId = id; clear(); return [] }"
    />
    <LazyArraysPanel v-if="panel === 'all'" @add="addGrid" />
    <template v-else-if="array">
      <GridPanel v-if="panel === 'grid'" />
      <LazyScreenPanel v-else-if="panel === 'screens'" />
      <LazyPicturePanel v-else-if="panel === 'picture'" />
      <LazyViewersPanel v-else />
    </template>
  </BenchFrame>
</template>
