import type { InferType } from 'yup'
import {
  amount, count, extent, flag, group, length, list, maybe, must, name, note, notLess, oneOf, point, size, text, texts,
} from './fields'

export const SIDES = ['top', 'right', 'bottom', 'left'] as const
/** One side of a display or of the wall, as seen from the front. */
export type Side = typeof SIDES[number]
export interface Edges { top: number, right: number, bottom: number, left: number }

const sides = (label: string) => list(must(oneOf(SIDES)), 4, label, 'Back', 'choices')

/**
 * What every model of the catalogue may say of itself: no longer offered, whose figures it replaces, and the
 * datasheet's figures as they were typed, by path.
 */
export const modelNotes = {
  retired: flag('Archived: not offered for new walls; walls that use it keep it'),
  supersedes: text('Id of the model it replaces'),
  note: note('Note', 'Note'),
  asTyped: texts('Data sheet figures as typed, by field path'),
}

const ABOUT = 'Centre of gravity, if not at the centre of the case'

/**
 * A display as its maker gives it: in landscape, seen from the front; x to the right and y up from the case's centre.
 */
export const displaySchema = group({
  id: name(),
  name: name('Name', 'Case'),
  width: must(size('Width', 'Case')),
  height: must(size('Height', 'Case')),
  depth: must(size('Depth', 'Case')),
  mass: must(amount('kg', 1e4, 'Mass', 'Case')),
  bezel: group({
    top: must(extent('Top bezel', 'Picture')),
    right: must(extent('Right bezel', 'Picture')),
    bottom: must(extent('Bottom bezel', 'Picture')),
    left: must(extent('Left bezel', 'Picture')),
  }),
  resolution: group({
    x: must(count(100_000, 'Horizontal resolution', 'Picture')),
    y: must(count(100_000, 'Vertical resolution', 'Picture')),
  }),
  vesa: group(
    {
      width: must(size('Mounting pattern width', 'Back')),
      height: must(size('Mounting pattern height', 'Back')),
      offset: group(point(length, ['Pattern right of case centre', 'Pattern above case centre'], 'Back')),
      thread: size('Thread size (M)', 'Back'),
      insertDepth: size('Insert depth', 'Back'),
      recess: extent('Pattern recess depth', 'Back'),
      spacerIn: oneOf(['recess', 'across'], 'A spacer sits in the recess or across it', 'Back'),
    },
    'Mounting pattern',
  ),
  power: maybe({
    typical: must(notLess('W', 'Typical power', 'Power')),
    max: must(notLess('W', 'Max power', 'Power')),
    factor: amount('', 1, 'Power factor', 'Power'),
    delay: notLess('s', 'Start-up delay', 'Power'),
  }),
  poe: amount('W', 100, 'Power over Ethernet, at the device', 'Power'),
  sizeTolerance: extent('Size tolerance (±)', 'Case'),
  handling: oneOf(['upright', 'face-down'], 'Handling', 'Case'),
  use: oneOf(['video-wall', 'signage'], 'Intended use', 'Case'),
  back: maybe({
    profile: must(oneOf(['flat', 'stepped', 'recessed'], 'Back profile', 'Back')),
    rim: size('Rim depth', 'Back'),
  }),
  centreOfGravity: maybe({
    ...point(length, ['Right of case centre', 'Above case centre'], ABOUT),
    z: must(extent('In front of the case back', ABOUT)),
  }),
  firmware: text('Required firmware version', 'Case'),
  ports: sides('Socket sides'),
  vents: sides('Vent sides'),
  ...modelNotes,
})
export type Display = InferType<typeof displaySchema>
