import type { Evidence, Rules, Wall } from '../job'
import { words, type Text } from '../units'
import { isLathed } from './buildUpFindings'
import { APART, isInBlocking, metNoBlocking } from './blocking'
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
const KIND: Partial<Record<Evidence['method'], string>> = {
  'detector-edge': 'detector', 'detector-centre': 'detector', 'probe': 'hole', 'pilot': 'hole',
}
const HOLES = new Set<Evidence['method']>(['probe', 'pilot'])
/** What meets whatever is there, be it a stud or blocking: together too, at one height, they may have met blocking. */
const MEETS = new Set<Evidence['method']>([...HOLES, 'magnet'])
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

/** Whether one more nail at a height, that meets a member, proves it. */
export function isProvedByOne(member: Omit<Member, 'proved'>, wall: Wall, y: number): boolean {
  const nail: Evidence = { id: ' next', method: 'probe', hit: true, x: member.centre, y }
  const after = { ...wall, evidence: [...wall.evidence ?? [], nail] }
  return proofOf({ ...member, evidence: [...member.evidence, nail.id] }, after, {}).proved
}

/**
 * Whether what met a member met no blocking: a nail or a magnet where that is ruled out, or two nails, or a nail and a
 * magnet, far enough apart in height. A magnet alone is one reading of one kind, wherever it was held.
 */
function isMetClear(wall: Wall, own: Set<string>): boolean {
  const met = (wall.evidence ?? []).filter(({ id, method }) => own.has(id) && MEETS.has(method))
  if (!met.some(({ method }) => HOLES.has(method))) return false
  const lathed = isLathed(wall)
  const signs = everySign(wall)
    .filter(({ reading }) => !lathed || reading.method !== 'magnet')
    .map(({ x, speaksFor, reading: { id, y, method } }) => ({ id, x, y, speaksFor, method }))
  const mine = signs.filter(({ id, speaksFor, method }) => speaksFor && own.has(id) && MEETS.has(method))
  const misses = signs.filter(({ speaksFor, method }) => !speaksFor && HOLES.has(method))
  const heights = mine.map(({ y }) => y)
  return mine.some(({ method, ...hit }) => HOLES.has(method) && metNoBlocking(wall, hit, misses))
    || Math.max(...heights) - Math.min(...heights) >= APART
}

/**
 * Proof of framing by the house rule: sight of the member proves it, and a nail or bit that met it where no blocking
 * is, or at two heights; else signs of two different kinds do, of which one meets no blocking, or any good sign where
 * the firm has chosen that. A knock and an outlet box are never such a sign, nor is a magnet over plaster on lath.
 */
export function proofOf(member: Omit<Member, 'proved'>, wall: Wall, { proofOfFraming = 'two-kinds' }: Rules): Proof {
  const { structure, evidence = [] } = wall
  if (member.sd === 0 && structure.members?.length) return { proved: true, restsOn: words`framing entered as known` }
  const own = new Set(member.evidence)
  const methods = evidence.filter(({ id }) => own.has(id)).map(({ method }) => method)
  // Where plaster is on lath a magnet finds the nails of the lath.
  const good = methods.filter(method => !WEAK.has(method) && !(method === 'magnet' && isLathed(wall)))
  const kinds = new Set(good.map(method => KIND[method] ?? method))
  const beside = good.some(method => !MEETS.has(method))
  const names = [...new Set(methods)].map((method) => {
    const many = methods.filter(other => other === method).length
    return many > 1 ? `${METHOD_NAMES[method]} (${many} times)` : METHOD_NAMES[method]
  })
  const isEnough = proofOfFraming === 'one-sign' ? kinds.size >= 1 : kinds.size >= 2 && beside
  return {
    proved: methods.includes('seen') || isEnough || isMetClear(wall, own),
    restsOn: names.length > 0 ? words`${list(names)}` : words`the spacing of its neighbours`,
  }
}
