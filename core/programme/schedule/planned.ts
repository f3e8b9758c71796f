import type { Interval } from '../../geometry'
import type { Text } from '../../units'
import { lowerBound, overBound, type Bound } from './bound'
import type { Minute } from '../clock'
import type { PieceMinutes } from '../tasks/lengths'
import { finishOf, type PlacedTask, type Programme, type Task } from '../programme'
import { schedule, type Scheduled } from './schedule'
import { programmeOf, type ProgrammeInput, type TaskInfo } from '../tasks/tasks'

/** A task as a screen shows it. */
export type TaskShown = TaskInfo
  & Pick<Task, 'title' | 'minutes' | 'after' | 'skill' | 'people' | 'aid' | 'noisy' | 'splits'>

/** A programme that was calculated, as plain data. */
export interface Planned extends Scheduled {
  from: Minute
  finish: Minute
  bound: Bound
  /** How much longer it takes than it must at least, 0.1 for a tenth. */
  over: number
  tasks: TaskShown[]
  pieces: PieceMinutes[]
  cautions: Text[]
  crews: { id: string, name: string, times: Interval[] }[]
  places: { id: string, name: string, open: Interval[] }[]
}

/**
 * A programme calculated from what a firm decided and what its walls need; with what was scheduled, for questions about
 * it.
 */
export function planProgramme(of: ProgrammeInput): { planned: Planned, programme: Programme } {
  const { programme, info, pieces, cautions } = programmeOf(of)
  const scheduled = schedule(programme)
  const [bound, finish] = [lowerBound(programme), finishOf(scheduled, programme.from)]
  return {
    programme,
    planned: {
      ...scheduled,
      notFixed: scheduled.notFixed.filter(({ fixed }) => !fixed.begun),
      from: programme.from,
      finish,
      bound,
      over: overBound(finish, bound, programme.from),
      tasks: programme.tasks.map(({ id, title, minutes, after, skill, people, aid, noisy, splits }) => ({
        ...info.get(id)!,
        title,
        minutes,
        after,
        skill,
        people,
        aid,
        noisy,
        splits,
      })),
      pieces,
      cautions,
      crews: programme.crews.map(({ id, name, times }) => ({ id, name, times })),
      places: programme.places.map(({ id, name, open }) => ({ id, name, open })),
    },
  }
}

/**
 * A task that is at another time, or with another crew, than it was; without a place before or after where it had or
 * has none.
 */
export interface Moved { task: string, before?: PlacedTask, after?: PlacedTask }

/** What differs between two schedules, the largest moves first. */
export function movedTasks(before: PlacedTask[], after: PlacedTask[]): Moved[] {
  const [was, is] = [before, after].map(placed => new Map(placed.map(each => [each.task, each]))) as [
    Map<string, PlacedTask>,
    Map<string, PlacedTask>,
  ]
  const by = ({ before, after }: Moved) => before && after ? Math.abs(after.start - before.start) : Infinity
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((task): Moved[] => {
    const [old, now] = [was.get(task), is.get(task)]
    if (old && now && old.start === now.start && old.end === now.end && old.crew === now.crew) return []
    return [{ task, ...old && { before: old }, ...now && { after: now } }]
  }).sort((a, b) => by(b) - by(a) || a.task.localeCompare(b.task))
}
