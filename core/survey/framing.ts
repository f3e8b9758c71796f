import type { Interval } from '../geometry'
import type { Wall } from '../job'
import { DOUBLE_WIDTH, NAIL_ERRS, RUN_FILLED, USUAL_WIDTH } from './errorModel'
import { clustersOf, groupsOf, NEARBY, sightingOf, signsOfGroup, type Cluster, type Group } from './groups'
import { expectation, flat } from './expectation'
import { withIds } from './identity'
import { leanOf, plumbed, type Lean, type Leaning } from './lean'
import { logistic, normalPdf } from './normal'
import { PosteriorGrid, type Belief, type Expectation } from './posterior'
import { expectedAt, runsOf, type Run, type Sighting } from './runs'
import { sharedErrors, shiftBack, type SharedError } from './shared'
import { belongs, likelihoodRatio, signsOf, sourcesOf, type Sign } from './sign'
import { withSpread } from './spread'
import { besideIn, missesIn, missesOf, showsEnd, stretchesOf } from './stretches'
import { commonWidth, type CommonWidth } from './width'

/** A framing member as far as it is known; lengths in mm. */
export interface Member {
  /** Lasts as long as the readings that it rests on are mostly the same. */
  id: string
  centre: number
  width: number
  /** The width that may be counted on, where that is less. */
  sureWidth?: number
  /** centre ± 1.96·sd holds the true centre 95 times in 100. */
  sd: number
  kind: 'single' | 'double'
  /** How many pieces stand side by side in it: a fastener goes into one of them, never into a seam. */
  plies: number
  /** Seen by signs of its own, or only expected from its neighbours. */
  source: 'observed' | 'inferred'
  /** How likely it is that there is a member here at all, 0 to 1. */
  confidence: number
  /** Whether the house rule takes it as proved. */
  proved: boolean
  /** Ids of the readings it rests on. */
  evidence: string[]
  /** Which run it stands in, by index, and where its neighbours there tell that it stands. */
  run?: number
  expected?: { centre: number, sd: number }
  /** How far it may stand out of plumb, and how far it does: `centre` is at the height `lean.at`. */
  lean?: Lean
  /** Where it stands, mm above the floor, if not over the wall's whole height. */
  stretches?: Interval[]
}

/** A member before it is named. */
type Found = Omit<Member, 'proved' | 'id'>

/** What the readings of a wall say of its framing. */
export interface FramingMap {
  members: Omit<Member, 'proved'>[]
  runs: Run[]
  /** Signs that no member explains. */
  unexplained: Sign[]
  /** What readings of one source share, and how wide the common member is. */
  shared: SharedError[]
  width: CommonWidth
}

/**
 * A member is shown only if it is likelier than not; one that a single reading shows, where others are known better,
 * only if that is hardly a false one.
 */
const LIKELY = 0.5
const LONE = 0.9
/** A run is carried on over so many empty places between two members that were found. */
const BRIDGED = 2
/** The common member's face width: as the surveyor gave it, or what is usual, mm. */
export function nominalWidth({ structure }: Pick<Wall, 'structure'>): number {
  return (
    structure.memberWidth ?? (structure.kind === 'steel-stud' ? USUAL_WIDTH['steel-stud'] : USUAL_WIDTH['wood-stud'])
  )
}

/** The readings of a wall that bear on its framing, each with how far its detector's spread on this wall. */
export const readingsOf = (wall: Wall): Sign[] => withSpread(signsOf(wall), nominalWidth(wall))

/** How many plies of a nominal width a member is made of: one that is more than 1.6 of it wide is more than one. */
export function pliesIn(width: number, nominal: number): number {
  return width > DOUBLE_WIDTH * nominal ? Math.max(Math.round(width / nominal), 2) : 1
}

/**
 * The pieces of a member, from the left: of a single one itself, of a doubled one its plies, each as wide as the
 * others; of each the width that may be counted on.
 */
export function piecesOf({
  centre,
  width,
  plies,
  sureWidth = width,
}: Pick<Member, 'centre' | 'width' | 'plies' | 'sureWidth'>): { centre: number, width: number }[] {
  if (plies < 2) return [{ centre, width: sureWidth }]
  return Array.from({ length: plies }, (_, n) => ({
    centre: centre + ((n + 0.5 - plies / 2) * width) / plies,
    width: sureWidth / plies,
  }))
}

