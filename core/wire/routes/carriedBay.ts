import { itemName, type Wall } from '../../job'
import type { Bay } from '../bays'

/**
 * A line of the building that may be seen from two levels, and how far a bay's middle is from it, mm: to its right (+)
 * or left (−).
 */
export interface Carried { from: string, off: number }

/** What goes through a ceiling or a floor can be seen from both sides of it. */
const UPRIGHT = new Set(['pipe', 'duct', 'cable-run'])
/** Not quite to the ceiling or the floor is near enough, mm. */
const NEARLY = 100

/**
 * How a bay is found again from above or below: by a dimension from what is seen on both levels, the nearest first:
 * the ends of the wall, the surveyor's references, and pipes and ducts that go on through the ceiling or the floor.
 */
export function carriedTo(
  { width, height, references = [], features = [] }: Pick<Wall, 'width' | 'height' | 'references' | 'features'>,
  x: number,
  side: 'above' | 'below',
): Carried[] {
  const goesOn = ({ y, height: tall }: { y: number, height: number }) =>
    side === 'above' ? y + tall >= height - NEARLY : y <= NEARLY
  return [
    { from: 'the left edge of the wall', off: x },
    { from: 'the right edge of the wall', off: x - width },
    ...references.map(reference => ({ from: `reference ${itemName(reference)}`, off: x - reference.front })),
    ...features
      .filter(feature => UPRIGHT.has(feature.kind) && goesOn(feature))
      .map(feature => ({
        from: `the centre of ${feature.kind.replaceAll('-', ' ')} ${itemName(feature)}`,
        off: x - feature.x - feature.width / 2,
      })),
  ].sort((a, b) => Math.abs(a.off) - Math.abs(b.off))
}

/**
 * Whether a place found above or below lies over a bay with room for the bit on either side, and by how much it misses,
 * mm; 0 where it does not.
 */
export function missesBay({ from, to }: Bay, x: number, hole: number): number {
  const [low, high] = [from + hole / 2, to - hole / 2]
  return x < low ? low - x : x > high ? x - high : 0
}
