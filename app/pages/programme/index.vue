<script setup lang="ts">
import { dayAfter, localTime, minuteAt } from '~~/core/programme'
import { siteLetters, whenAt } from '~/components/programme/when'
import { lasts } from '~~/core/units'
import { plural } from '~~/core/units/plural'

/** The schedule: who is where when, how good it is, and what moves it. */
const store = useProgrammeStore()
if (!useSessionStore().may('programme.plan')) await navigateTo('/programme/week', { replace: true })
const session = useSessionStore()
const { tell } = useUnits()
const may = computed(() => session.may('programme.plan'))
const zone = computed(() => store.settings.zone)
const weeks = ref(2)
const first = ref('')
watch(() => store.planned, (planned) => {
  if (!planned || first.value) return
  first.value = localTime(Math.min(...planned.placed.map(({ start }) => start), planned.finish), zone.value).day
})
const from = computed(() => minuteAt(first.value, '00:00', zone.value))
const to = computed(() => minuteAt(dayAfter(first.value, 7 * weeks.value), '06:00', zone.value))
const says = ref('')
async function publish() {
  says.value = await store.publish() || 'Published. Calendars, day sheets and pick lists are updated.'
}
const finish = computed(() => store.planned && whenAt(store.planned.finish, zone.value))
const over = computed(() => Math.round(1000 * (store.planned?.over ?? 0)) / 10)
const without = computed(() => store.planned?.unplaced ?? [])
const left = computed(() => store.settings.leftOut ?? [])
const takeIn = () => store.told(store.edit(now => ({ ...now, leftOut: [] }), 'Excluded tasks included again'))
useCommands(() => [
  {
    id: 'programme-undo',
    title: 'Undo programme change',
    group: 'Everywhere' as const,
    keys: ['ctrl+z'],
    when: () => may.value && store.history.past.length > 0,
    run: () => void store.undo(),
  },
  {
    id: 'programme-redo',
    title: 'Redo programme change',
    group: 'Everywhere' as const,
    keys: ['ctrl+y', 'ctrl+shift+z'],
    when: () => may.value && store.history.future.length > 0,
    run: () => void store.redo(),
  },
  {
    id: 'programme-publish',
    title: 'Publish programme',
    group: 'Everywhere' as const,
    when: () => may.value && store.unpublished.length > 0,
    run: () => void publish(),
  },
])
/** What a change does to the finish and to other tasks, in a sentence. */
function effectOf({ finishBefore, finishAfter, moved }: NonNullable<typeof store.change>): string {
  const apart = Math.abs(finishAfter - finishBefore)
  const finish
    = apart === 0 ? 'as before' : `${lasts(apart)} ${finishAfter > finishBefore ? 'later' : 'earlier'} than before`
  const others
    = moved.length === 0 ? 'no task moves' : plural(moved.length, 'task moves', 'tasks move')
  return `All work finishes by ${whenAt(finishAfter, zone.value)}, ${finish}; ${others}.`
}
</script>

