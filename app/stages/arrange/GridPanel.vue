<script setup lang="ts">
import { EYE, retellPlacing, runFigure } from '~~/core/arrange'
import { modelsUsed } from '~~/core/catalogue'
import {
  COLUMN_ALIGNMENTS, ORIENTATIONS, ROW_ALIGNMENTS, type Alignment, type HorizontalEdge, type Orientation,
  type ScreenArray, type VerticalEdge, type Wall,
} from '~~/core/job'
import { words, figure } from '~~/core/units'

/** An array as a whole: its model, how many, which way up, how far apart, and where. */
const store = useWallStore()
const { array, arrangement, edit } = useArray()
const { optionsOf, take, standing } = useModelChoice()
const oriented = computed(() => arrangement.value?.display)
const at = computed(() => arrangement.value?.at)
const outline = computed(() => arrangement.value?.outline)

const actions = (label: string, set: (array: ScreenArray, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(arrayOf(wall, array.value!.id), value)),
  commit: value => edit(label, array => set(array, value)),
})
const turn = (orientation: string) => edit('Orientation', (array) => { array.orientation = orientation as Orientation })
const ACROSS: { value: HorizontalEdge, label: string }[] = [
  { value: 'left', label: 'left edge' },
  { value: 'centre', label: 'centre' },
  { value: 'right', label: 'right edge' },
]
const UP: { value: VerticalEdge, label: string }[] = [
  { value: 'bottom', label: 'bottom edge' },
  { value: 'centre', label: 'centre' },
  { value: 'top', label: 'top edge' },
]
/** Features from left to right, by which an array can be placed. */
const features = computed(() => [...store.shown?.features ?? []].sort((a, b) => a.x - b.x))
const upward = computed(() => [...features.value].sort((a, b) => a.y - b.y))
const acrossRules = computed(() => [
  { value: 'wall-centre', label: 'linked: wall centre' },
  ...features.value.slice(1).map((right, n) => ({
    value: `between ${features.value[n]!.id} ${right.id}`,
    label: `linked: between ${featureName(features.value[n]!.kind).toLowerCase()} and `
      + `${featureName(right.kind).toLowerCase()}`,
  })),
])
const upRules = computed(() => [
  { value: 'eye standing', label: 'linked: standing eye height' },
  { value: 'eye seated', label: 'linked: seated eye height' },
  { value: 'eye both', label: 'linked: between both eye heights' },
  ...upward.value.slice(1).map((upper, n) => ({
    value: `between ${upward.value[n]!.id} ${upper.id}`,
    label: `linked: between ${featureName(upward.value[n]!.kind).toLowerCase()} and `
      + `${featureName(upper.kind).toLowerCase()}`,
  })),
  ...features.value.flatMap(({ id, kind }) => [
    { value: `above ${id}`, label: `linked: above ${featureName(kind).toLowerCase()}` },
    { value: `below ${id}`, label: `linked: below ${featureName(kind).toLowerCase()}` },
  ]),
])
const acrossChoice = computed(() => {
  const rule = array.value?.follows?.x
  return rule
    ? rule.rule === 'between'
      ? `between ${rule.features?.join(' ')}`
      : rule.rule
    : (at.value?.x.edge ?? 'centre')
})
const upChoice = computed(() => {
  const rule = array.value?.follows?.y
  if (!rule) return at.value?.y.edge ?? 'centre'
  if (rule.rule === 'between') return `between ${rule.features?.join(' ')}`
  return rule.rule === 'eye'
    ? `eye ${rule.value === EYE.seated ? 'seated' : rule.value === EYE.both ? 'both' : 'standing'}`
    : `${rule.rule} ${rule.feature}`
})
/** Keeps the array where it lies, told by another edge; or has it follow a rule from now on. */
function holdAcross(choice: string) {
  const [rule, ...ids] = choice.split(' ')
  return store.edit('Horizontal position', (wall) => {
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
  const [rule, what, other] = choice.split(' ') as [string, string, string]
  return store.edit('Vertical position', (wall) => {
    const chosen = arrayOf(wall, array.value!.id)
    holdPlace(wall, chosen, 'y')
    if (rule === 'eye') chosen.follows = { ...chosen.follows, y: { rule, value: EYE[what as keyof typeof EYE] } }
    else if (rule === 'between') chosen.follows = { ...chosen.follows, y: { rule, features: [what, other], value: 0 } }
    else if (rule === 'above' || rule === 'below')
      chosen.follows = { ...chosen.follows, y: { rule, feature: what, value: CLEAR } }
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
  return rule === 'eye'
    ? 'Eye height'
    : rule === 'above'
      ? 'Clearance above'
      : rule === 'below'
        ? 'Clearance below'
        : rule === 'between'
          ? 'Offset above centre'
          : 'Height above floor'
})

function chooseModel(kind: 'display' | 'mount', id: string) {
  take(kind, id)
  return edit(kind === 'display' ? 'Display' : 'Mount', (array) => { array[kind] = id })
}
/** Models of this array, its screens' own ones too, of which the firm's catalogue says something new. */
const told = computed(() => (['display', 'mount', 'fastener'] as const).flatMap((kind) => {
  return (array.value ? modelsUsed(array.value, kind) : []).flatMap((id) => {
    const news = standing(kind, id)
    return news ? [{ kind, id, news }] : []
  })
}))
/** Puts a model in the place of another wherever this array has it. */
function replace(kind: 'display' | 'mount' | 'fastener', id: string, by: string) {
  take(kind, by)
  edit(`Update ${kind}`, (array) => {
    if (array[kind] === id) array[kind] = by
    for (const cell of array.cells ?? []) if (kind !== 'fastener' && cell[kind] === id) cell[kind] = by
  })
}
const ALIGNED: Record<Alignment, string> = {
  'case-top': 'mixed sizes, case tops aligned',
  'case-bottom': 'mixed sizes, case bottoms aligned',
  'case-left': 'mixed sizes, case left edges aligned',
  'case-right': 'mixed sizes, case right edges aligned',
  'picture-top': 'mixed sizes, picture tops aligned',
  'picture-bottom': 'mixed sizes, picture bottoms aligned',
  'picture-left': 'mixed sizes, picture left edges aligned',
  'picture-right': 'mixed sizes, picture right edges aligned',
  'picture-centre': 'mixed sizes, picture centres aligned',
}
const alignments = computed(() => {
  const { rows, columns } = array.value!
  const can = rows > 1 && columns > 1 ? [] : rows > 1 ? COLUMN_ALIGNMENTS : ROW_ALIGNMENTS
  return [
    { value: '', label: 'grid, one size' },
    ...can.map(value => ({ value: value as string, label: ALIGNED[value] })),
  ]
})
const setAlign = (align: string) => edit('Layout', (array) => {
  if (align) array.align = align as Alignment
  else delete array.align
})
const seam = (axis: 'x' | 'y') => {
  const { bezel } = oriented.value!
  const gap = array.value!.gap[axis]
  const [a, b] = axis === 'x' ? [bezel.right, bezel.left] : [bezel.bottom, bezel.top]
  return figure([
    { label: 'Bezel seam', expression: words`bezel ${a} + gap ${gap} + bezel ${b}`, value: a + gap + b, unit: 'mm' },
  ])
}
</script>

<template>
  <div v-if="array" class="space-y-2">
    <ChoiceField
      label="Display"
      :value="array.display"
      :options="optionsOf('display', array.display)"
      :commit="id => chooseModel('display', id)"
    />
    <ChoiceField
      label="Mount"
      :value="array.mount ?? ''"
      :options="optionsOf('mount', array.mount)"
      :commit="id => chooseModel('mount', id)"
    />
    <p
      v-for="{ kind, id, news } in told"
      :key="`${kind} ${id}`"
      class="text-xs text-caution"
      data-testid="model-standing"
    >
      <template v-if="news.kind === 'newer'">
        The catalogue has a newer revision of this {{ kind }}. <button
          type="button"
          class="underline"
          @click="replace(kind, id, news.model.id)"
        >
          Update this array
        </button>
      </template>
      <template v-else>
        This {{ kind }} {{ news.kind === 'retired' ? 'is archived in the catalogue'
          : 'has different figures in the catalogue' }}; this wall keeps the figures it was planned with.
      </template>
    </p>
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <CountField
        label="Rows"
        :value="array.rows"
        :actions="actions('Rows', (array, n) => setGrid(array, n, array.columns))"
      />
      <CountField
        label="Columns"
        :value="array.columns"
        :actions="actions('Columns', (array, n) => setGrid(array, array.rows, n))"
      />
    </div>
    <ChoiceField
      v-if="alignments.length > 1 || array.align"
      inline
      label="Layout"
      :value="array.align ?? ''"
      :options="alignments"
      :commit="setAlign"
    />
    <ChoiceField
      inline
      label="Orientation"
      :value="array.orientation"
      :options="ORIENTATIONS.map(value => ({ value, label: ORIENTATION_NAMES[value] }))"
      :commit="turn"
    />
    <div class="grid grid-cols-2 gap-x-3 gap-y-2">
      <LengthField
        label="Horizontal gap"
        :value="array.gap.x"
        :actions="actions('Horizontal gap', (array, mm) => { array.gap.x = mm })"
      />
      <LengthField
        label="Vertical gap"
        :value="array.gap.y"
        :actions="actions('Vertical gap', (array, mm) => { array.gap.y = mm })"
      />
      <ChoiceField
        label="Horizontal position"
        :value="acrossChoice"
        :options="[...ACROSS, ...acrossRules]"
        :commit="holdAcross"
      />
      <LengthField label="From wall left" :value="at?.x.value" :actions="placing('Horizontal position', setAcross)" />
      <ChoiceField label="Vertical position" :value="upChoice" :options="[...UP, ...upRules]" :commit="holdUp" />
      <LengthField
        :label="upLabel"
        :value="array.follows?.y?.value ?? at?.y.value"
        :actions="placing('Vertical position', setUp)"
      />
    </div>
    <div v-if="oriented && arrangement" class="border-t border-hair">
      <FigureLine label="Outline width" :figure="runFigure(array, oriented, arrangement.cells, 'x')" />
      <FigureLine label="Outline height" :figure="runFigure(array, oriented, arrangement.cells, 'y')" />
      <template v-if="!array.align">
        <FigureLine v-if="array.columns > 1" label="Vertical bezel seam" :figure="seam('x')" />
        <FigureLine v-if="array.rows > 1" label="Horizontal bezel seam" :figure="seam('y')" />
      </template>
    </div>
  </div>
</template>
