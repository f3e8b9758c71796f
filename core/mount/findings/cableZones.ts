import type { Finding } from '../../finding'
import { structureKindOf, type Feature, type ScreenArray, type Wall } from '../../job'
import { counted, words, type Text } from '../../units'
import { holeName, type MountedCell } from '../position'

/** What cables run to in a wall: straight up, down and sideways from it (BS 7671 522.6.202). */
const ACCESSORIES: Record<string, string> = { outlet: 'outlet', switch: 'switch', box: 'box' }
/** A hole this near to such a line may meet a cable; and so near to the ceiling and to the corners, mm. */
const [LINE, BAND] = [50, 150]
const DETECT = words`Have the circuit isolated, and detect live cables along that line. ${[
  'Draw what is found in Survey; if nothing is, override this with how it was detected.',
]}`

/** So many holes are named. */
const NAMED = 3

interface Spot {
  id: string
  name: string
  x: number
  y: number
}
/** A part of a wall in which cables may run: what it is called, and whether a place is in it. */
interface Zone {
  subject: Finding['subject']
  name: Text
  holds: (at: { x: number, y: number }) => boolean
}

function zonesBeside({ id, kind, x, y, width, height }: Feature): Zone[] {
  const [name, subject] = [ACCESSORIES[kind]!, { kind: 'feature', id } as const]
  const [across, up] = [x + width / 2, y + height / 2]
  return [
    {
      subject,
      name: words`straight above or below the ${name} at ${across}`,
      holds: at => Math.abs(at.x - across) <= Math.max(LINE, width / 2),
    },
    {
      subject,
      name: words`level with the ${name} at ${across}`,
      holds: at => Math.abs(at.y - up) <= Math.max(LINE, height / 2),
    },
  ]
}

/** Every part of a wall in which cables may run that nobody has seen. */
function zonesOf({ id, width, height, features = [] }: Wall): Zone[] {
  const subject = { kind: 'wall', id } as const
  return [
    ...features.filter(({ kind }) => ACCESSORIES[kind]).flatMap(zonesBeside),
    { subject, name: words`within ${BAND} of the ceiling`, holds: ({ y }) => y > height - BAND },
    { subject, name: words`within ${BAND} of a corner`, holds: ({ x }) => x < BAND || x > width - BAND },
  ]
}

function named(spots: Spot[]): string {
  const [first, rest] = [spots.slice(0, NAMED).map(({ name }) => name), spots.length - NAMED]
  return rest > 0 ? `${first.join(', ')} and ${rest} more` : first.join(', ')
}

/**
 * Holes where cables run by rule, though none was drawn: one finding for each such part of a wall. In a hollow wall a
 * caution; in a solid one, where a cable has nowhere to go before the bit, a stop until somebody has detected there.
 */
export function cableZoneFindings(array: ScreenArray, wall: Wall, cells: MountedCell[]): Finding[] {
  const spots = cells.flatMap(cell =>
    cell.holes
      .filter(({ made }) => made !== 'hit')
      .map((hole): Spot => ({ id: hole.id, name: holeName(cell, hole), x: hole.x, y: hole.y })),
  )
  return zonesOf(wall).flatMap(({ subject, name, holds }): Finding[] => {
    const inside = spots.filter(holds)
    if (inside.length === 0) return []
    const holes
      = inside.length === 1
        ? words`A hole of ${array.name} is`
        : words`${counted(inside.length)} holes of ${array.name} are`
    return [
      {
        severity: structureKindOf(wall.structure).masonry ? 'stop' : 'caution',
        code: 'hole-where-cables-run',
        stage: 'mount',
        subject,
        facts: inside.flatMap(({ x, y }) => [x, y]),
        message: words`${holes} ${name}, where cables run: ${named(inside)}.`,
        remedy: DETECT,
      },
    ]
  })
}
