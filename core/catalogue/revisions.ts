import { same } from '../job'
import type { Model } from './shelves'

/** The id of the model that began a line of revisions: `kelda-46n` of `kelda-46n.r3`. */
const rootOf = (id: string) => id.replace(/\.r\d+$/, '')

/**
 * An id for the next revision of a model.
 *
 * @example
 * nextRevision('kelda-46n', ['kelda-46n', 'kelda-46n.r2']) // 'kelda-46n.r3'
 */
export function nextRevision(id: string, taken: string[]): string {
  const root = rootOf(id)
  let n = 2
  while (taken.includes(`${root}.r${n}`)) n++
  return `${root}.r${n}`
}

/** The newest revision of a model: who supersedes it, and who supersedes that, to the end. Itself where nobody does. */
export function newestOf<M extends Pick<Model, 'id' | 'supersedes'>>(models: M[], model: M): M {
  const seen = new Set<string>()
  let newest = model
  for (;;) {
    seen.add(newest.id)
    const next = models.find(({ id, supersedes }) => supersedes === newest.id && !seen.has(id))
    if (!next) return newest
    newest = next
  }
}

/** Models that are offered for new work: not retired, and superseded by none. */
export function offered<M extends Pick<Model, 'id' | 'supersedes' | 'retired'>>(models: M[]): M[] {
  const superseded = new Set(models.map(({ supersedes }) => supersedes))
  return models.filter(({ id, retired }) => !retired && !superseded.has(id))
}

/** Whether two models are alike in every figure that a wall is planned with; what people note about them aside. */
export function sameFigures(a: Model, b: Model): boolean {
  const figures = ({ retired: _r, note: _n, asTyped: _t, ...rest }: Model) => rest
  return same(figures(a), figures(b))
}

/**
 * What a wall should be told of a model it uses: a newer revision, one that is no longer offered, or other figures
 * under the same id.
 */
export function standingOf(
  used: Model,
  house: Model[],
): { kind: 'newer', model: Model } | { kind: 'retired' | 'differs' } | undefined {
  const own = house.find(({ id }) => id === used.id)
  if (!own) return undefined
  const newest = newestOf(house, own)
  if (newest !== own) return { kind: 'newer', model: newest }
  if (!sameFigures(used, own)) return { kind: 'differs' }
  return own.retired ? { kind: 'retired' } : undefined
}
