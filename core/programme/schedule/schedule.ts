import type { Interval } from '../../geometry'
import { memoize } from '../../memo'
import { chance, type Chance } from '../../survey/simulatedReadings'
import { words, type Text } from '../../units'
import { Bookings, problemOf, withCrews, type Problem } from './bookings'
import { inOrder, tailsOf } from '../tasks/chains'
import { EXACT, placeExactly } from './exact'
import {
  canDo, finishOf, type Crew, type Fixed, type Place, type PlacedTask, type Programme, type Schedule,
  type Task,
} from '../programme'
import { placeInTime, type Weights } from './parallel'
import { placeSerially } from './serial'
import { HOUR, type Minute } from '../clock'

/** Up to so many crews, schedules of every choice among them are looked at. */
const EVERY_CHOICE = 3
/**
 * Placings of single tasks that the search may try for each choice of crews; in numbers and not in seconds, so that the
 * same programme has the same schedule.
 */
const TRIES = 9_000
const MOST_TRIES = 600

/** How good a schedule is: more that has a place, then the earlier finish, then the sooner each task is over. */
type Cost = [number, number, number]
const isBetter = (a: Cost, b: Cost) => a[0] !== b[0] ? a[0] < b[0] : a[1] !== b[1] ? a[1] < b[1] : a[2] < b[2]
function costOf(placed: PlacedTask[], { from, tasks }: Programme): Cost {
  return [
    tasks.length - placed.length,
    finishOf({ placed }, from),
    placed.reduce((sum, { end }) => sum + end - from, 0),
  ]
}

/** Something that was pinned and cannot be, and why. */
export interface NotFixed { fixed: Fixed, why: Text }

/** What is pinned is booked before all else; what cannot be is reported and has no place of its own. */
function bookFixed(bookings: Bookings, fixed: Fixed[]): NotFixed[] {
  const { problem } = bookings
  const { crews, byId, able, times } = problem
  const not: NotFixed[] = []
  for (const each of [...fixed].sort((a, b) => a.start - b.start || a.task.localeCompare(b.task))) {
    const task = byId.get(each.task)
    if (!task || bookings.placed.has(task.id)) continue
    const crew = crews.findIndex(({ id }) => id === each.crew)
    const refuse = (why: Text) => not.push({ fixed: each, why })
    if (crew < 0) refuse(words`this crew does not exist or has no people`)
    else if (!able.get(task.id)!.includes(crew))
      refuse(
        crews[crew]!.people.length < task.people
          ? words`it requires ${String(task.people)} people, and ${crews[crew]!.name} has
            ${String(crews[crew]!.people.length)}`
          : words`nobody in ${crews[crew]!.name} has the skill`,
      )
    else if (each.start < problem.programme.from) refuse(words`that time has passed`)
    else {
      const hindrances: string[] = []
      const found = bookings.earliest(task, crew, each.start, ({ kind }) => hindrances.push(kind))
      if (found?.start === each.start) bookings.book(found)
      else if (!times(crew, task).some(({ from, to }) => from <= each.start && each.start < to))
        refuse(
          words`${crews[crew]!.name} cannot work there then: the site is closed, the crew is off, or noisy work is
            not allowed`,
        )
      else
        refuse(
          hindrances[0] === 'crew'
            ? words`${crews[crew]!.name} is busy or travelling then`
            : hindrances[0] === 'wall'
              ? words`another crew is at the wall then`
              : hindrances[0] === 'aid'
                ? words`no lifting aid is free then`
                : words`the hours left from then on are too short for it`,
        )
    }
  }
  return not
}

/** Tasks that were fixed at a time before what has to be over first can be. */
function tooEarly(fixed: Fixed[], placed: PlacedTask[], programme: Programme): NotFixed[] {
  const [at, byId] = [
    new Map(placed.map(each => [each.task, each])),
    new Map(programme.tasks.map(task => [task.id, task])),
  ]
  return fixed.flatMap((each) => {
    const task = byId.get(each.task)
    const late = task?.after.find(
      ({ task: before, wait }) => byId.has(before) && !((at.get(before)?.end ?? Infinity) + wait <= each.start),
    )
    return task && late
      ? [
          {
            fixed: each,
            why: words`“${byId.get(late.task)!.title}”, which comes first, is not finished by
              then${late.wait > 0 ? `, including its wait of ${Math.round(late.wait / HOUR)} h` : ''}`,
          },
        ]
      : []
  })
}

