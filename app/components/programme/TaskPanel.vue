<script setup lang="ts">
import { KINDS, localTime, minuteAt, SKILL_WORDS, type WhyNot } from '~~/core/programme'
import { lasts } from '~~/core/units'
import { dayAt, timeAt, whenAt } from './when'

/** The task that is chosen: what it is, how long, why it is not earlier, and putting it elsewhere manually. */
const { may } = defineProps<{ may: boolean }>()
const store = useProgrammeStore()
const { tell } = useUnits()
const zone = computed(() => store.settings.zone)
const task = computed(() => store.selected === undefined ? undefined : store.taskOf(store.selected))
const placed = computed(() => store.selected === undefined ? undefined : store.placedOf(store.selected))
const notFixed = computed(() => store.planned?.notFixed.find(({ fixed }) => fixed.task === store.selected))
const unplaced = computed(() => store.planned?.unplaced.find(({ task }) => task === store.selected))
const why = shallowRef<WhyNot>()
const { form, clear } = useDraftForm(() => ({
  crew: placed.value?.crew ?? store.settings.crews[0]?.id ?? '',
  ...localTime(placed.value?.start ?? store.planned?.from ?? 0, zone.value),
}))
const fault = ref('')
watch(() => store.selected, () => {
  fault.value = ''
  clear()
})
watch([task, placed], async () => {
  why.value = undefined
  if (!task.value) return
  const asked = task.value.id
  const answer = placed.value && await store.why(asked)
  if (task.value?.id === asked) why.value = answer
}, { immediate: true })
async function fixHere() {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(form.day) || !/^\d{2}:\d{2}$/.test(form.time))
    return void (fault.value = 'Choose a day and a time.')
  fault.value = await store.fix(task.value!.id, form.crew, minuteAt(form.day, form.time, zone.value))
  if (!fault.value) clear()
}
const before = ref('')
const others = computed(() => store.planned?.tasks.filter(({ id }) => id !== task.value?.id) ?? [])
async function link() {
  if (!before.value) return
  const [first, after] = [before.value, task.value!.id]
  fault.value = await store.edit(now => ({ ...now, links: [...(now.links ?? []), { before: first, after, wait: 0 }] }))
  before.value = ''
}
const links = computed(() => store.settings.links?.filter(({ after }) => after === task.value?.id) ?? [])
const isLinked = (id: string) => links.value.some(({ before }) => before === id)
const unlink = (id: string) =>
  store.told(
    store.edit(now => ({
      ...now,
      links: now.links?.filter(each => each.before !== id || each.after !== task.value!.id),
    })),
  )
const leaveOut = () =>
  store.told(
    store.edit(
      now => ({ ...now, leftOut: [...new Set([...(now.leftOut ?? []), task.value!.id])] }),
      `${tell(task.value!.title)} excluded`,
    ),
  )
</script>