/** Steps of a place once it is known which signs go together, mm. */
const FINE = 1

/** The signs of each group, and the weak ones that the member of each is likeliest to have made. */
function withWeakSigns(groups: Group[], signs: Sign[]): Sign[][] {
  const taken = new Set(groups.flatMap(signsOfGroup))
  const all = groups.map(signsOfGroup)
  for (const sign of signs) {
    if (!sign.speaksFor || taken.has(sign)) continue
    let best = -1
    groups.forEach(({ outline, width }, n) => {
      if (Math.abs(outline.centre - sign.x) > 2 * NEARBY) return
      const its = belongs(sign, outline.centre, width)
      if (its > 0.5 && (best < 0 || its > belongs(sign, groups[best]!.outline.centre, groups[best]!.width))) best = n
    })
    if (best >= 0) all[best]!.push(sign)
  }
  return all
}

const bothEdges = (signs: Sign[]) =>
  new Set(
    signs
      .filter(({ kind }) => kind === 'detector')
      .map(({ reading }) => reading.edge)
      .filter(edge => edge !== undefined),
  ).size === 2

/**
 * How many nails would be wrong about a member of this place and width: hits beside it, and misses in it at their own
 * height.
 */
function contradicted(signs: Sign[], against: Sign[], { centre, doubled }: Belief, width: number): boolean {
  const half = (doubled > 0.5 ? 2 * width : width) / 2
  const nailed = signs.some(({ kind }) => kind === 'hole')
  return (
    signs.some(({ kind, x }) => kind === 'hole' && Math.abs(x - centre) > half + 1.5)
    // What was drilled to its depth is doubted for a nail that met something, and not for what an instrument told.
    || against.some(
      ({ kind, x, atAnotherHeight, reading: { method } }) =>
        kind === 'hole' && !atAnotherHeight && Math.abs(x - centre) < half - 1.5 && (method !== 'pilot' || nailed),
    )
  )
}

/**
 * What a member's signs and those against it say, where so many members are expected. Where both its edges were
 * read, they alone tell whether it is a doubled one. Where nails contradict each other, one of them is wrong, and
 * nobody knows which: none is taken for certain then.
 */
function weigh(signs: Sign[], against: Sign[], width: number, expected: Expectation): Belief {
  const [from, to] = [Math.min(...signs.map(({ x }) => x)) - NEARBY, Math.max(...signs.map(({ x }) => x)) + NEARBY]
  const near = against.filter(({ x }) => x >= from && x <= to)
  const believed = (errs?: number) => {
    const grid = new PosteriorGrid(signs, near, width, FINE, errs)
    if (!bothEdges(signs)) {
      const { doubled } = grid.expecting(expected).outline(0, signs.length)
      return grid.belief(0, signs.length, doubled > 0.5 ? 1 : 0)
    }
    const { doubled } = grid.expecting(flat).outline(0, signs.length)
    return { ...grid.expecting(expected).belief(0, signs.length, doubled > 0.5 ? 1 : 0), doubled }
  }
  const belief = believed()
  return contradicted(signs, near, belief, width) ? believed(NAIL_ERRS.contradicted) : belief
}

/**
 * Places of a run at which no member was found although its neighbours were; and one on towards
 * either end of the wall, where nothing that was found there shows that the run has ended.
 */
function emptyPlaces(run: Run, groups: Group[], wall: Wall, width: number): number[] {
  const found = [...new Set(run.places.values())].sort((a, b) => a - b)
  const between = found.flatMap((place, n) => {
    const empty = (found[n + 1] ?? place + 1) - place - 1
    return empty <= BRIDGED ? Array.from({ length: empty }, (_, k) => place + 1 + k) : []
  })
  const centres = groups.map(({ outline }) => outline.centre)
  const end = run.start + run.last * run.spacing
  const onward = [
    ...centres.every(x => x > run.start - run.spacing / 2) ? [-1] : [],
    ...centres.every(x => x < end + run.spacing / 2) ? [run.last + 1] : [],
  ]
  return [...between, ...onward].filter((place) => {
    const centre = run.start + place * run.spacing
    return centre >= width / 2 - 1 && centre <= wall.width - width / 2 + 1
  })
}

