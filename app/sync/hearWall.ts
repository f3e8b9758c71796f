import type { LogEntry } from '~~/core/job'
import { noteSeen, wallKey, type Device } from './device'
import { fetchWall } from './fetchWall'

/** After so long it is asked again where the connection was lost, ms. */
const AGAIN = 3_000

/** Entries in the order of the chain, each once. */
export function joined(log: LogEntry[], more: LogEntry[]): LogEntry[] {
  const known = new Set(log.map(({ id }) => id))
  return [...log, ...more.filter(({ id }) => !known.has(id))].sort((a, b) => (a.seq ?? Infinity) - (b.seq ?? Infinity))
}

/**
 * Hears from the server what others do to a wall, and notes it on this device, from where the open wall takes it: what
 * was drilled is seen by the others at once. Heard only while the page is looked at and there is a connection; anyone
 * who
 * comes back asks for the whole wall first.
 *
 * @returns what ends it
 */
export function hearWall(device: Device, site: string, id: string): () => void {
  const key = wallKey(site, id)
  const path = `/sites/${site}/walls/${id}`
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let ended = false

  async function refetch() {
    const state = await fetchWall(site, id)
    if (!ended) await noteSeen(device, key, state)
  }
  async function noteEntries(entries: LogEntry[]) {
    await device.transaction('rw', device.seen, async () => {
      const seen = await device.seen.get(key)
      if (seen)
        await device.seen.put({
          ...seen,
          state: { ...seen.state, job: { ...seen.state.job, log: joined(seen.state.job.log, entries) } },
        })
    })
  }
  async function noteSaved(version: number) {
    const seen = await device.seen.get(key)
    if (!seen || seen.state.version < version) await refetch()
  }
  const quietly = (act: () => Promise<void>) => void act().catch(() => {})

  function hush() {
    clearTimeout(timer)
    source?.close()
    source = undefined
  }
  function hear() {
    hush()
    if (ended || document.hidden || !navigator.onLine) return
    source = new EventSource(`/api${path}/events`)
    source.addEventListener('open', () => quietly(refetch))
    source.addEventListener('log', ({ data }) =>
      quietly(() => noteEntries((JSON.parse(data as string) as { entries: LogEntry[] }).entries)),
    )
    source.addEventListener('saved', ({ data }) =>
      quietly(() => noteSaved((JSON.parse(data as string) as { version: number }).version)),
    )
    source.addEventListener('error', () => {
      hush()
      timer = setTimeout(hear, AGAIN)
    })
  }
  const changed = () => hear()
  for (const [target, name] of [
    [document, 'visibilitychange'],
    [window, 'online'],
    [window, 'offline'],
  ] as const)
    target.addEventListener(name, changed)
  hear()
  return () => {
    ended = true
    hush()
    for (const [target, name] of [
      [document, 'visibilitychange'],
      [window, 'online'],
      [window, 'offline'],
    ] as const)
      target.removeEventListener(name, changed)
  }
}
