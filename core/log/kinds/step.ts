import type { InferType } from 'yup'
import { flag, must, name, notLess, note, text } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('step', {
  step: name('Id of a work step, a part or tool, or a question'),
  done: must(flag('Whether it is done, on site or answered')),
  minutes: notLess('min', 'Time taken'),
  note: note(),
  photo: text('Photo in the data folder'),
})

/** What was said last of a step of the work, of a part of the kit, or of a question. */
export type StepDone = Pick<
  InferType<typeof schema>, 'step' | 'done' | 'by' | 'at' | 'minutes' | 'note' | 'photo'
>

/** Steps by what entries call them. */
export interface StepsDone { steps: Map<string, StepDone> }

/** A step of the run of work, a part of the kit, or a question, and how it stands. */
export const step: EntryKindSpec<typeof schema, StepsDone> = {
  schema,
  title: 'work step',
  right: 'wall.record',
  fold({ steps }, { step, done, by, at, minutes, note, photo }) {
    steps.set(step, {
      step, done, by, at, ...minutes !== undefined && { minutes }, ...note !== undefined && { note },
      ...photo !== undefined && { photo },
    })
  },
}