const OPENING = /door|window|opening/

/** Members that nobody has a sign of, expected from the run they would stand in. */
function inferred(
  { runs, sightings, groups }: { runs: Run[], sightings: Sighting[], groups: Group[] },
  against: Sign[],
  wall: Wall,
  width: number,
): Found[] {
  const openings = (wall.features ?? []).filter(({ kind, height }) => OPENING.test(kind) && height > wall.height / 2)
  return runs.flatMap((run, index) =>
    emptyPlaces(run, groups, wall, width).flatMap((place) => {
      const at = expectedAt(run, sightings, place)
      const blocked
        = openings.some(({ x, width }) => at.centre > x && at.centre < x + width)
          || groups.some(({ outline, width: taken }) => Math.abs(outline.centre - at.centre) < (width + taken) / 2 + 30)
      if (blocked) return []
      const ratios = against
        .filter(({ x }) => Math.abs(x - at.centre) < NEARBY)
        .map(sign => likelihoodRatio(sign, width))
      let [some, all] = [0, 0]
      for (let off = -3; off <= 3; off += 0.25) {
        const weight = normalPdf(off, 1)
        all += weight
        some += weight * ratios.reduce((product, ratio) => product * ratio(at.centre + off * at.sd), 1)
      }
      const prior = place < 0 || place > run.last ? RUN_FILLED - 0.2 : RUN_FILLED
      const confidence = (prior * some) / (prior * some + (1 - prior) * all)
      if (confidence < LIKELY) return []
      return [{
        centre: at.centre,
        width,
        sd: at.sd,
        kind: 'single' as const,
        plies: 1,
        source: 'inferred' as const,
        confidence,
        evidence: [],
        run: index,
        expected: at,
      }]
    }),
  )
}

/**
 * Signs against members, with those misses distinguished that were made at another height than all that
 * speaks for a member there: it may end between, and then every miss beyond the first is a matter of course.
 */
function signsAgainst(signs: Sign[], width: number): Sign[] {
  const against = signs.filter(({ speaksFor }) => !speaksFor)
  const strongBeside = besideIn(signs.filter(({ speaksFor, kind }) => speaksFor && kind !== 'knock' && kind !== 'box'))
  const misses = missesOf(against)
  const ends = misses.flatMap((miss) => {
    const beside = strongBeside(miss.x, width)
    if (!showsEnd(miss, beside, misses.filter(({ x }) => Math.abs(x - miss.x) < width / 2))) return []
    return [{
      miss,
      off:
        miss.reading.y
        - beside.reduce(
          (near, { reading: { y } }) => (Math.abs(y - miss.reading.y) < Math.abs(near - miss.reading.y) ? y : near),
          Infinity,
        ),
    }]
  })
  const endOf = new Map(ends.map(end => [end.miss, end]))
  return against.flatMap((miss) => {
    const end = endOf.get(miss)
    if (!end) return [miss]
    const beyond = ends.some(
      ({ miss, off }) =>
        miss !== end.miss
        && Math.abs(miss.x - end.miss.x) < width / 2
        && off * end.off > 0
        && Math.abs(off) < Math.abs(end.off),
    )
    return beyond ? [] : [{ ...miss, atAnotherHeight: true }]
  })
}

/** A member this near to the wall's end, in its own widths, stands in the corner. */
const CORNER = 1.2
/** A shift of readings that does not change which of them belong together, mm. */
const SLIGHT = 0.75

/** Information of a normal distribution. */
const informs = (sd: number) => 1 / sd ** 2

