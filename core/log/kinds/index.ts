import { checked } from './checked'
import { circuitTest } from './circuitTest'
import { correction } from './correction'
import { firmware } from './firmware'
import { fished } from './fished'
import { hole } from './hole'
import { hung } from './hung'
import { issued } from './issued'
import { locked } from './locked'
import { override } from './override'
import { overrideEnded } from './overrideEnded'
import { photo } from './photo'
import { point } from './point'
import { pointDone } from './pointDone'
import { pulled } from './pulled'
import { remark } from './remark'
import { replaced } from './replaced'
import { seams } from './seams'
import { serial } from './serial'
import { signed } from './signed'
import { step } from './step'
import { tested } from './tested'
import { torqued } from './torqued'
import { turned } from './turned'
import { visit } from './visit'

/** What can happen at a wall: a kind is one file here, and a line in this list. */
export const LOG_KINDS = {
  'hole': hole,
  'checked': checked,
  'override': override,
  'override-ended': overrideEnded,
  'issued': issued,
  'step': step,
  'seams': seams,
  'turned': turned,
  'fished': fished,
  'pulled': pulled,
  'torqued': torqued,
  'hung': hung,
  'serial': serial,
  'locked': locked,
  'firmware': firmware,
  'photo': photo,
  'circuit-test': circuitTest,
  'tested': tested,
  'point': point,
  'point-done': pointDone,
  'signed': signed,
  'visit': visit,
  'replaced': replaced,
  'remark': remark,
  'correction': correction,
} as const

export type EntryKind = keyof typeof LOG_KINDS

/** Whether a word names a kind of entry. */
export const isEntryKind = (kind: unknown): kind is EntryKind =>
  typeof kind === 'string' && Object.hasOwn(LOG_KINDS, kind)

export { isAt, isOneHole, settledHoles, type DisputedHole, type MadeHole } from './hole'
export type { EntryRight } from './kind'
export type { Override } from './override'
export { nothingStanding, type Standing } from './standing'
export type { StepDone } from './step'
