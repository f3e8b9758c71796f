import { orientDisplay } from '../arrange'
import type { Catalogue, Display, ScreenArray } from '../job'
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

/**
 * What changes where another model of display takes the place of a screen: whether it fits the place and its seams, the
 * mount's pattern and load, how far it stands out, its share of the picture and of its circuit.
 */
export function replacementOf(position: Position, next: Display, array: ScreenArray, catalogue: Catalogue): Changed[] {
  const now = catalogue.displays.find(({ id }) => id === position.model)
  const mount = mountModels(array, catalogue)(position)
  if (!now) return [{ severity: 'stop', about: 'seams', what: words`The current model is not in the catalogue, so the change cannot be assessed.` }]
  const [was, will] = [orientDisplay(now, position.orientation), orientDisplay(next, position.orientation)]
  const [wider, higher] = [will.width - was.width, will.height - was.height]
  const grows = wider / 2 > array.gap.x || higher / 2 > array.gap.y
  const change = (mm: number, less: string, more: string) => words`${Math.abs(mm)} ${mm > 0 ? more : less}`
  const bezel = (edge: keyof Display['bezel']) => next.bezel[edge] - now.bezel[edge]
  return [
    ...Math.abs(wider) < SAME && Math.abs(higher) < SAME
      ? [{ severity: 'note' as const, about: 'seams' as const, what: words`The case is the same size: the horizontal gap stays ${array.gap.x}, the vertical gap ${array.gap.y}.` }]
      : [{ severity: grows ? 'stop' as const : 'caution' as const, about: 'seams' as const, what: words`The case is ${change(wider, 'narrower', 'wider')} and ${change(higher, 'shorter', 'taller')}: ${grows ? words`it does not fit between its neighbours, where the gaps are ${array.gap.x} and ${array.gap.y}.` : 'the gaps around it change by half of that on each side.'}` }],
    ...(['top', 'right', 'bottom', 'left'] as const).some(edge => Math.abs(bezel(edge)) >= SAME) ? [{ severity: 'caution' as const, about: 'seams' as const, what: words`The bezels differ, so the picture jumps at its seams. Enter the new bezels and redo the bezel compensation.` }] : [],
    ...next.vesa.width === now.vesa.width && next.vesa.height === now.vesa.height
      ? [{ severity: 'note' as const, about: 'mount' as const, what: words`The mounting pattern is the same, ${next.vesa.width} × ${next.vesa.height}.` }]
      : [{ severity: 'stop' as const, about: 'mount' as const, what: words`The mounting pattern is ${next.vesa.width} × ${next.vesa.height} instead of ${now.vesa.width} × ${now.vesa.height}: the bracket does not fit without an adapter from the mount’s maker.` }],
    ...Math.hypot(next.vesa.offset.x - now.vesa.offset.x, next.vesa.offset.y - now.vesa.offset.y) >= SAME ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`The centre of its mounting pattern is ${beside({ x: next.vesa.offset.x - now.vesa.offset.x, y: next.vesa.offset.y - now.vesa.offset.y })} the old one: the adjusters must take that up, or the screen hangs out of position.` }] : [],
    ...next.vesa.thread !== now.vesa.thread || next.vesa.insertDepth !== now.vesa.insertDepth ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`The thread or insert depth differs: measure the old screws before reusing them.` }] : [],
    ...mount && next.mass > mount.capacity ? [{ severity: 'stop' as const, about: 'mount' as const, what: words`It weighs ${String(next.mass)} kg; the mount carries at most ${String(mount.capacity)} kg.` }] : [],
    ...next.mass > now.mass ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`It is ${(next.mass - now.mass).toFixed(1)} kg heavier: check the loads of its plate in Fix before hanging it.` }] : [],
    ...next.resolution.x !== now.resolution.x || next.resolution.y !== now.resolution.y
      ? [{ severity: 'caution' as const, about: 'pixels' as const, what: words`The resolution is ${String(next.resolution.x)} × ${String(next.resolution.y)} instead of ${String(now.resolution.x)} × ${String(now.resolution.y)}: the pixel map changes; export it again.` }]
      : [{ severity: 'note' as const, about: 'pixels' as const, what: words`The resolution is the same: the pixel map does not change.` }],
    ...Math.abs(next.depth - now.depth) >= SAME ? [{ severity: 'caution' as const, about: 'depth' as const, what: words`Its face is ${change(next.depth - now.depth, 'farther in', 'farther out')} than its neighbours’: the depth adjusters take up at most ${mount?.adjust?.depth ?? 0}.` }] : [],
    ...(next.power?.max ?? 0) > (now.power?.max ?? 0) ? [{ severity: 'caution' as const, about: 'power' as const, what: words`The max power is ${String(next.power!.max)} W instead of ${String(now.power?.max ?? 0)} W: check its circuit in Wire.` }] : [],
  ]
}