/** How much of what is known of each member hangs on a source, 0 to 1: by its own signs, and by its run. */
function leaning(
  source: string,
  own: Sign[][],
  { sightings, runs, expected }: { sightings: Sighting[], runs: Run[], expected: ({ sd: number } | undefined)[] },
  separate: (signs: Sign[]) => number,
): number[] {
  const alone = own.map((signs, n) => {
    const strong = signs.filter(({ kind }) => kind !== 'knock' && kind !== 'box')
    const its = strong.filter(sign => sourcesOf(sign).includes(source))
    if (its.length === 0) return 0
    if (its.length === strong.length) return 1
    return Math.min(informs(separate(its)) / (informs(sightings[n]!.sd) + 1e-12), 1)
  })
  const inRun = runs.map(({ places }) => {
    const [sum, weights] = [...places.keys()].reduce(
      ([sum, weights], n) => [
        sum + alone[n]! * informs(Math.hypot(sightings[n]!.sd, 3)),
        weights + informs(Math.hypot(sightings[n]!.sd, 3)),
      ],
      [0, 0],
    )
    return sum / weights
  })
  return alone.map((share, n) => {
    const [run, place] = [runs.findIndex(({ places }) => places.has(n)), expected[n]]
    if (run < 0 || !place) return share
    const [mine, its] = [informs(sightings[n]!.sd), informs(place.sd)]
    return (share * mine + inRun[run]! * its) / (mine + its)
  })
}

/**
 * How each group leans: with the signs at other heights that no other well-read group is made of.
 */
function leansOf(
  own: Sign[][],
  beliefs: Belief[],
  signs: Sign[],
  against: Sign[],
  face: number,
): (Leaning | undefined)[] {
  const isRead = own.map((group, n) => group.length > 1 && logistic(beliefs[n]!.logOdds) > LIKELY)
  const taken = own.map(group => new Set(group))
  const free = signs.filter(sign => sign.speaksFor && !taken.some((group, n) => isRead[n] && group.has(sign)))
  return own.map((group, n) =>
    logistic(beliefs[n]!.logOdds) > LIKELY || isRead[n] || group.length > 1
      ? leanOf(
          { signs: group, against, belief: beliefs[n]!, width: face },
          isRead[n] ? free.filter(sign => !taken[n]!.has(sign)) : [],
          flat,
        )
      : undefined,
  )
}

/** A group of which a member is made: its signs as they would be, were it plumb, and what they say. */
interface Made {
  signs: Sign[]
  belief: Belief
  lean: Lean | undefined
  misses: Sign[]
  width: CommonWidth
  height: number
}

/** The member that a group of signs made, without its run. */
function madeOf({ signs, belief: { centre, sd, doubled, logOdds }, lean, misses, width, height }: Made): Found {
  const plies = doubled > 0.5 ? 2 : 1
  const whole = plies * width.believed
  const own = signs.filter(sign => belongs(sign, centre, whole, plies) > 0.5)
  const met = own.filter(({ kind }) => kind !== 'knock' && kind !== 'box')
  const inside = missesIn({ centre, width: whole }, lean?.slope ? plumbed(misses, lean) : misses)
  const stretches = stretchesOf(met, inside, height)
  return {
    centre, sd, width: whole, kind: plies > 1 ? 'double' : 'single', plies, source: 'observed',
    confidence: logistic(logOdds), evidence: own.map(({ reading }) => reading.id),
    ...(width.sure < width.believed && { sureWidth: plies * width.sure }),
    ...(stretches && { stretches }),
    ...(lean && { lean }),
  }
}

/** Signs of a member that no member explains. */
function unexplainedBy(members: Pick<Member, 'evidence'>[], signs: Sign[]): Sign[] {
  const explained = new Set(members.flatMap(({ evidence }) => evidence))
  return signs.filter(sign => sign.speaksFor && !explained.has(sign.reading.id))
}

/** Whether signs are too unlikely to be a member's; one by itself has to be likelier where strays are expected. */
const isStray = ({ logOdds }: { logOdds: number }, signs: Sign[], strayLikely: boolean) =>
  logistic(logOdds) < (signs.length === 1 && strayLikely ? LONE : LIKELY)

const clustersIn = (signs: Sign[], against: Sign[], face: number) =>
  clustersOf([...signs.filter(({ speaksFor }) => speaksFor), ...against], face)

const grouped = (clusters: Cluster[], expected: Expectation) =>
  clusters.flatMap(cluster => groupsOf(cluster, expected)).sort((a, b) => a.outline.centre - b.outline.centre)

