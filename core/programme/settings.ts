import type { InferType } from 'yup'
import { MODEL_KINDS } from '../catalogue/shelves'
import { PLAIN_ID, schemaFaults, windows, type Fault } from '../job'
import { clockTime, day, group, list, must, name, notLess, oneOf, text } from '../job/fields'
import { daysOff, zone } from '../job/opening'
import { SKILLS } from './tasks/kinds'

const whole = (label: string, most: number) =>
  notLess('', label).integer('must be a whole number').max(most, `must be at most ${most}`)
const plainId = (label?: string) =>
  name(label).matches(PLAIN_ID, 'must have only lower-case letters, digits and hyphens')

const crewSchema = group({
  id: plainId(),
  name: name('Crew name'),
  people: must(list(must(name()), 50, 'Ids of its people')),
  skills: must(list(must(oneOf(SKILLS)), SKILLS.length, 'Skills')),
  hours: must(windows('Working hours')),
  off: daysOff('Days off'),
  van: text('Van'),
})

/** What the firm decides of its programme; version 1. */
export const settingsSchema = group({
  zone: must(zone('Time zone (IANA) of the firm')),
  crews: must(list(crewSchema, 50, 'Crews')),
  minutes: list(
    group({ sort: name('Kind of work'), minutes: must(notLess('min', 'Time per unit')) }),
    100,
    'The firm’s own minutes, used instead of the learned ones',
  ),
  aids: must(whole('Number of lifting aids', 20)),
  betweenSites: must(whole('Default travel time between sites, min', 100_000)),
  travel: list(
    group({ from: plainId(), to: plainId(), minutes: must(whole('Minutes', 100_000)) }),
    2_000,
    'Travel times between two sites, in either direction',
  ),
  fixed: list(group({ task: name(), crew: plainId(), start: must(clockTime('Start')) }), 2_000, 'Pinned tasks'),
  links: list(
    group({ before: name(), after: name(), wait: must(whole('Waiting time between, min', 1_000_000)) }),
    2_000,
    'Tasks that must finish before other tasks',
  ),
  lost: list(group({ day: must(day()), site: text(), crew: text(), reason: name('Reason') }), 1_000, 'Lost days'),
  leftOut: list(must(name()), 5_000, 'Tasks left out of the programme'),
  minimums: list(
    group({ kind: must(oneOf(MODEL_KINDS)), model: name(), least: must(whole('Reorder level', 1e6)) }),
    5_000,
    'Reorder levels by model',
  ),
})
export type Settings = InferType<typeof settingsSchema>
export type CrewSettings = Settings['crews'][number]

/** What a firm begins with: nobody in a crew yet. */
export const NO_SETTINGS: Settings = { zone: 'UTC', crews: [], aids: 1, betweenSites: 60 }

/**
 * What is wrong with settings, each at its JSON path. What only keeps something from being planned is no fault: it is
 * said where it is planned.
 */
export function settingsFaults(settings: unknown): Fault[] {
  const faults = schemaFaults(settingsSchema, settings, '$')
  if (faults.length > 0) return faults
  const { crews } = settings as Settings
  return crews.flatMap(({ id }, n) =>
    crews.findIndex(other => other.id === id) < n
      ? [{ path: `$.crews[${n}].id`, message: `is used twice: “${id}”` }]
      : [],
  )
}
