<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { seamFault, type End } from '~~/core/true'
import { parseLength } from '~~/core/units'
import { wallKey } from '~/sync/device'

/** Gaps and steps at the ends of seams, one end after the other, by a keypad made for it; what is missing constrains nothing. */
const emit = defineEmits<{ recorded: [] }>()
const store = useWallStore()
const { array, ends, screens, last } = useTruing()
const { system, showFine, suffix } = useUnits()
const { name, nameId, fault, signed } = useSigner('Write your name first: the log keeps who read it.')
/** What is typed and not kept yet, by array and by the end of a seam: a reload in the middle of a round loses none of it. */
const everyTyped = useLocalStorage<Record<string, Record<string, { gap: string, step: string }>>>('wide-trellis:seams', {})
const arrayKey = computed(() => `${wallKey(store.site, store.id)}/${array.value!.id}`)
const typed = computed({
  get: () => everyTyped.value[arrayKey.value] ?? {},
  set: (now) => {
    const { [arrayKey.value]: _, ...others } = everyTyped.value
    everyTyped.value = Object.keys(now).length > 0 ? { ...others, [arrayKey.value]: now } : others
  },
})
const at = useScreenState('true-at', () => 0)
watch(arrayKey, () => { at.value = 0 })
const field = ref<'gap' | 'step'>('gap')
const index = computed(() => Math.min(at.value, ends.value.length - 1))
const end = computed(() => ends.value[index.value]!)
const now = computed(() => typed.value[end.value.key] ?? { gap: '', step: '' })
const entered = computed(() => ends.value.filter(({ key }) => typed.value[key]?.gap || typed.value[key]?.step).length)
const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0', '⌫']
interface Entered { kind: 'gap' | 'step', between: [string, string], end: End, key: string, mm?: number, wrong?: string }
/** A gap wider, or a step deeper, than this is no seam of a wall, mm. */
const [WIDEST, DEEPEST] = [100, 60]

function put(text: string) {
  fault.value = ''
  typed.value = { ...typed.value, [end.value.key]: { ...now.value, [field.value]: text } }
}
function press(key: string) {
  const text = now.value[field.value]
  put(key === '⌫' ? text.slice(0, -1) : key === '±' ? text.startsWith('-') ? text.slice(1) : `-${text}` : `${text}${key}`)
}
/** What is typed as millimetres; why it cannot be is said beside it. */
function read(text: string, kind: 'gap' | 'step'): { mm?: number, wrong?: string } {
  if (text.trim() === '') return {}
  const minus = text.trim().startsWith('-')
  const reading = parseLength(text.trim().replace(/^-/, ''), system.value)
  if (!reading.ok) return { wrong: reading.message }
  const mm = minus ? -reading.mm : reading.mm
  if (kind === 'gap' && (mm < 0 || mm > WIDEST)) return { wrong: `A gap is from 0 to ${showFine(WIDEST)}${suffix.value ? ` ${suffix.value}` : ''}` }
  if (kind === 'step' && Math.abs(mm) > DEEPEST) return { wrong: `A step is at most ${showFine(DEEPEST)}${suffix.value ? ` ${suffix.value}` : ''} either way` }
  return { mm }
}
const wrong = computed(() => read(now.value[field.value], field.value).wrong ?? '')
function go(by: number) {
  if (by > 0 && wrong.value) return
  if (by > 0 && field.value === 'gap') return void (field.value = 'step')
  if (by < 0 && field.value === 'step') return void (field.value = 'gap')
  const next = index.value + by
  if (next < 0 || next >= ends.value.length) return
  at.value = next
  field.value = by > 0 ? 'gap' : 'step'
}
function record() {
  const by = signed()
  if (!by) return
  const all = ends.value.flatMap(({ key, between, end }) => (['gap', 'step'] as const).flatMap((kind): Entered[] => {
    const { mm, wrong } = read(typed.value[key]?.[kind] ?? '', kind)
    const no = wrong ?? seamFault(screens.value, between, end)
    return no === undefined && mm === undefined ? [] : [{ kind, between, end, key, ...no !== undefined ? { wrong: no } : { mm: mm! } }]
  }))
  const bad = all.find(({ wrong }) => wrong !== undefined)
  if (bad) {
    at.value = ends.value.findIndex(({ key }) => key === bad.key)
    field.value = bad.kind
    return
  }
  const of = (kind: 'gap' | 'step') => all.flatMap(each => each.kind === kind && each.mm !== undefined ? [{ between: [...each.between], end: each.end, mm: each.mm }] : [])
  if (all.length === 0) return void (fault.value = 'Enter at least one gap or step.')
  const faults = store.record(by, { kind: 'seams', array: array.value!.id, round: (last.value?.round ?? 0) + 1, gaps: of('gap'), steps: of('step') })
  fault.value = faults.map(({ message }) => message).join(' ')
  if (faults.length > 0) return
  typed.value = {}
  at.value = 0
  emit('recorded')
}
useCommands([
  { id: 'seam-next', title: 'Next reading', group: 'True', keys: ['pagedown'], run: () => go(1) },
  { id: 'seam-back', title: 'Reading before', group: 'True', keys: ['pageup'], run: () => go(-1) },
])
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
    <p class="text-sm text-ink-soft">
      Round {{ (last?.round ?? 0) + 1 }}: {{ index + 1 }} of {{ ends.length }} ends, {{ entered }} read
    </p>
    <p class="text-2xl font-bold" data-testid="seam-end">
      {{ end.label }}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <label v-for="kind in (['gap', 'step'] as const)" :key="kind" class="block rounded border p-2" :class="field === kind ? 'border-2 border-flag' : 'border-edge'">
        <span class="text-sm">{{ kind === 'gap' ? `Gap, to be ${showFine(end.target)}` : 'Step, second less first' }}</span>
        <input :value="now[kind]" class="figures w-full bg-transparent text-right text-5xl font-semibold leading-none outline-none" :aria-label="kind === 'gap' ? 'Gap' : 'Step'" inputmode="none" autocomplete="off" @focus="field = kind" @input="field = kind; put(($event.target as HTMLInputElement).value)" @keydown.enter.prevent="go(1)">
      </label>
    </div>
    <p v-if="wrong" class="field-fault" role="alert">
      {{ wrong }}.
    </p>
    <div class="grid grid-cols-4 gap-2" role="group" aria-label="Keypad">
      <div class="col-span-3 grid grid-cols-3 gap-2">
        <button v-for="key in KEYS" :key="key" type="button" class="press !min-h-12 !text-xl" :aria-label="key === '⌫' ? 'Delete' : key" @click="press(key)">
          {{ key }}
        </button>
      </div>
      <div class="grid gap-2">
        <button type="button" class="press !min-h-12 !text-xl" aria-label="Change the sign" :disabled="field === 'gap'" @click="press('±')">
          ±
        </button>
        <button type="button" class="press !min-h-12" :disabled="index === 0 && field === 'gap'" @click="go(-1)">
          Back
        </button>
        <button type="button" class="press press-first row-span-2 !min-h-12" @click="go(1)">
          Next
        </button>
      </div>
    </div>
    <FieldFrame :id="nameId" label="Your name" :fault="fault" inline>
      <input :id="nameId" v-model="name" class="field-input" autocomplete="name" maxlength="200" :aria-invalid="fault !== ''" @input="fault = ''">
    </FieldFrame>
    <button type="button" class="press press-first w-full !min-h-12" :disabled="entered === 0" @click="record">
      Keep these readings and work out the turns
    </button>
  </div>
</template>
