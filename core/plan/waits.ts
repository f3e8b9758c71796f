import { STAGES, type Finding, type Stage } from '../finding'

/** The stages that each rests on: it promises nothing while one of these has a stop. */
const RESTS_ON: Partial<Record<Stage, Stage[]>> = {
  mount: ['survey', 'arrange'],
  fix: ['survey', 'arrange', 'mount'],
  wire: ['survey', 'arrange', 'mount'],
  mark: ['survey', 'arrange', 'mount', 'fix'],
  hang: ['survey', 'arrange', 'mount', 'fix', 'mark'],
}

/** What a stage waits for: the first stage that it rests on and that has a stop, and how many. */
export interface Wait { stage: Stage, stops: number }

/**
 * What a stage waits for; undefined where nothing before it stops it. A stop that a named person has overridden is
 * a caution, and nobody waits for it.
 */
export function waitOf(stage: Stage, findings: Finding[]): Wait | undefined {
  const before = STAGES.filter(other => RESTS_ON[stage]?.includes(other))
  for (const other of before) {
    const stops = findings.filter(finding => finding.stage === other && finding.severity === 'stop').length
    if (stops > 0) return { stage: other, stops }
  }
  return undefined
}
