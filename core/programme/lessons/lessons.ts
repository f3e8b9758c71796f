import { proofOf } from '../../survey'
import { mountModels } from '../../mount'
import { arraysOf } from '../../job'
import { ofKind, standing, stepOf } from '../../log'
import { revisionsOf } from '../../revision/revisions'
import { isTrued } from '../../true/seam'
import { chosenFigure } from '../../rules'
import type { WorkloadOf } from '../tasks/workload'

/** What a member was known by when the first hole into it was drilled. */
export const PROOFS = ['probe', 'two-kinds', 'one-sign', 'none'] as const
export type ProofKind = typeof PROOFS[number]
export const PROOF_WORDS: Record<ProofKind, string> = {
  'probe': 'probe, pilot hole or sighting',
  'two-kinds': 'two kinds of reading',
  'one-sign': 'one reading',
  'none': 'spacing only',
}

/** What stopped the work at a wall. */
export const STOPPED_BY = ['hole', 'line', 'question'] as const
export type StoppedBy = typeof STOPPED_BY[number]
export const STOPPED_WORDS: Record<StoppedBy, string> = {
  hole: 'missed hole',
  line: 'blocked pull line',
  question: 'question to the office',
}

/** What a wall's log teaches: holes by what they rested on, rounds of truing by mount, and how long the work stood. */
export interface Lessons {
  holes: { proof: ProofKind, hit: boolean }[]
  truing: { mount: string, rounds: number, closed: boolean }[]
  stops: { by: StoppedBy, minutes: number }[]
}

/** Work that stood for longer than this went on another day, min: what that took is not the stop's. */
const LONGEST_STOP = 480

/** What each hole into a member that was drilled first rested on, by the revision that was issued then. */
function holesOf({ wall, log }: WorkloadOf): Lessons['holes'] {
  const revisions = revisionsOf(log, wall)
  const seen = new Set<string>()
  return ofKind(standing(log, wall), 'hole').flatMap((entry): Lessons['holes'] => {
    if (seen.has(entry.hole)) return []
    seen.add(entry.hole)
    const issued = revisions.findLast(({ at, frozen }) => frozen !== undefined && at <= entry.at)?.frozen
    const hole = issued?.plan.arrays
      .flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
      .find(({ id }) => id === entry.hole)
    const member = hole?.member === undefined ? undefined : issued!.plan.members[hole.member]
    if (!member || member.sd === 0) return []
    const methods = (issued!.wall.evidence ?? [])
      .filter(({ id }) => member.evidence.includes(id))
      .map(({ method }) => method)
    const proof: ProofKind = methods.some(method => method === 'probe' || method === 'pilot' || method === 'seen')
      ? 'probe'
      : proofOf(member, issued!.wall, { proofOfFraming: 'two-kinds' }).proved
        ? 'two-kinds'
        : proofOf(member, issued!.wall, { proofOfFraming: 'one-sign' }).proved
          ? 'one-sign'
          : 'none'
    return [{ proof, hit: entry.result === 'hit' }]
  })
}

function truingOf({ wall, log, catalogue, rules }: WorkloadOf): Lessons['truing'] {
  const seams = ofKind(standing(log, wall), 'seams')
  return arraysOf(wall).flatMap((array) => {
    const read = seams.filter(each => each.array === array.id)
    const mount = mountModels(array, catalogue)({})
    if (read.length === 0 || !mount) return []
    const first = read.findIndex(each => isTrued(each, array.gap, chosenFigure('seamTolerance', rules, 'metric')))
    // What was read and found true needed no round after it.
    return [{ mount: mount.name, rounds: first < 0 ? read.length : first, closed: first >= 0 }]
  })
}

function stopsOf({ wall, log }: WorkloadOf): Lessons['stops'] {
  const entries = standing(log, wall)
    .filter(({ kind }) => kind === 'hole' || kind === 'fished' || kind === 'step' || kind === 'hung')
    .map(entry => ({ entry, at: Date.parse(entry.at) / 60_000 }))
    .sort((a, b) => a.at - b.at)
  const stoppedBy = ({ entry }: typeof entries[number]): StoppedBy | undefined => {
    if (entry.kind === 'hole' && entry.result !== 'hit') return 'hole'
    if (entry.kind === 'fished' && entry.result === 'stopped') return 'line'
    return entry.kind === 'step' && !entry.done && stepOf(entry.step)?.kind === 'ask' ? 'question' : undefined
  }
  return entries.flatMap((stopped, n) => {
    const by = stoppedBy(stopped)
    const next = by && entries.slice(n + 1).find(each => stoppedBy(each) === undefined)
    const minutes = next ? next.at - stopped.at : Infinity
    return by && minutes <= LONGEST_STOP ? [{ by, minutes }] : []
  })
}

/** What the log of a wall teaches. */
export const lessonsOf = (of: WorkloadOf): Lessons => ({ holes: holesOf(of), truing: truingOf(of), stops: stopsOf(of) })
