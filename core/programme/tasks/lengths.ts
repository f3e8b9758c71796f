import { median } from 'simple-statistics'
import { choiceName } from '../../job'
import { figure, words, type Figure } from '../../units'
import { KINDS, type WorkKind } from './kinds'
import type { Sample, Work } from './workload'

/** So many of its own logs a firm has to have of a kind of work before their median counts. */
export const ENOUGH = 10

/** Drilling by what is drilled into, until the firm knows better, min a hole. */
const DRILLING: Record<string, number> = {
  'drill wood-stud': 4, 'drill steel-stud': 4, 'drill block': 7, 'drill brick': 7, 'drill concrete': 9,
}

/** What a kind of work is called, with what is drilled into. */
export const sortTitle = (sort: string, kind: WorkKind): string =>
  kind === 'drill' ? `${KINDS.drill.title} in ${choiceName(sort.slice('drill '.length))}` : KINDS[kind].title

/** What a piece of a kind of work takes, min, and what that rests on. */
export interface PieceMinutes {
  sort: string
  kind: WorkKind
  minutes: number
  from: 'own' | 'learned' | 'default'
  /**
   * What the logs tell, whether it counts yet or not: how many, the middle one, and the half of them between which the
   * others lie.
   */
  logs: number
  middle?: number
  /** Of what the plan counts by its parts: the median of what it took by what was counted, once that counts. */
  factor?: number
  spread?: [number, number]
}

/** The value below which a share of some sorted ones lie, between neighbours in proportion. */
function quantile(sorted: number[], share: number): number {
  const at = share * (sorted.length - 1)
  const low = Math.floor(at)
  return sorted[low]! + (at - low) * ((sorted[low + 1] ?? sorted[low]!) - sorted[low]!)
}

/**
 * What a piece takes: what the firm set manually, else the median of its own logs once there are ten, else what is
 * usual.
 *
 * @param own what the firm set, by kind of work
 */
export function pieceMinutes(
  sort: string,
  kind: WorkKind,
  samples: Sample[],
  own: Map<string, number> = new Map(),
): PieceMinutes {
  const each = samples
    .filter(sample => sample.sort === sort)
    .map(({ minutes, pieces }) => minutes / pieces)
    .sort((a, b) => a - b)
  const middle = each.length > 0 ? median(each) : undefined
  const factors = samples.filter(sample => sample.sort === sort).flatMap(({ minutes, byPlan }) =>
    byPlan === undefined || byPlan <= 0 ? [] : [minutes / byPlan])
  const told = {
    sort,
    kind,
    logs: each.length,
    ...(factors.length >= ENOUGH && { factor: median(factors) }),
    ...(middle !== undefined && { middle, spread: [quantile(each, 0.25), quantile(each, 0.75)] as [number, number] }),
  }
  const set = own.get(sort)
  if (set !== undefined) return { ...told, minutes: set, from: 'own' }
  if (middle !== undefined && each.length >= ENOUGH) return { ...told, minutes: middle, from: 'learned' }
  return { ...told, minutes: DRILLING[sort] ?? KINDS[kind].minutes, from: 'default' }
}

const FROM = {
  own: 'the firm’s own figure',
  learned: 'median of the firm’s log entries',
  default: 'default, until there are ten log entries',
}
const round = (minutes: number) => String(Math.round(minutes * 10) / 10)

/** What is left by the plan’s own count, times what the firm’s logs say of that count. */
const plannedLength = (planned: number, left: number, { factor = 1, logs }: PieceMinutes): Figure =>
  figure([
    {
      label: 'Remaining work',
      expression: factor === 1
        ? words`planned minutes of ${String(left)} routes, shared work once, one-person routes side by side`
        : words`planned minutes of ${String(left)} routes ${round(planned)} × ${factor.toFixed(2)} (median of the firm’s
            log entries: ${String(logs)})`,
      value: Math.max(1, Math.ceil(planned * factor)),
      unit: 'min',
      source: 'Wire: the minutes of each part are house rules',
    },
  ])

/**
 * How long what is left of some work takes: pieces times minutes a piece. Of cables the plan counts each route by its
 * parts, and shared openings once; the firm’s logs say how far that count is off, unless it has a figure of its own.
 */
export function lengthOf({ kind, pieces, done, planned }: Work, piece: PieceMinutes): Figure {
  const left = pieces - done
  const isCounted = piece.from === 'default' || (piece.from === 'learned' && piece.factor !== undefined)
  if (planned !== undefined && isCounted)
    return plannedLength(planned, left, piece)
  const [one, many] = KINDS[kind].piece
  return figure([
    {
      label: `Time per ${one}`,
      expression: words`${FROM[piece.from]}${piece.from === 'learned' ? ` (${piece.logs})` : ''}`,
      value: piece.minutes,
      unit: 'min',
    },
    {
      label: 'Remaining work',
      expression: words`${String(left)} ${left === 1 ? one : many} × ${round(piece.minutes)} min`,
      value: Math.max(1, Math.ceil(left * piece.minutes)),
      unit: 'min',
    },
  ])
}
