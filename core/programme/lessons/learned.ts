import { median } from 'simple-statistics'
import { WORK_KINDS, type WorkKind } from '../tasks/kinds'
import { PROOFS, STOPPED_BY, type Lessons, type ProofKind, type StoppedBy } from './lessons'
import { pieceMinutes, sortTitle, type PieceMinutes } from '../tasks/lengths'
import type { ComparedSample } from '../tasks/plannedMinutes'

/** What some logs took together beside what their schedules had planned for them, min. */
export interface Compared { logs: number, pieces: number, planned: number, actual: number }

/** What the firm's own logs tell; every figure with how many cases it rests on. */
export interface Learned {
  minutes: (PieceMinutes & { title: string, usual: number, compared?: Compared })[]
  proofs: { proof: ProofKind, holes: number, missed: number, perHundred?: number }[]
  mounts: { mount: string, walls: number, closed: number, rounds?: number }[]
  stops: { by: StoppedBy, times: number, middle?: number, total: number }[]
}

/** What was planned against what it took, of the logs of which something was planned. */
function compare(samples: ComparedSample[]): Compared | undefined {
  const told = samples.filter((sample): sample is ComparedSample & { planned: number } => sample.planned !== undefined)
  const total = (of: (sample: typeof told[number]) => number) => told.reduce((sum, sample) => sum + of(sample), 0)
  return told.length === 0
    ? undefined
    : {
        logs: told.length,
        pieces: total(({ pieces }) => pieces),
        planned: total(({ pieces, planned }) => pieces * planned),
        actual: total(({ minutes }) => minutes),
      }
}

/** What the logs of walls tell together: of none nothing is made up. */
export function learnedFrom(
  samples: ComparedSample[],
  lessons: Lessons[],
  own: Map<string, number> = new Map(),
): Learned {
  const sorts = new Map<string, WorkKind>(samples.map(({ sort, kind }) => [sort, kind]))
  const holes = lessons.flatMap(({ holes }) => holes)
  const truing = lessons.flatMap(({ truing }) => truing)
  const stops = lessons.flatMap(({ stops }) => stops)
  return {
    minutes: [...sorts]
      .sort(([, a], [, b]) => WORK_KINDS.indexOf(a) - WORK_KINDS.indexOf(b))
      .map(([sort, kind]) => {
        const compared = compare(samples.filter(sample => sample.sort === sort))
        return {
          ...pieceMinutes(sort, kind, samples, own),
          title: sortTitle(sort, kind),
          usual: pieceMinutes(sort, kind, []).minutes,
          ...(compared && { compared }),
        }
      }),
    proofs: PROOFS.map((proof) => {
      const of = holes.filter(hole => hole.proof === proof)
      const missed = of.filter(({ hit }) => !hit).length
      return { proof, holes: of.length, missed, ...(of.length > 0 && { perHundred: (100 * missed) / of.length }) }
    }),
    mounts: [...new Set(truing.map(({ mount }) => mount))].sort().map((mount) => {
      const of = truing.filter(each => each.mount === mount)
      const closed = of.filter(each => each.closed)
      return {
        mount,
        walls: of.length,
        closed: closed.length,
        ...(closed.length > 0 && { rounds: median(closed.map(({ rounds }) => rounds)) }),
      }
    }),
    stops: STOPPED_BY.map((by) => {
      const of = stops.filter(stop => stop.by === by).map(({ minutes }) => minutes)
      return {
        by,
        times: of.length,
        ...(of.length > 0 && { middle: median(of) }),
        total: of.reduce((sum, minutes) => sum + minutes, 0),
      }
    }),
  }
}
