import type { Job, LogEntry } from '../job'
import type { WallState } from '../programme/wallState'

/** Which version of a wall it is, when it was saved and by whom. */
export interface WallVersion { version: number, savedAt: string, savedBy: string }

/** A wall as the server has it: the job with only this wall and its log. */
export interface ServerWall extends WallVersion { job: Job }

/** What lists of walls show of one. */
export type StateShown = Pick<WallState, 'stages' | 'stops' | 'cautions' | 'revision' | 'last' | 'screens'>

/** What programme, stock and lessons ask of one. */
export type StateOfWork = Pick<WallState, 'work' | 'needed' | 'used' | 'kit' | 'samples' | 'lessons'>

/** A wall in a list over all sites. */
export interface WallLine {
  site: string
  siteName: string
  units: 'metric' | 'imperial'
  id: string
  name: string
  width: number
  height: number
  savedAt: string
  savedBy: string
  /** As it was calculated last; absent where that has not been done yet. */
  state?: StateShown
  work?: StateOfWork
  /** Whether something of it has changed since, so that it is being calculated again. */
  stale: boolean
}

/** An entry that waits until a planner has decided about it. */
export interface Aside {
  key: number
  site: string
  siteName: string
  wall: string
  entry: LogEntry
  reason: string
  receivedAt: string
}

/** A client's link as the firm sees it: whom it is for, until when it holds, and whether it was taken back. */
export interface LinkSummary {
  id: string
  client: string
  madeAt: string
  madeBy: string
  expiresAt: string
  endedAt: string | null
}
