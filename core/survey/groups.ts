import { PosteriorGrid, type Belief, type Expectation, type Outline } from './posterior'
import { pointsTo, type Sign } from './sign'

/** Signs that lie so near each other that one member may have made them, left to right. */
export interface Cluster { signs: Sign[], points: number[], grid: PosteriorGrid, width: number }

/** Signs that one member made: those of a cluster from `first` up to `end`, with what they say of it. */
export interface Group { cluster: Cluster, first: number, end: number, outline: Outline, width: number }

/** Signs with a wider gap between them were not made by one member, mm. */
const APART = 60
/** A cluster is long enough already that no way of cutting it up is worth more than taking it in chunks. */
const LONGEST = 24
/** Steps of a place while it is not yet known which signs go together, mm. */
const COARSE = 2
/** Signs against a member count as far away as this, mm. */
export const NEARBY = 120

function clusterOf(signs: Sign[], against: Sign[], width: number): Cluster {
  const [from, to] = [signs[0]!.x - NEARBY, signs.at(-1)!.x + NEARBY]
  const near = against.filter(({ x }) => x >= from && x <= to)
  return {
    signs,
    points: signs.map(sign => pointsTo(sign, width)),
    grid: new PosteriorGrid(signs, near, width, COARSE),
    width,
  }
}

const isWeak = ({ kind }: Sign) => kind === 'knock' || kind === 'box'

/**
 * The signs that speak for members, in clusters from left to right. Weak signs that lie near
 * stronger ones are left to join whichever member those turn out to be of.
 */
export function clustersOf(signs: Sign[], width: number): Cluster[] {
  const against = signs.filter(({ speaksFor }) => !speaksFor)
  const pointing = signs.filter(({ speaksFor }) => speaksFor)
    .map(sign => ({ sign, x: pointsTo(sign, width) }))
    .sort((a, b) => a.x - b.x)
  const strong = pointing.filter(({ sign }) => !isWeak(sign))
  const lone = pointing.filter(({ sign, x }) => isWeak(sign) && !strong.some(other => Math.abs(other.x - x) <= APART))
  return [strong, lone].flatMap((some) => {
    const chunks: typeof some[] = []
    for (const point of some) {
      const last = chunks.at(-1)
      if (last && last.length < LONGEST && point.x - last.at(-1)!.x <= APART) last.push(point)
      else chunks.push([point])
    }
    return chunks.map(chunk => clusterOf(chunk.map(({ sign }) => sign), against, width))
  })
}

/** Two members cannot stand in each other; side by side they are a doubled one. */
const clash = (a: Group, b: Group) => b.outline.centre - a.outline.centre < (a.width + b.width) / 2 + 4

/**
 * Who reads the outer edges of two members reads the edges that face each other too, but for one time in so many, as a
 * log.
 */
const FACING_UNREAD = 4
/** Edges that face each other over a gap smaller than this are read as one member's plies may be, mm. */
const FACING = 30

const readEdge = (group: Group, edge: 'left' | 'right') =>
  signsOfGroup(group).some(({ reading }) => reading.edge === edge)

/**
 * What it takes off that two members stand close to each other of which the outer edges were read, and of the facing
 * ones none: those would be one member's plies.
 */
function unreadBetween(a: Group, b: Group): number {
  const gap = b.outline.centre - a.outline.centre - (a.width + b.width) / 2
  return gap < FACING && readEdge(a, 'left') && readEdge(b, 'right') && !readEdge(a, 'right') && !readEdge(b, 'left')
    ? FACING_UNREAD
    : 0
}

/**
 * Cuts one cluster into groups, each made by one member, and into signs that none made: the cut
 * under which the signs are likeliest, of all that keep their order.
 */
export function groupsOf(cluster: Cluster, expected: Expectation): Group[] {
  const { signs, points, width } = cluster
  const grid = cluster.grid.expecting(expected)
  const best: { value: number, groups: Group[] }[] = [{ value: 0, groups: [] }]
  for (let end = 1; end <= signs.length; end++) {
    let top = best[end - 1]!
    for (let first = end - 1; first >= 0; first--) {
      if (points[end - 1]! - points[first]! > 2 * width + APART) break
      const outline = grid.outline(first, end)
      const made = { cluster, first, end, outline, width: outline.doubled > 0.5 ? 2 * width : width }
      const before = best[first]!
      const last = before.groups.at(-1)
      const value = before.value + outline.logOdds - (last ? unreadBetween(last, made) : 0)
      if (value > top.value && !(last && clash(last, made))) top = { value, groups: [...before.groups, made] }
    }
    best.push(top)
  }
  return best[signs.length]!.groups
}

export const signsOfGroup = ({ cluster, first, end }: Group) => cluster.signs.slice(first, end)

/** What a group's signs say by themselves, where so many members are expected. */
export function sightingOf(group: Group, expected: Expectation): Belief {
  return group.cluster.grid.expecting(expected).belief(group.first, group.end)
}
