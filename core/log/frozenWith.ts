import type { LogEntry } from './entry'
import { LOG_KINDS } from './kinds'

/** The id of what was frozen together with an entry, which is kept and sent before it; undefined for most kinds. */
export const frozenWith = (entry: LogEntry): string | undefined =>
  (LOG_KINDS[entry.kind] as { issues?: (entry: LogEntry) => string | undefined }).issues?.(entry)
