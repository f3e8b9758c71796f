import type { FindingCode, FINDINGS } from './findings'
import type { Subject } from './subject'
import type { Text } from './units'

/** The nine stages, in the order of the job. */
export const STAGES = ['survey', 'arrange', 'mount', 'fix', 'wire', 'mark', 'hang', 'true', 'close'] as const
export type Stage = typeof STAGES[number]

/** A change that would cure a finding and can be taken as it stands. */
export interface Cure { kind: 'shift-plate', array: string, row: number, column: number, lateralShift: number }

type Severities<Code extends FindingCode> = (typeof FINDINGS)[Code]['severity'] extends infer Listed
  ? Listed extends readonly (infer One)[] ? One : Listed
  : never

/** The codes of the table of findings that are said with a severity: the table has it, and each place follows it. */
export type CodeOf<Severity> = { [Code in FindingCode]: Severity extends Severities<Code> ? Code : never }[FindingCode]

/** A code with the severity that the table gives it, where it depends on the case one of the two. */
export type SaidAs
  = | { severity: 'stop', code: CodeOf<'stop'>, overridden?: never }
    | { severity: 'caution', code: CodeOf<'caution'>, overridden?: never }
    | { severity: 'stop' | 'caution', code: CodeOf<'stop'> & CodeOf<'caution'>, overridden?: never }
    | { severity: 'note', code: CodeOf<'note'>, overridden?: never }
  // A stop that a person took upon themselves is shown as a caution.
    | { severity: 'caution', code: CodeOf<'stop'>, overridden: Overridden }

/** What is wrong, doubtful or worth saying. A stop must not be built. */
export type Finding = About & SaidAs

/** Who took a stop upon themselves, and why. */
interface Overridden { by: string, sentBy?: string | undefined, late?: boolean | undefined, reason: string, at: string }

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
