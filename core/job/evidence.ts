import type { InferType } from 'yup'
import { flag, group, itemNumber, length, moment, must, name, note, oneOf, text } from './fields'

const METHODS = [
  'detector-edge',
  'detector-centre',
  'magnet',
  'probe',
  'pilot',
  'knock',
  'seen',
  'outlet',
  'joint',
] as const
/** What each method must say beyond its place. */
const TELLS: Partial<Record<string, 'edge' | 'hit' | 'direction'>> = {
  'detector-edge': 'edge',
  'probe': 'hit',
  'pilot': 'hit',
  'joint': 'direction',
}

/** One reading of a wall; x and y from where its side or its reference line has them. */
export const evidenceSchema = group({
  id: name(),
  number: itemNumber(),
  method: must(oneOf(METHODS, 'Method')),
  edge: oneOf(['left', 'right'], 'Left or right edge, as seen from the side of the reading'),
  hit: flag('Whether it hit the stud'),
  dull: flag('Whether it sounded dull'),
  direction: oneOf(['head', 'bed'], 'Head (vertical) or bed (horizontal) joint'),
  x: must(length('Distance along the wall')),
  y: must(length('Height above floor')),
  side: oneOf(['front', 'back'], 'Side of the wall'),
  reference: text('Reference it was measured from'),
  simulated: flag('Whether a simulated instrument made it; only a demo plans it'),
  by: text('Read by'),
  at: moment('Date and time'),
  note: note('Note'),
  photo: text('Photo in the data folder'),
  setAside: note('Reason for excluding it; the reading is kept'),
  namedAfter: text('Id of a deleted reading from which the stud shown by this one has its name'),
}).test(
  'tells',
  ({ value }: { value: unknown }) => {
    const { method } = value as { method: string }
    return `must have ${TELLS[method]}, because its method is ${method}`
  },
  value =>
    value?.method === undefined || TELLS[value.method] === undefined || value[TELLS[value.method]!] !== undefined,
)
export type Evidence = InferType<typeof evidenceSchema>
