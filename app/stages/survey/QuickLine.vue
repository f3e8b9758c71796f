<script setup lang="ts">
import { CornerDownLeft } from 'lucide-vue-next'
import { structureKindOf } from '~~/core/job'
import { calledReferences, QUICK_METHODS, readQuickLine } from '~~/core/survey'

/** Readings typed as a running list: read as they are typed, with what is wrong under the word that is wrong. */
const store = useWallStore()
const { system } = useUnits()
const { name } = useMe()
const { height, behind } = useSurveyTool()
const text = ref('')
const id = useId()
const help = ref(false)
const references = computed(() => calledReferences(store.wall?.references))
const line = computed(() =>
  readQuickLine(
    text.value,
    { y: height.value, ...(behind.value && { side: 'back' as const, reference: behind.value }) },
    system.value,
    references.value,
    store.wall,
  ),
)
const refused = ref('')
/** What a line looks like on this wall: joints where it is laid of units, studs elsewhere. */
const placeholder = computed(() => {
  const example = (key: string) => QUICK_METHODS.find(method => method.key === key)!.example[system.value]
  const laid = store.wall && structureKindOf(store.wall.structure).units
  return (laid ? [example('j'), example('j').replace('head', 'bed')] : ['e', 'm', 'p'].map(example)).join(', ')
})

/** The line cut up where a fault begins and ends. */
const parts = computed(() => {
  const faults = [...line.value.faults].sort((a, b) => a.from - b.from)
  let at = 0
  const cut: { text: string, wrong: boolean }[] = []
  for (const { from, to } of faults) {
    if (from < at) continue
    cut.push({ text: text.value.slice(at, from), wrong: false }, { text: text.value.slice(from, to), wrong: true })
    at = to
  }
  return [...cut, { text: text.value.slice(at), wrong: false }]
})
const recipe = (wall: NonNullable<typeof store.wall>) => addReadings(wall, line.value.readings, name.value, now())
const now = () => new Date().toISOString()
watch(text, () => {
  refused.value = ''
  if (line.value.readings.length > 0) store.tryOut(recipe)
  else store.cancelPreview()
})
function enter() {
  if (line.value.faults.length > 0 || line.value.readings.length === 0) return
  const count = line.value.readings.length
  const faults = store.edit(count === 1 ? 'Add reading' : `Add ${count} readings`, recipe)
  refused.value = faultText(faults)
  if (faults.length === 0) text.value = ''
}
function leave() {
  text.value = ''
  store.cancelPreview()
}
onScopeDispose(() => store.cancelPreview())
defineExpose({ focus: () => document.getElementById(id)?.focus() })
</script>

<template>
  <form @submit.prevent="enter">
    <div class="flex items-baseline justify-between">
      <label :for="id" class="field-label">Readings in one line</label>
      <button type="button" class="min-h-6 px-1 text-xs underline" :aria-expanded="help" @click="help = !help">
        codes
      </button>
    </div>
    <div class="relative">
      <div
        class="quick pointer-events-none absolute inset-0 overflow-hidden whitespace-pre-wrap break-words
          text-transparent"
        aria-hidden="true"
      >
        <span v-for="(part, n) in parts" :key="n" :class="{ wrong: part.wrong }">{{ part.text }}</span>
      </div>
      <textarea
        :id="id"
        v-model="text"
        rows="2"
        class="field-input quick relative resize-none !bg-transparent"
        spellcheck="false"
        autocomplete="off"
        :placeholder="placeholder"
        :aria-invalid="line.faults.length > 0"
        :aria-describedby="`${id}-told`"
        @keydown.enter.prevent="enter"
        @keydown.esc.stop="leave"
      />
    </div>
    <div :id="`${id}-told`" data-testid="quick-told">
      <p v-for="fault in line.faults" :key="fault.from" class="field-fault">
        <b>{{ text.slice(fault.from, fault.to) }}</b> {{ fault.message }}
      </p>
      <p v-if="refused" class="field-fault" role="alert">
        {{ refused }}
      </p>
      <p
        v-if="line.readings.length > 0 && line.faults.length === 0"
        class="mt-0.5 flex items-center gap-1 text-xs text-ink-soft"
      >
        {{ line.readings.length }} {{ line.readings.length === 1 ? 'reading' : 'readings' }} previewed;
        <CornerDownLeft class="size-3" aria-hidden="true" /> saves {{ line.readings.length === 1 ? 'it' : 'them' }}
      </p>
    </div>
    <dl v-if="help" class="mt-1 grid grid-cols-[auto_1fr_auto] gap-x-2 text-xs" data-testid="quick-help">
      <template v-for="method in QUICK_METHODS" :key="method.key">
        <dt class="keycap">
          {{ method.key }}
        </dt>
        <dd>{{ method.name }}</dd>
        <dd class="figures text-ink-soft">
          {{ method.example[system] }}
        </dd>
      </template>
      <dt class="keycap">
        @
      </dt><dd class="col-span-2">
        height for all that follows, for example {{ system === 'metric' ? '@1200' : '@48"' }}; “back jamb” and “front”
        switch the side
      </dd>
    </dl>
  </form>
</template>

<style scoped>
.quick {
  padding: 0.35rem 0.6rem;
  line-height: 1.5;
  min-height: 3.6rem;
  font-family: var(--font-figures);
  font-variant-numeric: tabular-nums;
  font-size: 1.05rem;
  border: 1px solid transparent;
}
textarea.quick { border-color: var(--color-edge); }
.wrong { text-decoration: underline wavy 2px var(--color-stop); text-underline-offset: 3px; }
</style>
