import type { Catalogue, LogEntry, Wall } from '~~/core/job'

/** What this browser holds of a wall that the server does not have yet. */
export interface Draft {
  /** The kept version that the edits were made on, and the wall as it was in it. */
  version: number
  base: Wall
  wall: Wall
  log: LogEntry[]
  /** Models that the wall takes from the firm's catalogue. */
  models?: Partial<Catalogue>
}

const keyOf = (site: string, wall: string) => `wide-trellis:draft:${site}/${wall}`

/** Written at once, not by and by: a closed tab or an empty battery must not lose an edit. */
export function keepDraft(site: string, wall: string, draft: Draft | undefined): void {
  if (draft) localStorage.setItem(keyOf(site, wall), JSON.stringify(draft))
  else localStorage.removeItem(keyOf(site, wall))
}

export function readDraft(site: string, wall: string): Draft | undefined {
  const text = localStorage.getItem(keyOf(site, wall))
  return text ? JSON.parse(text) as Draft : undefined
}
