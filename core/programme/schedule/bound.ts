import type { Interval } from '../../geometry'
import { memoize } from '../../memo'
import { lasts, words, type Text } from '../../units'
import { inOrder } from '../tasks/chains'
import { DAY, type Minute } from '../clock'
import { momentByPaths } from './crewPaths'
import { spansFrom } from './timeline'
import { canDo, type Programme, type Task } from '../programme'
import { momentWhenDone, openAnywhere, openTogether } from '../windows'

/** No schedule can be over before this, and what says so. */
export interface Bound { finish: Minute, by: 'chain' | 'wall' | 'crews' | 'ways' | 'drilling' | 'aid', why: Text }

/**
 * The moment before which no schedule can be over: the longest chain with its waits as if there were crews without end;
 * the work at one wall, as one crew works at it at a time; the work that only some crews can do, shared out among them
 * without a minute lost, and, with the way between sites, at one of them at a time; drilling in the hours in which it
 * is allowed; lifts by the lifting aids.
 */
export function lowerBound(programme: Programme): Bound {
  const { crews: all, places, from, aids, travel } = programme
  const crews = all.filter(({ people }) => people.length > 0)
  const able = new Map(programme.tasks.map(task => [task.id, crews.filter(crew => canDo(crew, task))]))
  const tasks = inOrder(programme.tasks).filter(({ id }) => able.get(id)!.length > 0)
  const placeOf = new Map(places.map(place => [place.id, place]))
  const clip = (times: Interval[]) =>
    times.map(each => ({ from: Math.max(from, each.from), to: each.to })).filter(({ from, to }) => to > from)
  const timesAt = memoize((key: string) => {
    const [site, noisy, by] = JSON.parse(key) as [string, boolean, string[]]
    const place = placeOf.get(site)
    return place
      ? clip(
          openTogether(
            openAnywhere(...crews.filter(({ id }) => by.includes(id)).map(({ times }) => times)),
            place.open,
            ...(noisy ? [place.loud] : []),
          ),
        )
      : []
  })
  const keyOf = ({ id, site, noisy }: Task, by = able.get(id)!) => JSON.stringify([site, noisy, by.map(({ id }) => id)])
  /** When any crew that can do a task can be at it. */
  const timesOf = (task: Task) => timesAt(keyOf(task))
  /**
   * When there is anything of some tasks to do, for some crews together or, as each of them can do no more, for one.
   */
  const anyOf = (of: Task[], by?: typeof crews) =>
    openAnywhere(
      ...[
        ...new Set(of.flatMap(task => (by?.every(crew => canDo(crew, task)) === false ? [] : [keyOf(task, by)]))),
      ].map(timesAt),
    )
  const bounds: Bound[] = []
  const say = (by: Bound['by'], finish: Minute, why: Text) => {
    if (Number.isFinite(finish)) bounds.push({ by, finish, why })
  }

  const ends = new Map<string, Minute>()
  for (const task of tasks) {
    const ready = Math.max(from, ...task.after.map(({ task: before, wait }) => (ends.get(before) ?? from) + wait))
    // What can be left is here left and taken up at any moment; a crew leaves no less than half an hour.
    const end = spansFrom(timesOf(task), ready, task.minutes, task.splits)?.at(-1)!.to ?? Infinity
    if (end === Infinity) continue
    ends.set(task.id, end)
    say('chain', end, words`The longest chain of tasks ends with “${task.title}”, even with unlimited crews.`)
  }
  const together = <Key>(of: Task[], key: (task: Task) => Key) => {
    const groups = new Map<Key, Task[]>()
    for (const task of of) groups.set(key(task), [...groups.get(key(task)) ?? [], task])
    return [...groups]
  }
  const sum = (of: Task[]) => of.reduce((sum, { minutes }) => sum + minutes, 0)
  for (const [, ofWall] of together(tasks, ({ site, wall }) => `${site}/${wall}`)) {
    say(
      'wall',
      momentWhenDone(anyOf(ofWall), sum(ofWall)),
      words`Only one crew works at a wall at a time: the wall of “${ofWall[0]!.title}” takes ${lasts(sum(ofWall))}.`,
    )
  }
  /** The moment at which so many minutes are done by crews who all work whenever there is anything to do for them. */
  const shared = (of: Task[], by: typeof crews, hands = by.length) => {
    const times = by.map(crew => anyOf(of, [crew]))
    let [low, high] = [from, programme.to]
    const done = (moment: Minute) =>
      times
        .map(each => each.reduce((sum, { from: begin, to }) => sum + Math.max(0, Math.min(to, moment) - begin), 0))
        .sort((a, b) => b - a)
        .slice(0, hands)
        .reduce((sum, each) => sum + each, 0)
    if (done(high) < sum(of)) return Infinity
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2)
      if (done(middle) >= sum(of)) high = middle
      else low = middle
    }
    return high
  }
  const hoursOf = new Map(places.map(({ id, open }) => [id, JSON.stringify(open)]))
  const hoursAt = memoize((keys: string) => JSON.stringify((JSON.parse(keys) as string[]).map(timesAt)))
  const latest = () => Math.max(from, ...bounds.map(({ finish }) => finish))
  /** The moment before which some crews cannot have done some work, at one site at a time. */
  const bySites = (work: Task[], by: typeof crews) => {
    const most = 2 * latest() - from + 14 * DAY
    const loads = together(work, task =>
      hoursAt(
        JSON.stringify(
          by.map(crew =>
            keyOf(
              task,
              able.get(task.id)!.filter(each => each === crew),
            ),
          ),
        ),
      ),
    )
    return momentByPaths(loads.map(([, alike]) => ({
      sites: [...new Set(alike.map(({ site }) => site))], minutes: sum(alike),
      times: by.map(crew => anyOf([alike[0]!], [crew]).filter(each => each.from < most)),
    })), travel, from, latest(), most)
  }
  for (const [, alike] of together(tasks, ({ id }) => able.get(id)!.map(({ id }) => id).join(' '))) {
    const by = able.get(alike[0]!.id)!
    const names = by.map(({ name }) => name).join(', ')
    // All that only these crews, or some of them, can do; and of that what is done at sites that are open alike.
    const work = tasks.filter(({ id }) => able.get(id)!.every(crew => by.includes(crew)))
    say('crews', shared(work, by), words`Only ${names} can do ${lasts(sum(work))} of the work.`)
    for (const [, there] of together(work, ({ site }) => hoursOf.get(site))) {
      const sites = [...new Set(there.map(({ site }) => placeOf.get(site)?.name ?? site))].join(', ')
      say(
        'crews',
        shared(there, by),
        words`Only ${names} can do ${lasts(sum(there))} of the work, and only while
          ${sites} ${there.every(({ site }) => site === there[0]!.site) ? 'is' : 'are'} open.`,
      )
    }
    say(
      'ways',
      bySites(work, by),
      words`Only ${names} can do ${lasts(sum(work))} of the work, at one site at a time and with travel time between
        sites.`,
    )
  }
  const drilling = tasks.filter(({ noisy }) => noisy)
  if (drilling.length > 0)
    say(
      'drilling',
      shared(drilling, crews),
      words`Drilling takes ${lasts(sum(drilling))}, within the noisy work hours.`,
    )
  const lifts = tasks.filter(({ aid }) => aid)
  if (lifts.length > 0 && aids > 0)
    say(
      'aid',
      momentWhenDone(anyOf(lifts), sum(lifts) / aids),
      words`Lifts with a lifting aid take ${lasts(sum(lifts))}; lifting aids available: ${String(aids)}.`,
    )
  return bounds.reduce((latest, each) => (each.finish > latest.finish ? each : latest), {
    finish: from,
    by: 'chain',
    why: words`There is no work left.`,
  })
}

/** How much longer a schedule takes than it must at least: 0 where it is as early as can be. */
export function overBound(finish: Minute, bound: Bound, from: Minute): number {
  return bound.finish > from ? (finish - bound.finish) / (bound.finish - from) : 0
}
