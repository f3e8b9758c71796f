import type { Interval } from '../../geometry'
import { clip, liesIn, subtract } from '../../intervals'
import { memoize } from '../../memo'
import { requirementsNear, holdingPlaces, mostMargin, type Requirement } from './requirement'

/** A plate that can slide along one axis; mm. */
export interface Slider {
  /** Its centre while nothing is shifted, and how far it slides from there either way. */
  nominal: number
  travel: number
  /** Half its own extent. */
  half: number
  requirements: Requirement[]
  /** Where its centre must not be: there it would cover what must stay reachable. */
  barred: Interval[]
  /** Whether holes are made that it has to keep to, before all else: it is barred wherever it would not. */
  pinned?: boolean
}

/** Where sliders go: one shift for all, each one's own slide, and the least that a held one has to spare. */
export interface SlideSolution { shift: number, by: number[][], held: boolean[][], spare: number }

/** A chain's best places for one shift: how many are held, Σ of the slides, and the slides themselves. */
interface ChainSolution { held: number, slides: number, by: number[], holds: boolean[] }

const EPSILON = 1e-10

/** Where a slider is held with so much to spare, over all that it can reach with any shift. */
type Holds = (slider: Slider, spare: number) => Interval[]

/** Those places, each calculated once for all shifts. */
function holdsWithin(tolerance: number): Holds {
  const known = memoize((slider: Slider) => {
    const reach = slider.travel + tolerance
    const range = { from: slider.nominal - reach, to: slider.nominal + reach }
    const requirements = requirementsNear(slider.requirements, range)
    return memoize((spare: number) => subtract(holdingPlaces(requirements, range, spare), slider.barred))
  })
  return (slider, spare) => known(slider)(spare)
}

interface Room { at: number, free: Interval[], holding: Interval[] }

const rangeOf = ({ nominal, travel }: Slider, shift: number): Interval => ({
  from: nominal + shift - travel,
  to: nominal + shift + travel,
})

/** Where one slider can be, and where it is held, for one shift. */
function roomOf(slider: Slider, shift: number, spare: number, holds: Holds): Room {
  const at = slider.nominal + shift
  const range = rangeOf(slider, shift)
  const free = subtract([range], slider.barred)
  // Where there is no free place at all it stays within its travel, and is not held.
  if (free.length === 0) return { at, free: [range], holding: [] }
  return { at, free, holding: clip(range, holds(slider, spare)) }
}

/**
 * Every place that one of the sliders of a chain can have in a best answer: its nominal place or the
 * end of a stretch that it may be in, or one that lies just clear of such a place of another.
 */
function candidates(rooms: Room[], clear: number[]): number[][] {
  const own = rooms.map(({ at, free, holding }) => [at, ...[...free, ...holding].flatMap(({ from, to }) => [from, to])])
  const offset = [0]
  for (const distance of clear) offset.push(offset.at(-1)! + distance)
  return rooms.map(({ free }, i) => {
    const places = own.flatMap((places, j) => places.map(x => x + offset[i]! - offset[j]!))
    return [...new Set(places)].filter(x => free.some(stretch => liesIn(stretch, x))).sort((a, b) => a - b)
  })
}

/** A place of one slider with the best that those before it can do. */
interface State { x: number, held: number, slides: number, holds: boolean, before: State | undefined }

const better = (a: State, b: State | undefined) =>
  !b || a.held > b.held || (a.held === b.held && a.slides < b.slides - EPSILON)

/**
 * The best places of a chain for one shift, by going along it; undefined where they cannot keep clear of one another.
 */
