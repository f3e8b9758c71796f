import type { InferType, ISchema } from 'yup'
import type { Stage } from '../../finding'

/** What a person must be allowed to do to make an entry. */
export type EntryRight = 'wall.record' | 'wall.issue' | 'wall.visit' | 'as-corrected'

/**
 * One kind of entry of the log: all that is particular to it but its schema, which is a file of the
 * same name in `schemas/`: what stands by a log is told on every wall page, which does not wait for the validators.
 */
export interface EntryKindSpec<Schema extends ISchema<unknown>, Now = unknown> {
  /** What an entry of the kind is called. */
  title: string
  /** What its author must be allowed to do; a correction needs the right of what it corrects. */
  right: EntryRight
  /** The stage that is over once there is such an entry, where there is one. */
  closes?: Stage
  /** The id of the entry that does not hold any more. */
  cancels?: (entry: InferType<Schema>) => string
  /** The id of what was frozen with it, which is sent before it. */
  issues?: (entry: InferType<Schema>) => string | undefined
  /** What it changes in what stands on the wall, of which it knows its own part. */
  fold?: (now: Now, entry: InferType<Schema>) => void
}
