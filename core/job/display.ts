import type { InferType } from 'yup'
import { amount, count, extent, flag, group, length, list, maybe, must, name, note, notLess, oneOf, point, size, text, texts } from './fields'

export const SIDES = ['top', 'right', 'bottom', 'left'] as const
/** One side of a display or of the wall, as seen from the front. */
export type Side = typeof SIDES[number]
export interface Edges { top: number, right: number, bottom: number, left: number }

const sides = (label: string) => list(must(oneOf(SIDES)), 4, label, 'Back', 'choices')

/** What every model of the catalogue may say of itself: no longer offered, whose figures it replaces, and the datasheet's figures as they were typed, by path. */
export const modelNotes = { retired: flag('No longer offered; walls that use it keep it'), supersedes: text('Id of the model whose figures it replaces'), note: note('Note', 'Note'), asTyped: texts('The datasheet’s figures as they were typed, by their path') }

const ABOUT = 'Centre of gravity, where it is not the middle of the case'

/** A display as its maker gives it: in landscape, seen from the front; x to the right and y up from the case's centre. */
export const displaySchema = group({
  id: name(), name: name('Name', 'Case'),
  width: must(size('Width', 'Case')), height: must(size('Height', 'Case')), depth: must(size('Depth', 'Case')), mass: must(amount('kg', 1e4, 'Mass', 'Case')),
  bezel: group({
    top: must(extent('Bezel above', 'Picture')), right: must(extent('Bezel right', 'Picture')),
    bottom: must(extent('Bezel below', 'Picture')), left: must(extent('Bezel left', 'Picture')),
  }),
  resolution: group({ x: must(count(100_000, 'Pixels across', 'Picture')), y: must(count(100_000, 'Pixels up', 'Picture')) }),
  vesa: group({
    width: must(size('Pattern width', 'Back')), height: must(size('Pattern height', 'Back')),
    offset: group(point(length, ['Pattern right of centre', 'Pattern above centre'], 'Back')),
    thread: size('Thread, M', 'Back'), insertDepth: size('Insert depth', 'Back'), recess: extent('Recess of the pattern', 'Back'),
  }, 'Mounting pattern'),
  power: maybe({ typical: must(notLess('W', 'Typical', 'Power')), max: must(notLess('W', 'Most', 'Power')), factor: amount('', 1, 'Power factor', 'Power'), delay: notLess('s', 'Waits before it starts', 'Power') }),
  sizeTolerance: extent('Size is within ±', 'Case'), handling: oneOf(['upright', 'face-down'], 'May be handled', 'Case'),
  use: oneOf(['video-wall', 'signage'], 'Made for', 'Case'),
  back: maybe({ profile: must(oneOf(['flat', 'stepped', 'recessed'], 'Profile', 'Back')), rim: size('Depth at the rim', 'Back') }),
  centreOfGravity: maybe({ ...point(length, ['Right of centre', 'Above centre'], ABOUT), z: must(extent('In front of the back', ABOUT)) }),
  ports: sides('Sockets on its'), vents: sides('Vents on its'), ...modelNotes,
})
export type Display = InferType<typeof displaySchema>
