import type { Point } from '../../geometry'
import type { AsBuilt } from '../../log'
import { holesOfStrip, type KeptSupports, type Strip } from '../carrier'
import type { HolePlace } from './holes'
import { zone, type FixingZone } from './zones'

/** A hole at this height is at the height of its strip, mm. */
const LEVEL = 1

/** The holes of an array that are in the wall and took their fastener, and those that were issued and are not made. */
function standingPlaces(array: string, { holes, issued }: AsBuilt): { made: Point[], marks: Point[] } {
  const planned = issued?.arrays.find(each => each.array.id === array)?.plates.flatMap(plate => plate.holes) ?? []
  const ofArray = (id: string) => id.startsWith(`${array}-`)
  return { made: holes.filter(({ hole, result }) => result === 'hit' && ofArray(hole)), marks: planned }
}

/** So far from the middle of its piece a fastener may be that is in it, mm: half of a common stud. */
const HALF_STUD = 19

/**
 * Where studs can take a fastener of a rail or board, by height: one in which a hole is made there takes it, however
 * little is known of its middle.
 */
export function keptZones(
  array: string,
  zonesAt: (y: number) => FixingZone[],
  built: AsBuilt,
): (y: number) => FixingZone[] {
  const { made } = standingPlaces(array, built)
  if (made.length === 0) return zonesAt
  return y =>
    zonesAt(y).map(each =>
      each.usable < 0
      && made.some(hole => Math.abs(hole.y - y) <= LEVEL && Math.abs(hole.x - each.centre) <= HALF_STUD)
        ? zone(each.index, each.centre, 0, each.ply)
        : each,
    )
}

/**
 * The members that a strip keeps to: those with a mark that was issued for it and still fits, or with a made hole;
 * undefined where neither is at hand.
 */
export function keptSupports(
  array: string, built: AsBuilt,
): ((heights: number[], zones: FixingZone[]) => KeptSupports | undefined) | undefined {
  const { made, marks } = standingPlaces(array, built)
  if (made.length + marks.length === 0) return undefined
  return (heights, zones) => {
    const atHeight = (places: Point[]) => places.filter(({ y }) => heights.some(each => Math.abs(each - y) <= LEVEL))
    const memberOf = ({ x }: Point, reach: (each: FixingZone) => number) =>
      zones.find(each => each.usable >= 0 && Math.abs(x - each.centre) <= reach(each) + 1e-6)?.index
    const drilled = atHeight(made).map(hole => memberOf(hole, () => HALF_STUD))
    const issued = atHeight(marks).map(
      mark => memberOf(mark, ({ usable }) => usable) ?? memberOf(mark, () => HALF_STUD),
    )
    const found = (some: (number | undefined)[]) => new Set(some.flatMap(each => each ?? []))
    return { issued: found(issued), made: found(drilled), isWhole: issued.every(each => each !== undefined) }
  }
}

/**
 * The holes of a rail or board: each in the middle of its stud, but where one is made there it is that one, and where
 * one is issued that still fits it stays.
 *
 * @param zonesAt where each stud can take the fastener at a height
 */
export function stripHoles(
  array: string, strip: Strip, zonesAt: (y: number) => FixingZone[], built: AsBuilt,
): (HolePlace & { y: number })[] {
  const { made, marks } = standingPlaces(array, built)
  const planned = holesOfStrip(strip)
  if (made.length + marks.length === 0) return planned
  return planned.map((hole) => {
    const plies = zonesAt(hole.y).filter(({ index }) => index === hole.member)
    const level = (places: Point[]) => places.filter(({ y }) => Math.abs(y - hole.y) <= LEVEL)
    const nearest = (places: Point[], reach: (zone: FixingZone) => number) => plies
      .flatMap(zone => level(places).map(({ x }) => ({ x, zone, off: Math.abs(x - zone.centre) })))
      .filter(({ zone, off }) => off <= reach(zone))
      .sort((a, b) => a.off - b.off)[0]
    // What is made went into this stud, wherever in it; a mark has to keep its distance from the edges.
    const kept = nearest(made, () => HALF_STUD) ?? nearest(marks, ({ usable }) => usable)
    if (!kept) return hole
    const ply = hole.ply === undefined ? {} : { ply: kept.zone.ply }
    return { ...hole, ...ply, x: kept.x, margin: kept.zone.usable - kept.off }
  })
}
