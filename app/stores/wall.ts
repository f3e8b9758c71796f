import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  arraysOf, merge, same, type Catalogue, type Fault, type LogEntry, type PlanContext, type ScreenArray, type Wall,
} from '~~/core/job'
import { SHELVES, type Model, type ModelKind } from '~~/core/catalogue'
import type { EntryKind, EntryOf } from '~~/core/log'
import type { Frozen } from '~~/core/revision/frozen'
import { storedOf } from '~~/core/revision/stored'
import { revisionsOf } from '~~/core/revision/revisions'
import { actionOfEntry, RIGHTS, settlesAnothers, whoMay, type Action } from '~~/core/people'
import { effectiveRules, levelsOf } from '~~/core/rules'
import type { ServerWall } from '~~/core/api/walls'
import type { DesignChange } from '../sync/device'
import { useMe } from '../composables/useMe'
import { forgetScreenState } from '../composables/useScreenState'
import { deviceId } from '../utils/deviceId'
import { emptyHistory, recorded, redone, undone } from '../utils/history'
import { newId } from '../utils/newId'
import { share } from '../utils/share'
import { siteZone } from '../utils/whenOf'
import { withModels } from '../utils/withModels'

/** Another person's state of a wall that was saved while this browser had changes of its own. */
export interface Conflict { theirs: ServerWall, base: Wall }

/** What is said of something that happened; who, when and where are added. */
type NewEntry = { [Kind in EntryKind]: Omit<EntryOf<Kind>, 'id' | 'at' | 'by' | 'wall'> }[EntryKind]

/** Entries that were made together. */
type Unwritten = { site: string, entry: LogEntry }[]

type Checks = typeof import('./wallChecks')

/** What is said to whoever edits before what checks an edit has been fetched. */
const LOADING: Fault = { path: '$', message: 'The wall is still loading: try again in a moment' }

/** That something is not for the signed-in person, and for whom it is. */
const cannot = (action: Action): Fault => ({
  path: '$',
  message: `You cannot ${RIGHTS[action].title} here: ask ${whoMay(action)}`,
})

/**
 * The wall that is worked on: what people measured and decided, nothing that follows from it.
 *
 * An edit is checked by the same rules as a file, applied at once, put on the history and kept on
 * this device until the server has it; a preview is a wall that is drawn and planned but not yet edited.
 */
