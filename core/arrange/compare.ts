import type { Rect } from '../geometry'
import { arraysOf, faceDepth, type Catalogue, type Wall } from '../job'
import type { Text } from '../units'
import { words } from '../units'
import { arrange, type Arrangement } from './arrangement'
import { seamsOf } from './seams'
import { massOf } from './totals'

/** One line of a comparison: what it is, and how it is for an alternative. */
export interface Comparison { what: string, text: Text }

const span = (values: number[]): Text => {
  if (values.length === 0) return words`none`
  const [least, most] = [Math.min(...values), Math.max(...values)]
  return most - least < 0.05 ? words`${least}` : words`${least} to ${most}`
}

/** What a client weighs one arrangement of a wall against another by; holes are told by who planned them. */
export function compareWall(wall: Wall, catalogue: Catalogue, holes: number, stops: number): Comparison[] {
  const laid = arraysOf(wall).flatMap((array) => {
    const arrangement = arrange(array, catalogue.displays, wall)
    return arrangement ? [{ array, ...arrangement }] : []
  })
  const each = (tell: (arrangement: Arrangement) => Text): Text =>
    laid.reduce<Text>((text, one, n) => [...text, ...(n > 0 ? ['; '] : []), ...tell(one)], [])
  const size = ({ width, height }: Rect) => words`${width} × ${height}`
  const faces = laid.flatMap(({ array, cells }) => cells.flatMap((cell) => {
    const mount = catalogue.mounts.find(({ id }) => id === (cell.mount ?? array.mount))
    const display = catalogue.displays.find(({ id }) => id === cell.model)
    return mount && display ? [faceDepth(array, mount, display)] : []
  }))
  const screens = laid.reduce((sum, { cells }) => sum + cells.length, 0)
  const mass = laid.reduce((sum, { array, cells }) => sum + massOf(cells, array, catalogue).value, 0)
  return [
    { what: 'Screens', text: words`${String(screens)}` },
    { what: 'Size', text: each(({ outline }) => size(outline)) },
    { what: 'Bezel seams', text: span(laid.flatMap(({ cells }) => seamsOf(cells).map(({ image }) => image))) },
    { what: 'Bottom edge above floor', text: each(({ outline }) => words`${outline.y}`) },
    { what: 'Top edge above floor', text: each(({ outline }) => words`${outline.y + outline.height}`) },
    { what: 'Screen face from wall', text: span(faces) },
    { what: 'Mass', text: words`${mass.toFixed(1)} kg` },
    { what: 'Mounts', text: words`${String(screens)}` },
    { what: 'Holes', text: words`${String(holes)}` },
    { what: 'Stops', text: words`${String(stops)}` },
  ]
}
