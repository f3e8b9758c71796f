import type { Finding } from '../finding'

/** What a finding says without its places and figures: which parts of its sentence are words, which are figures. */
const shapeOf = ({ message }: Finding): string =>
  message.map(part => typeof part === 'string' ? 's' : 'unit' in part ? part.unit : 'mm').join(' ')

const overrideOf = ({ overridden }: Finding): string => overridden ? `${overridden.by} ${overridden.reason}` : ''

/**
 * Findings in groups of which each says the same of several places, in the order in which the first of each group
 * comes. Those that one change cures belong together whatever they say.
 *
 * @example
 * groupAlike([{ code: 'hole-misses-member', … }, { code: 'hole-misses-member', … }]).length // 1
 */
export function groupAlike(findings: Finding[]): Finding[][] {
  const groups = new Map<string, Finding[]>()
  for (const finding of findings) {
    const { code, severity, stage, cure } = finding
    const key = cure
      ? JSON.stringify(cure)
      : [code, severity, stage, overrideOf(finding), shapeOf(finding)].join('|')
    groups.set(key, [...groups.get(key) ?? [], finding])
  }
  return [...groups.values()]
}
