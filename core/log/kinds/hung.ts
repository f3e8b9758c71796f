import { name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('hung', {
  screen: name('Id of the screen'),
  note: note(),
})

/** Ids of the screens that hang. */
export interface Hung { hung: Set<string> }

/** A screen hangs. */
export const hung: EntryKindSpec<typeof schema, Hung> = {
  schema,
  title: 'screen hung',
  right: 'wall.record',
  fold: ({ hung }, { screen }) => void hung.add(screen),
}
