import type { Finding } from '../../finding'
import { overlaps, type Rect } from '../../geometry'
import type { Display, Mount, ScreenArray, Wall } from '../../job'
import { quantity, words } from '../../units'
import type { MountedCell } from '../position'

/** What a cubic metre of air takes up for each kelvin, J, and how much warmer it may leave a recess, K. */
const [AIR, WARMER] = [1.2 * 1_005, 10]
const HOUR = 3_600

/** How much air carries heat away, m³/h: P ÷ (ρ·c·ΔT). */
export const airFor = (watts: number): number => watts * HOUR / (AIR * WARMER)

interface Context {
  array: ScreenArray
  cells: MountedCell[]
  mountOf: (cell: MountedCell) => Mount
  displayOf: (cell: MountedCell) => Display | undefined
  wall: Wall
}

type About = Pick<Finding, 'stage' | 'subject'>

/** Whether a recess leaves each screen room at its sides to come out. */
function roomFindings(
  about: About, name: string, clearance: number | undefined, around: Rect, recess: Rect,
): Finding[] {
  const least = Math.min(
    around.x - recess.x, recess.x + recess.width - around.x - around.width,
    around.y - recess.y, recess.y + recess.height - around.y - around.height,
  )
  const stop = { ...about, severity: 'stop' } as const
  if (clearance === undefined) {
    const clear = words`${name} hangs in a recess with ${least} clear at the narrowest side`
    return [{
      ...stop,
      code: 'side-clearance-not-known',
      message: words`${clear}; the side clearance that its mount requires is not known.`,
      remedy: words`Enter it in the catalogue, from the mount maker’s data sheet.`,
    }]
  }
  return least >= clearance
    ? []
    : [{
        ...stop,
        code: 'recess-too-narrow',
        message: words`The recess leaves ${least} beside ${name}; its mount requires ${clearance}.`,
        remedy: words`Move the array, or widen the recess by ${clearance - least}.`,
      }]
}

/** What the screens give off in a recess, at their maximum, and how much air carries that away. */
function heatFinding(about: About, name: string, powers: (number | undefined)[]): Finding {
  const caution = { ...about, severity: 'caution', code: 'recess-heat' } as const
  const remedy = words`Keep the openings that the display’s maker asks for above and below, or fit a fan.`
  if (powers.some(power => power === undefined))
    return { ...caution, message: words`${name} hangs in a recess, and the heat of its displays is not known.`, remedy }
  const watts = powers.reduce<number>((sum, power) => sum + power!, 0)
  const air = words`at ${quantity(WARMER, 'K')} warmer air, ${quantity(airFor(watts), 'm³/h')} carry that away`
  return {
    ...caution,
    message: words`${name} gives off up to ${quantity(watts, 'W')} in its recess: ${air}.`,
    remedy,
  }
}

/** What some rectangles take up together. */
function aroundAll(rects: Rect[]): Rect {
  const [x, y] = [Math.min(...rects.map(rect => rect.x)), Math.min(...rects.map(rect => rect.y))]
  const [right, top] = [rects.map(rect => rect.x + rect.width), rects.map(rect => rect.y + rect.height)]
  return { x, y, width: Math.max(...right) - x, height: Math.max(...top) - y }
}

/** What a recess asks of an array that hangs in it. */
export function recessFindings({ array, cells, mountOf, displayOf, wall: { features = [] } }: Context): Finding[] {
  if (cells.length === 0) return []
  const about = { stage: 'mount', subject: { kind: 'array', id: array.id } } as const
  const around = aroundAll(cells.map(({ outer }) => outer))
  const recesses = features.filter(feature => feature.kind === 'recess' && overlaps(feature, around))
  const { sideClearance } = mountOf(cells[0]!)
  return [
    ...recesses.flatMap(recess => roomFindings(about, array.name, sideClearance, around, recess)),
    ...recesses.length > 0 ? [heatFinding(about, array.name, cells.map(cell => displayOf(cell)?.power?.max))] : [],
  ]
}
