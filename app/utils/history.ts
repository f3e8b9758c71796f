import { merge, type Wall } from '~~/core/job'

/** One edit: what a person did, in words, and what it was done to before and after it. */
export interface Edit<Of = Wall> { label: string, before: Of, after: Of }

/** Every edit that can be undone and redone, oldest first. */
export interface History<Of = Wall> { past: Edit<Of>[], future: Edit<Of>[] }

export const emptyHistory = <Of = Wall>(): History<Of> => ({ past: [], future: [] })

/** Adds an edit; what had been undone before it can no longer be redone. */
export function recorded<Of>({ past }: History<Of>, edit: Edit<Of>): History<Of> {
  return { past: [...past, edit], future: [] }
}

/** Takes the last edit back out, leaving what another person changed since. */
export function undone<Of = Wall>(
  { past, future }: History<Of>,
  was: Of,
): { history: History<Of>, now: Of } | undefined {
  const edit = past.at(-1)
  if (!edit) return undefined
  return { now: merge(edit.after, edit.before, was), history: { past: past.slice(0, -1), future: [...future, edit] } }
}

/** Makes the edit again that was last undone. */
export function redone<Of = Wall>(
  { past, future }: History<Of>,
  was: Of,
): { history: History<Of>, now: Of } | undefined {
  const edit = future.at(-1)
  if (!edit) return undefined
  return { now: merge(edit.before, edit.after, was), history: { past: [...past, edit], future: future.slice(0, -1) } }
}
