import { EventEmitter } from 'node:events'
import type { LogEntry } from '../../core/job'

/** What happens to a wall, as it is shown to everybody who has it open. */
export type WallEvent = { kind: 'log', entries: LogEntry[] } | { kind: 'saved', version: number }

const hub = new EventEmitter({ captureRejections: false })
// Everybody at work listens; there is no number that would be too many by itself.
hub.setMaxListeners(0)
const nameOf = (firm: string, site: string, wall: string) => `${firm}/${site}/${wall}`
const ENDED = 'ended'

/** What happened, as it goes to everybody: put into words once, however many there are. */
export interface Told { kind: WallEvent['kind'], data: string }

/** Tells everybody who has a wall open what happened to it; nothing where nothing did. */
export function tellWall(firm: string, site: string, wall: string, event: WallEvent): void {
  if (event.kind === 'log' && event.entries.length === 0) return
  const { kind, ...rest } = event
  hub.emit(nameOf(firm, site, wall), { kind, data: JSON.stringify(rest) } satisfies Told)
}

/** Hears what happens to a wall until it is ended. @returns what ends it */
export function subscribeToWall(
  firm: string, site: string, wall: string, heard: (told: Told) => void, ended: () => void,
): () => void {
  const name = nameOf(firm, site, wall)
  hub.on(name, heard)
  hub.once(ENDED, ended)
  return () => {
    hub.off(name, heard)
    hub.off(ENDED, ended)
  }
}

/** Ends all hearing, as the server ends: anyone who heard asks again when it is back. */
export const endHearing = (): void => void hub.emit(ENDED)
