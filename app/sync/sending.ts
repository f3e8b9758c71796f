import type { LogEntry, Wall } from '~~/core/job'
import type { PublicKey } from '~~/core/log'
import { ApiError } from '../utils/api'
import type { ServerWall } from '~~/core/api/walls'
import type { DesignChange, KeptRevision, SettingsState, UnsentPhoto } from './device'

/** What the server says of a saved wall: its version, and the wall where it is kept otherwise than it was sent. */
export type Saved = Pick<ServerWall, 'version' | 'savedAt' | 'savedBy'> & { wall?: Wall }

/** How the server is asked; by itself, so that the outbox can be tested without one. */
export interface Server {
  saveWall: (change: DesignChange) => Promise<Saved>
  addEntries: (
    site: string,
    wall: string,
    entries: LogEntry[],
  ) => Promise<{
    results: (
      | { entry: LogEntry }
      | { setAside: string }
      | { error: { message: string, faults?: { path: string, message: string }[] } }
    )[]
  }>
  addKey: (key: PublicKey) => Promise<unknown>
  addPhoto: (photo: UnsentPhoto) => Promise<unknown>
  addRevision: (revision: KeptRevision) => Promise<unknown>
  saveSettings: (change: SettingsState) => Promise<SettingsState>
}

/** A refusal in words: every fault with its place, or what was said. */
export const reasonOf = ({ message, faults = [] }: { message: string, faults?: { path: string, message: string }[] }) =>
  faults.length > 0
    ? faults
        .map(({ path, message }) => `${[path.replace(/^\$\.?/, ''), message].filter(Boolean).join(' ')}.`)
        .join(' ')
    : message

/**
 * What a failed request means: one that was refused is set aside; where the server was in trouble with it the rest
 * is sent all the same.
 *
 * @returns the trouble, where it is one that passes
 * @throws where there is no connection at all, or it was no answer of the server
 */
export async function afterFailure(
  error: unknown, setAside: (error: ApiError) => Promise<unknown>,
): Promise<ApiError[]> {
  // Nothing is refused that waits for a person to sign in.
  if (!(error instanceof ApiError) || error.isOffline || error.isSignedOut) throw error
  if (error.retryable) return [error]
  await setAside(error)
  return []
}
