import { merge, type Wall } from '~~/core/job'

/** One edit of a wall: what a person did, in words, and the wall before and after it. */
export interface Edit { label: string, before: Wall, after: Wall }

/** Every edit that can be undone and redone, oldest first. */
export interface History { past: Edit[], future: Edit[] }

export const emptyHistory = (): History => ({ past: [], future: [] })

/** Adds an edit; what had been undone before it can no longer be redone. */
export function recorded({ past }: History, edit: Edit): History {
  return { past: [...past, edit], future: [] }
}

/** Takes the last edit back out of a wall, leaving what another person changed since. */
export function undone({ past, future }: History, wall: Wall): { history: History, wall: Wall } | undefined {
  const edit = past.at(-1)
  if (!edit) return undefined
  return { wall: merge(edit.after, edit.before, wall), history: { past: past.slice(0, -1), future: [...future, edit] } }
}

/** Makes the edit again that was last undone. */
export function redone({ past, future }: History, wall: Wall): { history: History, wall: Wall } | undefined {
  const edit = future.at(-1)
  if (!edit) return undefined
  return { wall: merge(edit.before, edit.after, wall), history: { past: [...past, edit], future: future.slice(0, -1) } }
}
