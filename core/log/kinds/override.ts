import type { InferType } from 'yup'
import type { overrideSchema } from '../schemas/override'
import type { EntryKindSpec } from './kind'

/** A stop that a named person overrides, and why; it is a stop again once its figures have changed. */
export type Override = Pick<
  InferType<typeof overrideSchema>, 'code' | 'subject' | 'by' | 'reason' | 'at' | 'figures' | 'facts'
>

/** Overrides by code and subject. */
export interface Overrides { overrides: Map<string, Override> }
/** Under what an override is kept. */
export const overrideKey = ({ code, subject }: Pick<Override, 'code' | 'subject'>): string => `${code} ${subject}`

/** A named person takes a stop upon himself. */
export const override: EntryKindSpec<typeof overrideSchema, Overrides> = {
  title: 'override',
  right: 'wall.issue',
  fold({ overrides }, { code, subject, by, reason, at, figures, facts }) {
    const key = overrideKey({ code, subject })
    overrides.delete(key)
    overrides.set(key, { code, subject, by, reason, at, ...figures && { figures }, ...facts && { facts } })
  },
}
