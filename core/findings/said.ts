import { severityOf, type FindingCode, type FINDINGS } from './index'

type Severities<Code extends FindingCode> = (typeof FINDINGS)[Code]['severity'] extends infer Listed
  ? Listed extends readonly (infer One)[] ? One : Listed
  : never

/** The codes of the table of findings that are said with a severity: the table has it, and each place follows it. */
export type CodeOf<Severity> = { [Code in FindingCode]: Severity extends Severities<Code> ? Code : never }[FindingCode]

/** Who took a stop upon themselves, and why. */
interface Overridden { by: string, sentBy?: string | undefined, late?: boolean | undefined, reason: string, at: string }

/** A code with the severity that the table gives it, where it depends on the case one of the two. */
export type SaidAs
  = | { severity: 'stop', code: CodeOf<'stop'>, overridden?: never }
    | { severity: 'caution', code: CodeOf<'caution'>, overridden?: never }
    | { severity: 'stop' | 'caution', code: CodeOf<'stop'> & CodeOf<'caution'>, overridden?: never }
    | { severity: 'note', code: CodeOf<'note'>, overridden?: never }
  // A stop that a person took upon themselves is shown as a caution.
    | { severity: 'caution', code: CodeOf<'stop'>, overridden: Overridden }

/** A kind of finding with its severity, as a finding carries both. */
export const saidOf = (code: FindingCode): SaidAs => ({ code, severity: severityOf(code) }) as SaidAs
