import type { Evidence, Framing, Structure } from '../job'

/** A member without its id, by the readings that it rests on. */
interface Unnamed { evidence: string[] }

/**
 * The name that a reading gives to the member it shows: its own id, or that of an earlier one that is gone and handed
 * its name on.
 */
const nameOf = ({ id, namedAfter }: Evidence) => namedAfter ?? id

/**
 * The reading after which the member of some readings is named: one that an earlier name was handed on to, or else the
 * one entered first.
 */
function naming(readings: Evidence[]): Evidence | undefined {
  return readings.find(({ namedAfter }) => namedAfter !== undefined) ?? readings[0]
}

/**
 * Gives members ids that last as long as the readings they rest on are mostly the same: more readings change no id,
 * and a member that nobody has a sign of is named after the nearest one to its left that a person has, or else to its
 * right.
 *
 * @param members from left to right
 * @param evidence in the order in which it was entered
 */
export function withIds<M extends Unnamed>(members: M[], evidence: Evidence[]): (M & { id: string })[] {
  const order = new Map(evidence.map((reading, n) => [reading.id, n]))
  const named = members.map(({ evidence: own }) => {
    const first = naming(own.map(id => order.get(id)!).sort((a, b) => a - b).map(n => evidence[n]!))
    return first && `m-${nameOf(first)}`
  })
  const leftmost = named.findIndex(id => id !== undefined)
  return members.map((member, n) => {
    if (named[n] !== undefined) return { ...member, id: named[n] }
    if (n < leftmost) return { ...member, id: `${named[leftmost]}-before-${leftmost - n}` }
    const left = named.findLastIndex((id, k) => k < n && id !== undefined)
    return { ...member, id: `${left < 0 ? 'm' : named[left]}-after-${n - left}` }
  })
}

/**
 * Members whose place is known, each with its own id: those that have none are numbered as they are listed, past the
 * ids that there are.
 */
export function knownFraming({ members = [] }: Pick<Structure, 'members'>): Required<Framing>[] {
  const taken = new Set(members.map(({ id }) => id))
  let next = 1
  return members.map((member) => {
    if (member.id !== undefined) return { ...member, id: member.id }
    while (taken.has(`k${next}`)) next++
    return { ...member, id: `k${next++}` }
  })
}

/**
 * Hands the name of a member on before the reading that it is named after goes, or no longer counts: the next one
 * that it rests on, of another method where there is one, bears it from then on. Changes the evidence.
 *
 * @param members as the readings tell them while that one is still there
 */
export function handNameOn(evidence: Evidence[], id: string, members: { evidence: string[] }[]): void {
  const own = members.find(({ evidence }) => evidence.includes(id))?.evidence ?? []
  const readings = evidence.filter(reading => own.includes(reading.id))
  const first = naming(readings)
  if (first?.id !== id) return
  const left = readings.filter(reading => reading.id !== id)
  // One edge without the other may count no more; a reading of another method stands by itself.
  const heir = left.find(({ method }) => method !== first.method) ?? left[0]
  if (heir) heir.namedAfter = nameOf(first)
}
