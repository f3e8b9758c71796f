import type { Evidence, Rules, Wall } from '../job'
import { words, type Text } from '../units'
import { APART, isInBlocking, isRuledOut, metNoBlocking } from './blocking'
import type { Member } from './framing'
import { everySign } from './sign'

/** What a method is called in a sentence. */
export const METHOD_NAMES: Record<Evidence['method'], string> = {
  'detector-edge': 'a detector edge',
  'detector-centre': 'a detector centre',
  'magnet': 'a magnet',
  'probe': 'a probe',
  'pilot': 'a pilot hole',
  'knock': 'a knock',
  'seen': 'a sighting',
  'outlet': 'an outlet box',
  'joint': 'a joint',
}

/** Two readings of one kind share their errors, so they are one sign. */
const KIND: Partial<Record<Evidence['method'], string>> = { 'detector-edge': 'detector', 'detector-centre': 'detector' }
/** What meets whatever is there, be it a stud or blocking. */
const HOLES = new Set<Evidence['method']>(['probe', 'pilot'])
/** Signs so weak that neither of them, nor both together, ever prove a member or count as one of two kinds. */
const WEAK = new Set<Evidence['method']>(['knock', 'outlet'])

/** Whether a member is proved, and what it rests on in words. */
export interface Proof {
  proved: boolean
  restsOn: Text
}

const list = (names: string[]) =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** The heights at which nails or bits have met something that is taken for a member, mm. */
export const metAt = (member: Pick<Member, 'evidence'>, { evidence = [] }: Pick<Wall, 'evidence'>): number[] =>
  evidence.filter(({ id, method, hit }) => HOLES.has(method) && hit && member.evidence.includes(id)).map(({ y }) => y)

/**
 * The height nearest to one that is wanted at which a nail proves most: away from blocking, and from where nails have
 * met this member already.
 */
export function probeHeight(member: Pick<Member, 'evidence' | 'centre'>, wall: Wall, wanted: number): number {
  const met = metAt(member, wall)
  const at = (y: number) => ({ x: member.centre, y })
  const tells = (y: number) =>
    y > 0 && y < wall.height && !isInBlocking(wall, at(y)) && met.every(height => Math.abs(height - y) >= APART)
  const others = [...met.flatMap(y => [y - APART, y + APART]), ...Array.from({ length: 40 }, (_, n) => 100 * (n + 1))]
  const near = others.filter(tells).sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))
  return tells(wanted) ? wanted : (near[0] ?? wanted)
}

/** Whether one more nail that meets a member proves it: something else tells of it, or no blocking is there. */
export const isProvedByOne = (member: Pick<Member, 'evidence' | 'centre'>, wall: Wall, y: number): boolean =>
  member.evidence.length > 0 || isRuledOut(wall, { x: member.centre, y })

/** Whether nails or bits prove a member: one where blocking is ruled out, or two far enough apart in height. */
function isNailed(wall: Wall, own: Set<string>): boolean {
  const holes = everySign(wall)
    .filter(({ reading: { method } }) => HOLES.has(method))
    .map(({ x, speaksFor, reading: { id, y } }) => ({ id, x, y, speaksFor }))
  const [hits, misses] = [
    holes.filter(({ id, speaksFor }) => speaksFor && own.has(id)),
    holes.filter(({ speaksFor }) => !speaksFor),
  ]
  const heights = hits.map(({ y }) => y)
  return hits.some(hit => metNoBlocking(wall, hit, misses)) || Math.max(...heights) - Math.min(...heights) >= APART
}

/**
 * Proof of framing by the house rule: sight of the member proves it, and a nail or bit that met it where no blocking
 * is, or at two heights; else signs of two different kinds do, or any good sign where the firm has chosen that. A knock
 * and an outlet box are never such a sign.
 */
export function proofOf(member: Omit<Member, 'proved'>, wall: Wall, { proofOfFraming = 'two-kinds' }: Rules): Proof {
  const { structure, evidence = [] } = wall
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
    proved: methods.includes('seen') || kinds.size >= wanted || isNailed(wall, own),
    restsOn: names.length > 0 ? words`${list(names)}` : words`the spacing of its neighbours`,
  }
}
