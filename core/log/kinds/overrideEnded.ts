import { name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'
import { overrideKey, type Overrides } from './override'

const schema = entry('override-ended', {
  code: name('Code of the finding'),
  subject: name('Id of its subject'),
  reason: note(),
})

/** What was overridden is a stop again. */
export const overrideEnded: EntryKindSpec<typeof schema, Overrides> = {
  schema,
  title: 'override removed',
  right: 'wall.issue',
  fold: ({ overrides }, ended) => void overrides.delete(overrideKey(ended)),
}
