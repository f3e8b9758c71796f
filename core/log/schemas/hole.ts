import { length, must, name, note, oneOf, text } from '../../job/fields'
import { entry } from './entry'

/** Drilling result where a hole was planned. */
export const HOLE_RESULTS = ['hit', 'miss', 'void', 'steel', 'mortar', 'blown', 'stripped', 'other'] as const

/** What an entry of this kind says. */
export const holeSchema = entry('hole', {
  hole: name('The hole’s id in the plan'),
  x: must(length('Drilled position')),
  y: must(length('Drilled position')),
  result: must(oneOf(HOLE_RESULTS, 'Drilling result')),
  corrects: text('Id of the earlier result of this hole that this one corrects'),
  again: text('Id of the earlier result of this hole, after which it was filled and drilled again in its place'),
  note: note(),
  photo: text('Photo in the data folder'),
})