<template>
  <section v-if="task" aria-label="Selected task" class="space-y-3" data-testid="task">
    <header>
      <h2 class="text-lg font-bold">
        {{ tell(task.title) }}
      </h2>
      <p class="text-sm text-ink-soft">
        {{ task.siteName }}; <NuxtLink
          :to="`/sites/${task.site}/walls/${task.wall}/hang`"
          class="underline"
        >open wall</NuxtLink>
      </p>
    </header>
    <p v-if="placed" class="text-sm" data-testid="task-when">
      <b>{{ whenAt(placed.start, zone) }}</b> to
      {{ dayAt(placed.end, zone) === dayAt(placed.start, zone) ? timeAt(placed.end, zone)
        : whenAt(placed.end, zone) }}, {{ store.crewName(placed.crew) }}<template v-if="placed.spans.length > 1">, in
        {{ placed.spans.length }} parts</template>
    </p>
    <p v-if="unplaced" class="border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm">
      Not scheduled. {{ tell(unplaced.why) }}
    </p>
    <p
      v-if="notFixed"
      class="border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm"
      role="alert"
      data-testid="not-fixed"
    >
      Pinned to {{ whenAt(notFixed.fixed.start, zone) }}, but it does not fit: {{ tell(notFixed.why) }}.
      <button v-if="may" type="button" class="press mt-1" @click="store.letGo(task.id)">
        Unpin task
      </button>
    </p>
    <FigureLine label="Duration" :figure="task.length" />
    <p class="text-sm">
      {{ task.work.done }} of {{ task.work.pieces }} {{ KINDS[task.kind].piece[1] }} done.
      {{ task.people }} {{ task.people === 1 ? 'person' : 'people' }},
      {{ SKILL_WORDS[task.skill] }}{{ task.aid ? ', lifting aid' : '' }}{{ task.noisy ? '; noisy work hours only'
        : '' }}{{ task.splits ? '' : '; without a break' }}. Tools: {{ KINDS[task.kind].tools }}.
    </p>
    <TaskDone :key="task.id" class="block" :site="task.site" :wall="task.wall" :kind="task.kind" @done="store.load()" />
    <div v-if="why" data-testid="why">
      <h3 class="font-semibold">
        Why not earlier
      </h3>
      <ol v-if="why.waits.length" class="mt-1 space-y-1 text-sm">
        <li v-for="(wait, n) in why.waits" :key="n" class="border-l-2 border-edge pl-2">
          <span class="figures font-semibold">{{ whenAt(wait.until, zone) }}</span>: {{ tell(wait.why) }}
        </li>
      </ol>
      <p v-else class="text-sm">
        It starts at the earliest possible time.
      </p>
      <p v-for="other in why.others" :key="other.crew" class="mt-1 text-xs text-ink-soft">
        {{ store.crewName(other.crew) }} could start {{ whenAt(other.start, zone) }}.
      </p>
    </div>
    <div v-if="task.after.length">
      <h3 class="font-semibold">
        Predecessors
      </h3>
      <ul class="text-sm">
        <li v-for="{ task: id, wait } in task.after" :key="id" class="flex items-center gap-2">
          <span
            class="flex-1"
          >{{ tell(store.taskOf(id)?.title ?? [id]) }}{{ wait ? `, plus ${lasts(wait)}` : '' }}</span>
          <button v-if="may && isLinked(id)" type="button" class="press !px-2" @click="unlink(id)">
            Remove link
          </button>
        </li>
      </ul>
    </div>
    <form v-if="may" class="space-y-2 border-t border-hair pt-2" novalidate @submit.prevent="fixHere">
      <h3 class="font-semibold">
        Pin to a time
      </h3>
      <div class="grid grid-cols-2 gap-2">
        <FieldFrame id="fix-day" label="Day">
          <input id="fix-day" v-model="form.day" type="date" class="field-input">
        </FieldFrame>
        <FieldFrame id="fix-time" label="Start time">
          <input id="fix-time" v-model="form.time" type="time" step="900" class="field-input">
        </FieldFrame>
      </div>
      <ChoiceField
        label="Crew"
        :value="form.crew"
        :options="store.settings.crews.map(({ id, name }) => ({ value: id, label: name }))"
        :commit="chosen => { form.crew = chosen; return [] }"
      />
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <div class="flex flex-wrap gap-2">
        <button type="submit" class="press press-first">
          Pin task
        </button>
        <button v-if="store.isFixed(task.id)" type="button" class="press" @click="store.letGo(task.id)">
          Unpin task
        </button>
        <button type="button" class="press" @click="leaveOut">
          Exclude task
        </button>
      </div>
      <FieldFrame id="link-before" label="Add predecessor">
        <select id="link-before" v-model="before" class="field-input" @change="link">
          <option value="">
            select a task
          </option>
          <option v-for="other in others" :key="other.id" :value="other.id">
            {{ other.siteName }}: {{ tell(other.title) }}
          </option>
        </select>
      </FieldFrame>
    </form>
  </section>
</template>
