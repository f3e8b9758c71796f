import type { Finding } from '../finding'
import type { AsBuilt } from '../log'
import { words } from '../units'

/** How the id of a question begins that a person at the wall has asked, and of a part of the kit. */
export const ASKED = 'ask:'
const KIT = 'kit:'

/** What the people at the wall wait for: parts that are missing, and questions that nobody has answered. */
export function openFindings({ steps }: Pick<AsBuilt, 'steps'>, wall: string): Finding[] {
  const about = { stage: 'hang', subject: { kind: 'wall', id: wall } } as const
  return steps.filter(({ done }) => !done).flatMap(({ step, by, note = '' }): Finding[] => {
    if (step.startsWith(KIT)) return [{ ...about, severity: 'caution', code: 'part-missing', message: words`${by} reports missing on site: ${note || step.slice(KIT.length)}.`, remedy: words`Bring it, and tick it off in Hang, under Prepare.` }]
    if (step.startsWith(ASKED)) return [{ ...about, severity: 'stop', code: 'question-open', message: words`${by} has stopped work with a question: ${note || step.slice(ASKED.length)}`, remedy: words`Answer it in Hang; the log keeps the answer.` }]
    return []
  })
}
