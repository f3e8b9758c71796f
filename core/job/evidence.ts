import type { InferType } from 'yup'
import { flag, group, length, moment, must, name, note, oneOf, text } from './fields'

const METHODS = ['detector-edge', 'detector-centre', 'magnet', 'probe', 'pilot', 'knock', 'seen', 'outlet', 'joint'] as const
/** What each method must say beyond its place. */
const TELLS: Partial<Record<string, 'edge' | 'hit' | 'direction'>> = { 'detector-edge': 'edge', 'probe': 'hit', 'pilot': 'hit', 'joint': 'direction' }

/** One reading of a wall; x and y from where its side or its reference line has them. */
export const evidenceSchema = group({
  id: name(), method: must(oneOf(METHODS, 'How it was found')), edge: oneOf(['left', 'right'], 'Which edge, as its reader saw it'), hit: flag('Whether it met the member'), dull: flag('Whether it sounded dull'),
  direction: oneOf(['head', 'bed'], 'Upright or level joint'), x: must(length('Place along the wall')), y: must(length('Height')), side: oneOf(['front', 'back'], 'From which side'), reference: text('Line from which it was measured'),
  by: text('Who'), at: moment('When'), note: note('Note'), photo: text('Picture in the data folder'), setAside: note('Why it is left out of account; it is kept'), namedAfter: text('Id of an earlier reading that is gone, after which the member is named that this one shows'),
}).test('tells', ({ value }: { value: unknown }) => {
  const { method } = value as { method: string }
  return `must say ${TELLS[method]}, as it is by ${method}`
}, value => value?.method === undefined || TELLS[value.method] === undefined || value[TELLS[value.method]!] !== undefined)
export type Evidence = InferType<typeof evidenceSchema>