<template>
  <ProgrammeFrame title="Schedule">
    <main
      v-if="store.planned && first"
      class="grid min-h-0 flex-1 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_330px] lg:overflow-hidden"
    >
      <div class="min-w-0 space-y-4 p-4 lg:overflow-y-auto" tabindex="0" role="group" aria-label="Schedule">
        <div class="flex flex-wrap items-end justify-between gap-3">
          <h1 class="text-2xl font-bold" data-testid="finish">
            <template v-if="store.planned.placed.length">
              All work finishes by {{ finish }}
            </template><template v-else>
              No tasks scheduled
            </template>
          </h1>
          <div class="flex items-center gap-2">
            <button type="button" class="press" aria-label="One week earlier" @click="first = dayAfter(first, -7)">
              ‹
            </button>
            <button type="button" class="press" aria-label="One week later" @click="first = dayAfter(first, 7)">
              ›
            </button>
            <select v-model.number="weeks" class="field-input !w-auto" aria-label="Period shown">
              <option :value="1">
                one week
              </option>
              <option :value="2">
                two weeks
              </option>
              <option :value="4">
                four weeks
              </option>
            </select>
          </div>
        </div>
        <p v-if="store.planned.placed.length" class="text-sm" data-testid="bound">
          <template v-if="over < 0.05">
            This is the earliest possible finish.
          </template><template v-else>
            The earliest possible finish is {{ whenAt(store.planned.bound.finish, zone) }}; this schedule takes
            {{ over }} % longer.
          </template> {{ tell(store.planned.bound.why) }}
        </p>
        <p
          v-if="store.planned.keptBut !== undefined && store.planned.keptBut < store.planned.finish || store.afresh"
          class="flex flex-wrap items-center gap-2 text-sm"
          data-testid="kept"
        >
          <template v-if="store.afresh">
            Replanned from scratch: published times are not kept.
          </template><template v-else>
            Published times are kept. Replanned from scratch, all work could finish by
            {{ whenAt(store.planned.keptBut!, zone) }}.
          </template>
          <button type="button" class="press" @click="store.planAfresh(!store.afresh)">
            {{ store.afresh ? 'Keep published times' : 'Replan from scratch' }}
          </button>
        </p>
        <CrewTimeline :from="from" :to="to" :movable="may" />
        <p class="flex flex-wrap gap-x-4 text-xs text-ink-soft">
          <span>Hours outside working hours are hidden.</span><span>◆ pinned</span><span>Bar below a row: working hours
            of the crew</span>
          <span>{{ store.planned.places.filter(({ id }) =>
            store.planned!.tasks.some(({ site }) => site === id)).map(({ name }) =>
            `${siteLetters(name)} ${name}`).join(' · ') }}</span>
        </p>
        <section
          v-if="store.change"
          class="border-l-4 border-chalk bg-board p-3"
          aria-label="Effect of the change"
          data-testid="change"
        >
          <h2 class="font-semibold">
            {{ store.change.title }}
          </h2>
          <p class="text-sm">
            {{ effectOf(store.change) }}
          </p>
          <MovedList v-if="store.change.moved.length" :moved="store.change.moved" class="mt-2" />
          <div class="mt-2 flex gap-2">
            <button type="button" class="press press-first" @click="store.change = undefined">
              Keep change
            </button>
            <button type="button" class="press" @click="store.undo()">
              Undo change
            </button>
          </div>
        </section>
        <section
          v-if="without.length"
          class="border-l-4 border-stop bg-stop-wash p-3"
          aria-label="Not scheduled"
          data-testid="unplaced"
        >
          <h2 class="font-semibold">
            Not scheduled: {{ without.length }}
          </h2>
          <ul class="space-y-1 text-sm">
            <li v-for="{ task, why } in without" :key="task">
              <button type="button" class="font-semibold underline" @click="store.selected = task">
                {{ tell(store.taskOf(task)?.title ?? [task]) }}
              </button>: {{ tell(why) }}
            </li>
          </ul>
        </section>
        <section
          v-if="store.planned.notFixed.length"
          class="border-l-4 border-stop bg-stop-wash p-3"
          aria-label="Pins that do not fit"
          data-testid="not-fixed-list"
        >
          <h2 class="font-semibold">
            Pins that do not fit
          </h2>
          <ul class="space-y-1 text-sm">
            <li v-for="{ fixed, why } in store.planned.notFixed" :key="fixed.task">
              <button type="button" class="font-semibold underline" @click="store.selected = fixed.task">
                {{ tell(store.taskOf(fixed.task)?.title ?? [fixed.task]) }}
              </button>, {{ whenAt(fixed.start, zone) }}: {{ tell(why) }}. It is scheduled as if it were not pinned.
              <button v-if="may" type="button" class="press !px-2" @click="store.letGo(fixed.task)">
                Unpin task
              </button>
            </li>
          </ul>
        </section>
        <section
          v-if="store.planned.cautions.length"
          class="border-l-4 border-caution bg-caution-wash p-3"
          aria-label="Cautions"
          data-testid="cautions"
        >
          <ul class="space-y-1 text-sm">
            <li v-for="(caution, n) in store.planned.cautions" :key="n">
              {{ tell(caution) }}
            </li>
          </ul>
        </section>
      </div>
      <aside
        class="space-y-4 border-l border-hair p-4 lg:overflow-y-auto"
        tabindex="0"
        aria-label="Publishing and selected task"
      >
        <section v-if="may" class="space-y-2" aria-label="Publishing">
          <p class="text-sm" data-testid="unpublished">
            <template v-if="store.unpublished.length === 0">
              The published schedule is up to date.
            </template><template v-else>
              {{ store.unpublished.length }} {{ store.unpublished.length === 1 ? 'task differs' : 'tasks differ' }} from
              the published schedule<template v-if="store.data?.publishedAt">
                of {{ whenOf(store.data.publishedAt) }} by {{ store.data.publishedBy }}
              </template>.
            </template>
          </p>
          <details v-if="store.unpublished.length && store.published.length">
            <summary class="cursor-pointer text-sm">
              Show differences
            </summary>
            <MovedList :moved="store.unpublished" :most="5" />
          </details>
          <button
            type="button"
            class="press press-first w-full"
            :disabled="store.busy || store.unpublished.length === 0"
            @click="publish"
          >
            Publish
          </button>
          <p v-if="says" class="text-sm" role="status">
            {{ says }}
          </p>
          <div class="flex gap-2">
            <button
              type="button"
              class="press flex-1"
              :disabled="store.history.past.length === 0"
              @click="store.undo()"
            >
              Undo
            </button>
            <button
              type="button"
              class="press flex-1"
              :disabled="store.history.future.length === 0"
              @click="store.redo()"
            >
              Redo
            </button>
          </div>
          <LostDay />
          <p v-if="left.length" class="text-sm">
            {{ left.length }} {{ left.length === 1 ? 'task is' : 'tasks are' }} excluded.
            <button type="button" class="underline" @click="takeIn">
              Include all
            </button>
          </p>
        </section>
        <TaskPanel v-if="store.selected" :may="may" />
        <p v-else class="text-sm text-ink-soft">
          Select a task to see why it does not start
          earlier{{ may ? ', or drag it to another time or crew to pin it there' : '' }}.
        </p>
      </aside>
    </main>
    <p v-else class="p-6 text-sm">
      {{ store.failed ? '' : 'Calculating the schedule…' }}
    </p>
  </ProgrammeFrame>
</template>
