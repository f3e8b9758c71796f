import type { InferType } from 'yup'
import type { overrideSchema } from '../schemas/override'
import { authorNames, type AuthorNames } from '../author'
import type { EntryKindSpec } from './kind'

/** A stop that a named person overrides, and why; it is a stop again once its figures have changed. */
export type Override = Pick<
  InferType<typeof overrideSchema>, 'code' | 'subject' | 'reason' | 'at' | 'figures' | 'facts'
> & AuthorNames

/** Overrides by code and subject. */
export interface Overrides { overrides: Map<string, Override> }
/** Under what an override is kept. */
export const overrideKey = ({ code, subject }: Pick<Override, 'code' | 'subject'>): string => `${code} ${subject}`

/** A named person takes a stop upon himself. */
export const override: EntryKindSpec<typeof overrideSchema, Overrides> = {
  title: 'override',
  right: 'wall.issue',
  fold({ overrides }, { code, subject, reason, at, figures, facts, ...author }) {
    const key = overrideKey({ code, subject })
    overrides.delete(key)
    const who = authorNames(author)
    overrides.set(key, { code, subject, ...who, reason, at, ...figures && { figures }, ...facts && { facts } })
  },
}