/** Orders in which tasks are given their places to begin with, each a rank of its own. */
function firstOrders(tasks: Task[]): Map<string, number>[] {
  const tails = tailsOf(tasks)
  const ofWall = new Map<string, number>()
  for (const { site, wall, minutes } of tasks)
    ofWall.set(`${site}/${wall}`, (ofWall.get(`${site}/${wall}`) ?? 0) + minutes)
  const walls = [...ofWall.keys()]
  const sites = [...new Set(tasks.map(({ site }) => site))]
  const longest = Math.max(1, ...tails.values())
  const rank = (of: (task: Task) => number) => new Map(tasks.map(task => [task.id, of(task)]))
  return [
    rank(({ id }) => -tails.get(id)!),
    rank(({ id, site, wall }) => -tails.get(id)! - ofWall.get(`${site}/${wall}`)!),
    rank(({ id, site }) => 10 * longest * sites.indexOf(site) - tails.get(id)!),
    rank(({ id, site, wall }) => 10 * longest * walls.indexOf(`${site}/${wall}`) - tails.get(id)!),
    rank(({ skill, id }) => (skill === 'fitting' ? 0 : -10 * longest) - tails.get(id)!),
  ]
}

/** Two tasks change ranks, or one goes right before another. */
function swapped(ranks: Map<string, number>, ids: string[], rng: Chance): Map<string, number> {
  const next = new Map(ranks)
  const [a, b] = [rng.oneOf(ids), rng.oneOf(ids)]
  if (rng.whether(0.5)) {
    next.set(a, ranks.get(b)!)
    next.set(b, ranks.get(a)!)
  }
  else next.set(a, ranks.get(b)! - 1e-3)
  return next
}

/**
 * How few crews can do a task, and how much of a crew's work is only its own to do: what many can do is left to those
 * who can do little else.
 */
function scarcityIn({ crews, able, programme }: Problem): {
  task: (task: Task) => number
  crew: (crew: number) => number
} {
  const wanted = crews.map((_, n) =>
    programme.tasks.reduce((sum, { id, minutes }) => {
      const by = able.get(id)!
      return by.includes(n) ? sum + minutes / by.length : sum
    }, 0),
  )
  const most = Math.max(1, ...wanted)
  return {
    task: ({ id }) => (crews.length > 1 ? 1 - (able.get(id)!.length - 1) / (crews.length - 1) : 0),
    crew: crew => wanted[crew]! / most,
  }
}

/** What weighs how much in the first placings by time; the others are by chance. */
const FIRST_WEIGHTS: Weights[] = [
  { held: 0, way: 0, scarce: 30, tail: 0.01 },
  { held: 0.5, way: 1, scarce: 60, tail: 0.02 },
  { held: 1, way: 4, scarce: 240, tail: 0.05 },
  { held: 0.2, way: 10, scarce: 0, tail: 0.2 },
]

/** The order in which a schedule begins its tasks, as a list to change; what has no place comes last. */
function ranksIn(placed: PlacedTask[], ids: string[]): Map<string, number> {
  const begun = [...placed].sort((a, b) => a.start - b.start).map(({ task }, n) => [task, n] as const)
  const known = new Set(placed.map(({ task }) => task))
  return new Map([...begun, ...ids.filter(id => !known.has(id)).map(id => [id, ids.length] as const)])
}