function solveChain(
  chain: Slider[],
  clear: number[],
  shift: number,
  spare: number,
  holds: Holds,
): ChainSolution | undefined {
  const rooms = chain.map(slider => roomOf(slider, shift, spare, holds))
  const places = candidates(rooms, clear)
  let states: State[] = []
  for (const [i, { at, holding }] of rooms.entries()) {
    const reached = states
    let [next, best] = [0, undefined as State | undefined]
    states = []
    for (const x of places[i]!) {
      while (next < reached.length && reached[next]!.x <= x - (clear[i - 1] ?? 0) + EPSILON) {
        if (better(reached[next]!, best)) best = reached[next]
        next++
      }
      if (i > 0 && !best) continue
      const holdsHere = holding.some(stretch => liesIn(stretch, x))
      states.push({
        x,
        held: (best?.held ?? 0) + Number(holdsHere),
        slides: (best?.slides ?? 0) + Math.abs(x - at),
        holds: holdsHere,
        before: best,
      })
    }
  }
  let last = states.reduce<State | undefined>((best, state) => (better(state, best) ? state : best), undefined)
  if (!last) return undefined
  const { held, slides } = last
  const taken: State[] = []
  for (; last; last = last.before) taken.unshift(last)
  return { held, slides, by: taken.map(({ x }, i) => x - rooms[i]!.at), holds: taken.map(({ holds }) => holds) }
}

/** How far apart the centres of neighbours must be. */
const clearances = (chain: Slider[]) => chain.slice(1).map((slider, n) => chain[n]!.half + slider.half)

/** Parts of a chain that cannot touch each other whatever they do, and so are placed by themselves. */
function linked(chain: Slider[]): Slider[][] {
  const parts: Slider[][] = []
  chain.forEach((slider, n) => {
    const before = chain[n - 1]
    const apart
      = !before || slider.nominal - before.nominal - before.half - slider.half >= slider.travel + before.travel
    if (apart) parts.push([slider])
    else parts.at(-1)!.push(slider)
  })
  return parts
}

/** The best places of part of a chain; those that cannot keep clear of one another are each placed alone. */
function solvePart(part: Slider[], shift: number, spare: number, holds: Holds): ChainSolution {
  const solved = solveChain(part, clearances(part), shift, spare, holds)
  if (solved) return solved
  const alone = part.map(slider => solveChain([slider], [], shift, spare, holds)!)
  return {
    held: alone.reduce((sum, { held }) => sum + held, 0), slides: alone.reduce((sum, { slides }) => sum + slides, 0),
    by: alone.flatMap(({ by }) => by), holds: alone.flatMap(({ holds }) => holds),
  }
}

/** How many of a part can be held; one plate by itself is wherever it has a place at all. */
function heldOf(part: Slider[], shift: number, spare: number, holds: Holds): number {
  if (part.length > 1) return solvePart(part, shift, spare, holds).held
  return roomOf(part[0]!, shift, spare, holds).holding.length > 0 ? 1 : 0
}

/** Halvings by which the greatest margin is found: to a millionth of a millimetre. */
const HALVINGS = 30

/** The most that every held slider of a part can have to spare with as many held as can be. */
function spareOf(part: Slider[], shift: number, holds: Holds): number {
  const held = heldOf(part, shift, 0, holds)
  const most = Math.max(...part.map(({ requirements }) => mostMargin(requirements)))
  if (held === 0 || part.every(({ requirements }) => requirements.length === 0)) return Infinity
  if (heldOf(part, shift, most, holds) === held) return most
  let [low, high] = [0, most]
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2
    if (heldOf(part, shift, middle, holds) === held) low = middle
    else high = middle
  }
  return low
}

/**
 * The margin that all keep once the greatest is known: that, but for what halving and rounding leave open; none where
 * nothing asks for one.
 */
const kept = (spare: number) => Number.isFinite(spare) ? Math.max(spare - 1e-8, 0) : 0

/** Whole millimetres up to a tolerance, the least first, each to the right and to the left. */
function shiftsWithin(tolerance: number): number[][] {
  return Array.from({ length: Math.floor(tolerance + 1e-9) + 1 }, (_, by) => by === 0 ? [0] : [by, -by])
}