/** Groups with where each is seen, and the runs of even spacing among them. */
function inRuns(groups: Group[], wall: Wall, face: number) {
  // A stud in a corner stands against the wall beside it, and not where the run has its place.
  const inCorner = ({ centre }: Sighting) => Math.min(centre, wall.width - centre) < CORNER * face
  const sightings: Sighting[] = groups.map(group => sightingOf(group, flat))
  return { groups, sightings, runs: runsOf(sightings, wall.structure.spacing, inCorner) }
}

/**
 * Fuses the readings of a wall into members: groups of signs that one member made, what readings of one source
 * share, runs of even spacing, and then the groups again with what the runs lead to expect. Every step is
 * Bayes' rule on the error model; a member's own signs never count twice.
 */
export function mapFraming(wall: Wall): FramingMap {
  const read = readingsOf(wall)
  const width = commonWidth(read, nominalWidth(wall))
  const face = width.believed
  const readAgainst = signsAgainst(read, face)
  const readClusters = clustersIn(read, readAgainst, face)
  const readGroups = grouped(readClusters, flat)
  const shared = sharedErrors(readGroups, readAgainst, face, flat)
  // Groups are formed anew only where readings move so far that it may matter which belong together.
  const moved = shared.some(({ shift }) => Math.abs(shift) > SLIGHT)
  const back = new Map(read.map(sign => [sign, shiftBack(sign, shared)]))
  const signs = [...back.values()]
  const against = signsAgainst(signs, face)
  const clusters = moved ? clustersIn(signs, against, face) : readClusters
  const guess = inRuns(moved ? grouped(clusters, flat) : readGroups, wall, face)
  const { groups, sightings, runs } = inRuns(
    grouped(clusters, expectation(guess.runs, guess.sightings, face)()), wall, face,
  )
  const runOf = (index: number) => runs.findIndex(({ places }) => places.has(index))

  const told = withWeakSigns(groups, moved ? signs : read)
  const own = moved ? told : told.map(group => group.map(sign => back.get(sign)!))
  const expected = groups.map((_, index) => {
    const run = runs[runOf(index)]
    return run && run.places.size > 1 ? expectedAt(run, sightings, run.places.get(index)!, index) : undefined
  })
  const expecting = expectation(runs, sightings, face)
  const plumb = own.map((signs, index) => weigh(signs, against, face, expecting(index)))
  const leans = leansOf(own, plumb, signs, against, face)
  const beliefs = leans.map((found, index) => found?.joined.length || found?.lean.slope
    ? weigh(found.signs, found.against, face, expecting(index))
    : plumb[index]!)
  const joined = new Set(leans.flatMap(found => found?.joined ?? []))
  const separate = (signs: Sign[]) =>
    new PosteriorGrid(signs, [], face, 2 * FINE).expecting(flat).belief(0, signs.length).sd
  const leanings = shared.map(({ source, sd }) =>
    leaning(source, own, { sightings, runs, expected }, separate).map(share => share * sd),
  )
  // Where runs are known, or members are read by several signs each, a sign that stands by itself is likelier a stray.
  const strayLikely = runs.length > 0 || own.filter(signs => signs.length > 1).length > 1
  const misses = missesOf(read)
  const observed = own.flatMap((straight, index): Found[] => {
    const [belief, found] = [beliefs[index]!, leans[index]]
    const signs = found?.signs ?? straight
    if (straight.every(sign => joined.has(sign)) || isStray(belief, signs, strayLikely)) return []
    const run = runOf(index)
    return [{
      ...madeOf({ signs, belief, lean: found?.lean, misses, width, height: wall.height }),
      sd: Math.hypot(belief.sd, ...leanings.map(each => each[index]!)),
      ...(run >= 0 && { run }),
      ...(expected[index] && { expected: expected[index] }),
    }]
  })
  const members = withIds(
    [...observed, ...inferred({ runs, sightings, groups }, against, wall, face)].sort((a, b) => a.centre - b.centre),
    wall.evidence ?? [],
  )
  return { members, runs, unexplained: unexplainedBy(members, signs), shared, width }
}