/** The best schedule that is found with some crews. */
function placeWith(problem: Problem, fixed: Fixed[]): PlacedTask[] {
  const { programme } = problem
  const tails = tailsOf(programme.tasks)
  const ids = programme.tasks.map(({ id }) => id)
  const rng = chance(ids.length)
  const scarcity = scarcityIn(problem)
  interface Found { placed: PlacedTask[], cost: Cost, ranks?: Map<string, number> }
  const placing = (place: (bookings: Bookings) => void): Found => {
    const bookings = new Bookings(problem)
    bookFixed(bookings, fixed)
    place(bookings)
    const placed = [...bookings.placed.values()]
    return { placed, cost: costOf(placed, programme) }
  }
  const inOrderOf = (ranks: Map<string, number>): Found => ({
    ...placing(bookings => placeSerially(bookings, programme.tasks, ({ id }) => ranks.get(id)!)),
    ranks,
  })
  const byTime = (weights: Weights, chanceOf: () => number): Found =>
    placing(bookings =>
      placeInTime(bookings, programme.tasks, weights, {
        tailOf: ({ id }) => tails.get(id)!,
        scarcityOf: scarcity,
        chanceOf: memoize(chanceOf),
      }),
    )
  const better = (a: Found, b: Found) => isBetter(b.cost, a.cost) ? b : a

  let best = [
    ...firstOrders(programme.tasks).map(inOrderOf),
    ...FIRST_WEIGHTS.map(weights => byTime(weights, () => 0)),
  ].reduce(better)
  if (ids.length <= EXACT) return placeExactly(problem, bookings => void bookFixed(bookings, fixed), best.placed)
  for (let n = Math.min(MOST_TRIES, Math.floor(TRIES / ids.length)); n > 0; n--) {
    const spread = rng.oneOf([0, 10, 60])
    best = better(
      best,
      byTime(
        {
          held: rng.between(0, 1),
          way: rng.oneOf([0, 1, 3, 8, 20]),
          scarce: rng.between(0, 300),
          tail: rng.oneOf([0, 0.01, 0.05, 0.2, 0.5]),
        },
        () => rng.between(0, spread),
      ),
    )
  }
  let ranked = inOrderOf(ranksIn(best.placed, ids))
  for (let n = Math.min(MOST_TRIES, Math.floor(TRIES / ids.length)); n > 0; n--) {
    const tried = inOrderOf(swapped(ranked.ranks!, ids, rng))
    if (!isBetter(ranked.cost, tried.cost)) ranked = tried
  }
  return better(best, ranked).placed
}

/** What was reported before is kept where all is over no more than this share later than it could be. */
const KEEPS = 0.15

/**
 * As it was reported before, and only so much otherwise as has to be: what can be at the moment at which it was
 * reported to be
 * is booked first, so that nothing of it gives way to what has to move; that goes by the crew that had it, and not
 * sooner.
 */
function placeAsBefore(problem: Problem, fixed: Fixed[], before: NonNullable<Programme['before']>): PlacedTask[] {
  const { programme, able } = problem
  const was = new Map(
    before.map(each => [each.task, { crew: problem.crews.findIndex(({ id }) => id === each.crew), start: each.start }]),
  )
  const tails = tailsOf(programme.tasks)
  const bookings = new Bookings(problem)
  bookFixed(bookings, fixed)
  for (const task of programme.tasks
    .filter(({ id }) => was.has(id))
    .sort((a, b) => was.get(a.id)!.start - was.get(b.id)!.start)) {
    const { crew, start } = was.get(task.id)!
    const ready = bookings.readyAt(task)
    if (bookings.placed.has(task.id) || ready === undefined || ready > start || !able.get(task.id)!.includes(crew))
      continue
    const found = bookings.earliest(task, crew, start)
    if (found?.start === start) bookings.book(found)
  }
  placeSerially(
    bookings,
    programme.tasks,
    ({ id }) => was.get(id)?.start ?? programme.to - tails.get(id)!,
    ({ id }) => was.get(id),
  )
  return [...bookings.placed.values()]
}

/** The choices of crews that are looked at: what one crew more offers always has among it what there was without it. */
function choicesOf(crews: Crew[]): Crew[][] {
  const known = new Map<string, Crew[]>()
  const add = (chosen: Crew[]) => known.set(chosen.map(({ id }) => id).join(' '), chosen)
  for (let n = 1; n <= crews.length; n++) add(crews.slice(0, n))
  if (crews.length <= EVERY_CHOICE)
    for (let set = 1; set < 1 << crews.length; set++) add(crews.filter((_, n) => set & (1 << n)))
  return [...known.values()]
}

