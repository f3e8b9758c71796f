import type { Finding } from '../finding'
import { figuresIn, type Text } from '../units'
import type { Override } from './asBuilt'

/** Two figures that a reader sees as one: nearer than a tenth of their last decimal. */
const SAME = 0.005

const tellsTheSame = (then: number[], now: number[]) => then.length === now.length && then.every((figure, n) => Math.abs(figure - now[n]!) < SAME)

/** The figures by which an override is tied to what the stop told when it was taken on. */
export const figuresOf = (message: Text): number[] => figuresIn(message).map(figure => Math.round(figure * 100) / 100)

/**
 * A wall's findings with those stops that a named person has taken upon themselves: they are told as
 * cautions from then on, each with the name and the reason, for as long as they tell the figures that they told then.
 */
export function withOverrides(findings: Finding[], overrides: Override[]): Finding[] {
  if (overrides.length === 0) return findings
  return findings.map((finding) => {
    if (finding.severity !== 'stop') return finding
    const override = overrides.find(({ code, subject, figures }) => code === finding.code && subject === finding.subject.id && (figures === undefined || tellsTheSame(figures, figuresOf(finding.message))))
    return override ? { ...finding, severity: 'caution', overridden: override } : finding
  })
}
