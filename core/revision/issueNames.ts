import { holeIdsOf, type AsBuilt } from '../log'

type Plan = Parameters<typeof holeIdsOf>[0]

/**
 * What holes are named when they are issued, by what the plan calls them: one that no revision and no log entry names
 * yet gets an ending that no other device makes, so that two people who issue apart never give two holes one name.
 *
 * @param built what stood when it was issued, with the revision before
 * @param tag six letters or digits that no other device makes; undefined where all keep their names
 * @example idsAtIssue(plan, built, 'k7q2pq').get('a1-r1c1-top-3') // 'a1-r1c1-top-3-k7q2pq'
 */
export function idsAtIssue(
  plan: Plan,
  { issued, holes, dead, disputed }: Pick<AsBuilt, 'issued' | 'holes' | 'dead'> & Partial<Pick<AsBuilt, 'disputed'>>,
  tag: string | undefined,
): Map<string, string> {
  if (tag === undefined) return new Map()
  const known = new Set([...issued?.names ?? [], ...[...holes, ...dead, ...disputed ?? []].map(({ hole }) => hole)])
  return new Map(holeIdsOf(plan).filter(id => !known.has(id)).map(id => [id, `${id}-${tag}`]))
}
