import type { SaidAs } from './findings/said'
import type { Subject } from './subject'
import type { Text } from './units'

export type { CodeOf, SaidAs } from './findings/said'

/** The nine stages, in the order of the job. */
export const STAGES = ['survey', 'arrange', 'mount', 'fix', 'wire', 'mark', 'hang', 'true', 'close'] as const
export type Stage = typeof STAGES[number]

/** A change that would cure a finding and can be taken as it stands. */
export interface Cure { kind: 'shift-plate', array: string, row: number, column: number, lateralShift: number }

/** What is wrong, doubtful or worth saying. A stop must not be built. */
export type Finding = About & SaidAs

interface About {
  stage: Stage
  /** What it is about. */
  subject: Subject
  message: Text
  remedy?: Text
  cure?: Cure
  /** The panel of its stage’s bench on which it is cured, and what a button there says. */
  opens?: { panel: string, title: string }
  /**
   * Figures that the message does not have and that an override is tied to all the same, as how many holes it names
   * only some of.
   */
  facts?: number[]
  /** Whether no person may override this stop. */
  never?: true
  /** Whether a person who drills has to know it: it is on the sheet, and at the step in which holes are drilled. */
  atTheDrill?: true
}
