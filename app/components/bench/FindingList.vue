<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { OctagonX, TriangleAlert, Info } from 'lucide-vue-next'
import { screenId } from '~~/core/arrange'
import type { Finding } from '~~/core/finding'
import { groupAlike } from '~~/core/findings/alike'
import { factsOf } from '~~/core/log'
import { keyOf } from '~~/core/subject'
import { plural } from '~~/core/units'
import { screenLabel } from '~~/core/job/screenLabel'

/** Findings, the worst first; those that one cure settles stand together. */
const { findings } = defineProps<{ findings: Finding[] }>()
const store = useWallStore()
const { tell } = useUnits()
const { hovered, select } = useSelection()

const LOOKS = {
  stop: { icon: OctagonX, name: 'Stop', box: 'border-stop bg-stop-wash', ink: 'text-stop' },
  caution: { icon: TriangleAlert, name: 'Caution', box: 'border-caution bg-caution-wash', ink: 'text-caution' },
  note: { icon: Info, name: 'Note', box: 'border-chalk bg-paper', ink: 'text-chalk' },
}
const RANK = { stop: 0, caution: 1, note: 2 }

interface Card { key: string, finding: Finding, all: Finding[] }
const cards = computed(() =>
  groupAlike([...findings].sort((a, b) => RANK[a.severity] - RANK[b.severity])).map((all): Card => {
    const finding = all[0]!
    return { key: `${finding.code} ${keyOf(finding.subject)} ${tell(finding.message)}`, finding, all }
  }),
)
/** Of findings that one change cures all are said at once; of others alike the first, and the rest on demand. */
const isOneCure = ({ finding, all }: Card) => finding.cure !== undefined || all.length === 1

function takeCure({ cure }: Finding) {
  if (!cure) return
  const { array, row, column, lateralShift } = cure
  store.edit(`Shift plate ${screenLabel({ row, column })}`, wall =>
    setPlate(wall, array, row, column, { lateralShift }))
}

/** Opens the panel of the stage's bench on which a finding is cured. */
function open({ stage, opens }: Finding) {
  if (!opens) return
  useScreenState<string>(`${stage}-panel`, () => opens.panel).value = opens.panel
  void navigateTo(`/sites/${store.site}/walls/${store.id}/${stage}`)
}

/** The stop that is being taken on, by its key, and what is said for it. */
const taking = ref('')
const reason = ref('')
const fault = ref('')
/** Places that an override of several does not cover, by their key: none, until a person takes some out. */
const leftOut = ref<string[]>([])
const covered = (all: Finding[]) => all.filter(({ subject }) => !leftOut.value.includes(keyOf(subject)))
function cover(key: string, covers: boolean) {
  leftOut.value = covers ? leftOut.value.filter(other => other !== key) : [...leftOut.value, key]
}
function ask(key: string) {
  taking.value = key
  fault.value = ''
  leftOut.value = []
}
function takeOn(stops: Finding[]) {
  const because = reason.value.trim()
  if (!because) return void (fault.value = 'Enter a reason. It is logged and printed with your name.')
  if (stops.length === 0) return void (fault.value = 'Choose at least one place.')
  for (const stop of stops) {
    const faults = store.record({
      kind: 'override',
      code: stop.code,
      subject: stop.subject.id,
      reason: because,
      facts: factsOf(stop),
    })
    if (faults.length > 0) return void (fault.value = faults.map(({ message }) => `The entry ${message}.`).join(' '))
  }
  taking.value = reason.value = fault.value = ''
}
function endOverride(findings: Finding[]) {
  for (const { code, subject } of findings) store.record({ kind: 'override-ended', code, subject: subject.id })
}
</script>

