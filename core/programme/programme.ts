import type { Interval } from '../geometry'
import type { Text } from '../units'
import type { Minute } from './clock'
import type { Skill } from './tasks/kinds'

/** Something that a crew does at one wall; known by the same id as long as the wall has it. */
export interface Task {
  id: string
  site: string
  wall: string
  title: Text
  /** What is left of it, min. */
  minutes: number
  /** So many people at least, and one of them at least who can do it. */
  people: number
  skill: Skill
  /** Whether it is heard: it is then done in the site's noise windows only. */
  noisy: boolean
  /** Whether it needs a lifting aid. */
  aid: boolean
  /** Whether it can be left and gone on with in a later window. */
  splits: boolean
  /** What has to be over before it, and for how long, min (filler dries). */
  after: { task: string, wait: number }[]
}

/** People who work together on one thing at a time. */
export interface Crew { id: string, name: string, people: string[], skills: Skill[], times: Interval[] }

/** Whether a crew can do a task at all: enough people, and among them what it takes. */
export const canDo = (crew: Crew, { people, skill }: Pick<Task, 'people' | 'skill'>): boolean =>
  crew.people.length >= people && crew.skills.includes(skill)

/** Where tasks are done, when it is open, and when it may be loud there. */
export interface Place { id: string, name: string, open: Interval[], loud: Interval[] }

/** What a person fixed: this task begins then, and is done by this crew; or what is under way already and goes on. */
export interface Fixed { task: string, crew: string, start: Minute, begun?: boolean }

/** All that a schedule is calculated of. */
export interface Programme {
  /** Nothing begins before this. */
  from: Minute
  /** Nothing ends after this. */
  to: Minute
  tasks: Task[]
  crews: Crew[]
  places: Place[]
  fixed: Fixed[]
  /** What people were reported before: where it costs little, it stays. */
  before?: Pick<PlacedTask, 'task' | 'crew' | 'start'>[]
  /** Lift aids that the firm has. */
  aids: number
  /** From one site to another, min. */
  travel: (from: string, to: string) => number
}

/** A task in its place: who does it, and when; in several spans where windows part it. */
export interface PlacedTask { task: string, crew: string, start: Minute, end: Minute, spans: Interval[] }

/** A schedule: what has a place, and what has none with the reason. */
export interface Schedule { placed: PlacedTask[], unplaced: { task: string, why: Text }[] }

/** When all that is placed is over; the beginning where nothing is. */
export const finishOf = ({ placed }: Pick<Schedule, 'placed'>, from: Minute): Minute =>
  placed.reduce((latest, { end }) => Math.max(latest, end), from)
