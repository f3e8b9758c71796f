import type { KitItem } from '../hang'
import type { Site } from '../job'
import type { StaffRole } from '../people'
import type { PlannedMinutes, Settings, SiteOfProgramme, WorkKind } from '../programme'
import type { Lessons } from '../programme/lessons/lessons'
import type { Part } from '../programme/stock/parts'
import type { Sample, Work } from '../programme/tasks/workload'

/** The firm's programme as it is kept: its settings, which version of them it is, and when it was published last. */
export interface ProgrammeState {
  settings: Settings
  version: number
  published: number
  publishedAt?: string
  publishedBy?: string
}

/** A stretch of work that was published. */
export interface PublishedStretch {
  site: string
  wall: string
  task: string
  crew: string
  crewName: string
  people: string[]
  kind: WorkKind
  title: string
  startsAt: string
  endsAt: string
  published: number
  zone: string
}

/** A wall as the programme has it. */
export interface ProgrammeWall {
  site: string
  id: string
  name: string
  stops: number
  issued: boolean
  stale: boolean
  work?: Work[]
  samples?: Sample[]
  /** What its work was planned to take by what was published. */
  plannedMinutes?: PlannedMinutes[]
  lessons?: Lessons
  needed?: Part[]
  kit?: Pick<KitItem, 'id' | 'group' | 'name' | 'count' | 'spare'>[]
}

/** All that the server gives of the programme. */
export interface ProgrammeData extends ProgrammeState {
  people: { id: string, name: string, role: StaffRole }[]
  sites: (SiteOfProgramme & Site)[]
  walls: ProgrammeWall[]
  pending: number
}
