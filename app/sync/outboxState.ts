import type { SettingsState } from './device'

/** How it stands with the connection, with the server, and with this device's storage. */
export interface OutboxState {
  sending: boolean
  /** There was no answer. */
  offline: boolean
  /** What the server said that was in trouble; it is tried again. */
  trouble?: string
  /** Why entries that were sent wait for a planner. */
  setAside?: string[]
  /** A wall whose last change was laid on what another person had saved, until it is changed again. */
  merged?: { key: string, by: string }
  /** How the server has the programme's settings, since they were sent from here. */
  programme?: SettingsState
  /** The device's store cannot be written: it has no room left, or the browser keeps nothing for this page. */
  store?: 'full' | 'denied'
}

/** Whether an error of the device's store says that it has no room left; Dexie may wrap it. */
export function isFull(error: unknown): boolean {
  const { name, inner } = error as { name?: string, inner?: { name?: string } }
  return [name, inner?.name].includes('QuotaExceededError')
}
