import type { InferType } from 'yup'
import { MODEL_KINDS } from '../catalogue/kinds'
import { PLAIN_ID, schemaFaults, windows, type Fault } from '../job'
import { clockTime, day, group, list, must, name, notLess, oneOf, text } from '../job/fields'
import { daysOff, zone } from '../job/opening'
import { SKILLS } from './kinds'

const whole = (label: string, most: number) => notLess('', label).integer('must be a whole number').max(most, `must be at most ${most}`)
const plainId = (label?: string) => name(label).matches(PLAIN_ID, 'must be small letters, figures and hyphens')

const crewSchema = group({
  id: plainId(), name: name('What the crew is called'),
  people: must(list(must(name()), 50, 'Ids of who is in it')), skills: must(list(must(oneOf(SKILLS)), SKILLS.length, 'What they can do')),
  hours: must(windows('When they work')), off: daysOff('Days on which they do not work'), van: text('Which van they have'),
})

/** What the firm decides of its programme; version 1. */
export const settingsSchema = group({
  zone: must(zone('Time zone (IANA) of the firm')),
  crews: must(list(crewSchema, 50, 'Who works together')),
  minutes: list(group({ sort: name('Kind of work'), minutes: must(notLess('min', 'What a piece takes')) }), 100, 'The firm’s own minutes, in the place of what is learned'),
  aids: must(whole('Lift aids that the firm has', 20)),
  betweenSites: must(whole('From one site to another, where nothing else is said, min', 100_000)),
  travel: list(group({ from: plainId(), to: plainId(), minutes: must(whole('Minutes', 100_000)) }), 2_000, 'From one site to another, either way'),
  fixed: list(group({ task: name(), crew: plainId(), start: must(clockTime('When it begins')) }), 2_000, 'What was put at a time by hand'),
  links: list(group({ before: name(), after: name(), wait: must(whole('How long to wait between, min', 1_000_000)) }), 2_000, 'What has to be over before what else'),
  lost: list(group({ day: must(day()), site: text(), crew: text(), reason: name('Why') }), 1_000, 'Days that were lost'),
  leftOut: list(must(name()), 5_000, 'Tasks that nobody plans'),
  minimums: list(group({ kind: must(oneOf(MODEL_KINDS)), model: name(), least: must(whole('Never fewer than', 1e6)) }), 5_000, 'How many there are to be always'),
})
export type Settings = InferType<typeof settingsSchema>
export type CrewSettings = Settings['crews'][number]

/** What a firm begins with: nobody in a crew yet. */
export const NO_SETTINGS: Settings = { zone: 'UTC', crews: [], aids: 1, betweenSites: 60 }

/** What is wrong with settings, each at its JSON path. What only keeps something from being planned is no fault: it is said where it is planned. */
export function settingsFaults(settings: unknown): Fault[] {
  const faults = schemaFaults(settingsSchema, settings, '$')
  if (faults.length > 0) return faults
  const { crews } = settings as Settings
  return crews.flatMap(({ id }, n) => crews.findIndex(other => other.id === id) < n ? [{ path: `$.crews[${n}].id`, message: `is there twice: “${id}”` }] : [])
}
