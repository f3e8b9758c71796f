import type { Finding } from '../finding'
import { stepOf, type AsBuilt } from '../log'
import { words } from '../units'

/** What the people at the wall wait for: parts that are missing, and questions that nobody has answered. */
export function openFindings({ steps }: Pick<AsBuilt, 'steps'>, wall: string): Finding[] {
  const about = { stage: 'hang', subject: { kind: 'wall', id: wall } } as const
  return steps.filter(({ done }) => !done).flatMap(({ step, by, note = '' }): Finding[] => {
    const { kind, id = '' } = stepOf(step) ?? {}
    if (kind === 'kit')
      return [
        {
          ...about,
          severity: 'caution',
          code: 'part-missing',
          message: words`${by} reports missing on site: ${note || id}.`,
          remedy: words`Bring it, and tick it off in Hang, under Prepare.`,
        },
      ]
    if (kind === 'ask')
      return [
        {
          ...about,
          severity: 'stop',
          code: 'question-open',
          message: words`${by} has stopped work with a question: ${note || id}`,
          remedy: words`Answer it in Hang; the log keeps the answer.`,
        },
      ]
    return []
  })
}
