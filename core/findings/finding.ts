/** How much a finding weighs: a stop must not be built. */
export type Severity = 'stop' | 'caution' | 'note'

/** One kind of finding, whatever it is about. */
export interface FindingKind {
  /** As what it is said: the worse first, where it depends on the case. */
  severity: Severity | readonly [Severity, Severity]
  /** What it means, in a sentence. */
  meaning: string
  /** What clears it; absent where there is nothing to clear. */
  cure?: string
  /** A stop that no person may override. */
  never?: true
  /** What a person decided against what was calculated: it is said on the sheet. */
  isDecision?: true
}