export const useWallStore = defineStore('wall', () => {
  const site = ref('')
  const id = ref('')
  /** What the signed-in person may do at this wall. */
  const rights = shallowRef<(action: Action) => boolean>(() => true)
  /** The wall as the server had it last. */
  const server = shallowRef<ServerWall>()
  const wall = shallowRef<Wall>()
  const preview = shallowRef<Wall>()
  const history = shallowRef(emptyHistory())
  const log = shallowRef<LogEntry[]>([])
  /** Entries that this device keeps for the server. */
  const unsentLog = shallowRef<LogEntry[]>([])
  /**
   * Sets of entries that it does not keep yet, whatever wall they are of: another that is opened meanwhile loses none.
   */
  const unwritten = shallowRef<Unwritten[]>([])
  const unwrittenHere = computed(() =>
    unwritten.value
      .flat()
      .filter(each => each.site === site.value && each.entry.wall === id.value)
      .map(({ entry }) => entry),
  )
  /** What was frozen of it, as far as it is at hand. */
  const frozen = shallowRef<Frozen[]>([])
  const conflict = shallowRef<Conflict>()
  /** Entries that this device has seen in the wall’s log, and that the server does not have any more. */
  const lost = shallowRef<LogEntry[]>([])
  /** Which side of a conflict is drawn. */
  const looking = ref<'mine' | 'theirs'>('theirs')

  /** What checks an edit or an entry, once it has been fetched. */
  const checks = shallowRef<Checks>()
  /** Whether edits and entries are taken. */
  const isReady = computed(() => checks.value !== undefined)
  /** Fetches what edits and entries are checked by. */
  async function prepare() {
    checks.value ??= await import('./wallChecks')
  }

  const siteUnits = computed(() => server.value?.job.site.units ?? 'metric')
  /** What of the site the wall is planned with. */
  const planSite = computed((): NonNullable<PlanContext['site']> => {
    const electricalRules = server.value?.job.site.electricalRules
    return { units: siteUnits.value, ...electricalRules && { electricalRules } }
  })
  /** Models added from the firm's catalogue that the server's copy of the site does not have yet. */
  const addedModels = shallowRef<Partial<Catalogue>>({})
  const catalogue = computed(() =>
    withModels(server.value?.job.catalogue ?? { displays: [], mounts: [], fasteners: [] }, addedModels.value),
  )
  /** The house rules that hold for the wall as it is shown, and what each level chose. */
  const ruleLevels = computed(() => levelsOf(server.value?.job ?? { rules: {} }, shown.value))
  const rules = computed(() => effectiveRules(ruleLevels.value))
  /** What the wall is planned with beside itself. */
  const context = computed<PlanContext>(() => ({
    catalogue: catalogue.value,
    rules: rules.value,
    site: planSite.value,
  }))
  const serverWall = computed(() => server.value?.job.walls[0])
  const unsaved = computed(() => wall.value !== undefined && !same(wall.value, serverWall.value))
  /** The wall that is drawn: the other's in a conflict, else the preview, else the edited one. */
  const shown = computed(() =>
    conflict.value && looking.value === 'theirs' ? conflict.value.theirs.job.walls[0] : (preview.value ?? wall.value),
  )
  const allLog = computed(() => [...log.value, ...unsentLog.value, ...unwrittenHere.value])
  /** What the wall is called in its log, with what is at hand of what was issued. */
  const wallRecord = computed(() => ({
    id: id.value,
    ...(wall.value?.formerId !== undefined && { formerId: wall.value.formerId }),
    revisions: frozen.value.map(storedOf),
  }))
  /** Its revisions in the order in which they were issued. */
  const revisions = computed(() => revisionsOf(allLog.value, wallRecord.value))
  /** The array that is worked on. */
  const arrayId = ref('')
  const arrays = computed(() => (shown.value ? arraysOf(shown.value) : []))
  const array = computed<ScreenArray | undefined>(
    () => arrays.value.find(({ id }) => id === arrayId.value) ?? arrays.value[0],
  )

  /** Opens a wall as the server has it, and on top of it what this device still had of it. */
  function open(
    siteId: string,
    state: ServerWall,
    { change, log: unsent = [] }: { change?: DesignChange, log?: LogEntry[] } = {},
  ) {
    const theirs = state.job.walls[0]!
    const other = site.value !== siteId || id.value !== theirs.id
    site.value = siteId
    id.value = theirs.id
    if (other) frozen.value = []
    history.value = emptyHistory()
    preview.value = conflict.value = undefined
    lost.value = []
    arrayId.value = ''
    addedModels.value = change?.models ?? {}
    wall.value = change?.wall ?? theirs
    receive(state, unsent)
    if (other) forgetScreenState()
    if (!change || same(change.wall, theirs) || same(change.wall, change.base)) return
    history.value = recorded(emptyHistory(), {
      label: 'Changes stored on this device',
      before: change.base,
      after: change.wall,
    })
    if (change.conflict) setConflict({ theirs: change.conflict, base: change.base })
  }

  /** Takes in what the server has now, and which entries of the log it does not have yet. */
  function receive(state: ServerWall, unsent: LogEntry[]) {
    const known = new Set(state.job.log.map(({ id }) => id))
    server.value = share(server.value, state)
    siteZone.value = state.job.site.zone
    log.value = share(log.value, state.job.log)
    unsentLog.value = share(
      unsentLog.value,
      unsent.filter(({ id }) => !known.has(id)),
    )
  }

  /** Adds a model of the firm's catalogue, for edits to use. */
  function addModel(kind: ModelKind, model: Model) {
    const list = SHELVES[kind]
    addedModels.value = { ...addedModels.value, [list]: [...(addedModels.value[list] ?? []), model] }
  }

  function setConflict(found: Conflict) {
    looking.value = 'theirs'
    conflict.value = found
  }

  /** Makes an edit. Returns what is wrong with it, and changes nothing, if anything is. */
  function edit(label: string, recipe: (wall: Wall) => void): Fault[] {
    const before = wall.value
    if (!rights.value('wall.design')) return [cannot('wall.design')]
    if (!before || conflict.value) return [{ path: '$', message: 'Resolve the version conflict first.' }]
    if (!checks.value) return [LOADING]
    const after = checks.value.produce(before, recipe)
    preview.value = undefined
    if (same(before, after)) return []
    const faults = checks.value.faultsOf(after, before, catalogue.value)
    if (faults.length > 0) return faults
    history.value = recorded(history.value, { label, before, after })
    wall.value = after
    return []
  }

  /** Draws and plans a wall as if it had been edited, while a hand is still on it. */
  function tryOut(recipe: (wall: Wall) => void): Fault[] {
    if (!wall.value || conflict.value || !rights.value('wall.design')) return []
    if (!checks.value) return []
    const next = checks.value.produce(wall.value, recipe)
    const faults = checks.value.faultsOf(next, wall.value, catalogue.value)
    if (faults.length === 0) preview.value = next
    return faults
  }

  /**
   * Adds an entry to the wall's log: drawn and planned with at once, sent when there is a connection. Returns what is
   * wrong with it, and adds nothing, if anything is.
   */
  const record = (said: NewEntry): Fault[] => recordAll([said])

  /** Adds several entries that belong together: all of them, or, where anything is wrong with one, none. */
  function recordAll(said: NewEntry[]): Fault[] {
    const { name, id: me } = useMe()
    const [by, person] = [name.value, me.value]
    const forbidden = said.map(each => actionFor(each, { by, person })).find(action => !rights.value(action))
    if (forbidden) return [cannot(forbidden)]
    if (!checks.value) return [LOADING]
    const { logEntryFaults } = checks.value
    const at = new Date().toISOString()
    // Plain, whatever it was typed in: a device keeps nothing that is watched.
    const entries = (JSON.parse(JSON.stringify(said)) as NewEntry[]).map(
      each => ({ id: newId(), at, by, person, device: deviceId(), wall: id.value, ...each }) as LogEntry,
    )
    const faults = entries.flatMap(entry => logEntryFaults(entry))
    if (faults.length === 0) unwritten.value = [...unwritten.value, entries.map(entry => ({ site: site.value, entry }))]
    return faults
  }

  /** What a person must be allowed to do for an entry, by what it corrects here. */
  function actionFor(said: NewEntry, by: { by: string, person: string }): Action {
    if (said.kind !== 'correction') return actionOfEntry(said)
    const corrected = allLog.value.find(({ id }) => id === said.corrects)
    return actionOfEntry(said, corrected, settlesAnothers(allLog.value, wallRecord.value, said.corrects, by))
  }

  /** Takes in what was frozen of this wall. */
  function addFrozen(one: Frozen) {
    if (!frozen.value.some(({ id }) => id === one.id)) frozen.value = [...frozen.value, one]
  }

  /** Notes that this device keeps a set of entries now. */
  function written(set: Unwritten) {
    unwritten.value = unwritten.value.filter(each => each !== set)
    const here = set.filter(each => each.site === site.value && each.entry.wall === id.value)
    if (here.length > 0) unsentLog.value = [...unsentLog.value, ...here.map(({ entry }) => entry)]
  }

  function step(change: typeof undone) {
    if (!wall.value || conflict.value) return
    const changed = change(history.value, wall.value)
    if (!changed) return
    preview.value = undefined
    history.value = changed.history
    wall.value = changed.now
  }

  /** Ends a conflict: my changes laid on theirs, or theirs as it is. Either can be undone. */
  function resolveConflict(choice: 'mine-on-theirs' | 'theirs') {
    const found = conflict.value
    const mine = wall.value
    if (!found || !mine) return
    const theirs = found.theirs.job.walls[0]!
    const after = choice === 'theirs' ? theirs : merge(found.base, mine, theirs)
    history.value = recorded(history.value, {
      label: choice === 'theirs' ? 'Use their version' : 'Merge my changes',
      before: choice === 'theirs' ? mine : theirs,
      after,
    })
    server.value = found.theirs
    log.value = found.theirs.job.log
    conflict.value = undefined
    wall.value = after
  }

  return {
    site,
    id,
    rights,
    server,
    wall,
    preview,
    history,
    frozen,
    revisions,
    wallRecord,
    log,
    unsentLog,
    unwritten,
    conflict,
    lost,
    looking,
    siteUnits,
    planSite,
    addedModels,
    catalogue,
    rules,
    ruleLevels,
    context,
    serverWall,
    unsaved,
    shown,
    allLog,
    arrays,
    array,
    arrayId,
    isReady,
    prepare,
    open,
    receive,
    addModel,
    addFrozen,
    setConflict,
    edit,
    tryOut,
    record,
    recordAll,
    written,
    resolveConflict,
    cancelPreview: () => {
      preview.value = undefined
    },
    undo: () => step(undone),
    redo: () => step(redone),
  }
})
