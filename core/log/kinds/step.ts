import type { InferType } from 'yup'
import { authorNames, type AuthorNames } from '../author'
import { stepOf } from '../stepRef'
import type { stepSchema } from '../schemas/step'
import type { Hung } from './hung'
import type { EntryKindSpec } from './kind'

/** What was said last of a step of the work, of a part of the kit, or of a question. */
export type StepDone = Pick<
  InferType<typeof stepSchema>, 'step' | 'done' | 'at' | 'minutes' | 'note' | 'photo'
> & AuthorNames

/** Steps by what entries call them. */
export interface StepsDone { steps: Map<string, StepDone> }

/** A step of the run of work, a part of the kit, or a question, and how it stands. */
export const step: EntryKindSpec<typeof stepSchema, StepsDone & Hung> = {
  title: 'work step',
  right: 'wall.record',
  fold({ steps, hung }, { step, done, at, minutes, note, photo, ...author }) {
    steps.set(step, {
      step,
      done,
      ...authorNames(author),
      at,
      ...(minutes !== undefined && { minutes }),
      ...(note !== undefined && { note }),
      ...(photo !== undefined && { photo }),
    })
    // Earlier versions recorded that the step was done, and not that the screen hangs.
    const of = stepOf(step)
    if (done && of?.kind === 'hang') hung.add(of.id)
  },
}
