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

/** What others did to a wall, noted on this device. */
class Heard {
  /** Nothing is noted any more. */
  isOver = false
  private readonly key: string

  constructor(private readonly device: Device, private readonly site: string, private readonly id: string) {
    this.key = wallKey(site, id)
  }

  async refetch(): Promise<void> {
    const state = await fetchWall(this.site, this.id)
    if (!this.isOver) await noteSeen(this.device, this.key, state)
  }

  async entries(entries: LogEntry[]): Promise<void> {
    const { device, key } = this
    await device.transaction('rw', device.seen, async () => {
      const seen = await device.seen.get(key)
      if (!seen) return
      const { state } = seen
      const job = { ...state.job, log: joined(state.job.log, entries) }
      await device.seen.put({ ...seen, state: { ...state, job } })
    })
  }

  async saved(version: number): Promise<void> {
    const seen = await this.device.seen.get(this.key)
    if (!seen || seen.state.version < version) await this.refetch()
  }
}

/** Does something as often as the page comes into sight or the connection changes. @returns what ends that */
function onSight(act: () => void): () => void {
  const events = [[document, 'visibilitychange'], [window, 'online'], [window, 'offline']] as const
  for (const [target, name] of events) target.addEventListener(name, act)
  return () => {
    for (const [target, name] of events) target.removeEventListener(name, act)
  }
}

const quietly = (act: () => Promise<void>) => void act().catch(() => {})

/**
 * Hears from the server what others do to a wall, and notes it on this device, from where the open wall takes it: what
 * was drilled is seen by the others at once. Heard only while the page is looked at and there is a connection; anyone
 * who comes back asks for the whole wall first.
 *
 * @returns what ends it
 */
export function subscribeToWall(device: Device, site: string, id: string): () => void {
  const heard = new Heard(device, site, id)
  let source: EventSource | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  function disconnect() {
    clearTimeout(timer)
    source?.close()
    source = undefined
  }
  function connect() {
    disconnect()
    if (heard.isOver || document.hidden || !navigator.onLine) return
    source = new EventSource(`/api/sites/${site}/walls/${id}/events`)
    source.addEventListener('open', () => quietly(() => heard.refetch()))
    source.addEventListener('log', ({ data }) =>
      quietly(() => heard.entries((JSON.parse(data as string) as { entries: LogEntry[] }).entries)))
    source.addEventListener('saved', ({ data }) =>
      quietly(() => heard.saved((JSON.parse(data as string) as { version: number }).version)))
    source.addEventListener('error', () => {
      disconnect()
      timer = setTimeout(connect, AGAIN)
    })
  }
  const leaveSight = onSight(connect)
  connect()
  return () => {
    heard.isOver = true
    disconnect()
    leaveSight()
  }
}
