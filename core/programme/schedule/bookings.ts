import type { Interval } from '../../geometry'
import type { Minute } from '../clock'
import { memoize } from '../../memo'
import { spansFrom, Timeline } from './timeline'
import { canDo, type Crew, type PlacedTask, type Programme, type Task } from '../programme'
import { openTogether } from '../windows'

/** What of a programme stays the same whatever is placed where, calculated once. */
export interface Problem {
  programme: Programme
  crews: Crew[]
  byId: Map<string, Task>
  /** The crews that can do a task, by their places in the list. */
  able: Map<string, number[]>
  /** For each crew the crews that share a person with it, itself included. */
  together: number[][]
  /** When a crew can work at a task's site, and be as loud as it is. */
  times: (crew: number, task: Task) => Interval[]
}

/** A problem of some crews of another; the times at which they can work stay what they are. */
export function withCrews(whole: Problem, crews: Crew[]): Problem {
  const at = crews.map(crew => whole.crews.indexOf(crew))
  return {
    programme: whole.programme,
    crews,
    byId: whole.byId,
    able: new Map(
      [...whole.able].map(([id, able]) => [id, able.flatMap(crew => (at.includes(crew) ? [at.indexOf(crew)] : []))]),
    ),
    together: at.map(crew => whole.together[crew]!.flatMap(other => (at.includes(other) ? [at.indexOf(other)] : []))),
    times: (crew, task) => whole.times(at[crew]!, task),
  }
}

/** Of a programme with those crews who have anybody in them. */
export function problemOf(programme: Programme): Problem {
  const crews = programme.crews.filter(({ people }) => people.length > 0)
  const places = new Map(programme.places.map(place => [place.id, place]))
  const timesAt = memoize((key: string) => {
    const [crew, noisy, site] = JSON.parse(key) as [number, boolean, string]
    const place = places.get(site)
    const times = place ? openTogether(crews[crew]!.times, place.open, ...noisy ? [place.loud] : []) : []
    return times
      .map(({ from, to }) => ({ from: Math.max(from, programme.from), to: Math.min(to, programme.to) }))
      .filter(({ from, to }) => to > from)
  })
  const timesOf = new Map(
    programme.tasks.map(({ id, noisy, site }) => [
      id,
      crews.map((_, crew) => timesAt(JSON.stringify([crew, noisy, site]))),
    ]),
  )
  return {
    programme,
    crews,
    byId: new Map(programme.tasks.map(task => [task.id, task])),
    able: new Map(programme.tasks.map(task => [task.id, crews.flatMap((crew, n) => (canDo(crew, task) ? [n] : []))])),
    together: crews.map(crew =>
      crews.flatMap((other, n) =>
        other === crew || other.people.some(person => crew.people.includes(person)) ? [n] : [],
      ),
    ),
    times: (crew, { id }) => timesOf.get(id)![crew]!,
  }
}

/** Why something that could begin at a moment does not: what it waits for from then on, and until when. */
export interface Hindrance { kind: 'crew' | 'wall' | 'aid' | 'time', until: Minute, task?: string }

/** What crews, walls and lifting aids are taken for so far. */
export class Bookings {
  readonly placed = new Map<string, PlacedTask>()
  private readonly crews: Timeline[]
  private readonly aids: Timeline[]
  private readonly walls = new Map<string, Map<string, Timeline>>()

  constructor(readonly problem: Problem) {
    const { travel, aids } = problem.programme
    this.crews = problem.crews.map(() => new Timeline(travel))
    this.aids = Array.from({ length: aids }, () => new Timeline(travel))
  }

  private wallOf({ site, wall }: Task): Timeline {
    let walls = this.walls.get(site)
    if (!walls) this.walls.set(site, (walls = new Map()))
    let found = walls.get(wall)
    if (!found) walls.set(wall, (found = new Timeline(() => 0)))
    return found
  }

  /** The first moment by which all is over that has to be before a task; undefined where some of it has no place. */
  readyAt({ after }: Task): Minute | undefined {
    let ready = this.problem.programme.from
    for (const { task, wait } of after) {
      if (!this.problem.byId.has(task)) continue
      const before = this.placed.get(task)
      if (!before) return undefined
      ready = Math.max(ready, before.end + wait)
    }
    return ready
  }

  /**
   * Where a crew does a task first, not before a moment; nothing that is booked is moved for it.
   *
   * @param told hears of everything that it waits for on the way there
   */
  earliest(task: Task, crew: number, from: Minute, told?: (hindrance: Hindrance) => void): PlacedTask | undefined {
    const times = this.problem.times(crew, task)
    const wall = this.wallOf(task)
    for (let at = from; ;) {
      const spans = spansFrom(times, at, task.minutes, task.splits)
      if (!spans) return undefined
      const [start, end] = [spans[0]!.from, spans.at(-1)!.to]
      if (start > at) told?.({ kind: 'time', until: start })
      const hindrance = this.hindranceOf(task, crew, { start, end }, wall)
      if (!hindrance) return { task: task.id, crew: this.problem.crews[crew]!.id, start, end, spans }
      told?.(hindrance)
      if (hindrance.until === Infinity) return undefined
      at = hindrance.until
    }
  }

  /** What a task waits for at a time: its crew, its wall or a lifting aid, and until when. */
  private hindranceOf(
    { site, aid }: Task, crew: number, { start, end }: { start: Minute, end: Minute }, wall: Timeline,
  ): Hindrance | undefined {
    const as = (kind: 'crew' | 'wall' | 'aid', { freeAt, block }: { freeAt: Minute, block?: { task: string } }) =>
      ({ kind, until: freeAt, ...(block && { task: block.task }) })
    const busy = this.crews[crew]!.inTheWay(start, end, site)
    if (busy) return as('crew', busy)
    const there = wall.inTheWay(start, end, site)
    if (there) return as('wall', there)
    const free = aid ? this.freeAid(start, end, site) : undefined
    return free && 'freeAt' in free ? as('aid', free) : undefined
  }

  /** A lifting aid that is free, or when the first one will be. */
  private freeAid(
    start: Minute,
    end: Minute,
    site: string,
  ): { aid: Timeline } | { freeAt: Minute, block?: { task: string } } {
    let soonest: { freeAt: Minute, block?: { task: string } } = { freeAt: Infinity }
    for (const aid of this.aids) {
      const busy = aid.inTheWay(start, end, site)
      if (!busy) return { aid }
      if (busy.freeAt < soonest.freeAt) soonest = busy
    }
    return soonest
  }

  /** How long the way is that a crew has to a task, from where it is before; none where it has been nowhere yet. */
  wayTo(task: Task, crew: number, start: Minute): number {
    const before = this.crews[crew]!.before(start)
    return before ? this.problem.programme.travel(before.site, task.site) : 0
  }

  book(placed: PlacedTask): void {
    const task = this.problem.byId.get(placed.task)!
    const block = { start: placed.start, end: placed.end, site: task.site, task: task.id }
    const crew = this.problem.crews.findIndex(({ id }) => id === placed.crew)
    for (const other of this.problem.together[crew]!) this.crews[other]!.add(block)
    this.wallOf(task).add(block)
    if (task.aid) {
      const found = this.freeAid(placed.start, placed.end, task.site)
      if ('aid' in found) found.aid.add(block)
    }
    this.placed.set(task.id, placed)
  }

  cancel(id: string): void {
    const task = this.problem.byId.get(id)
    if (!task || !this.placed.delete(id)) return
    for (const timeline of [...this.crews, ...this.aids, this.wallOf(task)]) timeline.remove(id)
  }
}