/** Those shifts under which as many pinned sliders as can be keep to their holes. */
function keeping(chains: Slider[][], shifts: number[][]): number[][] {
  const pinned = chains.flat().filter(({ pinned }) => pinned)
  if (pinned.length === 0) return shifts
  const keptBy = (shift: number) =>
    pinned.filter(slider => subtract([rangeOf(slider, shift)], slider.barred).length > 0).length
  const most = Math.max(...shifts.flat().map(keptBy))
  return shifts.map(either => either.filter(shift => keptBy(shift) === most)).filter(either => either.length > 0)
}

/** Sliders that stand and ask alike are calculated once. */
function alike(parts: Slider[][]): { part: Slider[], count: number }[] {
  const requirementIds = new Map<Requirement[], number>()
  const idOf = (requirements: Requirement[]) =>
    requirementIds.get(requirements) ?? requirementIds.set(requirements, requirementIds.size).get(requirements)!
  const groups = new Map<string, { part: Slider[], count: number }>()
  for (const part of parts) {
    const key = part
      .map(({ nominal, travel, half, requirements, barred }) =>
        [nominal, travel, half, idOf(requirements), ...barred.flatMap(({ from, to }) => [from, to])].join(' '),
      )
      .join('|')
    const group = groups.get(key)
    if (group) group.count++
    else groups.set(key, { part, count: 1 })
  }
  return [...groups.values()]
}

/**
 * Places plates that slide along one axis, exactly. Chosen in this order: as many that keep to made holes as can be;
 * as many held as can be;
 * the least shift of all together, in whole millimetres; the largest smallest margin; the least Σ
 * of the slides. Sliders of one chain, in their order, do not overlap.
 *
 * @param tolerance how far all together may be shifted either way, mm
 */
export function slide(chains: Slider[][], tolerance: number): SlideSolution {
  const holds = holdsWithin(tolerance)
  const groups = alike(chains.flatMap(linked))
  const total = chains.reduce((sum, chain) => sum + chain.length, 0)
  const heldAt = (shift: number) =>
    groups.reduce((sum, { part, count }) => sum + count * heldOf(part, shift, 0, holds), 0)
  let [most, shifts] = [-1, [0]]
  for (const either of keeping(chains, shiftsWithin(tolerance))) {
    const counts = either.map(shift => ({ shift, held: heldAt(shift) }))
    const best = Math.max(...counts.map(({ held }) => held))
    if (best > most) [most, shifts] = [best, counts.filter(({ held }) => held === best).map(({ shift }) => shift)]
    if (most === total) break
  }
  const tried = shifts.map((shift) => {
    const spare = Math.min(...groups.map(({ part }) => spareOf(part, shift, holds)))
    return {
      shift,
      spare,
      slides: groups.reduce(
        (sum, { part, count }) => sum + count * solvePart(part, shift, kept(spare), holds).slides,
        0,
      ),
    }
  })
  const { shift, spare } = tried.reduce((best, one) =>
    one.spare > best.spare + 1e-6 || (one.spare > best.spare - 1e-6 && one.slides < best.slides - 1e-6) ? one : best,
  )
  const solved = chains.map(chain => linked(chain).map(part => solvePart(part, shift, kept(spare), holds)))
  return {
    shift,
    spare,
    by: solved.map(parts => parts.flatMap(({ by }) => by)),
    held: solved.map(parts => parts.flatMap(({ holds }) => holds)),
  }
}

/** The slide of one plate alone that leaves most to spare. */
export function bestSlide(slider: Slider): { by: number, spare: number } | undefined {
  const { by, held, spare } = slide([[slider]], 0)
  return held[0]![0] ? { by: by[0]![0]!, spare } : undefined
}

/** The least slide of one plate alone that holds it. */
export function leastSlide(slider: Slider): number | undefined {
  const { by: [by], holds: [holds] } = solvePart([slider], 0, 0, holdsWithin(0))
  return holds ? by : undefined
}
