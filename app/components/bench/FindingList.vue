<script setup lang="ts">
import { OctagonX, TriangleAlert, Info } from 'lucide-vue-next'
import type { Finding } from '~~/core/finding'

/** Findings, the worst first; those that one cure settles stand together. */
const { findings } = defineProps<{ findings: Finding[] }>()
const store = useWallStore()
const { tell } = useUnits()
const { hovered, selected } = useSelection()

const LOOKS = {
  stop: { icon: OctagonX, name: 'Stop', box: 'border-stop bg-stop-wash', ink: 'text-stop' },
  caution: { icon: TriangleAlert, name: 'Caution', box: 'border-caution bg-caution-wash', ink: 'text-caution' },
  note: { icon: Info, name: 'Note', box: 'border-chalk bg-paper', ink: 'text-chalk' },
}
const RANK = { stop: 0, caution: 1, note: 2 }

interface Card { key: string, finding: Finding, messages: string[] }
const cards = computed(() => {
  const byCure = new Map<string, Card>()
  for (const finding of [...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity])) {
    const key = finding.cure ? JSON.stringify(finding.cure) : `${finding.code} ${finding.subject} ${tell(finding.message)}`
    const card = byCure.get(key) ?? { key, finding, messages: [] }
    card.messages.push(tell(finding.message))
    byCure.set(key, card)
  }
  return [...byCure.values()]
})

function takeCure({ cure }: Finding) {
  if (!cure) return
  const { array, row, column, lateralShift } = cure
  store.edit(`Shift plate R${row} C${column}`, wall => setPlate(wall, array, row, column, { lateralShift }))
}
</script>

<template>
  <ul class="space-y-2" aria-label="Findings">
    <li
      v-for="{ key, finding, messages } in cards"
      :key="key"
      class="border-l-4 px-3 py-2 text-sm"
      :class="LOOKS[finding.severity].box"
      :data-finding="finding.code"
      @pointerenter="hovered = finding.subject"
      @pointerleave="hovered = ''"
    >
      <p class="flex items-start gap-2 font-semibold">
        <component :is="LOOKS[finding.severity].icon" class="mt-0.5 size-4 shrink-0" :class="LOOKS[finding.severity].ink" aria-hidden="true" />
        <span><span class="sr-only">{{ LOOKS[finding.severity].name }}: </span><span v-for="message in messages" :key="message" class="block">{{ message }}</span></span>
      </p>
      <p v-if="finding.remedy" class="mt-1 pl-6">
        {{ tell(finding.remedy) }}
      </p>
      <div class="mt-2 flex gap-2 pl-6">
        <button v-if="finding.cure" type="button" class="press press-first !px-2 whitespace-nowrap" @click="takeCure(finding)">
          Take the shift
        </button>
        <button v-if="finding.stage === 'mount' && finding.cure" type="button" class="press !px-2 whitespace-nowrap" @click="selected = `${finding.cure.array}-r${finding.cure.row}c${finding.cure.column}`">
          Show the plate
        </button>
      </div>
    </li>
  </ul>
</template>
