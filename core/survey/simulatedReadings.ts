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

/** A member that is really there: of one piece, or of two side by side. */
export interface HiddenMember { centre: number, width: number, plies?: number }

/** A wall as it is behind its covering, which nobody sees; `memberWidth` is what its surveyor takes its members for. */
export interface HiddenWall {
  width: number
  height: number
  memberWidth: number
  spacing: number
  members: HiddenMember[]
  bias: DetectorBias
  falseShare: number
  falseNails: boolean
  read: number
}

/** What all readings of one detector share on a wall: so far to the right, and every member so much too wide, mm. */
export interface DetectorBias { aside: number, wide: number }

/** One σ of what the readings of one instrument share on a wall, mm. */
const SHARED = 2

/** How a made-up wall differs from what the error model takes for granted. */
interface World {
  /** Face width of its members, where the surveyor was reported 38. */
  width: number
  spacing: (c: Chance) => number
  /** How far each bay is longer than the one laid out, mm. */
  stretch: (spacing: number, c: Chance) => number
  bias: (c: Chance) => DetectorBias
  /** Where another run begins, as a share of the wall. */
  secondRun: number
  /** Kings with jacks beside them, at an opening. */
  jacks: boolean
  falseShare: number
  /** Whether nails are false too. */
  falseNails: boolean
  /** How many of its members are read. */
  read: (c: Chance) => number
}

const USUAL = [400, 406.4, 450, 600, 609.6]
const MODELLED: World = {
  width: 38,
  spacing: ({ oneOf }) => oneOf(USUAL),
  stretch: () => 0,
  bias: ({ off }) => ({ aside: off(SHARED), wide: 0 }),
  secondRun: 0,
  jacks: false,
  falseShare: 0.01,
  falseNails: false,
  read: () => 0.9,
}

/** Walls to learn on and to be honest about: as the error model has them, and as it does not. */
export const WORLDS = {
  'as modelled': MODELLED,
  'members of 45 where 38 was said': { ...MODELLED, width: 45 },
  'a spacing nobody named': { ...MODELLED, spacing: ({ oneOf }) => oneOf([417, 487.7, 625]) },
  'framing laid 1 % long or short': { ...MODELLED, stretch: (spacing, { oneOf }) => 0.01 * spacing * oneOf([-1, 1]) },
  'framing that drifts from bay to bay': { ...MODELLED, stretch: (_, { off }) => off(6) },
  'detector reads to one side': {
    ...MODELLED,
    bias: ({ oneOf, between }) => ({ aside: oneOf([-1, 1]) * between(3, 5), wide: 0 }),
  },
  'detector reads members wide': { ...MODELLED, bias: ({ between }) => ({ aside: 0, wide: between(4, 8) }) },
  'two runs meet': { ...MODELLED, secondRun: 0.5 },
  'kings and jacks': { ...MODELLED, jacks: true },
  'one reading in twenty is false': { ...MODELLED, falseShare: 0.05, falseNails: true },
  'a few members read': { ...MODELLED, read: () => 0.3 },
} satisfies Record<string, World>
export type WorldName = keyof typeof WORLDS

/**
 * Makes up a stud wall: a spacing from a corner, with odd bays, doubled studs, studs added at an opening, and
 * every stud a little off its place. Of a doubled stud one piece stands where the run has its place, the second
 * beside it.
 */
export function hiddenWall(seed: number, world: WorldName = 'as modelled'): HiddenWall {
  const c = chance(seed)
  const { between, off, whether, oneOf } = c
  const {
    width: memberWidth,
    spacing: spacingOf,
    stretch,
    bias,
    secondRun,
    jacks,
    falseShare,
    falseNails,
    read,
  }: World = WORLDS[world]
  const width = Math.round(between(4000, 9000))
  const spacing = spacingOf(c)
  const other = oneOf([300, 400, 600])
  const changesAt
    = secondRun > 0
      ? between(secondRun - 0.1, secondRun + 0.1) * width
      : whether(0.12)
        ? between(0.4, 0.6) * width
        : Infinity
  const jitter = between(1, 4)
  const longer = stretch(spacing, { ...c, off: () => 0 })
  const members: HiddenMember[] = []
  let place = between(15, spacing)
  while (place < width - 20) {
    const centre = place + off(jitter)
    members.push(
      whether(0.08)
        ? { centre: centre + (oneOf([-1, 1]) * memberWidth) / 2, width: 2 * memberWidth, plies: 2 }
        : { centre, width: memberWidth },
    )
    const bay = (place > changesAt ? other : spacing) + (longer || stretch(spacing, c))
    place += bay * (whether(0.05) ? between(0.45, 0.8) : 1)
  }
  if (whether(0.35)) addClear(members, { centre: between(300, width - 300), width: memberWidth })
  if (jacks) {
    // An opening with a king and, a little more than its width farther in, a jack at either side.
    const from = between(0.25, 0.5) * width
    for (const [king, way] of [[from, 1], [from + between(800, 1100), -1]] as const) {
      const jack = king + way * (memberWidth + between(10, 30))
      for (let n = members.length - 1; n >= 0; n--) if (Math.abs(members[n]!.centre - king) < 130) members.splice(n, 1)
      members.push({ centre: king, width: memberWidth }, { centre: jack, width: memberWidth })
    }
  }
  members.sort((a, b) => a.centre - b.centre)
  return {
    width,
    height: 2700,
    memberWidth: 38,
    spacing,
    members,
    bias: bias(c),
    falseShare,
    falseNails,
    read: read(c),
  }
}

