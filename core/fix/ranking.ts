import type { Fastener, Job, ScreenArray, Wall } from '../job'
import type { Position } from '../mount'
import { textToString, type UnitSystem } from '../units'
import { fix } from './index'

/** How a fastener would do in an array: how far it is used at most, and what stops it. */
export interface Ranked { fastener: Fastener, utilisation?: number, stop?: string }

/** Fasteners from the one that would do best: those that nothing stops first, and of these the least used. */
export function rankFasteners(fasteners: Fastener[], array: ScreenArray, positions: Position[], wall: Wall, job: Pick<Job, 'catalogue' | 'rules'>, units: UnitSystem): Ranked[] {
  return fasteners.map((fastener): Ranked => {
    const catalogue = { ...job.catalogue, fasteners: [fastener] }
    const { fixings, findings } = fix({ ...array, fastener: fastener.id }, positions, wall, { ...job, catalogue })
    const uses = fixings.flatMap(({ loads }) => loads.flatMap(({ utilisation }) => utilisation ?? []))
    const stop = findings.find(({ severity, code }) => severity === 'stop' && !code.startsWith('display-screw'))
    return { fastener, ...uses.length > 0 && { utilisation: Math.max(...uses) }, ...stop && { stop: textToString(stop.message, units) } }
  }).sort((a, b) => Number(a.stop !== undefined) - Number(b.stop !== undefined) || (a.utilisation ?? Infinity) - (b.utilisation ?? Infinity))
}
