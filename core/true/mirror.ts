import { readingsOf, type End, type Reading } from './seam'
import { movedBy, type Adjuster, type TrueScreen } from './screen'

/** The adjuster that is in its place in a mirror. */
const SEEN_AS: Record<Adjuster, Adjuster> = {
  'height': 'height',
  'height-left': 'height-right',
  'height-right': 'height-left',
  'lateral': 'lateral',
  'depth-top-left': 'depth-top-right',
  'depth-top-right': 'depth-top-left',
  'depth-bottom-left': 'depth-bottom-right',
  'depth-bottom-right': 'depth-bottom-left',
}
/** Only what goes sideways goes the other way in a mirror. */
const signOf = (adjuster: Adjuster) => adjuster === 'lateral' ? -1 : 1
const endIn = (end: End): End => end === 'left' ? 'right' : end === 'right' ? 'left' : end

/** What was read, and gaps that were not, as they are taken to be. */
export interface Read { readings: Reading[], unread: Reading[] }

/** A wall and what was read of it as a mirror shows it, and what is moved in the mirror as it is on the wall. */
export interface Mirrored {
  screens: TrueScreen[]
  readings: Reading[]
  back: (moved: Map<string, number>) => Map<string, number>
}

/**
 * Seen in a mirror that stands upright beside the wall: left is right, and what is reported from left to right is told
 * the other way.
 */
export function mirrored(screens: TrueScreen[], readings: Reading[], targets: { x: number, y: number }): Mirrored {
  const columns = Math.max(0, ...screens.map(({ column }) => column))
  const renamed = new Map(screens.map(({ name, row, column }) => [name, `r${row}c${columns + 1 - column}`]))
  const at = (name: string) => renamed.get(name)!
  const there = screens.map((screen): TrueScreen => ({
    ...screen, name: at(screen.name), column: columns + 1 - screen.column,
    travels: screen.travels.map(({ adjuster }) => {
      const travel = screen.travels.find(other => other.adjuster === SEEN_AS[adjuster])!
      return { ...travel, adjuster, ...signOf(adjuster) < 0 && { least: -travel.most || 0, most: -travel.least || 0 } }
    }),
  })).sort((a, b) => a.row - b.row || a.column - b.column)
  // A step from left to right changes its sign; a gap, and a step from above, do not.
  const seams = (of: 'gap' | 'step') => readings.flatMap(({ kind, between: [a, b], end, value }) => {
    if (kind !== of || b === undefined || end === undefined) return []
    const upright = end === 'top' || end === 'bottom'
    return [
      {
        between: upright ? [at(b), at(a)] : [at(a), at(b)],
        end: endIn(end),
        mm: of === 'step' && upright ? -value : value,
      },
    ]
  })
  const rolls = readings.flatMap(({ kind, between: [screen], value }) =>
    kind === 'roll' ? [{ screen: at(screen), mmPerM: -value }] : [],
  )
  return {
    screens: there, readings: inPlace(readingsOf({ gaps: seams('gap'), steps: seams('step'), rolls }, there, targets)),
    back: (moved) => {
      const by = movedBy(moved)
      return new Map(
        screens.flatMap(({ name, travels }) =>
          travels.map(
            ({ adjuster }) => [`${name} ${adjuster}`, signOf(adjuster) * by(at(name), SEEN_AS[adjuster]) || 0] as const,
          ),
        ),
      )
    },
  }
}

const placeOf = ({ kind, between, end }: Reading) => `${kind} ${between.join(' ')} ${end ?? ''}`
/**
 * Readings in the order of their places, to a millionth of a micrometre: what is less is left by sums that were done
 * another way round.
 */
const inPlace = (readings: Reading[]) =>
  readings
    .map(reading => ({ ...reading, value: Math.round(reading.value * 1e9) / 1e9 }))
    .sort((a, b) => (placeOf(a) < placeOf(b) ? -1 : 1))

/**
 * Has a wall solved as it is or in a mirror, whichever comes first by what was read: where several answers are as good,
 * a wall and its mirror image are then told the same turns, and not by chance others.
 *
 * @param targets the gaps that the array is to have, mm
 */
export function alikeInMirror(
  screens: TrueScreen[],
  { readings, unread }: Read,
  targets: { x: number, y: number },
  solve: (read: Read, screens: TrueScreen[]) => Map<string, number>[],
): Map<string, number>[] {
  const ordered = [...screens].sort((a, b) => a.row - b.row || a.column - b.column)
  const here = { screens: ordered, readings: inPlace(readings) }
  const there = mirrored(screens, readings, targets)
  const order = ({ screens, readings }: Pick<Mirrored, 'screens' | 'readings'>) => [
    ...readings.map(({ value }) => value),
    ...screens.flatMap(({ travels }) => travels.map(({ least }) => least)),
  ]
  const [mine, theirs] = [order(here), order(there)]
  const differs = mine.findIndex((value, n) => Math.abs(value - theirs[n]!) > 1e-9)
  if (differs < 0 || theirs[differs]! >= mine[differs]!)
    return solve({ readings: here.readings, unread: inPlace(unread) }, here.screens)
  const seen = { readings: there.readings, unread: mirrored(screens, unread, targets).readings }
  return solve(seen, there.screens).map(there.back)
}
