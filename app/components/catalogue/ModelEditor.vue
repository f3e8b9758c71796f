<script setup lang="ts">
import { Archive, ArchiveRestore, Copy, Save } from 'lucide-vue-next'
import { produce, type Draft } from 'immer'
import { evenBezels } from '~~/core/arrange'
import { fieldsOf, KINDS, MODEL_FIELDS, modelFaults, type Model, type ModelKind } from '~~/core/catalogue'
import { same, type Display, type Fastener, type Mount, type ScrewKit } from '~~/core/job'
import { parseLength } from '~~/core/units'

/** One model: its drawing, which follows the figures as they are typed, and every figure that a plan needs. */
const { kind, model, usedBy = [], fresh = false } = defineProps<{ kind: ModelKind, model: Model, usedBy?: { name: string }[], fresh?: boolean }>()
const emit = defineEmits<{ save: [model: Model], duplicate: [model: Model] }>()
const { system } = useUnits()
const draft = shallowRef<Model>(model)
watch(() => model, () => { draft.value = model })
const asDisplay = computed(() => draft.value as Display)
const asMount = computed(() => draft.value as Mount)
const asScrews = computed(() => draft.value as Fastener | ScrewKit)
const changed = computed(() => fresh || !same(draft.value, model))
const change = (recipe: (model: Model) => void) => { draft.value = produce(draft.value, (model: Draft<Model>) => recipe(model as Model)) }
const faults = computed(() => modelFaults(kind, draft.value))
/** Faults beside the field that they are about: the longest path that begins theirs. */
function faultOf(path: string) {
  return faults.value.filter(fault => fault.path === `$.${path}` || fault.path.startsWith(`$.${path}[`) || fault.path.startsWith(`$.${path}.`)).map(({ message }) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`).join(' ')
}
const elsewhere = computed(() => faults.value.filter(({ path }) => !fieldsOf(kind).some(field => path.startsWith(`$.${field.path}`))))
function retire() {
  emit('save', produce(model, (draft: Draft<Model>) => {
    if (draft.retired) delete draft.retired
    else draft.retired = true
  }) as Model)
}

const picture = reactive({ width: '', height: '', fault: '' })
/** Splits what the picture leaves of the case evenly, where a datasheet gives no bezels. */
function splitBezels() {
  const [width, height] = [parseLength(picture.width, system.value), parseLength(picture.height, system.value)]
  if (!width.ok || !height.ok) return void (picture.fault = !width.ok ? width.message : (height as { message: string }).message)
  const split = evenBezels(draft.value as Display, { width: width.mm, height: height.mm })
  picture.fault = 'faults' in split ? split.faults.map(({ message }) => `${message}.`).join(' ') : ''
  if ('bezel' in split) change((model) => { Object.assign(model, { bezel: split.bezel, note: [model.note, 'Bezels split evenly from the picture’s size.'].filter(Boolean).join(' ') }) })
}
</script>

<template>
  <section class="flex h-full min-h-0 flex-col" :aria-label="`${KINDS[kind].name} ${model.name ?? model.id}`" data-testid="model-editor">
    <DisplayDrawing v-if="kind === 'display'" :display="asDisplay" />
    <MountDrawing v-else-if="kind === 'mount'" :mount="asMount" />
    <FastenerDrawing v-else :model="asScrews" />
    <p class="mt-2 text-xs text-ink-soft">
      <code class="figures">{{ model.id }}</code><template v-if="model.supersedes">, takes the place of <code class="figures">{{ model.supersedes }}</code></template>.
      <template v-if="usedBy.length">
        Used by {{ usedBy.map(({ name }) => name).join('; ') }}: new figures become a revision, and these walls keep what they were planned with until they take it.
      </template>
      <template v-else>
        No wall uses it.
      </template>
    </p>
    <div class="mt-2 min-h-0 flex-1 space-y-3 overflow-y-auto pr-2" tabindex="0" aria-label="Figures">
      <div v-for="{ title, fields } in MODEL_FIELDS[kind]" :key="title">
        <h3 class="border-b border-hair text-sm font-semibold">
          {{ title }}
        </h3>
        <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1.5 lg:grid-cols-4">
          <ModelFigure v-for="field in fields" :key="`${model.id} ${field.path}`" :field="field" :model="draft" :fault="faultOf(field.path)" @change="change" />
        </div>
        <div v-if="kind === 'display' && title === 'Picture'" class="mt-2 flex flex-wrap items-end gap-2 text-sm">
          <FieldFrame id="picture-width" label="Or the picture’s width">
            <input id="picture-width" v-model="picture.width" class="field-input !w-28 text-right" autocomplete="off">
          </FieldFrame>
          <FieldFrame id="picture-height" label="and its height">
            <input id="picture-height" v-model="picture.height" class="field-input !w-28 text-right" autocomplete="off">
          </FieldFrame>
          <button type="button" class="press" @click="splitBezels">
            Split the bezels evenly
          </button>
          <p v-if="picture.fault" class="field-fault" role="alert">
            {{ picture.fault }}
          </p>
        </div>
      </div>
      <p v-for="fault in elsewhere" :key="fault.path" class="field-fault" role="alert">
        {{ fault.path }} {{ fault.message }}
      </p>
    </div>
    <div class="mt-3 flex flex-wrap items-center gap-2">
      <button type="button" class="press press-first" :disabled="!changed || faults.length > 0" @click="emit('save', draft)">
        <Save class="size-4" aria-hidden="true" /> {{ fresh ? 'Keep it' : usedBy.length && changed ? 'Keep as a revision' : 'Keep the figures' }}
      </button>
      <button v-if="!fresh" type="button" class="press" @click="emit('duplicate', draft)">
        <Copy class="size-4" aria-hidden="true" /> Duplicate
      </button>
      <button v-if="!fresh" type="button" class="press" @click="retire">
        <component :is="model.retired ? ArchiveRestore : Archive" class="size-4" aria-hidden="true" /> {{ model.retired ? 'Offer it again' : 'Retire' }}
      </button>
      <span class="text-sm text-ink-soft" role="status">{{ changed ? (faults.length ? 'Not kept: set right what is marked.' : 'Not kept yet.') : '' }}</span>
    </div>
  </section>
</template>
