import type { Fastener } from '../job'
import { words, type Step, type Text } from '../units'

/**
 * How far an anchor is from the edges of its base, and from the nearest other anchor to each side; mm, absent where
 * there is none.
 */
export interface Surroundings {
  edges: { name: string, distance: number }[]
  neighbours: { side: 'left' | 'right' | 'above' | 'below', distance: number }[]
}

/** How much of what a maker allows is left so near to edges and to other anchors, and how it comes about. */
export interface Crowding { factor: number, steps: Step[] }

/** What edges and neighbours leave in tension and in shear; or which figure the sheet lacks to tell. */
export type Crowded = { known: true, tension: Crowding, shear: Crowding } | { known: false, why: Text }

/**
 * Where a sheet gives no critical distance, all counts from so many embedments on: the breakout cone is then whole (ACI
 * 318 17.5.1, 17.6.2).
 */
const CLEAR = { edge: 4, spacing: 3 }

/**
 * The share that is left at a distance: all from the critical one on, falling evenly to `atLeast` at the
 * least one. Of a neighbour half of the cone is its own whatever the distance, so 1/2 + least ÷ (2 × critical)
 * stands where the sheet gives no share (the area A_Nc ÷ A_Nco of ACI 318 17.6.2.1 along one axis); at an edge it
 * is least ÷ critical.
 */
export function shareLeft(distance: number, least: number, critical: number, atLeast = least / critical): number {
  if (distance >= critical || critical <= least) return 1
  return atLeast + (1 - atLeast) * (Math.max(distance, least) - least) / (critical - least)
}

/** The share that one neighbour leaves along its axis, where the sheet does not say. */
export const neighbourShare = (least: number, critical: number) => (1 + least / critical) / 2

/** Which distance a sheet does not give, although an edge or a neighbour is near enough to matter. */
function notGiven(anchor: Fastener, { edges, neighbours }: Surroundings): Text | undefined {
  const { embedment = Infinity, criticalEdge, criticalSpacing } = anchor
  if (criticalEdge === undefined && edges.some(({ distance }) => distance < CLEAR.edge * embedment))
    return words`the data sheet of ${anchor.name ?? anchor.id} gives no critical edge distance`
  if (criticalSpacing === undefined && neighbours.some(({ distance }) => distance < CLEAR.spacing * embedment))
    return words`the data sheet of ${anchor.name ?? anchor.id} gives no critical spacing`
  return undefined
}

/**
 * What edges and neighbours leave of what a maker allows: a share for every edge and for the nearest anchor to
 * either side in each direction, linear between the least and the critical distance, multiplied. Shear has
 * shares of its own where the sheet gives them.
 */
export function crowdingOf(anchor: Fastener, { edges, neighbours }: Surroundings): Crowded {
  const {
    edgeDistance,
    criticalEdge,
    edgeFactor,
    minSpacing = 0,
    criticalSpacing,
    spacingFactor,
    shearEdgeFactor,
    shearSpacingFactor,
  } = anchor
  const missing = notGiven(anchor, { edges, neighbours })
  if (missing) return { known: false, why: missing }
  const least = {
    edge: Math.min(edgeDistance ?? 0, criticalEdge ?? 0),
    spacing: Math.min(minSpacing, criticalSpacing ?? 0),
  }
  const reduced = (atEdge: number | undefined, atSpacing: number | undefined, borrowed: string): Crowding => {
    const steps: Step[] = []
    let factor = 1
    const reduce = (label: string, distance: number, from: number, critical: number | undefined, share: number) => {
      if (critical === undefined || distance >= critical) return
      const left = shareLeft(distance, from, critical, share)
      factor *= left
      steps.push({
        label,
        expression: words`${distance} away; full value from ${critical},
        ${String(Math.round(100 * share))} % at ${from}${borrowed}`,
        value: left,
        unit: '',
        source: 'maker’s data sheet, linear in between',
      })
    }
    const edgeShare = atEdge ?? (criticalEdge ? least.edge / criticalEdge : 1)
    for (const { name, distance } of edges)
      reduce(`Edge factor, ${name}`, distance, least.edge, criticalEdge, edgeShare)
    const spacingShare = atSpacing ?? (criticalSpacing ? neighbourShare(least.spacing, criticalSpacing) : 1)
    for (const { side, distance } of neighbours) {
      const where = side === 'left' || side === 'right' ? `to the ${side}` : side
      reduce(`Spacing factor, anchor ${where}`, distance, least.spacing, criticalSpacing, spacingShare)
    }
    return { factor, steps }
  }
  const own = shearEdgeFactor !== undefined || shearSpacingFactor !== undefined
  return {
    known: true,
    tension: reduced(edgeFactor, spacingFactor, ''),
    shear: reduced(shearEdgeFactor ?? edgeFactor, shearSpacingFactor ?? spacingFactor, own ? '' : ', as in tension'),
  }
}

interface Place { x: number, y: number }

/** The nearest of other anchors to each side of one: those within 45° of that direction, mm. */
export function neighboursOf(place: Place, others: Place[]): Surroundings['neighbours'] {
  const nearest = new Map<Surroundings['neighbours'][number]['side'], number>()
  for (const other of others) {
    const [dx, dy] = [other.x - place.x, other.y - place.y]
    if (dx === 0 && dy === 0) continue
    const side = Math.abs(dy) <= Math.abs(dx) ? (dx < 0 ? 'left' : 'right') : dy < 0 ? 'below' : 'above'
    const distance = Math.hypot(dx, dy)
    if (distance < (nearest.get(side) ?? Infinity)) nearest.set(side, distance)
  }
  return [...nearest].map(([side, distance]) => ({ side, distance }))
}
