import type { Evidence, Wall } from '../job'
import { ERROR_MODEL } from './errorModel'

/** A source of chance that gives the same numbers for the same seed. */
export interface Chance {
  /** Even between two numbers. */
  between: (from: number, to: number) => number
  /** Normal, with one σ. */
  off: (sigma: number) => number
  whether: (share: number) => boolean
  oneOf: <T>(values: readonly T[]) => T
}

/**
 * Seeded chance (mulberry32), so that a study or a practice wall can be had again.
 *
 * @example
 * chance(7).between(0, 1) === chance(7).between(0, 1) // true
 */
export function chance(seed: number): Chance {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6D2B79F5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  return {
    between: (from, to) => from + (to - from) * next(),
    off: sigma => sigma * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    whether: share => next() < share,
    oneOf: values => values[Math.floor(next() * values.length)]!,
  }
}

/** A member that is really there. */
export interface HiddenMember { centre: number, width: number }

/** A wall as it is behind its covering, which nobody sees. */
export interface HiddenWall { width: number, height: number, memberWidth: number, spacing: number, members: HiddenMember[] }

/**
 * Makes up a stud wall: a usual spacing from a corner, with odd bays, doubled studs, studs added
 * at an opening, or another spacing from half way on, and every stud a little off its place.
 */
export function hiddenWall(seed: number): HiddenWall {
  const { between, off, whether, oneOf } = chance(seed)
  const width = Math.round(between(4000, 9000))
  const memberWidth = 38
  const spacing = oneOf([400, 406.4, 450, 600, 609.6])
  const other = oneOf([300, 400, 600])
  const changesAt = whether(0.12) ? between(0.4, 0.6) * width : Infinity
  const jitter = between(1, 4)
  const members: HiddenMember[] = []
  let place = between(15, spacing)
  while (place < width - 20) {
    members.push({ centre: place + off(jitter), width: whether(0.06) ? 2 * memberWidth : memberWidth })
    place += (place > changesAt ? other : spacing) * (whether(0.05) ? between(0.45, 0.8) : 1)
  }
  if (whether(0.35)) {
    const added = between(300, width - 300)
    if (members.every(({ centre }) => Math.abs(centre - added) > 95)) members.push({ centre: added, width: memberWidth })
  }
  members.sort((a, b) => a.centre - b.centre)
  return { width, height: 2700, memberWidth, spacing, members }
}

/** Ways of reading a wall, told apart in the study. */
export const READING_GROUPS = ['edges', 'magnets', 'probes', 'far side', 'mixed'] as const
export type ReadingGroup = typeof READING_GROUPS[number]

type Draw = Pick<Evidence, 'method' | 'x'> & Partial<Evidence>

/** One reading of a member by an instrument that errs as the error model says. */
export const INSTRUMENTS = {
  edge: ({ centre, width }: HiddenMember, edge: 'left' | 'right', { off }: Chance): Draw =>
    ({ method: 'detector-edge', edge, x: centre + (edge === 'left' ? -width / 2 : width / 2) + off(ERROR_MODEL.detectorEdge) }),
  centre: ({ centre }: HiddenMember, { off }: Chance): Draw => ({ method: 'detector-centre', x: centre + off(ERROR_MODEL.detectorCentre) }),
  magnet: ({ centre, width }: HiddenMember, { between }: Chance): Draw => {
    const strip = width / 2 - ERROR_MODEL.screwStrip
    return { method: 'magnet', x: centre + between(-strip, strip) }
  },
  probe: (members: HiddenMember[], x: number): Draw =>
    ({ method: 'probe', x, hit: members.some(({ centre, width }) => Math.abs(x - centre) <= width / 2) }),
} as const

/** Works outwards from a guess with a nail until both faces of a member are known to some mm. */
function probeAbout(member: HiddenMember, members: HiddenMember[], { off, between }: Chance): Draw[] {
  const from = member.centre + off(8)
  const step = between(8, 14)
  return [0, -1, 1, -2, 2, -3, 3].map(n => INSTRUMENTS.probe(members, from + n * step))
}

function readMember(member: HiddenMember, members: HiddenMember[], group: ReadingGroup, c: Chance): Draw[] {
  switch (group) {
    case 'edges':
    case 'far side': return [INSTRUMENTS.edge(member, 'left', c), INSTRUMENTS.edge(member, 'right', c)]
    case 'magnets': return Array.from({ length: c.oneOf([2, 3, 4]) }, () => INSTRUMENTS.magnet(member, c))
    case 'probes': return probeAbout(member, members, c)
    case 'mixed': return readMember(member, members, c.oneOf(['edges', 'magnets', 'probes'] as const), c).concat(c.whether(0.5) ? INSTRUMENTS.centre(member, c) : [])
  }
}

/** A simulated survey: the job's wall with its readings, and which members have any. */
export interface Surveyed { wall: Wall, read: HiddenMember[] }

const HEIGHTS = [900, 1200, 1500, 1800]

/** Reads a hidden wall by one way of reading; some members are passed over, and some readings are false. */
export function readWall(hidden: HiddenWall, group: ReadingGroup, seed: number): Surveyed {
  const c = chance(seed)
  const read = hidden.members.filter(() => c.whether(0.9))
  const draws = read.flatMap(member => readMember(member, hidden.members, group, c))
  if (group !== 'probes' && c.whether(0.6)) {
    const x = c.between(50, hidden.width - 50)
    draws.push(c.whether(0.5) ? { method: 'magnet', x } : { method: 'detector-edge', edge: c.oneOf(['left', 'right'] as const), x })
  }
  const wall: Wall = {
    id: 'practice', name: 'Practice', width: hidden.width, height: hidden.height,
    structure: { kind: 'wood-stud', memberWidth: hidden.memberWidth, memberDepth: 90, specificGravity: 0.42 },
    covering: [{ material: 'gypsum-board', thickness: 12.5 }],
    evidence: draws.map((draw, n) => ({ id: `e${n + 1}`, y: c.oneOf(HEIGHTS), ...draw })),
    arrays: [],
  }
  return { wall: group === 'far side' ? fromFarSide(wall, c) : wall, read }
}

/** The same readings taken from behind: mirrored about a jamb that was read once from either side. */
function fromFarSide(wall: Wall, { off, between }: Chance): Wall {
  const jamb = between(0.2, 0.8) * wall.width
  const behind = wall.width - jamb
  return {
    ...wall,
    references: [{ id: 'jamb', front: jamb + off(ERROR_MODEL.seen), back: behind + off(ERROR_MODEL.seen) }],
    evidence: wall.evidence?.map(reading => ({
      ...reading, side: 'back' as const, reference: 'jamb', x: wall.width - reading.x,
      ...reading.edge && { edge: reading.edge === 'left' ? 'right' as const : 'left' as const },
    })),
  }
}
