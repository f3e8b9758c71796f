<script setup lang="ts">
import { Crosshair, Plus, Trash2 } from 'lucide-vue-next'
import { formatLength, parseLength } from '~~/core/units'
import type { Fault, Framing, Wall } from '~~/core/job'

/** Survey: the wall's size, what covers it, and where its members are. */
const placing = defineModel<boolean>('placing', { required: true })
const store = useWallStore()
const { plan } = useWallPlan()
const { system, showFine, suffix } = useUnits()
const { selected } = useSelection()
const wall = computed(() => store.wall!)
const framed = computed(() => wall.value.structure.kind.endsWith('stud'))

const field = (label: string, set: (wall: Wall, value: number) => void): FieldActions<number> => ({
  tryOut: value => store.tryOut(wall => set(wall, value)),
  commit: value => store.edit(label, wall => set(wall, value)),
})
const STRUCTURES = [
  { value: 'wood-stud', label: 'Wood studs' }, { value: 'steel-stud', label: 'Steel studs' },
  { value: 'block', label: 'Block' }, { value: 'concrete', label: 'Concrete' },
]
const COVERINGS = ['gypsum-board', 'plaster', 'plywood', 'render', 'tile', 'furring']
const setStructure = (kind: string) => store.edit('Structure', (wall) => {
  wall.structure.kind = kind as Wall['structure']['kind']
})
const layer = computed(() => wall.value.covering.at(-1))
const setMaterial = (material: string) => store.edit('Covering', (wall) => {
  const last = wall.covering.at(-1)
  if (material === 'none') wall.covering = []
  else if (last) last.material = material
  else wall.covering = [{ material, thickness: 12.5 }]
})

const running = ref('')
const fault = ref('')
const id = useId()
const members = computed(() => plan.value?.members ?? [])
const chosen = computed(() => {
  const index = Number(/^member-(\d+)$/.exec(selected.value)?.[1] ?? NaN)
  return members.value[index] ? { index, ...members.value[index] } : undefined
})

function addMembers() {
  const words = running.value.trim().split(/\s*[;\n]\s*|\s{2,}/).filter(Boolean)
  const readings = words.map(word => parseLength(word, system.value))
  const bad = readings.find(reading => !reading.ok)
  const faults: Fault[] = words.length === 0
    ? [{ path: '$', message: 'Type where the member’s centre is, from the datum' }]
    : bad && !bad.ok ? [{ path: '$', message: bad.message }] : addAt(readings.flatMap(reading => reading.ok ? [reading.mm + datum.value] : []))
  fault.value = faults.map(({ message }) => message).join(' ')
  if (faults.length === 0) running.value = ''
}
const datum = computed(() => plan.value?.marking.datum.x ?? 0)

function addAt(centres: number[]): Fault[] {
  const off = centres.find(centre => centre < 0 || centre > wall.value.width)
  if (off !== undefined) return [{ path: '$', message: `${formatLength(off, system.value)} is off a wall that is ${formatLength(wall.value.width, system.value)} wide.` }]
  return store.edit(centres.length > 1 ? `Add ${centres.length} members` : 'Add a member', (wall) => {
    const width = wall.structure.memberWidth ?? 38
    wall.structure.members = [...wall.structure.members ?? [], ...centres.map(centre => ({ centre, width }))]
    wall.structure.members = sortedMembers(wall)
  })
}