<template>
  <ul class="space-y-2" aria-label="Findings">
    <li
      v-for="{ key, finding, all } in cards"
      :key="key"
      class="border-l-4 px-3 py-2 text-sm"
      :class="LOOKS[finding.severity].box"
      :data-finding="finding.code"
      @pointerenter="hovered = finding.subject"
      @pointerleave="hovered = undefined"
    >
      <p class="flex items-start gap-2 font-semibold">
        <component
          :is="LOOKS[finding.severity].icon"
          class="mt-0.5 size-4 shrink-0"
          :class="LOOKS[finding.severity].ink"
          aria-hidden="true"
        />
        <span>
          <span class="sr-only">{{ LOOKS[finding.severity].name }}: </span>
          <template v-if="isOneCure({ key, finding, all })">
            <span v-for="each in all" :key="tell(each.message)" class="block">{{ tell(each.message) }}</span>
          </template>
          <span v-else class="block">{{ tell(finding.message) }}</span>
        </span>
      </p>
      <p v-if="finding.remedy" class="mt-1 pl-6">
        {{ tell(finding.remedy) }}
      </p>
      <details v-if="!isOneCure({ key, finding, all })" class="mt-1 pl-6" data-testid="alike">
        <summary class="cursor-pointer py-1 max-lg:py-3">
          The same at {{ plural(all.length - 1, 'more place') }}
        </summary>
        <ul class="space-y-1">
          <li v-for="each in all.slice(1)" :key="tell(each.message)" @pointerenter="hovered = each.subject">
            {{ tell(each.message) }}
            <span v-if="each.remedy" class="block text-ink-soft">{{ tell(each.remedy) }}</span>
          </li>
        </ul>
      </details>
      <p v-if="finding.never" class="mt-1 pl-6 text-ink-soft">
        This stop cannot be overridden.
      </p>
      <p v-if="finding.overridden" class="mt-1 pl-6" data-testid="taken-on">
        Stop overridden by {{ authorText(finding.overridden) }}: “{{ finding.overridden.reason }}”
      </p>
      <form v-if="taking === key" class="mt-2 space-y-1.5 pl-6" @submit.prevent="takeOn(covered(all))">
        <fieldset v-if="all.length > 1" class="max-h-40 space-y-1 overflow-y-auto">
          <legend class="sr-only">
            Places that the override covers
          </legend>
          <label v-for="each in all" :key="tell(each.message)" class="flex gap-2 max-lg:py-2.5">
            <input
              type="checkbox"
              class="mt-1 shrink-0"
              :checked="!leftOut.includes(keyOf(each.subject))"
              @change="cover(keyOf(each.subject), ($event.target as HTMLInputElement).checked)"
            >
            {{ tell(each.message) }}
          </label>
        </fieldset>
        <label class="block">Reason for the override<input
          v-model="reason"
          class="field-input"
          autocomplete="off"
          maxlength="2000"
        ></label>
        <p v-if="fault" class="field-fault" role="alert">
          {{ fault }}
        </p>
        <div class="flex gap-2">
          <button type="submit" class="press press-first">
            {{ all.length === 1 ? 'Override stop' : `Override at ${plural(covered(all).length, 'place')}` }}
          </button>
          <button type="button" class="press" @click="taking = ''">
            Cancel
          </button>
        </div>
      </form>
      <div v-else class="mt-2 flex flex-wrap gap-2 pl-6">
        <button
          v-if="finding.cure && store.rights('wall.design')"
          type="button"
          class="press press-first !px-2 whitespace-nowrap"
          @click="takeCure(finding)"
        >
          Apply shift
        </button>
        <button
          v-if="finding.opens && store.rights('wall.design')"
          type="button"
          class="press press-first !px-2 whitespace-nowrap"
          @click="open(finding)"
        >
          {{ finding.opens.title }}
        </button>
        <button
          v-if="finding.stage === 'mount' && finding.cure"
          type="button"
          class="press !px-2 whitespace-nowrap"
          @click="select('screen', screenId({ id: finding.cure.array }, finding.cure.row, finding.cure.column))"
        >
          Show plate
        </button>
        <button
          v-if="finding.severity === 'stop' && !finding.never && store.rights('wall.issue')"
          type="button"
          class="press !px-2 whitespace-nowrap"
          @click="ask(key)"
        >
          Override…
        </button>
        <button
          v-if="finding.overridden && store.rights('wall.issue')"
          type="button"
          class="press !px-2 whitespace-nowrap"
          @click="endOverride(all)"
        >
          Remove override
        </button>
      </div>
    </li>
  </ul>
</template>
