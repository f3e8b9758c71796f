import { produce } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { arraysOf, merge, same, wallFaults, type Catalogue, type Fault, type Job, type LogEntry, type PlanContext, type ScreenArray, type Wall } from '~~/core/job'
import { KINDS, type Model, type ModelKind } from '~~/core/catalogue'
import type { EntryKind, EntryOf } from '~~/core/log'
import { infeasibleInputs } from '~~/core/plan'
import type { Draft } from '../utils/draft'
import { emptyHistory, recorded, redone, undone } from '../utils/history'
import { newId } from '../utils/newId'

/** A wall as the server keeps it. */
export interface KeptWall { job: Job, version: number, savedAt: string, savedBy: string }

/** Somebody else's state of a wall that was saved while this browser had changes of its own. */
export interface Conflict { theirs: KeptWall, base: Wall }

/** What is said of something that happened; who, when and where are added. */
type NewEntry = { [Kind in EntryKind]: Omit<EntryOf<Kind>, 'id' | 'at' | 'by' | 'wall'> }[EntryKind]

/** A catalogue with those models that it does not have yet. */
function withModels(catalogue: Catalogue, models: Partial<Catalogue>): Catalogue {
  return { ...catalogue, ...Object.fromEntries(Object.entries(models).map(([list, added]) => {
    const own = catalogue[list as keyof Catalogue] ?? []
    return [list, [...own, ...added.filter(({ id }) => !own.some(model => model.id === id))]]
  })) }
}

/**
 * The wall that is worked on: what people measured and decided, nothing that follows from it.
 *
 * An edit is checked by the same rules as a file, applied at once, put on the history and handed
 * to the saver; a preview is a wall that is drawn and planned but not yet edited.
 */
