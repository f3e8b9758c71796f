<script setup lang="ts">
import { CHECKS, checksOf, type CheckKind } from '~~/core/close'
import { authorText } from '~~/core/log/author'

/** Pull test, torque and firmware of every screen: what is required, and what was recorded by whom and when. */
const store = useWallStore()
const { screens, record, of } = useClose()
const { quantity, unitOf, readIn, tell } = useUnits()
const kind = useScreenState<CheckKind>('close-check', () => 'pulled')
const KINDS = (Object.keys(CHECKS) as CheckKind[]).map(id => ({ id, title: CHECKS[id].title }))
const HOW: Record<CheckKind, string> = {
  pulled: 'Pull straight out at a top fastener of the plate with a spring scale, before the screen hangs, to the '
    + 'required force and no more. An empty field records the required force.',
  torqued: 'An empty field records the required torque.',
  firmware: 'Enter the version that the screen shows.',
}
const unit = computed(() => CHECKS[kind.value].unit)
const required = computed(() => new Map(
  of.value && record.value
    ? checksOf(of.value.plan.arrays, of.value.wall, of.value.catalogue, record.value)
        .filter(check => check.kind === kind.value)
        .map(check => [check.screen, check])
    : [],
))
/** What was typed and not recorded yet, and what is wrong with it, by check and screen. */
const typed = ref<Record<CheckKind, Record<string, string>>>({ pulled: {}, torqued: {}, firmware: {} })
const faults = ref<Record<CheckKind, Record<string, string>>>({ pulled: {}, torqued: {}, firmware: {} })
const note = ref('')
const shown = (value: number | string | undefined) =>
  typeof value === 'number' ? quantity(value, unit.value!) : value
const lastOf = (screen: string) => record.value?.[kind.value].get(screen)
/** What was typed, in metric units; of a figure, where nothing was, what is required. */
function valueAt(screen: string): number | string | undefined {
  const text = typed.value[kind.value][screen]?.trim() ?? ''
  if (!unit.value) return text || undefined
  if (text === '') return required.value.get(screen)?.required
  const read = readIn(unit.value, () => true)(text)
  if (!read.ok) faults.value[kind.value][screen] = read.message
  else if (read.value! <= 0) faults.value[kind.value][screen] = 'Enter a figure above 0.'
  else return read.value
  return undefined
}
const entryOf = (screen: string, value: number | string, held: boolean) => {
  const more = note.value.trim() && { note: note.value.trim() }
  if (kind.value === 'firmware') return { kind: 'firmware' as const, screen, version: String(value) }
  return kind.value === 'torqued'
    ? { kind: 'torqued' as const, screen, torque: Number(value), ...more }
    : { kind: 'pulled' as const, screen, force: Number(value), held, ...more }
}
function save(screen: string, held = true) {
  const mine = faults.value[kind.value]
  mine[screen] = ''
  const value = valueAt(screen)
  if (value === undefined) {
    mine[screen] ||= unit.value ? `Enter the ${CHECKS[kind.value].title.toLowerCase()}.` : 'Enter the version.'
    return
  }
  mine[screen] = faultText(store.record(entryOf(screen, value, held)))
  if (mine[screen]) return
  typed.value[kind.value][screen] = ''
  if (unit.value) note.value = ''
}
/** What requires the check, each once. */
const whys = computed(() =>
  [...new Set([...required.value.values()].map(({ why }) => why))].filter(why => why !== undefined))
const faultAt = (screen: string) => required.value.get(screen)?.fault
/** What was recorded last, in a line. */
function told(screen: string): string | undefined {
  const last = lastOf(screen)
  if (!last) return undefined
  const value = shown(required.value.get(screen)?.recorded)
  const moved = last.kind === 'pulled' ? last.held ? ', nothing moved' : ', moved' : ''
  const more = 'note' in last && last.note ? ` (${last.note})` : ''
  return `${value}${moved}${more}. ${authorText(last)}, ${whenOf(last.at)}`
}
</script>

<template>
  <div class="space-y-2">
    <div class="flex gap-1" role="group" aria-label="Check">
      <button
        v-for="{ id, title } in KINDS"
        :key="id"
        class="press flex-1 !min-h-12"
        :class="{ 'border-2! border-good! text-good!': kind === id }"
        :aria-pressed="kind === id"
        @click="kind = id"
      >
        {{ title }}
      </button>
    </div>
    <p class="text-xs text-ink-soft">
      {{ HOW[kind] }}
      <span v-if="whys.length > 0">Required by: {{ whys.join('; ') }}.</span>
    </p>
    <input
      v-if="unit"
      v-model="note"
      class="field-input !min-h-12"
      aria-label="Note for the next result"
      placeholder="note for the next result"
      maxlength="2000"
      autocomplete="off"
    >
    <ul class="divide-y divide-hair">
      <li v-for="{ id, label } in screens" :key="id" class="py-1.5" :data-check="id">
        <div class="flex items-center gap-2">
          <span class="w-16 shrink-0 font-semibold">{{ label }}</span>
          <input
            v-model="typed[kind][id]"
            class="field-input min-w-0 flex-1 !min-h-12"
            :inputmode="unit ? 'decimal' : 'text'"
            :aria-label="`${CHECKS[kind].title} of ${label}${unit ? ` (${unitOf(unit)})` : ''}`"
            :aria-invalid="!!faults[kind][id]"
            :placeholder="shown(required.get(id)?.required) ?? (unit ? unitOf(unit) : 'version')"
            maxlength="200"
            autocomplete="off"
          >
          <template v-if="kind === 'pulled'">
            <button class="press !min-h-12" :aria-label="`${label} held`" @click="save(id)">
              Held
            </button>
            <button class="press !min-h-12" :aria-label="`${label} moved`" @click="save(id, false)">
              Moved
            </button>
          </template>
          <button v-else class="press !min-h-12" :aria-label="`Save for ${label}`" @click="save(id)">
            Save
          </button>
        </div>
        <p v-if="told(id)" class="mt-1 text-xs text-ink-soft" :data-testid="`told-${id}`">
          {{ told(id) }}
        </p>
        <p v-if="faults[kind][id]" class="field-fault" role="alert">
          {{ faults[kind][id] }}
        </p>
        <p v-else-if="faultAt(id)" class="text-sm" :class="{ 'text-stop': faultAt(id)!.severity === 'stop' }">
          {{ tell(faultAt(id)!.what) }}
        </p>
      </li>
    </ul>
  </div>
</template>
