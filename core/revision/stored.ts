import type { StoredRevision } from '../job'
import type { Frozen } from './frozen'

/**
 * What a job file keeps of a revision, as the core reads it: its schema has looked at what the program takes from it.
 */
export const frozenOf = (stored: StoredRevision): Frozen => stored as unknown as Frozen
export const storedOf = (frozen: Frozen): StoredRevision => frozen as unknown as StoredRevision
