<script setup lang="ts">
import type { SiteState } from '~~/core/api/sites'
import type { Window } from '~~/core/job'
import { DAY_LETTERS } from '~/components/programme/when'

/** The place: where it is, how one comes in, and when it may be worked at, and be loud. */
const { site } = defineProps<{ site: string }>()
const session = useSessionStore()
const state = defineModel<SiteState>()
const fault = ref('')
const editing = ref(false)
/** The version that the form was made from: what others changed since then is reported before it is written over. */
let from = 0
const may = computed(() => session.may('site.settings', site))
const place = computed(() => state.value?.site)
const TEXTS = [
  ['address', 'Address'],
  ['access', 'Access'],
  ['parking', 'Parking'],
  ['delivery', 'Lift and deliveries'],
] as const
const RULES = [
  { value: '', label: 'not chosen: the stricter of both' },
  { value: 'iec', label: 'IEC 60364 and what follows it' },
  { value: 'nec', label: 'NEC (NFPA 70)' },
] as const
const rulesName = (rules: string | undefined) => RULES.find(({ value }) => value === (rules ?? ''))!.label
const said = ({ days, from, to }: Window) =>
  `${days.map(day => DAY_LETTERS[day]).join(' ') || 'no day'} ${from} to ${to}${to <= from ? ' next day' : ''}`
const form = reactive({
  address: '',
  access: '',
  parking: '',
  delivery: '',
  electricalRules: '',
  zone: '',
  windows: [] as Window[],
  noise: [] as Window[],
  always: true,
  loud: true,
  closed: '',
})
function edit() {
  const now = place.value!
  Object.assign(form, {
    address: now.address ?? '',
    access: now.access ?? '',
    parking: now.parking ?? '',
    delivery: now.delivery ?? '',
    electricalRules: now.electricalRules ?? '',
    zone: now.zone ?? '',
    windows: now.windows ?? [],
    noise: now.noise ?? [],
    always: now.windows === undefined,
    loud: now.noise === undefined,
    closed: (now.closed ?? []).map(({ day, reason }) => [day, reason].filter(Boolean).join(' ')).join('\n'),
  })
  from = state.value!.version
  editing.value = true
}
async function save() {
  const closed = form.closed.split('\n').map(line => line.trim()).filter(Boolean).map((line) => {
    const [day, ...reason] = line.split(/\s+/)
    return { day, ...reason.length > 0 && { reason: reason.join(' ') } }
  })
  const text = (value: string) => value.trim() || null
  try {
    state.value = await api<SiteState>(`/sites/${site}/place`, {
      method: 'PUT',
      body: {
        version: from,
        place: {
          address: text(form.address),
          access: text(form.access),
          parking: text(form.parking),
          delivery: text(form.delivery),
          electricalRules: form.electricalRules || null,
          zone: text(form.zone),
          windows: form.always ? null : form.windows,
          noise: form.loud ? null : form.noise,
          closed: closed.length > 0 ? closed : null,
        },
      },
    })
    editing.value = false
    fault.value = ''
  }
  catch (error) {
    const { faults = [], message, current } = error as ApiError
    if (current) {
      state.value = current as SiteState
      from = state.value.version
    }
    fault.value
      = faults.length > 0
        ? faults.map(each => `${each.path.replace(/^\$\.site\.?/, '')} ${each.message}`.trim()).join('. ')
        : message
  }
}
</script>

<template>
  <section v-if="place" aria-label="Location and access" class="space-y-2" data-testid="place">
    <div class="flex items-center justify-between">
      <h2 class="font-semibold">
        Location and access
      </h2>
      <button v-if="may && !editing" type="button" class="press" @click="edit">
        Edit
      </button>
    </div>
    <dl v-if="!editing" class="space-y-1 text-sm">
      <template v-for="[key, label] in TEXTS" :key="key">
        <div v-if="place[key]">
          <dt class="text-xs text-ink-soft">
            {{ label }}
          </dt>
          <dd>{{ place[key] }}</dd>
        </div>
      </template>
      <div>
        <dt class="text-xs text-ink-soft">
          Electrical rules
        </dt>
        <dd>{{ rulesName(place.electricalRules) }}</dd>
      </div>
      <div>
        <dt class="text-xs text-ink-soft">
          Access hours{{ place.zone ? `, ${place.zone} time` : '' }}
        </dt>
        <dd v-for="(window, n) in place.windows ?? []" :key="n" class="figures">
          {{ said(window) }}
        </dd>
        <dd v-if="!place.windows">
          at any time
        </dd>
        <dd v-else-if="place.windows.every(({ days }) => days.length === 0)" class="font-semibold text-stop">
          never: no day is selected
        </dd>
      </div>
      <div v-if="place.noise">
        <dt class="text-xs text-ink-soft">
          Noisy work hours
        </dt>
        <dd v-for="(window, n) in place.noise" :key="n" class="figures">
          {{ said(window) }}
        </dd>
      </div>
      <div v-if="place.closed?.length">
        <dt class="text-xs text-ink-soft">
          Closed days
        </dt>
        <dd v-for="day in place.closed" :key="day.day">
          <span class="figures">{{ day.day }}</span>{{ day.reason ? `: ${day.reason}` : '' }}
        </dd>
      </div>
    </dl>
    <form v-else class="space-y-2" novalidate @submit.prevent="save">
      <FieldFrame v-for="[key, label] in TEXTS" :id="`place-${key}`" :key="key" :label="label">
        <textarea :id="`place-${key}`" v-model="form[key]" class="field-input !py-1" rows="2" maxlength="2000" />
      </FieldFrame>
      <FieldFrame id="place-rules" label="Electrical rules" hint="Local amendments come first.">
        <select id="place-rules" v-model="form.electricalRules" class="field-input">
          <option v-for="{ value, label } in RULES" :key="value" :value="value">
            {{ label }}
          </option>
        </select>
      </FieldFrame>
      <FieldFrame id="place-zone" label="Time zone" hint="For example Europe/Oslo. Leave empty to use the firm’s.">
        <input id="place-zone" v-model="form.zone" class="field-input" autocomplete="off">
      </FieldFrame>
      <label class="flex min-h-8 items-center gap-2 text-sm"><input
        v-model="form.always"
        type="checkbox"
        class="size-5"
      > Access at any time</label>
      <WindowFields
        v-if="!form.always"
        label="Access hours"
        :windows="form.windows"
        @change="windows => { form.windows = windows }"
      />
      <label class="flex min-h-8 items-center gap-2 text-sm"><input v-model="form.loud" type="checkbox" class="size-5">
        Noisy work during all access hours</label>
      <WindowFields
        v-if="!form.loud"
        label="Noisy work hours"
        :windows="form.noise"
        @change="windows => { form.noise = windows }"
      />
      <FieldFrame
        id="place-closed"
        label="Closed days, one per line"
        hint="Date and reason, for example 2026-12-24 last ferry at noon"
      >
        <textarea id="place-closed" v-model="form.closed" class="field-input !py-1" rows="3" />
      </FieldFrame>
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <div class="flex gap-2">
        <button type="submit" class="press press-first">
          Save
        </button>
        <button type="button" class="press" @click="editing = false">
          Cancel
        </button>
      </div>
    </form>
  </section>
</template>
