import type { Fastener } from '../job'
import { words, type Step } from '../units'
import type { Setting } from './setting'

/** How much of what a maker allows is left so near to an edge or to another anchor, and how it comes about. */
export interface Crowding { factor: number, steps: Step[] }

/** The share that is left at a distance: all from the critical one on, falling evenly to `atLeast` at the least one. */
export function shareLeft(distance: number, least: number, critical: number, atLeast = least / critical): number {
  if (distance >= critical || critical <= least) return 1
  return atLeast + (1 - atLeast) * (Math.max(distance, least) - least) / (critical - least)
}

/**
 * What nearness to an edge and to another anchor panels of what the maker allows, reduced linearly
 * between the least and the critical distance; the two shares are multiplied.
 */
export function crowdingOf({ edgeDistance = 0, criticalEdge, edgeFactor, minSpacing = 0, criticalSpacing, spacingFactor }: Fastener, { edge, spacing }: Pick<Setting, 'edge' | 'spacing'>): Crowding {
  const steps: Step[] = []
  let factor = 1
  const reduce = (label: string, distance: number | undefined, least: number, critical: number | undefined, atLeast: number | undefined) => {
    if (distance === undefined || critical === undefined || distance >= critical) return
    const left = shareLeft(distance, least, critical, atLeast)
    factor *= left
    steps.push({ label, expression: words`at ${distance}, where all counts from ${critical} on and ${String(Math.round(100 * (atLeast ?? least / critical)))} % at ${least}`, value: left, unit: '', source: 'maker’s sheet, linear between' })
  }
  reduce('Left by the edge', edge, edgeDistance, criticalEdge, edgeFactor)
  reduce('Left by the spacing', spacing, minSpacing, criticalSpacing, spacingFactor)
  return { factor, steps }
}
