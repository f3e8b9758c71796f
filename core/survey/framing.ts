import type { Interval } from '../geometry'
import type { Wall } from '../job'
import { Bench, sharedSpread, type Belief, type Expectation } from './belief'
import { ADDED_PER_MM, DOUBLE_WIDTH, RUN_FILLED, UNRULED_PER_MM, USUAL_WIDTH } from './errorModel'
import { clustersOf, groupsOf, NEARBY, sightingOf, signsOfGroup, type Group } from './groups'
import { expectedAt, runsOf, type Run, type Sighting } from './runs'
import { belongs, likelier, signsOf, type Sign } from './sign'
import { atAnotherHeight, missesIn, stretchesOf } from './stretches'

/** A framing member as far as it is known; lengths in mm. */
export interface Member {
  centre: number
  width: number
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
  /** Which run it stands in, by index. */
  run?: number
  /** Where it stands, mm above the floor, if not over the wall's whole height. */
  stretches?: Interval[]
}

/** What the readings of a wall say of its framing. */
export interface FramingMap {
  members: Omit<Member, 'proved'>[]
  runs: Run[]
  /** Signs that no member explains. */
  unexplained: Sign[]
}

/** Members beyond a run's two ends for each mm, where that run no longer rules. */
const OUTSIDE_PER_MM = 8e-5
/** An inferred member is shown only if it is likelier than not. */
const LIKELY = 0.5
/** A run is carried on over so many empty places between two members that were found. */
const BRIDGED = 2

const flat: Expectation = (_from, _step, size) => new Float64Array(size).fill(UNRULED_PER_MM)
const bell = (off: number, sd: number) => Math.exp(-0.5 * (off / sd) ** 2) / (sd * 2.5066282746310002)

/** How many plies of a nominal width a member is made of: one that is more than 1.6 of it wide is more than one. */
export function pliesIn(width: number, nominal: number): number {
  return width > DOUBLE_WIDTH * nominal ? Math.max(Math.round(width / nominal), 2) : 1
}

/** The pieces of a member, from the left: of a single one itself, of a doubled one its plies, each as wide as the others. */
export function piecesOf({ centre, width, plies }: Pick<Member, 'centre' | 'width' | 'plies'>): { centre: number, width: number }[] {
  if (plies < 2) return [{ centre, width }]
  return Array.from({ length: plies }, (_, n) => ({ centre: centre + (n + 0.5 - plies / 2) * width / plies, width: width / plies }))
}

/** The common member's face width: as the surveyor gave it, or what is usual, mm. */
export function nominalWidth({ structure }: Pick<Wall, 'structure'>): number {
  return structure.memberWidth ?? (structure.kind === 'steel-stud' ? USUAL_WIDTH['steel-stud'] : USUAL_WIDTH['wood-stud'])
}

/** Members expected at a place from the runs found, leaving one sighting out of account. */
function expectation(runs: Run[], sightings: Sighting[], but?: number): Expectation {
  if (runs.length === 0) return flat
  const places = runs.flatMap(run => Array.from({ length: run.last + 3 }, (_, n) => {
    const place = n - 1
    const inside = place >= 0 && place <= run.last
    return { ...expectedAt(run, sightings, place, but), filled: inside ? RUN_FILLED : RUN_FILLED / 2 }
  }))
  const ruled = runs.map(({ start, last, spacing }) => ({ from: start, to: start + last * spacing }))
  return (from, step, size) => {
    const expected = new Float64Array(size).fill(OUTSIDE_PER_MM)
    const index = (x: number) => Math.round((x - from) / step)
    for (const run of ruled) expected.fill(ADDED_PER_MM, Math.min(Math.max(index(run.from), 0), size), Math.min(Math.max(index(run.to) + 1, 0), size))
    for (const { centre, sd, filled } of places) {
      const last = Math.min(index(centre + 5 * sd), size - 1)
      for (let n = Math.max(index(centre - 5 * sd), 0); n <= last; n++) expected[n]! += filled * bell(from + n * step - centre, sd)
    }
    return expected
  }
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
      const its = belongs(sign, outline.centre, width)
      if (its > 0.5 && (best < 0 || its > belongs(sign, groups[best]!.outline.centre, groups[best]!.width))) best = n
    })
    if (best >= 0) all[best]!.push(sign)
  }
  return all
}