export const useWallStore = defineStore('wall', () => {
  const site = ref('')
  const id = ref('')
  const kept = shallowRef<KeptWall>()
  const wall = shallowRef<Wall>()
  const preview = shallowRef<Wall>()
  const history = shallowRef(emptyHistory())
  const log = shallowRef<LogEntry[]>([])
  const unsentLog = shallowRef<LogEntry[]>([])
  const conflict = shallowRef<Conflict>()
  /** Which side of a conflict is drawn. */
  const looking = ref<'mine' | 'theirs'>('theirs')

  const siteUnits = computed(() => kept.value?.job.site.units ?? 'metric')
  /** Models taken from the firm's catalogue that the server's copy of the site does not have yet. */
  const taken = shallowRef<Partial<Catalogue>>({})
  const catalogue = computed(() => withModels(kept.value?.job.catalogue ?? { displays: [], mounts: [], fasteners: [] }, taken.value))
  const rules = computed(() => kept.value?.job.rules ?? {})
  /** What the wall is planned with beside itself. */
  const context = computed<PlanContext>(() => ({ catalogue: catalogue.value, rules: rules.value, site: { units: siteUnits.value } }))
  const keptWall = computed(() => kept.value?.job.walls[0])
  const unsaved = computed(() => wall.value !== undefined && !same(wall.value, keptWall.value))
  /** The wall that is drawn: the other's in a conflict, else the preview, else the edited one. */
  const shown = computed(() => conflict.value && looking.value === 'theirs' ? conflict.value.theirs.job.walls[0] : preview.value ?? wall.value)
  const allLog = computed(() => [...log.value, ...unsentLog.value])
  /** The array that is worked on. */
  const arrayId = ref('')
  const arrays = computed(() => shown.value ? arraysOf(shown.value) : [])
  const array = computed<ScreenArray | undefined>(() => arrays.value.find(({ id }) => id === arrayId.value) ?? arrays.value[0])

  /** Takes a wall from the server, and on top of it what this browser still held of it. */
  function open(siteId: string, state: KeptWall, draft?: Draft) {
    const theirs = state.job.walls[0]!
    site.value = siteId
    id.value = theirs.id
    kept.value = state
    log.value = state.job.log
    unsentLog.value = (draft?.log ?? []).filter(entry => !state.job.log.some(({ id }) => id === entry.id))
    history.value = emptyHistory()
    preview.value = conflict.value = undefined
    arrayId.value = ''
    taken.value = draft?.models ?? {}
    wall.value = theirs
    if (!draft || same(draft.wall, theirs) || same(draft.wall, draft.base)) return
    wall.value = draft.wall
    history.value = recorded(emptyHistory(), { label: 'Changes kept in this browser', before: draft.base, after: draft.wall })
    if (draft.version !== state.version) meet({ theirs: state, base: draft.base })
  }

  /** Takes a model from the firm's catalogue, for edits to use. */
  function take(kind: ModelKind, model: Model) {
    const { list } = KINDS[kind]
    taken.value = { ...taken.value, [list]: [...taken.value[list] ?? [], model] }
  }

  /** What the server keeps now, with the models that were sent along; what was taken since then is still to be sent. */
  function saved(state: Pick<KeptWall, 'version' | 'savedAt' | 'savedBy'>, wall: Wall, models: Partial<Catalogue>) {
    const { job } = kept.value!
    kept.value = { ...state, job: { ...job, catalogue: withModels(job.catalogue, models), walls: [wall] } }
    taken.value = Object.fromEntries(Object.entries(taken.value).map(([list, all]) => [list, all.filter(model => !models[list as keyof Catalogue]?.some(({ id }) => id === model.id))]))
  }

  function meet(met: Conflict) {
    looking.value = 'theirs'
    conflict.value = met
  }

  /** The faults that an edit would bring in; one that came with a file is not the edit's. */
  function faultsOf(next: Wall): Fault[] {
    const faults = wallFaults(next, catalogue.value, '$', wall.value)
    if (faults.length > 0) return faults
    const before = new Set(infeasibleInputs(wall.value!, catalogue.value).map(({ path, message }) => path + message))
    return infeasibleInputs(next, catalogue.value).filter(({ path, message }) => !before.has(path + message))
  }

  /** Makes an edit. Returns what is wrong with it, and changes nothing, if anything is. */
  function edit(label: string, recipe: (wall: Wall) => void): Fault[] {
    const before = wall.value
    if (!before || conflict.value) return [{ path: '$', message: 'Settle the two versions of this wall first.' }]
    const after = produce(before, recipe)
    preview.value = undefined
    if (same(before, after)) return []
    const faults = faultsOf(after)
    if (faults.length > 0) return faults
    history.value = recorded(history.value, { label, before, after })
    wall.value = after
    return []
  }

  /** Draws and plans a wall as if it had been edited, while a hand is still on it. */
  function tryOut(recipe: (wall: Wall) => void): Fault[] {
    if (!wall.value || conflict.value) return []
    const next = produce(wall.value, recipe)
    const faults = faultsOf(next)
    if (faults.length === 0) preview.value = next
    return faults
  }

  /** Adds an entry to the wall's log: drawn and planned with at once, sent when there is a connection. */
  function record(by: string, entry: NewEntry) {
    unsentLog.value = [...unsentLog.value, { id: newId(), at: new Date().toISOString(), by, wall: id.value, ...entry } as LogEntry]
  }

  function step(take: typeof undone) {
    if (!wall.value || conflict.value) return
    const taken = take(history.value, wall.value)
    if (!taken) return
    preview.value = undefined
    history.value = taken.history
    wall.value = taken.wall
  }

  /** Ends a conflict: my changes laid on theirs, or theirs as it is. Either can be undone. */
  function settle(choice: 'mine-on-theirs' | 'theirs') {
    const met = conflict.value
    const mine = wall.value
    if (!met || !mine) return
    const theirs = met.theirs.job.walls[0]!
    const after = choice === 'theirs' ? theirs : merge(met.base, mine, theirs)
    history.value = recorded(history.value, { label: choice === 'theirs' ? 'Taking their version' : 'Laying mine on theirs', before: choice === 'theirs' ? mine : theirs, after })
    kept.value = met.theirs
    log.value = met.theirs.job.log
    conflict.value = undefined
    wall.value = after
  }

  return {
    site, id, kept, wall, preview, history, log, unsentLog, conflict, looking,
    siteUnits, taken, catalogue, rules, context, keptWall, unsaved, shown, allLog, arrays, array, arrayId,
    open, take, saved, meet, edit, tryOut, record, settle,
    cancelPreview: () => { preview.value = undefined },
    undo: () => step(undone),
    redo: () => step(redone),
  }
})