/** Changes the members as they are listed, and keeps them in that order. */
function change(label: string, recipe: (members: Framing[]) => void): Fault[] {
  return store.edit(label, (wall) => {
    const sorted = sortedMembers(wall)
    recipe(sorted)
    wall.structure.members = sorted.sort((a, b) => a.centre - b.centre)
  })
}
const moveMember = (index: number, centre: number) => {
  if (centre < 0 || centre > wall.value.width) return [{ path: '$', message: 'That is off the wall' }]
  return change(`Move member ${index + 1}`, (members) => { members[index]!.centre = centre })
}
const widenMember = (index: number, width: number) => change(`Width of member ${index + 1}`, (members) => { members[index]!.width = width })
function deleteMember(index: number) {
  change(`Delete member ${index + 1}`, members => members.splice(index, 1))
  selected.value = ''
}
const select = (by: number) => {
  const count = members.value.length
  if (count > 0) selected.value = `member-${((chosen.value?.index ?? (by > 0 ? -1 : count)) + by + count) % count}`
}
defineExpose({ addAt })
useCommands([
  { id: 'survey-point', title: 'Point at a member on the wall', group: 'Survey', keys: ['p'], run: () => { placing.value = !placing.value } },
  { id: 'survey-type', title: 'Type where a member is', group: 'Survey', keys: ['n'], run: () => document.getElementById(id)?.focus() },
  { id: 'survey-next', title: 'Next member', group: 'Survey', keys: ['arrowright'], run: () => select(1) },
  { id: 'survey-back', title: 'Member before', group: 'Survey', keys: ['arrowleft'], run: () => select(-1) },
  { id: 'survey-left', title: 'Move the member 1 mm left', group: 'Survey', keys: ['shift+arrowleft'], when: () => chosen.value !== undefined, run: () => chosen.value && moveMember(chosen.value.index, chosen.value.centre - 1) },
  { id: 'survey-right', title: 'Move the member 1 mm right', group: 'Survey', keys: ['shift+arrowright'], when: () => chosen.value !== undefined, run: () => chosen.value && moveMember(chosen.value.index, chosen.value.centre + 1) },
  { id: 'survey-delete', title: 'Delete the member', group: 'Survey', keys: ['delete', 'backspace'], when: () => chosen.value !== undefined, run: () => chosen.value && deleteMember(chosen.value.index) },
])
const summary = computed(() => framed.value ? `${members.value.length} members known` : 'The wall carries all over')
</script>

<template>
  <BenchFrame stage="survey" title="Survey" :summary="summary">
    <div class="grid grid-cols-2 gap-3">
      <LengthField label="Wall width" :value="wall.width" :actions="field('Wall width', (wall, mm) => { wall.width = mm })" />
      <LengthField label="Wall height" :value="wall.height" :actions="field('Wall height', (wall, mm) => { wall.height = mm })" />
      <ChoiceField label="Structure" :value="wall.structure.kind" :options="STRUCTURES" :commit="setStructure" />
      <LengthField v-if="framed" label="Member width" :value="wall.structure.memberWidth" :actions="field('Member width', (wall, mm) => { wall.structure.memberWidth = mm })" />
      <ChoiceField
        label="Covering"
        :value="layer?.material ?? 'none'"
        :options="[{ value: 'none', label: 'none' }, ...COVERINGS.map(value => ({ value, label: value.replace('-', ' ') }))]"
        :commit="setMaterial"
      />
      <LengthField v-if="layer" label="Its thickness" :value="layer.thickness" :actions="field('Covering thickness', (wall, mm) => { wall.covering.at(-1)!.thickness = mm })" />
    </div>
    <template v-if="framed">
      <form class="border-t border-hair pt-3" @submit.prevent="addMembers">
        <FieldFrame :id="id" v-slot="{ describedby }" label="Member centre, from the datum" :fault="fault">
          <div class="flex gap-2">
            <input :id="id" v-model="running" class="field-input text-right" :aria-invalid="fault !== ''" :aria-describedby="describedby" autocomplete="off" placeholder="1690; 2090" @input="fault = ''">
            <button type="submit" class="press press-first" title="Add the member">
              <Plus class="size-4" aria-hidden="true" /> Add
            </button>
          </div>
        </FieldFrame>
        <button type="button" class="press mt-2 w-full" :aria-pressed="placing" :class="{ 'press-first': placing }" @click="placing = !placing">
          <Crosshair class="size-4" aria-hidden="true" /> {{ placing ? 'Pointing: click on the wall' : 'Point on the wall' }}
        </button>
      </form>
      <div v-if="chosen" class="border-t border-hair pt-3" data-testid="chosen-member">
        <h2 class="mb-1 text-sm font-semibold">
          Member {{ chosen.index + 1 }}, {{ chosen.kind }}
        </h2>
        <div class="grid grid-cols-2 gap-3">
          <LengthField :key="`c${chosen.index}`" label="Centre, from the datum" :value="chosen.centre - datum" :actions="{ commit: mm => moveMember(chosen!.index, mm + datum) }" />
          <LengthField :key="`w${chosen.index}`" label="Width" :value="chosen.width" :actions="{ commit: mm => widenMember(chosen!.index, mm) }" />
        </div>
        <button type="button" class="press mt-2 w-full" @click="deleteMember(chosen.index)">
          <Trash2 class="size-4" aria-hidden="true" /> Delete member {{ chosen.index + 1 }} at {{ showFine(chosen.centre - datum) }} {{ suffix }}
        </button>
      </div>
    </template>
    <p class="border-t border-hair pt-2 text-xs text-ink-soft">
      Detect live cables before a hole is made. Old linings can hold asbestos or lead.
    </p>
  </BenchFrame>
</template>
