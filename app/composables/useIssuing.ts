import type { Fault } from '~~/core/job'
import { freeze } from '~~/core/revision/frozen'
import { apart } from '~~/core/job/itemName'
import { nextRevision } from '~~/core/revision/letters'

/** Issuing the wall that is open: what stands in the way, what the next revision is called, and doing it. */
export function useIssuing() {
  const store = useWallStore()
  const { live, upToDate, built, findings } = useWallPlan()
  const stops = computed(() => findings.value.filter(({ severity }) => severity === 'stop'))
  const next = computed(() => nextRevision(store.allLog, store.id))
  /** Whether it could be issued but for what people have to say. */
  const ready = computed(
    () =>
      upToDate.value
      && stops.value.length === 0
      && !store.conflict
      && !store.preview
      && (live.value?.marking.marks.length ?? 0) > 0,
  )

  /** Freezes the wall and issues it. Returns what is wrong, and issues nothing, where anything is. */
  function issue(note: string): Fault[] {
    if (!ready.value || !live.value || !store.wall || !store.server)
      return [{ path: '$', message: 'The plan is still being calculated, or a stop blocks it.' }]
    const last = store.revisions.at(-1)
    const job = { catalogue: toRaw(store.catalogue), rules: toRaw(store.rules), site: store.server.job.site }
    const order = { tag: apart(), ...last?.id !== undefined && { after: last.id } }
    const frozen = freeze(toRaw(store.wall), job, built.value, live.value, order)
    store.addFrozen(frozen)
    return store.record({
      kind: 'issued',
      revision: next.value,
      frozen: frozen.id,
      ...(note.trim() && { note: note.trim() }),
    })
  }
  return { stops, next, ready, issue }
}