/** Why a task has no place. */
function whyNot(task: Task, problem: Problem, placed: Set<string>, titles: Map<string, Text>): Text {
  const { crews, programme } = problem
  const place = programme.places.find(({ id }) => id === task.site)
  const waits = task.after.find(({ task: before }) => problem.byId.has(before) && !placed.has(before))
  if (waits) return words`It waits for “${titles.get(waits.task)!}”, which is not scheduled either.`
  const able = crews.filter(crew => canDo(crew, task))
  if (able.length === 0)
    return crews.some(({ skills }) => skills.includes(task.skill))
      ? words`It requires ${String(task.people)} people, and no crew with the skill has that many.`
      : words`No crew has the skill for it.`
  if (!place || place.open.length === 0)
    return words`${place?.name ?? task.site} has no access hours in the planned period.`
  if (task.noisy && place.loud.length === 0)
    return words`${place.name} has no noisy work hours in the planned period, so nothing can be drilled.`
  if (task.aid && programme.aids === 0) return words`It requires a lifting aid, and the firm has none.`
  return whyNoTime(task, place, able.flatMap(crew => problem.times(crews.indexOf(crew), task)))
}

/** Why a task has no place although there are people and hours for it. */
function whyNoTime(task: Task, place: Place, times: Interval[]): Text {
  if (times.length === 0)
    return words`No crew with the skill works while ${place.name} is open${task.noisy ? ' for drilling' : ''}.`
  const longest = Math.max(...times.map(({ from, to }) => to - from))
  if (!task.splits && longest < task.minutes)
    return words`It takes ${String(task.minutes)} min without a break, and the longest time for it is
      ${String(longest)} min: extend the access or working hours, or allow it in parts.`
  return words`All suitable hours in the planned period are taken.`
}

/** As it was reported before, where that makes all no more than a little later than the best that was found. */
function keptAsBefore(whole: Problem, fixed: Fixed[], afresh: Cost): PlacedTask[] | undefined {
  const { before = [], from } = whole.programme
  if (before.length === 0) return undefined
  const kept = placeAsBefore(whole, fixed, before)
  const [missing, end] = costOf(kept, whole.programme)
  return missing === afresh[0] && end - from <= (1 + KEEPS) * (afresh[1] - from) ? kept : undefined
}

/**
 * A schedule, with what was pinned and cannot be; and where it keeps to what was reported before, when all could be
 * over otherwise.
 */
export interface Scheduled extends Schedule { notFixed: NotFixed[], keptBut?: Minute }

/**
 * When each task is done and by whom, so that all is over as early as can be found: serial scheduling over several
 * orders, the critical path first among them, then changes of the best order; up to seven tasks the best of all orders.
 * What is pinned stays. The same programme always has the same schedule, and a crew more never makes it later:
 * up to three crews of whatever kind, beyond them one that is added at the end of the list. What people were reported
 * before
 * stays where that makes all no more than a seventh later.
 *
 * @param programme with tasks whose chains have no loop
 */
export function schedule(programme: Programme): Scheduled {
  const given = { ...programme, tasks: inOrder(programme.tasks) }
  let fixed = programme.fixed.filter(({ task }) => given.tasks.some(({ id }) => id === task))
  const whole = problemOf(given)
  const notFixed = bookFixed(new Bookings(whole), fixed)
  for (;;) {
    fixed = fixed.filter(each => !notFixed.some(({ fixed: not }) => not === each))
    const needed = new Set(fixed.map(({ crew }) => crew))
    let best: { placed: PlacedTask[], cost: Cost } | undefined
    for (const chosen of choicesOf(whole.crews)) {
      if ([...needed].some(id => !chosen.some(crew => crew.id === id))) continue
      const placed = placeWith(withCrews(whole, chosen), fixed)
      const cost = costOf(placed, given)
      if (!best || isBetter(cost, best.cost)) best = { placed, cost }
    }
    const kept = best && keptAsBefore(whole, fixed, best.cost)
    const placed = kept ?? best?.placed ?? []
    const early = tooEarly(fixed, placed, given)
    if (early.length === 0) {
      const has = new Set(placed.map(({ task }) => task))
      const titles = new Map(given.tasks.map(({ id, title }) => [id, title]))
      return {
        placed: placed.sort((a, b) => a.start - b.start || a.task.localeCompare(b.task)),
        unplaced: given.tasks
          .filter(({ id }) => !has.has(id))
          .map(task => ({ task: task.id, why: whyNot(task, whole, has, titles) })),
        notFixed,
        ...(kept && { keptBut: best!.cost[1] }),
      }
    }
    notFixed.push(...early)
  }
}
