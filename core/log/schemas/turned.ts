import { figure, group, length, list, must, name, oneOf } from '../../job/fields'
import { entry, MANY, round } from './entry'

const ADJUSTERS = [
  'height', 'height-left', 'height-right', 'lateral',
  'depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right',
] as const

/** What an entry of this kind says. */
export const turnedSchema = entry('turned', {
  array: name(),
  round: round(),
  moves: must(list(
    group({ screen: name(), adjuster: must(oneOf(ADJUSTERS)), turns: figure('turns'), mm: length() }), MANY,
    'Moves, positive up, right and outwards',
  )),
})
