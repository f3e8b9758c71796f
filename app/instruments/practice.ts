import { chance, hiddenWall, INSTRUMENTS, type HiddenMember } from '~~/core/survey/simulatedReadings'
import { Listeners, type InstrumentEvent, type PracticeInstrument } from './instrument'

/** The hidden studs behind a practice wall; the same for the same wall. */
export function hiddenMembers(wall: string): HiddenMember[] {
  return hiddenWall([...wall].reduce((sum, char) => (31 * sum + char.charCodeAt(0)) >>> 0, 7)).members
}

/** An instrument that tells, once it is connected, what it makes of the place at which it is held. */
function practice(id: string, name: string, heldAt: (x: number) => InstrumentEvent[]): PracticeInstrument {
  const listeners = new Listeners()
  let connected = false
  return {
    id, name,
    connect: async () => { connected = true },
    disconnect: async () => { connected = false },
    listen: listeners.listen,
    holdAt(x) {
      if (connected) for (const event of heldAt(x)) listeners.tell(event)
    },
  }
}

/** Farther than this from a stud the detector stays silent, mm. */
const SENSES = 90

/** A stud detector that is drawn across a hidden wall: near a stud it tells both its edges, each a little out. */
export function practiceDetector(wall: string): PracticeInstrument {
  const members = hiddenMembers(wall)
  return practice('practice-detector', 'Practice stud detector', (x) => {
    const near = members.find(({ centre }) => Math.abs(centre - x) < SENSES)
    if (!near) return []
    const rng = chance(Math.round(x * 10) + Date.now() % 1000)
    return (['left', 'right'] as const).map((edge) => {
      const reading = INSTRUMENTS.edge(near, edge, rng)
      return { kind: 'reading', reading: { ...reading, x: Math.round(reading.x) } }
    })
  })
}

/** How far a locator is out, one σ, mm. */
const LOCATES = 6

/**
 * A locator: a sender held at the wall, and a receiver above or below that tells where the sender is, some millimetres
 * out.
 */
export const practiceLocator = (): PracticeInstrument => practice('practice-locator', 'Practice locator', x =>
  [{ kind: 'length', mm: Math.round(x + chance(Math.round(x * 10) + Date.now() % 1000).off(LOCATES)) }])

/** A laser distance meter held against the jamb: tells how far along the wall it is pointed, to a millimetre or so. */
export const practiceDistanceMeter = (): PracticeInstrument =>
  practice('practice-distance', 'Practice laser distance meter', x => [
    { kind: 'length', mm: Math.round(x + chance(Math.round(x * 10)).off(1)) },
  ])
