import { orientDisplay } from '../arrange'
import type { Catalogue, Display, ScreenArray } from '../job'
import { mountModels, type Position } from '../mount'
import { words, type Text } from '../units'

/** Something that another model in a screen's place changes, and how grave that is. */
export interface Changed { severity: 'stop' | 'caution' | 'note', about: 'seams' | 'mount' | 'pixels' | 'depth' | 'power', what: Text }

/** Cases that differ by less than this fill the same place, mm. */
const SAME = 0.05

/**
 * What changes where another model of display takes the place of a screen: whether it fits the place and its seams, the
 * mount's pattern and load, how far it stands out, its share of the picture and of its circuit.
 */
export function replacementOf(position: Position, next: Display, array: ScreenArray, catalogue: Catalogue): Changed[] {
  const now = catalogue.displays.find(({ id }) => id === position.model)
  const mount = mountModels(array, catalogue)(position)
  if (!now) return [{ severity: 'stop', about: 'seams', what: words`The model that hangs there is not in the catalogue: nothing can be told of the change.` }]
  const [was, will] = [orientDisplay(now, position.orientation), orientDisplay(next, position.orientation)]
  const [wider, higher] = [will.width - was.width, will.height - was.height]
  const grows = wider / 2 > array.gap.x || higher / 2 > array.gap.y
  const change = (mm: number, less: string, more: string) => words`${Math.abs(mm)} ${mm > 0 ? more : less}`
  const bezel = (edge: keyof Display['bezel']) => next.bezel[edge] - now.bezel[edge]
  return [
    ...Math.abs(wider) < SAME && Math.abs(higher) < SAME
      ? [{ severity: 'note' as const, about: 'seams' as const, what: words`Its case is of the same size: seams stay ${array.gap.x} and ${array.gap.y}.` }]
      : [{ severity: grows ? 'stop' as const : 'caution' as const, about: 'seams' as const, what: words`Its case is ${change(wider, 'narrower', 'wider')} and ${change(higher, 'lower', 'higher')}: ${grows ? words`it does not fit between its neighbours, whose seams are ${array.gap.x} and ${array.gap.y}.` : 'the seams round it change by half of that at each side.'}` }],
    ...(['top', 'right', 'bottom', 'left'] as const).some(edge => Math.abs(bezel(edge)) >= SAME) ? [{ severity: 'caution' as const, about: 'seams' as const, what: words`Its bezels are others: the picture across its seams jumps. Enter them, and compensate anew.` }] : [],
    ...next.vesa.width === now.vesa.width && next.vesa.height === now.vesa.height
      ? [{ severity: 'note' as const, about: 'mount' as const, what: words`The pattern of its screws is the same, ${next.vesa.width} × ${next.vesa.height}.` }]
      : [{ severity: 'stop' as const, about: 'mount' as const, what: words`The pattern of its screws is ${next.vesa.width} × ${next.vesa.height}, and was ${now.vesa.width} × ${now.vesa.height}: its bracket does not fit without an adapter of the mount’s maker.` }],
    ...Math.hypot(next.vesa.offset.x - now.vesa.offset.x, next.vesa.offset.y - now.vesa.offset.y) >= SAME ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`The middle of its pattern is ${next.vesa.offset.x - now.vesa.offset.x} right and ${next.vesa.offset.y - now.vesa.offset.y} above where it was: the adjusters have to take that up, or it hangs off its place.` }] : [],
    ...next.vesa.thread !== now.vesa.thread || next.vesa.insertDepth !== now.vesa.insertDepth ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`Thread or insert is another: the screws of the old one are not to be used unmeasured.` }] : [],
    ...mount && next.mass > mount.capacity ? [{ severity: 'stop' as const, about: 'mount' as const, what: words`It weighs ${String(next.mass)} kg, and the mount carries ${String(mount.capacity)}.` }] : [],
    ...next.mass > now.mass ? [{ severity: 'caution' as const, about: 'mount' as const, what: words`It is ${(next.mass - now.mass).toFixed(1)} kg heavier: look at the loads of its plate under Fix before it hangs.` }] : [],
    ...next.resolution.x !== now.resolution.x || next.resolution.y !== now.resolution.y
      ? [{ severity: 'caution' as const, about: 'pixels' as const, what: words`It shows ${String(next.resolution.x)} × ${String(next.resolution.y)} pixels where ${String(now.resolution.x)} × ${String(now.resolution.y)} were: the pixel map changes; export it anew.` }]
      : [{ severity: 'note' as const, about: 'pixels' as const, what: words`Its pixels are as many: the pixel map stays.` }],
    ...Math.abs(next.depth - now.depth) >= SAME ? [{ severity: 'caution' as const, about: 'depth' as const, what: words`Its face stands ${change(next.depth - now.depth, 'farther in', 'farther out')} than its neighbours’ by its depth: the depth screws take up ${mount?.adjust?.depth ?? 0} at the most.` }] : [],
    ...(next.power?.max ?? 0) > (now.power?.max ?? 0) ? [{ severity: 'caution' as const, about: 'power' as const, what: words`It draws up to ${String(next.power!.max)} W where ${String(now.power?.max ?? 0)} were: look at its circuit under Wire.` }] : [],
  ]
}