/** What a member's signs and those against it say, where so many members are expected. */
function weigh(signs: Sign[], against: Sign[], width: number, expected: Expectation): Belief {
  const [from, to] = [Math.min(...signs.map(({ x }) => x)) - NEARBY, Math.max(...signs.map(({ x }) => x)) + NEARBY]
  const near = against.filter(({ x }) => x >= from && x <= to)
  return new Bench(signs, near, width, FINE).expecting(expected).belief(0, signs.length, sharedSpread(signs))
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
function inferred(runs: Run[], sightings: Sighting[], groups: Group[], against: Sign[], wall: Wall, width: number): Omit<Member, 'proved'>[] {
  const openings = (wall.features ?? []).filter(({ kind, height }) => OPENING.test(kind) && height > wall.height / 2)
  return runs.flatMap((run, index) => emptyPlaces(run, groups, wall, width).flatMap((place) => {
    const at = expectedAt(run, sightings, place)
    const blocked = openings.some(({ x, width }) => at.centre > x && at.centre < x + width)
      || groups.some(({ outline, width: taken }) => Math.abs(outline.centre - at.centre) < (width + taken) / 2 + 30)
    if (blocked) return []
    let [some, all] = [0, 0]
    for (let off = -3; off <= 3; off += 0.25) {
      const weight = bell(off, 1)
      all += weight
      some += weight * against.reduce((product, sign) => product * likelier(sign, at.centre + off * at.sd, width), 1)
    }
    const prior = place < 0 || place > run.last ? RUN_FILLED - 0.2 : RUN_FILLED
    const confidence = prior * some / (prior * some + (1 - prior) * all)
    if (confidence < LIKELY) return []
    return [{ centre: at.centre, width, sd: at.sd, kind: 'single' as const, plies: 1, source: 'inferred' as const, confidence, evidence: [], run: index }]
  }))
}

/**
 * Signs against members, with those misses told apart that were made at another height than all that
 * speaks for a member there: it may end between, and then every miss beyond the first is a matter of course.
 */
function signsAgainst(signs: Sign[], width: number): Sign[] {
  const against = signs.filter(({ speaksFor }) => !speaksFor)
  const ends = against.flatMap((miss) => {
    const beside = signs.filter(({ speaksFor, kind, x }) => speaksFor && kind !== 'knock' && kind !== 'box' && Math.abs(x - miss.x) < width)
    if (miss.kind !== 'hole' || !atAnotherHeight(miss, beside)) return []
    return [{ miss, off: miss.reading.y - beside.reduce((near, { reading: { y } }) => Math.abs(y - miss.reading.y) < Math.abs(near - miss.reading.y) ? y : near, Infinity) }]
  })
  return against.flatMap((miss) => {
    const end = ends.find(end => end.miss === miss)
    if (!end) return [miss]
    const beyond = ends.some(({ miss, off }) => miss !== end.miss && Math.abs(miss.x - end.miss.x) < width / 2 && off * end.off > 0 && Math.abs(off) < Math.abs(end.off))
    return beyond ? [] : [{ ...miss, atAnotherHeight: true }]
  })
}

const evenOdds = (logOdds: number) => 1 / (1 + Math.exp(-logOdds))

/**
 * Fuses the readings of a wall into members: groups of signs that one member made, runs of even
 * spacing among them, and then the groups again with what the runs lead to expect. Every step is
 * Bayes' rule on the error model; a member's own signs never count twice.
 */
export function mapFraming(wall: Wall): FramingMap {
  const signs = signsOf(wall)
  const width = nominalWidth(wall)
  const against = signsAgainst(signs, width)
  const clusters = clustersOf([...signs.filter(({ speaksFor }) => speaksFor), ...against], width)
  const found = (expected: Expectation) => {
    const groups = clusters.flatMap(cluster => groupsOf(cluster, expected)).sort((a, b) => a.outline.centre - b.outline.centre)
    const sightings: Sighting[] = groups.map(group => sightingOf(group, flat))
    return { groups, sightings, runs: runsOf(sightings, wall.structure.spacing) }
  }
  const guess = found(flat)
  const { groups, sightings, runs } = found(expectation(guess.runs, guess.sightings))
  const runOf = (index: number) => runs.findIndex(({ places }) => places.has(index))

  const observed = withWeakSigns(groups, signs).map((own, index): Omit<Member, 'proved'> => {
    const belief = weigh(own, against, width, expectation(runs, sightings, index))
    const double = belief.doubled > 0.5
    const wide = double ? 2 * width : width
    const evidence = own.filter(sign => belongs(sign, belief.centre, wide) > 0.5).map(({ reading }) => reading.id)
    const run = runOf(index)
    const met = own.filter(({ reading, kind }) => evidence.includes(reading.id) && kind !== 'knock' && kind !== 'box')
    const stretches = stretchesOf(met, missesIn({ centre: belief.centre, width: wide }, signs), wall.height)
    return {
      centre: belief.centre, sd: belief.sd, width: wide, kind: wide > DOUBLE_WIDTH * width ? 'double' : 'single', plies: pliesIn(wide, width),
      source: 'observed', confidence: evenOdds(belief.logOdds), evidence, ...run >= 0 && { run }, ...stretches && { stretches },
    }
  })
  const members = [...observed, ...inferred(runs, sightings, groups, against, wall, width)].sort((a, b) => a.centre - b.centre)
  const explained = new Set(members.flatMap(({ evidence }) => evidence))
  return { members, runs, unexplained: signs.filter(sign => sign.speaksFor && !explained.has(sign.reading.id)) }
}
