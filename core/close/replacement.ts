import { orientDisplay } from '../arrange'
import type { Catalogue, Display, Mount, ScreenArray } from '../job'
import { mountModels, type Position } from '../mount'
import { beside, words, type Text } from '../units'

/** Something that another model in a screen's place changes, and how grave that is. */
export interface Changed {
  severity: 'stop' | 'caution' | 'note'
  about: 'seams' | 'mount' | 'pixels' | 'depth' | 'power'
  what: Text
}

/** Cases that differ by less than this fill the same place, mm. */
const SAME = 0.05

const said = (severity: Changed['severity'], about: Changed['about'], what: Text): Changed =>
  ({ severity, about, what })
const change = (mm: number, less: string, more: string) => words`${Math.abs(mm)} ${mm > 0 ? more : less}`

/** Whether another case fits between its neighbours, and whether the picture jumps at its seams. */
function caseChanges(now: Display, next: Display, { orientation }: Position, { gap }: ScreenArray): Changed[] {
  const [was, will] = [orientDisplay(now, orientation), orientDisplay(next, orientation)]
  const [wider, higher] = [will.width - was.width, will.height - was.height]
  const grows = wider / 2 > gap.x || higher / 2 > gap.y
  const isSame = Math.abs(wider) < SAME && Math.abs(higher) < SAME
  const by = words`The case is ${change(wider, 'narrower', 'wider')} and ${change(higher, 'shorter', 'taller')}`
  const edges = ['top', 'right', 'bottom', 'left'] as const
  return [
    isSame
      ? said('note', 'seams', words`The case is the same size: the horizontal gap stays ${gap.x}, the vertical gap
          ${gap.y}.`)
      : grows
        ? said('stop', 'seams', words`${by}: it does not fit between its neighbours, where the gaps are ${gap.x} and
            ${gap.y}.`)
        : said('caution', 'seams', words`${by}: the gaps around it change by half of that on each side.`),
    ...edges.some(edge => Math.abs(next.bezel[edge] - now.bezel[edge]) >= SAME)
      ? [said('caution', 'seams', words`The bezels differ, so the picture jumps at its seams. Enter the new bezels and
          redo the bezel compensation.`)]
      : [],
  ]
}

/** Whether the bracket fits another mounting pattern, and hangs it where the old one hung. */
function patternChanges({ vesa: now }: Display, { vesa: next }: Display): Changed[] {
  const aside = { x: next.offset.x - now.offset.x, y: next.offset.y - now.offset.y }
  return [
    next.width === now.width && next.height === now.height
      ? said('note', 'mount', words`The mounting pattern is the same, ${next.width} × ${next.height}.`)
      : said('stop', 'mount', words`The mounting pattern is ${next.width} × ${next.height} instead of ${now.width} ×
          ${now.height}: the bracket does not fit without an adapter from the mount’s maker.`),
    ...Math.hypot(aside.x, aside.y) >= SAME
      ? [said('caution', 'mount', words`The centre of its mounting pattern is ${beside(aside)} the old one: the
          adjusters must take that up, or the screen hangs out of position.`)]
      : [],
    ...next.thread !== now.thread || next.insertDepth !== now.insertDepth
      ? [said('caution', 'mount', words`The thread or insert depth differs: measure the old screws before reusing
          them.`)]
      : [],
  ]
}

/** Whether its mount carries another mass. */
const massChanges = (now: Display, next: Display, mount: Mount | undefined): Changed[] => [
  ...mount && next.mass > mount.capacity
    ? [said('stop', 'mount', words`It weighs ${String(next.mass)} kg; the mount carries at most
        ${String(mount.capacity)} kg.`)]
    : [],
  ...next.mass > now.mass
    ? [said('caution', 'mount', words`It is ${(next.mass - now.mass).toFixed(1)} kg heavier: check the loads of its
        plate in Fix before hanging it.`)]
    : [],
]

/** Whether the pixel map changes. */
const pictureChanges = ({ resolution: now }: Display, { resolution: next }: Display): Changed[] => [
  next.x !== now.x || next.y !== now.y
    ? said('caution', 'pixels', words`The resolution is ${String(next.x)} × ${String(next.y)} instead of
        ${String(now.x)} × ${String(now.y)}: the pixel map changes; export it again.`)
    : said('note', 'pixels', words`The resolution is the same: the pixel map does not change.`),
]

/**
 * What changes where another model of display takes the place of a screen: whether it fits the place and its seams, the
 * mount's pattern and load, how far it stands out, its share of the picture and of its circuit.
 */
export function replacementOf(position: Position, next: Display, array: ScreenArray, catalogue: Catalogue): Changed[] {
  const now = catalogue.displays.find(({ id }) => id === position.model)
  if (!now)
    return [said('stop', 'seams', words`The current model is not in the catalogue, so the change cannot be assessed.`)]
  const mount = mountModels(array, catalogue)(position)
  return [
    ...caseChanges(now, next, position, array),
    ...patternChanges(now, next),
    ...massChanges(now, next, mount),
    ...pictureChanges(now, next),
    ...Math.abs(next.depth - now.depth) >= SAME
      ? [said('caution', 'depth', words`Its face is ${change(next.depth - now.depth, 'farther in', 'farther out')} than
          its neighbours’: the depth adjusters take up at most ${mount?.adjust?.depth ?? 0}.`)]
      : [],
    ...(next.power?.max ?? 0) > (now.power?.max ?? 0)
      ? [said('caution', 'power', words`The max power is ${String(next.power!.max)} W instead of
          ${String(now.power?.max ?? 0)} W: check its circuit in Wire.`)]
      : [],
  ]
}
