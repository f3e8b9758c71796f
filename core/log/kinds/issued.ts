import type { InferType } from 'yup'
import { name, note, text } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('issued', {
  revision: name('A, B, …'),
  frozen: text('Id of the frozen revision of the wall'),
  note: note(),
})

/** What was issued, in order of arrival. */
export interface IssuedSoFar { issued: (InferType<typeof schema> & { kind: 'issued' })[] }

/** A mark-out goes to the wall; what was frozen is kept under the wall’s revisions. */
export const issued: EntryKindSpec<typeof schema, IssuedSoFar> = {
  schema,
  title: 'revision issued',
  right: 'wall.issue',
  closes: 'mark',
  fold: ({ issued }, entry) => void issued.push(entry),
}
