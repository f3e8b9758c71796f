import { chance, type Chance } from '../../survey/simulatedReadings'
import type { Window } from '../../job'
import { words } from '../../units'
import { DAY, HOUR } from '../clock'
import type { Crew, Programme, Task } from '../programme'
import type { Skill } from '../tasks/kinds'
import { openTimes } from '../windows'

const EVERY_DAY: Window['days'] = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
const FROM = Date.UTC(2026, 10, 30) / 60_000

/**
 * A programme by chance, for tests and measurements: sites with windows of their own, some at night, and crews of
 * unlike people.
 */
export function programmeByChance(
  seed: number,
  { walls, tasksEach, crews, sites }: { walls: number, tasksEach: number, crews: number, sites: number },
): Programme {
  const rng: Chance = chance(seed)
  const to = FROM + 200 * DAY
  const places = Array.from({ length: sites }, (_, n) => {
    const night = rng.whether(0.3)
    const daily = (from: string, until: string) =>
      openTimes([{ days: EVERY_DAY, from, to: until }], 'Europe/Oslo', FROM, to)
    const [open, loud] = night
      ? [daily('20:00', '05:00'), daily('20:00', '23:30')]
      : [daily('07:00', '18:00'), daily('08:00', '16:00')]
    return { id: `s${n}`, name: `Site ${n}`, open, loud }
  })
  const people: Crew[] = Array.from({ length: crews }, (_, n) => {
    const skills: Skill[]
      = n === 0
        ? ['fitting', 'electrical', 'decorating']
        : rng.oneOf<Skill[]>([['fitting'], ['fitting', 'decorating'], ['electrical', 'fitting']])
    return {
      id: `c${n}`,
      name: `Crew ${n}`,
      people: n === 0 || rng.whether(0.7) ? [`p${n}a`, `p${n}b`] : [`p${n}a`],
      skills,
      times: openTimes([{ days: EVERY_DAY, from: '00:00', to: '23:59' }], 'UTC', FROM, to),
    }
  })
  const tasks = Array.from({ length: walls }, (_, wall) =>
    Array.from({ length: tasksEach }, (_, n): Task => ({
      id: `w${wall}t${n}`,
      site: `s${wall % sites}`,
      wall: `w${wall}`,
      title: words`Task ${String(n)} of wall ${String(wall)}`,
      minutes: 5 * Math.ceil(rng.between(1, 36)),
      people: rng.whether(0.5) ? 2 : 1,
      skill: rng.oneOf<Skill>(['fitting', 'fitting', 'fitting', 'electrical', 'decorating']),
      noisy: rng.whether(0.2),
      aid: rng.whether(0.1),
      splits: rng.whether(0.7),
      after: n === 0 ? [] : [{ task: `w${wall}t${n - 1}`, wait: rng.whether(0.15) ? 12 * HOUR : 0 }],
    })),
  ).flat()
  return {
    from: FROM + 8 * HOUR,
    to,
    tasks,
    crews: people,
    places,
    fixed: [],
    aids: 1,
    travel: (a, b) => (a === b ? 0 : 45),
  }
}
