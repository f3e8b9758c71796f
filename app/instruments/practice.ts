import { chance, hiddenWall, INSTRUMENTS, type HiddenMember } from '~~/core/survey/simulate'
import { Listeners, type PracticeInstrument } from './instrument'

/** The hidden studs behind a practice wall; the same for the same wall. */
export function hiddenMembers(wall: string): HiddenMember[] {
  return hiddenWall([...wall].reduce((sum, char) => (31 * sum + char.charCodeAt(0)) >>> 0, 7)).members
}

/** Farther than this from a stud the detector stays silent, mm. */
const SENSES = 90

/** A stud detector that is drawn across a hidden wall: near a stud it tells both its edges, each a little out. */
export function practiceDetector(wall: string): PracticeInstrument {
  const listeners = new Listeners()
  const members = hiddenMembers(wall)
  let connected = false
  return {
    id: 'practice-detector',
    name: 'Practice stud detector',
    connect: async () => { connected = true },
    disconnect: async () => { connected = false },
    listen: listeners.listen,
    holdAt(x) {
      const near = members.find(({ centre }) => Math.abs(centre - x) < SENSES)
      if (!connected || !near) return
      const luck = chance(Math.round(x * 10) + Date.now() % 1000)
      for (const edge of ['left', 'right'] as const) {
        const reading = INSTRUMENTS.edge(near, edge, luck)
        listeners.tell({ kind: 'reading', reading: { ...reading, x: Math.round(reading.x) } })
      }
    },
  }
}

/** A laser distance meter held against the jamb: tells how far along the wall it is pointed, to a millimetre or so. */
export function practiceDistanceMeter(): PracticeInstrument {
  const listeners = new Listeners()
  let connected = false
  return {
    id: 'practice-distance',
    name: 'Practice laser distance meter',
    connect: async () => { connected = true },
    disconnect: async () => { connected = false },
    listen: listeners.listen,
    holdAt(x) {
      if (connected) listeners.tell({ kind: 'length', mm: Math.round(x + chance(Math.round(x * 10)).off(1)) })
    },
  }
}
