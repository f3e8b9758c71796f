<script setup lang="ts">
import { Plus, Trash2 } from 'lucide-vue-next'
import { MEMBER_KIND_NAMES, nominalWidth } from '~~/core/survey'
import { formatLength, parseLength } from '~~/core/units'
import { madeId, type Fault } from '~~/core/job'

/** Members whose place is known: from drawings, or seen before the wall was closed. */
const store = useWallStore()
const { piece, Piece, pieces } = usePiece()
const { plan } = useWallPlan()
const { system, fineWithUnit } = useUnits()
/** How far one press of an arrow key moves a stud. */
const nudge = computed(() => NUDGES[system.value][0]!)
const { selectedOf, clear } = useSelection()
const wall = computed(() => store.wall!)
const running = ref('')
const fault = ref('')
const id = useId()
const members = computed(() => plan.value?.members ?? [])
const chosen = computed(() => {
  const index = members.value.findIndex(({ id }) => id === selectedOf('member'))
  return members.value[index] ? { index, ...members.value[index] } : undefined
})
const datum = computed(() => plan.value?.marking.datum.x ?? 0)

function addMembers() {
  const words = running.value.trim().split(/\s*[;\n]\s*|\s{2,}/).filter(Boolean)
  const readings = words.map(word => parseLength(word, system.value))
  const bad = readings.find(reading => !reading.ok)
  const faults: Fault[]
    = words.length === 0
      ? [{ path: '$', message: `Enter the distance from the datum to the ${piece.value} centre` }]
      : bad && !bad.ok
        ? [{ path: '$', message: bad.message }]
        : addAt(readings.flatMap(reading => (reading.ok ? [reading.mm + datum.value] : [])))
  fault.value = faultText(faults)
  if (faults.length === 0) running.value = ''
}

function addAt(centres: number[]): Fault[] {
  const off = centres.find(centre => centre < 0 || centre > wall.value.width)
  if (off !== undefined)
    return [
      {
        path: '$',
        message: `${formatLength(off, system.value)} is outside the wall, which `
          + `is ${formatLength(wall.value.width, system.value)} wide.`,
      },
    ]
  return store.edit(centres.length > 1 ? `Add ${centres.length} ${pieces.value}` : `Add ${piece.value}`, (wall) => {
    const width = nominalWidth(wall)
    for (const centre of centres)
      editFraming(wall, members => [...members, { id: madeId('k', members), centre, width }])
  })
}

type Chosen = NonNullable<typeof chosen.value>
const moveMember = ({ id, index }: Chosen, centre: number) => {
  if (centre < 0 || centre > wall.value.width) return [{ path: '$', message: 'This position is outside the wall' }]
  return store.edit(`Move ${piece.value} ${index + 1}`, wall => editMember(wall, id, { centre }))
}
const widenMember = ({ id, index }: Chosen, width: number) =>
  store.edit(`Width of ${piece.value} ${index + 1}`, wall => editMember(wall, id, { width }))
function deleteMember({ id, index }: Chosen) {
  store.edit(`Delete ${piece.value} ${index + 1}`, wall =>
    editFraming(wall, members => members.filter(member => member.id !== id)),
  )
  clear()
}
defineExpose({ addAt })
useCommands((): Command[] => [
  {
    id: 'survey-type',
    title: 'Enter a stud position',
    group: 'Survey',
    keys: ['n'],
    run: () => document.getElementById(id)?.focus(),
  },
  ...(['left', 'right'] as const).map((side): Command => ({
    id: `survey-${side}`,
    title: `Move the stud ${nudge.value.words} ${side}`,
    group: 'Survey',
    keys: [`shift+arrow${side}`],
    when: () => chosen.value !== undefined,
    run: () => {
      const by = side === 'left' ? -nudge.value.by : nudge.value.by
      return chosen.value && moveMember(chosen.value, chosen.value.centre + by)
    },
  })),
  {
    id: 'survey-delete',
    title: 'Delete the stud',
    group: 'Survey',
    keys: ['delete', 'backspace'],
    when: () => chosen.value !== undefined,
    run: () => chosen.value && deleteMember(chosen.value),
  },
])
</script>

<template>
  <div class="space-y-2.5">
    <form @submit.prevent="addMembers">
      <FieldFrame :id="id" v-slot="{ describedby }" :label="`${Piece} centre from datum`" :fault="fault">
        <div class="flex gap-2">
          <input
            :id="id"
            v-model="running"
            class="field-input text-right"
            :aria-invalid="fault !== ''"
            :aria-describedby="describedby"
            autocomplete="off"
            placeholder="1690; 2090"
            @input="fault = ''"
          >
          <button type="submit" class="press press-first" :title="`Add ${piece}`">
            <Plus class="size-4" aria-hidden="true" /> Add
          </button>
        </div>
      </FieldFrame>
    </form>
    <div v-if="chosen" class="border-t border-hair pt-3" data-testid="chosen-member">
      <h2 class="mb-1 text-sm font-semibold">
        {{ Piece }} {{ chosen.index + 1 }}, {{ MEMBER_KIND_NAMES[chosen.kind] }}
      </h2>
      <div class="grid grid-cols-2 gap-3">
        <LengthField
          :key="`c${chosen.id}`"
          label="Centre from datum"
          :value="chosen.centre - datum"
          :actions="{ commit: mm => moveMember(chosen!, mm + datum) }"
        />
        <LengthField
          :key="`w${chosen.id}`"
          label="Width"
          :value="chosen.width"
          :actions="{ commit: mm => widenMember(chosen!, mm) }"
        />
      </div>
      <button type="button" class="press mt-2 w-full" @click="deleteMember(chosen)">
        <Trash2 class="size-4" aria-hidden="true" /> Delete {{ piece }} {{ chosen.index + 1 }} at
        {{ fineWithUnit(chosen.centre - datum) }}
      </button>
    </div>
  </div>
</template>
