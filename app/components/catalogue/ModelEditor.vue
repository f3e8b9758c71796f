<script setup lang="ts">
import { Archive, ArchiveRestore, Copy, Save, Undo2 } from 'lucide-vue-next'
import { produce, type Draft } from 'immer'
import { evenBezels } from '~~/core/arrange'
import { fieldsOf, KINDS, MODEL_FIELDS, modelFaults, type Model, type ModelKind } from '~~/core/catalogue'
import {
  same, type BoxModel, type CableModel, type Display, type Fastener, type Mount, type ScrewKit,
} from '~~/core/job'
import { parseLength } from '~~/core/units'

/** One model: its drawing, which follows the figures as they are typed, and every figure that a plan needs. */
const { kind, model, draft, usedBy = [], held = false, fresh = false } = defineProps<{
  kind: ModelKind
  /** As the catalogue has it, and as it is being changed. */
  model: Model
  draft: Model
  usedBy?: { name: string }[]
  /** Whether a site holds it, so that new figures become a revision. */
  held?: boolean
  /** Whether the catalogue does not have it yet. */
  fresh?: boolean
}>()
const emit = defineEmits<{ change: [model: Model], save: [model: Model], duplicate: [model: Model], leave: [] }>()
const { system } = useUnits()
const session = useSessionStore()
const asDisplay = computed(() => draft as Display)
const asMount = computed(() => draft as Mount)
const asBox = computed(() => draft as BoxModel)
const asCable = computed(() => draft as CableModel)
const asScrews = computed(() => draft as Fastener | ScrewKit)
const changed = computed(() => fresh || !same(draft, model))
/** Fields in which something stands that cannot be read, and so is not in the draft. */
const unread = ref(new Set<string>())
function mark(path: string, wrong: boolean) {
  if (wrong) unread.value.add(path)
  else unread.value.delete(path)
}
const change = (recipe: (model: Model) => void) => {
  emit(
    'change',
    produce(draft, (model: Draft<Model>) => recipe(model as Model)),
  )
}
const faults = computed(() => modelFaults(kind, draft))
/** Faults beside the field that they are about: the longest path that begins theirs. */
function faultOf(path: string) {
  return faults.value
    .filter(
      fault => fault.path === `$.${path}` || fault.path.startsWith(`$.${path}[`) || fault.path.startsWith(`$.${path}.`),
    )
    .map(({ message }) => `${message.charAt(0).toUpperCase()}${message.slice(1)}.`)
    .join(' ')
}
const elsewhere = computed(() =>
  faults.value.filter(({ path }) => !fieldsOf(kind).some(field => path.startsWith(`$.${field.path}`))),
)
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
  if (!width.ok || !height.ok)
    return void (picture.fault = !width.ok ? width.message : (height as { message: string }).message)
  const split = evenBezels(draft as Display, { width: width.mm, height: height.mm })
  picture.fault = 'faults' in split ? split.faults.map(({ message }) => `${message}.`).join(' ') : ''
  if ('bezel' in split)
    change((model) => {
      Object.assign(model, {
        bezel: split.bezel,
        note: [model.note, 'Bezels calculated evenly from the picture size.'].filter(Boolean).join(' '),
      })
    })
}
</script>

<template>
  <section
    class="flex h-full min-h-0 flex-col"
    :aria-label="`${KINDS[kind].name} ${model.name ?? model.id}`"
    data-testid="model-editor"
  >
    <DisplayDrawing v-if="kind === 'display'" :display="asDisplay" />
    <MountDrawing v-else-if="kind === 'mount'" :mount="asMount" />
    <BoxDrawing v-else-if="kind === 'box'" :box="asBox" />
    <CableDrawing v-else-if="kind === 'cable'" :cable="asCable" />
    <FastenerDrawing v-else :model="asScrews" />
    <p class="mt-2 text-xs text-ink-soft">
      <code class="figures">{{ model.id }}</code><template v-if="model.supersedes">, supersedes
        <code class="figures">{{ model.supersedes }}</code></template>.
      {{ usedBy.length ? `Used by ${usedBy.map(({ name }) => name).join('; ')}.` : 'Not used on any wall.' }}
      <template v-if="held">
        Changes are saved as a new revision. Walls keep the old figures until they are updated.
      </template>
    </p>
    <div class="mt-2 min-h-0 flex-1 space-y-3 overflow-y-auto pr-2" tabindex="0" role="group" aria-label="Figures">
      <div v-for="{ title, fields } in MODEL_FIELDS[kind]" :key="title">
        <h3 class="border-b border-hair text-sm font-semibold">
          {{ title }}
        </h3>
        <div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-1.5 lg:grid-cols-4">
          <ModelFigure
            v-for="field in fields"
            :key="`${model.id} ${field.path}`"
            :field="field"
            :model="draft"
            :fault="faultOf(field.path)"
            @change="change"
            @unread="wrong => mark(field.path, wrong)"
          />
        </div>
        <div v-if="kind === 'display' && title === 'Picture'" class="mt-2 flex flex-wrap items-end gap-2 text-sm">
          <FieldFrame id="picture-width" label="Picture width">
            <input id="picture-width" v-model="picture.width" class="field-input !w-28 text-right" autocomplete="off">
          </FieldFrame>
          <FieldFrame id="picture-height" label="Picture height">
            <input id="picture-height" v-model="picture.height" class="field-input !w-28 text-right" autocomplete="off">
          </FieldFrame>
          <button type="button" class="press" @click="splitBezels">
            Calculate even bezels
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
    <p v-if="!session.may('firm.catalogue')" class="mt-3 text-sm text-ink-soft">
      Read only. A planner can edit the catalogue.
    </p>
    <div v-else class="mt-3 flex flex-wrap items-center gap-2">
      <button
        type="button"
        class="press press-first"
        :disabled="!changed || faults.length > 0 || unread.size > 0"
        @click="emit('save', draft)"
      >
        <Save class="size-4" aria-hidden="true" /> {{ fresh ? 'Save' : held && changed ? 'Save as revision' : 'Save' }}
      </button>
      <button v-if="changed" type="button" class="press" @click="emit('leave')">
        <Undo2 class="size-4" aria-hidden="true" /> {{ fresh ? 'Discard' : 'Discard changes' }}
      </button>
      <button v-if="!fresh" type="button" class="press" @click="emit('duplicate', draft)">
        <Copy class="size-4" aria-hidden="true" /> Duplicate
      </button>
      <button v-if="!fresh" type="button" class="press" @click="retire">
        <component
          :is="model.retired ? ArchiveRestore : Archive"
          class="size-4"
          aria-hidden="true"
        /> {{ model.retired ? 'Restore' : 'Archive' }}
      </button>
      <span
        class="text-sm text-ink-soft"
        role="status"
      >{{ changed
        ? (faults.length || unread.size ? 'Not saved: correct the marked fields.'
          : 'Not saved. The draft is stored in this browser.') : '' }}</span>
    </div>
  </section>
</template>
