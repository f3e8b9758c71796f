import { ARRANGE } from './arrange'
import { FIX } from './fix'
import { HANG } from './hang'
import { MARK } from './mark'
import { MOUNT } from './mount'
import { SURVEY } from './survey'
import { WIRE } from './wire'
import type { FindingKind, Severity } from './finding'

/** Every kind of finding by the stage that says it: a kind is a line in its stage's table. */
export const FINDINGS_BY_STAGE = {
  survey: SURVEY,
  arrange: ARRANGE,
  mount: MOUNT,
  fix: FIX,
  wire: WIRE,
  mark: MARK,
  hang: HANG,
} as const

/** Every kind of finding, by its code. */
export const FINDINGS = {
  ...SURVEY,
  ...ARRANGE,
  ...MOUNT,
  ...FIX,
  ...WIRE,
  ...MARK,
  ...HANG,
} as const
export type FindingCode = keyof typeof FINDINGS

/** What is said of a kind of finding; undefined for a code of another version. */
export const findingKind = (code: string): FindingKind | undefined =>
  Object.hasOwn(FINDINGS, code) ? FINDINGS[code as FindingCode] : undefined

/** As what a kind of finding is said; the worse, where it depends on the case. */
export function severityOf(code: FindingCode): Severity {
  const { severity } = FINDINGS[code]
  return typeof severity === 'string' ? severity : severity[0]
}

export type { FindingKind, Severity } from './finding'
