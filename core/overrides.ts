import type { Finding } from './finding'
import type { Override } from './job'
import { textToString } from './units'

/**
 * A wall's findings with those stops that a named person has taken upon themselves: they are told as
 * cautions from then on, each with the name and the reason, for as long as they say what they said then.
 */
export function withOverrides(findings: Finding[], overrides: Override[] = []): Finding[] {
  if (overrides.length === 0) return findings
  return findings.map((finding) => {
    const taken = finding.severity === 'stop' ? overrides.find(({ code, subject, told }) => code === finding.code && subject === finding.subject.id && (told === undefined || told === textToString(finding.message, 'metric'))) : undefined
    return taken ? { ...finding, severity: 'caution', overridden: taken } : finding
  })
}
