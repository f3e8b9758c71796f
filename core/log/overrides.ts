import type { Finding } from '../finding'
import { factsIn, words } from '../units'
import type { Override } from './kinds'

/** Two figures that a reader sees as one: nearer than a tenth of their last decimal. */
const SAME = 0.005

/** Codes of findings as earlier versions called them; an override names the code of its time. */
const FORMER_CODES: Record<string, string> = { 'face-shell’s-thickness-not-known': 'face-shell-thickness-not-known' }

/** An override by the code and subject that its finding has today. */
const currentOf = ({ code, subject }: Override, { id, formerId }: { id: string, formerId?: string | undefined }) =>
  ({ code: FORMER_CODES[code] ?? code, subject: subject === formerId ? id : subject })

/**
 * What an override is tied to beside code and subject: the figures that its stop states, whatever the words are.
 *
 * @returns in ascending order, to a hundredth
 * @example
 * factsOf({ message: words`Bottom hole of R1 C1 misses stud ${'4'} by ${254.9}.` }) // [254.9]
 */
export const factsOf = ({ message, facts = [] }: Pick<Finding, 'message' | 'facts'>): number[] =>
  [...factsIn(message), ...facts].map(figure => Math.round(figure * 100) / 100).sort((a, b) => a - b)

/** Whether each of some figures is among others, each of which counts once. */
function areAmong(figures: number[], others: number[]): boolean {
  const left = [...others]
  return figures.every((figure) => {
    const at = left.findIndex(other => Math.abs(other - figure) < SAME)
    if (at >= 0) left.splice(at, 1)
    return at >= 0
  })
}

/**
 * Whether a stop is still the one that was overridden. Earlier versions kept every figure of its sentence, those of
 * names and rules too.
 */
function stillFits({ facts, figures }: Override, finding: Finding): boolean {
  if (facts) return facts.length === factsOf(finding).length && areAmong(facts, factsOf(finding))
  return !figures || areAmong(factsOf({ message: finding.message }), figures)
}

/** What is said beside a stop whose figures have changed since it was overridden: who overrode it, and why. */
const lapsed = ({ subject, stage }: Finding, { by, reason }: Override): Finding => ({
  severity: 'caution', code: 'override-lapsed', stage, subject,
  message: words`The override by ${by} (“${reason}”) no longer applies: the figures of the stop have changed.`,
  remedy: words`Clear the stop, or override it again with the figures of today.`,
})

/**
 * A wall's findings with its overrides: a stop that a named person has overridden is a caution with the name and the
 * reason for as long as it states the figures that it stated then. An override that has lapsed is a caution of its own.
 */
export function withOverrides(
  findings: Finding[],
  overrides: Override[],
  wall: { id: string, formerId?: string | undefined },
): Finding[] {
  if (overrides.length === 0) return findings
  return findings.flatMap((finding) => {
    if (finding.severity !== 'stop') return [finding]
    const own = overrides.filter((override) => {
      const { code, subject } = currentOf(override, wall)
      return code === finding.code && subject === finding.subject.id
    })
    const override = finding.never ? undefined : own.find(each => stillFits(each, finding))
    if (override) return [{ ...finding, severity: 'caution' as const, overridden: override }]
    return [finding, ...own.slice(-1).map(each => lapsed(finding, each))]
  })
}
