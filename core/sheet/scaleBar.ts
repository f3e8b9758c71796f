import { group, line, type Shape } from '../svg'
import type { UnitSystem } from '../units'
import { INK, label } from './text'

/** A bar of known length, so that a print that was scaled to fit can be told. */
export function scaleBar(x: number, y: number, units: UnitSystem): Shape {
  const [length, text] = units === 'metric' ? [100, 'this bar is 100 mm long'] : [101.6, 'this bar is 4 in long']
  const stroke = { 'stroke': INK, 'stroke-width': 0.3 }
  return group(
    {},
    line(x, y, x + length, y, stroke),
    line(x, y - 1.2, x, y + 1.2, stroke),
    line(x + length, y - 1.2, x + length, y + 1.2, stroke),
    label(text, x + length + 2, y + 0.9, 2.6),
  )
}
