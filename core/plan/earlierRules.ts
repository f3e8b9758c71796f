import type { Finding } from '../finding'
import { arraysOf, same, type Wall } from '../job'
import type { AsBuilt } from '../log'
import { PROGRAM } from '../program'
import { words, type Text } from '../units'

/** So many stops are told in full. */
const TOLD = 3

const listed = (messages: Text[]): Text => messages.reduce((a, b) => words`${a} ${b}`)

/**
 * A wall's findings with one caution where its mark-out was issued by an earlier version of the program and today's
 * rules would refuse it: what was issued stays, and the people at the wall are told. Where an array was changed since,
 * its stops are the new design's.
 */
export function withEarlierRules(findings: Finding[], wall: Wall, { issued }: Pick<AsBuilt, 'issued'>): Finding[] {
  if (!issued || issued.program === PROGRAM) return findings
  const isAsIssued = arraysOf(wall).every(array =>
    same(array, issued.arrays.find(each => each.array.id === array.id)?.array),
  )
  const stops = findings.filter(({ severity, stage }) => severity === 'stop' && stage !== 'hang')
  if (!isAsIssued || stops.length === 0) return findings
  const more = stops.length - TOLD
  const by = words`Revision ${issued.revision} was issued by version ${issued.program} of the program.`
  const refused = listed(stops.slice(0, TOLD).map(({ message }) => message))
  return [
    ...findings,
    {
      severity: 'caution',
      code: 'issued-by-earlier-rules',
      stage: 'mark',
      subject: { kind: 'wall', id: wall.id },
      message: words`${by} Today’s rules would refuse it: ${refused}${more > 0 ? ` And ${more} more.` : ''}`,
      remedy: words`It stays as it was issued and can be drilled. Have this checked before a screen is hung.`,
    },
  ]
}