/** Adds a member where it stands clear of the others. */
function addClear(members: HiddenMember[], added: HiddenMember): void {
  if (members.every(({ centre }) => Math.abs(centre - added.centre) > 95)) members.push(added)
}

/** Ways of reading a wall, distinguished in the study. */
export const READING_GROUPS = ['edges', 'magnets', 'probes', 'far side', 'mixed', 'two kinds'] as const
export type ReadingGroup = typeof READING_GROUPS[number]

type Draw = Pick<Evidence, 'method' | 'x'> & Partial<Evidence>

const UNBIASED: DetectorBias = { aside: 0, wide: 0 }

/** One reading of a member by an instrument that errs as the error model says. */
export const INSTRUMENTS = {
  edge: (
    { centre, width }: HiddenMember,
    edge: 'left' | 'right',
    { off }: Chance,
    { aside, wide }: DetectorBias = UNBIASED,
  ): Draw => ({
    method: 'detector-edge',
    edge,
    x: centre + ((edge === 'left' ? -1 : 1) * (width + wide)) / 2 + aside + off(ERROR_MODEL.detectorEdge),
  }),
  centre: ({ centre }: HiddenMember, { off }: Chance, { aside }: DetectorBias = UNBIASED): Draw => ({
    method: 'detector-centre',
    x: centre + aside + off(ERROR_MODEL.detectorCentre),
  }),
  /** A screw's head, in any of a member's pieces. */
  magnet: ({ centre, width, plies = 1 }: HiddenMember, { between, oneOf }: Chance): Draw => {
    const each = width / plies
    const strip = each / 2 - ERROR_MODEL.screwStrip
    return { method: 'magnet', x: centre + (plies > 1 ? oneOf([-0.5, 0.5]) * each : 0) + between(-strip, strip) }
  },
  probe: (members: HiddenMember[], x: number): Draw => ({
    method: 'probe',
    x,
    hit: members.some(({ centre, width }) => Math.abs(x - centre) <= width / 2),
  }),
} as const

/** Works outwards from a guess with a nail until both faces of a member are known to some mm. */
function probeAbout(member: HiddenMember, members: HiddenMember[], { off, between }: Chance): Draw[] {
  const from = member.centre + off(8)
  const step = between(8, 14)
  const reach = member.width > 50 ? 5 : 3
  // Where a nail went in is itself measured, to a millimetre or so.
  return Array.from({ length: 2 * reach + 1 }, (_, n) => INSTRUMENTS.probe(members, from + (n - reach) * step)).map(
    draw => ({ ...draw, x: draw.x + off(ERROR_MODEL.hole) }),
  )
}

function readMember(member: HiddenMember, { members, bias }: HiddenWall, group: ReadingGroup, c: Chance): Draw[] {
  const edges = () => [INSTRUMENTS.edge(member, 'left', c, bias), INSTRUMENTS.edge(member, 'right', c, bias)]
  const magnets = () => Array.from({ length: c.oneOf([2, 3, 4]) }, () => INSTRUMENTS.magnet(member, c))
  switch (group) {
    case 'edges':
    case 'far side':
      return edges()
    case 'magnets':
      return magnets()
    case 'probes':
      return probeAbout(member, members, c)
    case 'mixed':
      return c
        .oneOf([edges, magnets, () => probeAbout(member, members, c)])()
        .concat(c.whether(0.5) ? INSTRUMENTS.centre(member, c, bias) : [])
    case 'two kinds':
      return [
        ...edges(),
        ...(c.whether(0.6) ? magnets() : []),
        ...(c.whether(0.4) ? probeAbout(member, members, c) : []),
      ]
  }
}

/** A simulated survey: the job's wall with its readings, and which members have any. */
export interface Surveyed { wall: Wall, read: HiddenMember[] }

const HEIGHTS = [900, 1200, 1500, 1800]

/** Reads a hidden wall by one way of reading; some members are passed over, and some readings are false. */
export function readWall(hidden: HiddenWall, group: ReadingGroup, seed: number): Surveyed {
  const c = chance(seed)
  const read = hidden.members.filter(() => c.whether(hidden.read))
  const draws = read.flatMap(member => readMember(member, hidden, group, c)).map((draw): Draw => {
    if (!c.whether(hidden.falseShare)) return draw
    // A false one: a head or an edge that is none of a member's; a nail that bent or met a knot, which the error model
    // takes for certain.
    return draw.method !== 'probe'
      ? { ...draw, x: c.between(50, hidden.width - 50) }
      : hidden.falseNails
        ? { ...draw, hit: !draw.hit }
        : draw
  })
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
