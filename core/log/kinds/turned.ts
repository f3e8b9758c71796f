import { figure, group, length, list, must, name, oneOf } from '../../job/fields'
import { entry, MANY, round, type EntryKindSpec } from './kind'

const ADJUSTERS = [
  'height', 'height-left', 'height-right', 'lateral',
  'depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right',
] as const

const schema = entry('turned', {
  array: name(),
  round: round(),
  moves: must(list(
    group({ screen: name(), adjuster: must(oneOf(ADJUSTERS)), turns: figure('turns'), mm: length() }), MANY,
    'Moves, positive up, right and outwards',
  )),
})

/** Which adjusters were turned, and how far. */
export const turned: EntryKindSpec<typeof schema> = {
  schema,
  title: 'adjuster turns',
  right: 'wall.visit',
}
