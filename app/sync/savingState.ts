import type { OutboxState } from './outboxState'
import { changeState, type ChangeState, type PendingChange } from './pendingChange'

/** What the page says of saving. */
export type SaveState = 'saved' | 'saving' | 'offline' | 'trouble' | 'full' | 'denied' | 'refused' | 'conflict'

/** Where the open wall is between this page, the device's store and the server. */
export interface Saving {
  /** Number of edits made here, and of those that the device's store has. */
  edits: number
  kept: number
  /** Where the change is that the device's store has, and why the server refused it. */
  change: ChangeState
  refused?: string
  /** Whether a person has resolved a conflict that the device's store does not know of yet. */
  isResolving: boolean
}

export type SavingEvent
  = | { kind: 'edited' }
    | { kind: 'kept', upTo: number }
    | { kind: 'read', change: PendingChange<unknown> | undefined }
    | { kind: 'resolving' }
    | { kind: 'resolved' }

export const SAVED: Saving = { edits: 0, kept: 0, change: 'saved', isResolving: false }

/** Where a wall is after something happened to it on this page. */
export function savingAfter(saving: Saving, event: SavingEvent): Saving {
  switch (event.kind) {
    case 'edited': return { ...saving, edits: saving.edits + 1 }
    case 'kept': return { ...saving, kept: Math.max(saving.kept, event.upTo) }
    case 'read': return { ...saving, change: changeState(event.change), refused: event.change?.refused }
    case 'resolving': return { ...saving, isResolving: true }
    case 'resolved': return { ...saving, isResolving: false }
  }
}

/**
 * What is said of it. A wall that is what the server had last is not saved while another version of it is on its way
 * there, nor while something else of this page is.
 *
 * @param sending how it stands with the connection, the server and the device's storage
 * @param isAsked whether a person is being asked about a conflict
 * @param isElseSent whether nothing else of this wall waits: entries, pictures
 */
export function saveState(saving: Saving, sending: OutboxState, isAsked: boolean, isElseSent: boolean): SaveState {
  if (isAsked) return 'conflict'
  if (sending.store) return sending.store
  if (saving.refused !== undefined) return 'refused'
  if (saving.edits === saving.kept && saving.change === 'saved' && isElseSent) return 'saved'
  return sending.offline ? 'offline' : sending.trouble ? 'trouble' : 'saving'
}
