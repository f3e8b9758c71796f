import type { Evidence, Rules, Wall } from '../job'
import { words, type Text } from '../units'
import type { Member } from './framing'

/** What a method is called in a sentence. */
export const METHOD_NAMES: Record<Evidence['method'], string> = {
  'detector-edge': 'a detector edge', 'detector-centre': 'a detector centre', 'magnet': 'a magnet', 'probe': 'a probe', 'pilot': 'a pilot hole',
  'knock': 'a knock', 'seen': 'a sighting', 'outlet': 'an outlet box', 'joint': 'a joint',
}

/** Two readings of one kind share their errors, so they are one sign. */
const KIND: Partial<Record<Evidence['method'], string>> = { 'detector-edge': 'detector', 'detector-centre': 'detector' }
const PROVES = new Set<Evidence['method']>(['probe', 'pilot', 'seen'])
/** Signs so weak that neither of them, nor both together, ever prove a member or count as one of two kinds. */
const WEAK = new Set<Evidence['method']>(['knock', 'outlet'])

/** Whether a member is proved, and what it rests on in words. */
export interface Proof { proved: boolean, restsOn: Text }

const list = (names: string[]) => names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/**
 * Proof of framing by the house rule: a nail or bit that met the member, or sight of it, proves it;
 * else signs of two different kinds do, or any good sign where the firm has chosen that. A knock and an outlet box
 * are never such a sign.
 */
export function proofOf(member: Omit<Member, 'proved'>, { structure, evidence = [] }: Wall, { proofOfFraming = 'two-kinds' }: Rules): Proof {
  if (member.sd === 0 && structure.members?.length) return { proved: true, restsOn: words`framing entered as known` }
  const own = new Set(member.evidence)
  const methods = evidence.filter(({ id }) => own.has(id)).map(({ method }) => method)
  const kinds = new Set(methods.filter(method => !WEAK.has(method)).map(method => KIND[method] ?? method))
  const names = [...new Set(methods)].map((method) => {
    const many = methods.filter(other => other === method).length
    return many > 1 ? `${METHOD_NAMES[method]} (${many} times)` : METHOD_NAMES[method]
  })
  const wanted = proofOfFraming === 'one-sign' ? 1 : 2
  return {
    proved: methods.some(method => PROVES.has(method)) || kinds.size >= wanted,
    restsOn: names.length > 0 ? words`${list(names)}` : words`the spacing of its neighbours`,
  }
}
