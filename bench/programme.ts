import {
  finishOf, lowerBound, minutesUntil, minuteOf, overBound, programmeOf, schedule, WORK_KINDS, type ProgrammeInput,
  type Programme, type Schedule,
} from '../core/programme'
import { programmeByChance } from '../core/programme/schedule/programmeByChance'
import type { Work } from '../core/programme/tasks/workload'
import { chance } from '../core/survey/simulatedReadings'
import { atMost, measured, type Row } from './row'

const middle = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
const PIECES: Partial<Record<Work['kind'], [number, number]>> = {
  survey: [3, 10],
  mark: [20, 120],
  boxes: [1, 12],
  pull: [1, 12],
  patch: [0, 3],
  drill: [4, 48],
  plates: [1, 12],
  hang: [1, 12],
  true: [1, 12],
  test: [1, 12],
}

/**
 * A programme as firms have them: so many walls at so many sites, worked at by day, crews of two and an electrician.
 */
export function usualProgramme(seed: number, walls: number, sites: number): ProgrammeInput {
  const rng = chance(seed)
  const days: ['mon', 'tue', 'wed', 'thu', 'fri'] = ['mon', 'tue', 'wed', 'thu', 'fri']
  const hours = [{ days, from: '07:30', to: '16:30' }]
  const work = (): Work[] => WORK_KINDS.flatMap((kind): Work[] => {
    const [least, most] = PIECES[kind] ?? [1, 1]
    const pieces = Math.round(rng.between(least, most))
    return pieces === 0
      ? []
      : [
          {
            kind,
            sort: kind === 'drill' ? 'drill concrete' : kind,
            pieces,
            done: 0,
            people: kind === 'hang' ? 2 : 1,
            aid: kind === 'hang' && rng.whether(0.2),
          },
        ]
  })
  return {
    now: minuteOf('2026-11-30T05:00:00Z'),
    samples: [],
    settings: {
      zone: 'Europe/Oslo',
      aids: 1,
      betweenSites: 45,
      crews: [
        { id: 'a', name: 'A', people: ['1', '2'], skills: ['fitting', 'decorating'], hours },
        { id: 'b', name: 'B', people: ['3', '4'], skills: ['fitting', 'decorating'], hours },
        { id: 'c', name: 'C', people: ['5'], skills: ['electrical'], hours },
      ],
    },
    sites: Array.from({ length: sites }, (_, n) => ({
      id: `s${n}`,
      name: `Site ${n}`,
      windows: [{ days, from: rng.oneOf(['06:00', '09:00']), to: rng.oneOf(['16:00', '18:00']) }],
    })),
    walls: Array.from({ length: walls }, (_, n) => ({
      site: `s${n % sites}`,
      id: `w${n}`,
      name: `Wall ${n}`,
      stops: 0,
      issued: true,
      work: work(),
    })),
  }
}

/**
 * Where the crews' hours go up to the finish: work, the way between sites, and what is left: their site closed, nothing
 * ready, a task left over a break.
 */
function hoursOf({ tasks, crews, travel, from }: Programme, { placed }: Schedule): string {
  const site = new Map(tasks.map(task => [task.id, task.site]))
  let [hours, work, way] = [0, 0, 0]
  for (const { id, times } of crews) {
    const mine = placed.filter(({ crew }) => crew === id).sort((a, b) => a.start - b.start)
    if (mine.length === 0) continue
    hours += minutesUntil(
      times.map(({ from: begin, to }) => ({ from: Math.max(from, begin), to })).filter(({ from, to }) => to > from),
      mine.at(-1)!.end,
    )
    work += mine.reduce((sum, { spans }) => sum + spans.reduce((of, { from, to }) => of + to - from, 0), 0)
    way += mine.reduce(
      (sum, { task }, n) => (n === 0 ? sum : sum + travel(site.get(mine[n - 1]!.task)!, site.get(task)!)),
      0,
    )
  }
  const share = (minutes: number) => `${Math.round(100 * minutes / hours)} %`
  return `crews’ hours: work ${share(work)}, on the way ${share(way)}, site closed or nothing `
    + `ready ${share(hours - work - way)}`
}

/**
 * How long schedules take to be calculated, and how near their finish is to what no schedule can beat; each with where
 * the crews' hours go, as a bound lets a crew be here and there by halves, at any wall whatever comes before.
 */
export function programmes(): Row[] {
  const times: number[] = []
  const over = (title: string, programme: Programme): Row => {
    const from = performance.now()
    const found = schedule(programme)
    if (programme.tasks.length === 400) times.push(performance.now() - from)
    const bound = lowerBound(programme)
    return measured(
      `${title}, over its bound (${bound.by}); ${hoursOf(programme, found)}`,
      100 * overBound(finishOf(found, programme.from), bound, programme.from),
      '%',
    )
  }
  const rows = [
    ...[1, 2, 3, 4, 5].map(seed =>
      over(
        `400 tasks by day and night ${seed}`,
        programmeByChance(seed, { walls: 20, tasksEach: 20, crews: 3, sites: 6 }),
      ),
    ),
    ...[1, 2, 3].map(seed =>
      over(
        `20 walls by day, sites open from 6 or 9 to 16 or 18, ${seed}`,
        programmeOf(usualProgramme(seed, 20, 6)).programme,
      ),
    ),
    ...[1, 2, 3].map(seed =>
      over(
        `20 walls by day, sites open at all times, ${seed}`,
        programmeOf({
          ...usualProgramme(seed, 20, 6),
          sites: usualProgramme(seed, 20, 6).sites.map(({ id, name }) => ({ id, name })),
        }).programme,
      ),
    ),
  ]
  return [atMost('Schedule of 20 walls, 3 crews, 400 tasks, median', middle(times), 2_000, 'ms'), ...rows]
}
