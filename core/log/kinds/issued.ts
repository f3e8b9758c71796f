import type { InferType } from 'yup'
import type { issuedSchema } from '../schemas/issued'
import type { EntryKindSpec } from './kind'

/** What was issued, in order of arrival. */
export interface IssuedSoFar { issued: (InferType<typeof issuedSchema> & { kind: 'issued' })[] }

/** A mark-out goes to the wall; what was frozen is kept under the wall’s revisions. */
export const issued: EntryKindSpec<typeof issuedSchema, IssuedSoFar> = {
  title: 'revision issued',
  right: 'wall.issue',
  closes: 'mark',
  issues: ({ frozen }) => frozen,
  fold: ({ issued }, entry) => void issued.push(entry),
}
