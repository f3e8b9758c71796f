import type { Across } from '../blocking'
import { blockingIn } from '../blocking'
import { minutesOf, type RoutePlan, type Wanted } from './routes'
import { supposing, type Ways } from './ways'
import type { Rules } from '../../job'

/**
 * Where to look for blocking before anything is opened: a bay, by index, at a height, and the minutes that knowing
 * saves on average.
 */
export interface LookFirst { bay: number, x: number, y: number, minutes: number }

/** No more bays than this are weighed: those that most routes go through. */
const MOST = 4

/**
 * The reading that saves most: for each bay that routes go through and of which it is not known whether it is blocked,
 * what all routes take as planned against what they would take if one knew, blocked or free, and planned by that.
 */
export function lookFirst(
  ways: Ways,
  wanted: Wanted[],
  routes: RoutePlan[],
  apart: boolean,
  rules: Rules,
): LookFirst | undefined {
  const through = new Map<number, number>()
  for (const { bays } of routes) for (const bay of bays) through.set(bay, (through.get(bay) ?? 0) + 1)
  const bays = [...through]
    .sort(([a, m], [b, n]) => n - m || a - b)
    .slice(0, MOST)
    .map(([bay]) => bay)
  const powered = new Set(apart ? routes.flatMap(({ kind, bays }) => (kind === 'power' ? bays : [])) : [])
  const total = (seen: Ways, of: Wanted[]) => minutesOf(seen, of, powered, rules)
  let best: LookFirst | undefined
  for (const bay of bays) {
    const across = blockingIn(ways.wall, ways.bays[bay]!)
    const doubtful = across.filter(({ likely }) => likely > 0 && likely < 1).sort((a, b) => b.likely - a.likely)[0]
    if (!doubtful) continue
    const touched = wanted.filter(each => routes.find(({ id }) => id === each.id)?.bays.includes(bay))
    const knowing = (likely: number): Across[] => across.map(each => (each === doubtful ? { ...each, likely } : each))
    const now = routes.reduce((sum, { id, minutes }) => sum + (touched.some(each => each.id === id) ? minutes : 0), 0)
    const [blocked, free] = [
      total(supposing(ways, bay, knowing(1)), touched),
      total(supposing(ways, bay, knowing(0)), touched),
    ]
    const minutes = now - doubtful.likely * blocked - (1 - doubtful.likely) * free
    if (!best || minutes > best.minutes + 1e-9)
      best = { bay, x: (ways.bays[bay]!.from + ways.bays[bay]!.to) / 2, y: doubtful.y, minutes: Math.max(minutes, 0) }
  }
  return best
}
