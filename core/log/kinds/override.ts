import type { InferType } from 'yup'
import { figure, list, must, name, reason } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('override', {
  code: name('Code of the finding'),
  subject: name('Id of its subject'),
  reason: reason('Reason for building it anyway'),
  figures: list(must(figure()), 50, 'Figures of the stop’s sentence at that time, as earlier versions recorded them'),
  facts: list(
    must(figure()), 50,
    'What the stop stated in figures at that time, in ascending order; when it changes, the override lapses',
  ),
})

/** A stop that a named person overrides, and why; it is a stop again once its figures have changed. */
export type Override = Pick<
  InferType<typeof schema>, 'code' | 'subject' | 'by' | 'reason' | 'at' | 'figures' | 'facts'
>

/** Overrides by code and subject. */
export interface Overrides { overrides: Map<string, Override> }
/** Under what an override is kept. */
export const overrideKey = ({ code, subject }: Pick<Override, 'code' | 'subject'>): string => `${code} ${subject}`

/** A named person takes a stop upon himself. */
export const override: EntryKindSpec<typeof schema, Overrides> = {
  schema,
  title: 'override',
  right: 'wall.issue',
  fold({ overrides }, { code, subject, by, reason, at, figures, facts }) {
    const key = overrideKey({ code, subject })
    overrides.delete(key)
    overrides.set(key, { code, subject, by, reason, at, ...figures && { figures }, ...facts && { facts } })
  },
}
