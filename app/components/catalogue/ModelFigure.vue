<script setup lang="ts">
import { choiceName } from '~~/core/job'
import { readField, setAt, valueAt, writeField, type Model, type ModelField } from '~~/core/catalogue'

/** One figure of a model, typed as the datasheet has it; what was typed in another unit is kept beside it. */
const { field, model, fault = '' } = defineProps<{ field: ModelField, model: Model, fault?: string }>()
const emit = defineEmits<{ change: [recipe: (model: Model) => void], unread: [wrong: boolean] }>()
const { system, unitOf } = useUnits()
const value = computed(() => valueAt(model, field.path))
const label = computed(() => `${field.label}${field.unit ? ` (${unitOf(field.unit)})` : ''}`)
type Typed = { value: unknown, text: string }
function read(text: string): Read<Typed> {
  const read = readField(field, text, system.value)
  return read.ok ? { ok: true, value: { value: read.value, text: text.trim() } } : read
}
/** A figure typed with its unit is the datasheet's own; a bare one needs no note. */
const isOwn = (text: string) => field.kind === 'length' && /[^\d.,\s+-]/.test(text)
function set({ value, text }: Typed) {
  emit('change', (model) => {
    setAt(model, field.path, value)
    const { [field.path]: _, ...others } = model.asTyped ?? {}
    const typed = isOwn(text) ? { ...others, [field.path]: text } : others
    if (Object.keys(typed).length > 0) model.asTyped = typed
    else delete model.asTyped
  })
  return []
}
const actions: FieldActions<Typed> = { tryOut: set, commit: set }
const typed = computed(() => model.asTyped?.[field.path])
const chosen = computed(() => new Set(value.value as string[] | undefined))
function toggle(choice: string) {
  const next = (field.choices ?? []).filter(each => each === choice ? !chosen.value.has(each) : chosen.value.has(each))
  set({ value: next.length > 0 || !field.optional ? next : undefined, text: '' })
}
</script>

<template>
  <div
    :class="{ 'col-span-full': field.kind === 'slots' || field.kind === 'uses' || field.kind === 'patterns'
      || field.kind === 'text' || field.kind === 'choices' || field.kind === 'lengths' }"
  >
    <ChoiceField
      v-if="field.kind === 'choice'"
      :label="label"
      :value="String(value ?? '')"
      :options="[...field.optional ? [{ value: '', label: 'not known' }]
        : [], ...field.choices!.map(choice => ({ value: choice, label: choiceName(choice) }))]"
      :commit="choice => set({ value: choice || undefined, text: '' })"
    />
    <label
      v-else-if="field.kind === 'flag'"
      class="flex min-h-[var(--target)] items-center gap-2 text-sm"
    ><input
      type="checkbox"
      class="size-5"
      :checked="value === true"
      @change="set({ value: value === true ? undefined : true, text: '' })"
    > {{ label }}</label>
    <fieldset v-else-if="field.kind === 'choices'">
      <legend class="field-label">
        {{ label }}
      </legend>
      <div class="flex flex-wrap gap-x-4">
        <label
          v-for="choice in field.choices"
          :key="choice"
          class="flex min-h-[var(--target)] items-center gap-1.5 text-sm"
        ><input
          type="checkbox"
          class="size-4"
          :checked="chosen.has(choice)"
          @change="toggle(choice)"
        > {{ choiceName(choice) }}</label>
      </div>
    </fieldset>
    <TypedField
      v-else
      :label="label"
      :shown="writeField(field, value, system)"
      :read="read"
      :actions="actions"
      :numeric="['length', 'figure', 'count'].includes(field.kind)"
      :lines="field.kind === 'slots' ? 4 : 1"
      :hint="typed ? `entered as ${typed}` : ''"
      @fault="fault => emit('unread', fault !== '')"
    />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </div>
</template>
