import type { ProgrammeData, ProgrammeState, PublishedStretch } from '~~/core/api/programme'
import { wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { until } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { merge, same, type Fault } from '~~/core/job'
import {
  dayAfter, minuteOf, momentOf, movedTasks, NO_SETTINGS, settingsFaults, stretchesOf, type Moved, type PlacedTask,
  type Planned, type Settings, type WhyNot,
} from '~~/core/programme'
import { PROGRAMME, type SettingsState } from '../sync/device'
import { reasonOf } from '../sync/sending'
import { useOutbox } from '../sync/useOutbox'
import type { ApiError } from '../utils/api'
import { api } from '../utils/api'
import { emptyHistory, recorded, redone, undone } from '../utils/history'
import type { Scheduler } from '../workers/schedule.worker'

/** While states of walls are being calculated, it is asked again after so long, ms. */
const AGAIN = 1_500
const YEAR_DAYS = 366
/** So long a change that was just made may take to be saved before the schedule is published, ms. */
const LONGEST_SAVE = 5_000

/** The firm's programme: what was decided, what is calculated of it in a worker, and what is published. */
export const useProgrammeStore = defineStore('programme', () => {
  const { device, outbox, state: sending, waiting } = useOutbox()
  const data = shallowRef<ProgrammeData>()
  /** The settings as the server had them last; those of `data` may have changes that it does not have yet. */
  const server = shallowRef<SettingsState>()
  const planned = shallowRef<Planned>()
  const published = shallowRef<PublishedStretch[]>([])
  const failed = ref('')
  /** What was wrong with a change that has no field beside which it could be said. */
  const fault = ref('')
  const busy = ref(false)
  const selected = ref<string>()
  /** Whether it is planned without keeping to what people were reported. */
  const afresh = ref(false)
  /** What a change made of the schedule, until a person has looked at it. */
  const change = shallowRef<{
    title: string
    moved: Moved[]
    finishBefore: number
    finishAfter: number
    settings: Settings
  }>()
  /** Settings as they were before each change, and those that were taken back. */
  const history = shallowRef(emptyHistory<Settings>())

  const settings = computed(() => data.value?.settings ?? NO_SETTINGS)
  const zoneOf = (site: string) => data.value?.sites.find(({ id }) => id === site)?.zone ?? settings.value.zone
  const siteName = (id: string) => data.value?.sites.find(site => site.id === id)?.name ?? id
  const wallName = (site: string, id: string) =>
    data.value?.walls.find(wall => wall.site === site && wall.id === id)?.name ?? id
  const crewName = (id: string) => settings.value.crews.find(crew => crew.id === id)?.name ?? id
  const personName = (id: string) => data.value?.people.find(person => person.id === id)?.name ?? id
  const taskOf = (id: string) => planned.value?.tasks.find(task => task.id === id)
  const placedOf = (id: string) => planned.value?.placed.find(({ task }) => task === id)

  /** What was published of what is still to come, as places of tasks. */
  const publishedPlaces = computed((): PlacedTask[] => {
    const [places, now] = [new Map<string, PlacedTask>(), new Date().toISOString()]
    for (const { task, crew, startsAt, endsAt } of published.value.filter(stretch => stretch.endsAt > now)) {
      const [from, to] = [minuteOf(startsAt), minuteOf(endsAt)]
      const known = places.get(task)
      places.set(
        task,
        known
          ? { ...known, end: to, spans: [...known.spans, { from, to }] }
          : { task, crew, start: from, end: to, spans: [{ from, to }] },
      )
    }
    return [...places.values()]
  })
  let scheduler: Remote<Scheduler> | undefined
  const atWork = () =>
    (scheduler ??= wrap<Scheduler>(
      new Worker(new URL('../workers/schedule.worker.ts', import.meta.url), { type: 'module' }),
    ))

  async function workOut() {
    const { sites, walls, people } = data.value!
    // Anyone who was removed from the firm is in no crew any more, whatever its list says.
    const here = new Set(people.map(({ id }) => id))
    const crews = settings.value.crews.map(crew => ({ ...crew, people: crew.people.filter(id => here.has(id)) }))
    const now = new Date().toISOString()
    const underWay = publishedPlaces.value
      .filter(({ start }) => start <= minuteOf(now))
      .map(({ task, crew, spans }) => ({ task, crew, spans }))
    busy.value = true
    try {
      planned.value = await atWork().plan(
        JSON.parse(
          JSON.stringify({
            settings: { ...settings.value, crews },
            sites,
            now: minuteOf(now),
            underWay,
            ...(!afresh.value && {
              before: publishedPlaces.value.map(({ task, crew, start }) => ({ task, crew, start })),
            }),
            walls: walls.map(({ site, id, name, work, stops, issued }) => ({
              site,
              id,
              name,
              stops,
              issued,
              ...(work && { work }),
            })),
            samples: walls.flatMap(({ samples = [] }) => samples),
          }),
        ),
      )
    }
    finally {
      busy.value = false
    }
  }

  async function loadPublished() {
    const today = new Date().toISOString().slice(0, 10)
    const [from, to] = [dayAfter(today, -7), dayAfter(today, YEAR_DAYS)]
    published.value = await api<PublishedStretch[]>(`/programme/published?from=${from}T00:00:00Z&to=${to}T00:00:00Z`)
  }

  async function load() {
    try {
      const [given, mine] = [await api<ProgrammeData>('/programme'), await device.settings.get(PROGRAMME)]
      server.value = { settings: given.settings, version: given.version }
      data.value = mine ? { ...given, settings: merge(mine.base, mine.settings, given.settings) } : given
      failed.value = ''
      await loadPublished()
      // Anyone who does not see every site cannot work it out.
      if (useSessionStore().may('programme.plan')) await workOut()
      if (data.value.pending > 0) setTimeout(load, AGAIN)
    }
    catch (error) {
      failed.value = (error as Error).message
    }
  }

  /**
   * Shows settings as they are to be, keeps them on the device and has them sent.
   *
   * @returns what is wrong where the device keeps nothing: then nothing is changed
   */
  async function put(next: Settings): Promise<string> {
    const before = settings.value
    data.value = { ...data.value!, settings: next }
    // Nothing is published until the schedule is calculated of them.
    busy.value = true
    try {
      await outbox.changeSettings(server.value!, before, next)
      return ''
    }
    catch {
      data.value = { ...data.value, settings: before }
      busy.value = false
      return 'This device stores nothing. Free some space, or allow this page to store data.'
    }
  }

  /** Takes in how the server has the settings now; what it does not have yet of this device's changes stays. */
  function receive(state: SettingsState) {
    const known = server.value
    if (!known || !data.value || state.version <= known.version) return
    data.value = { ...data.value, ...state, settings: merge(known.settings, settings.value, state.settings) }
    server.value = state
  }
  watch(() => sending.value.programme, async (state) => {
    const before = settings.value
    if (state) receive(state)
    if (!same(before, settings.value)) await workOut()
  })
  // What was refused and given up is as the server has it.
  watch(() => waiting.value.settings.length, async (now, was) => {
    if (now >= was || !server.value || !data.value || await device.settings.count() > 0) return
    data.value = { ...data.value, ...server.value }
    await workOut()
  })

  /**
   * Changes what was decided, keeps it to be saved and works the schedule out again. What another person saved in
   * between stays, where it is not the same setting.
   *
   * @param title what the change is called; where it is given, what it makes of the schedule is shown beside what it
   *   was
   * @returns what is wrong with it, in words
   */
  async function edit(make: (settings: Settings) => Settings, title?: string): Promise<string> {
    const [before, was] = [settings.value, planned.value]
    const after = JSON.parse(JSON.stringify(make(before))) as Settings
    const faults = settingsFaults(after)
    if (faults.length > 0) return reasonOf({ message: '', faults })
    const wrong = await put(after)
    if (wrong) return wrong
    history.value = recorded(history.value, { label: title ?? '', before, after })
    fault.value = ''
    await workOut()
    if (title && was && planned.value)
      change.value = {
        title,
        moved: movedTasks(was.placed, planned.value.placed),
        finishBefore: was.finish,
        finishAfter: planned.value.finish,
        settings: before,
      }
    return ''
  }

  /** The same change for a field, which says beside itself what is wrong. */
  async function tried(change: Promise<string>): Promise<Fault[]> {
    const message = await change
    return message ? [{ path: '$', message }] : []
  }

  /** Says at the head of the page what is wrong with a change that was made without a field. */
  async function told(change: Promise<string>) {
    fault.value = await change
  }

  /** Takes the last change back, or makes it again: what others changed since stays. */
  async function step(changed: typeof undone) {
    const next = changed(history.value, settings.value)
    if (!next) return
    fault.value = await put(next.now)
    if (fault.value) return
    history.value = next.history
    change.value = undefined
    await workOut()
  }
  const undo = () => step(undone)
  const redo = () => step(redone)

  /** Puts a task at a time and with a crew manually; it stays there whatever else moves. */
  const fix = (task: string, crew: string, start: number) =>
    edit(now => ({
      ...now,
      fixed: [...(now.fixed ?? []).filter(each => each.task !== task), { task, crew, start: momentOf(start) }],
    }))
  const letGo = (task: string) =>
    told(edit(now => ({ ...now, fixed: (now.fixed ?? []).filter(each => each.task !== task) })))
  const isFixed = (task: string) => settings.value.fixed?.some(each => each.task === task) ?? false

  async function publish(): Promise<string> {
    await until(busy).toBe(false, { timeout: LONGEST_SAVE })
    await until(sending).toMatch(({ sending }) => !sending, { timeout: LONGEST_SAVE })
    if (await device.settings.count() > 0) return 'Your last changes are not saved yet. Publish when they are.'
    const info = new Map(planned.value!.tasks.map(task => [task.id, task]))
    try {
      const state = await api<ProgrammeState>('/programme/publish', {
        method: 'POST',
        body: { stretches: stretchesOf(planned.value!.placed, info), version: data.value!.version },
      })
      data.value = { ...data.value!, ...state, settings: settings.value }
      await loadPublished()
      return ''
    }
    catch (error) {
      const { faults = [], message, current } = error as ApiError
      if (current) receive(current as ProgrammeState)
      return faults.length > 0 ? faults.map(({ message }) => `It ${message}.`).join(' ') : message
    }
  }

  async function planAfresh(whether: boolean) {
    afresh.value = whether
    await workOut()
  }

  const why = (task: string): Promise<WhyNot | undefined> => atWork().why(task)

  /** What would change for people if the schedule were published now. */
  const unpublished = computed(() => {
    if (!planned.value) return []
    const { from, placed } = planned.value
    // What is under way goes on as it was reported, or is over before anything can be planned.
    const goesOn = ({ before, after }: Moved) =>
      before !== undefined
      && before.start < from
      && (after ? before.end === after.end && before.crew === after.crew : before.end <= from)
    return movedTasks(publishedPlaces.value, placed).filter(each => !goesOn(each))
  })

  return {
    data,
    settings,
    planned,
    published,
    failed,
    fault,
    busy,
    selected,
    afresh,
    planAfresh,
    change,
    history,
    load,
    edit,
    told,
    tried,
    undo,
    redo,
    fix,
    letGo,
    isFixed,
    publish,
    why,
    unpublished,
    zoneOf,
    siteName,
    wallName,
    crewName,
    personName,
    taskOf,
    placedOf,
  }
})
