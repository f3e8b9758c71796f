import {
  anchorRule,
  anchorUse,
  bendsKnown,
  bentShear,
  bentShearFigure,
  DURATION,
  fastenerKindOf,
  isWoodScrew,
  lateralFigure,
  lateralStrength,
  makersValue,
  pullOut,
  screwUse,
  sheetShear,
  withdrawal,
  withdrawalFigure,
  crowdingOf,
  type StandOff,
  type Surroundings,
  type WoodJoint,
} from '../fastening'
import {
  coveringOf, isSheet, standOffOf, structureKindOf, type Carrier, type Fastener, type Rules, type Wall,
} from '../job'
import { words, type Figure, type Text } from '../units'
import { isInWind } from './wind'

/**
 * What a fastener's head bears on: the mount's plate, the web of a steel rail, or a board of wood; mm, and MPa where it
 * is given.
 */
export interface Bearer {
  kind: 'plate' | Carrier['kind']
  thickness: number
  strength?: number
  /** Whether it cannot rotate on its anchors, and whether packers stand under each of them. */
  rigid?: boolean
  packed?: boolean
}

/** What a fastener may bear, N, at an angle of its shear to the upright, degrees, while a tension pulls on it. */
export interface Strength {
  tension: number
  shear: (angle: number, tension?: number) => number
  /** Utilisation: 1 where it bears just what it may. */
  use: (tension: number, shear: number, angle: number) => number
  /** The same figures with their workings. */
  figures: (angle: number, tension?: number) => { tension: Figure, shear: Figure }
  /** The rule by which tension and shear count together. */
  together: string
}

/** A strength, or why it is not known. */
export type Known = { known: true, strength: Strength } | { known: false, why: Text }

const unknown = (why: Text): Known => ({ known: false, why })

/** Whether the wood of a wall may be wet: where that is said, and outside unless the opposite is said. */
export const isWet = (wall: Pick<Wall, 'wet' | 'wind' | 'windSpeed'>) => wall.wet ?? isInWind(wall)

/** How a screw sits in the wood of a wall, for loads of one duration. */
export function jointOf(wall: Wall, bearer: Bearer, { coveringCountsAsGap }: Rules, duration: number): WoodJoint {
  const { specificGravity, memberDepth } = wall.structure
  return {
    gravity: specificGravity!,
    plate: bearer.thickness,
    board: bearer.kind === 'board',
    covering: coveringOf(wall),
    coveringIsGap: coveringCountsAsGap !== false,
    duration,
    wet: isWet(wall),
    ...(bearer.strength !== undefined && { plateBearing: bearer.strength }),
    ...(memberDepth !== undefined && { depth: memberDepth }),
  }
}

function screwStrength(screw: Fastener, wall: Wall, bearer: Bearer | undefined, rules: Rules, duration: number): Known {
  const name = screw.name ?? screw.id
  if (wall.structure.specificGravity === undefined) return unknown(words`the specific gravity of the wood is not known`)
  if (screw.thread === undefined) return unknown(words`the data sheet of ${name} gives no thread length`)
  if (screw.root === undefined || screw.yield === undefined)
    return unknown(
      words`the data sheet of ${name} gives no ${screw.root === undefined ? 'root diameter' : 'bending yield'}`,
    )
  if (!bearer) return unknown(words`the steel thickness of the rail is not known`)
  const joint = jointOf(wall, bearer, rules, duration)
  const tension = withdrawal(screw, joint)
  const shear = (angle: number) => lateralStrength(screw, joint, angle)!
  if (!(tension > 0)) return unknown(words`none of the thread of ${name} is in the wood`)
  if (!(shear(0) > 0)) return unknown(words`the thickness under its head is not known`)
  return {
    known: true,
    strength: {
      tension,
      shear,
      use: (t, v, angle) => screwUse(t, v, tension, shear(angle)),
      figures: angle => ({ tension: withdrawalFigure(screw, joint), shear: lateralFigure(screw, joint, angle)! }),
      together: 'the greatest of R ÷ Z_α, V ÷ Z′ and T ÷ W′, NDS 12.4.1',
    },
  }
}

/**
 * A screw in a sheet of wood that backs the covering: what its maker allows in such a sheet; of its shear no more than
 * the yield equations give it through the covering that lies over the sheet.
 */
function backingStrength(screw: Fastener, wall: Wall, bearer: Bearer | undefined, rules: Rules, wind: boolean): Known {
  const name = screw.name ?? screw.id
  if (!screw.allowable) return unknown(words`the data sheet of ${name} gives no allowable tension and shear`)
  if (screw.minThickness === undefined)
    return unknown(words`the data sheet of ${name} does not give the thickness of the sheet that its values are for`)
  if (isWet(wall)) return unknown(words`the maker’s values of ${name} are for a dry sheet, and this wall may be wet`)
  const { tension } = screw.allowable
  const joint = bearer && jointOf(wall, bearer, rules, wind ? DURATION.wind : DURATION.permanent)
  const through = coveringOf(wall)
  const yieldShear = (angle: number) => joint && lateralStrength(screw, joint, angle)
  if (through > 0 && !yieldShear(0))
    return unknown(words`its shear through ${through} of covering takes the screw’s root, thread and bending yield`)
  const shear = (angle: number) => Math.min(screw.allowable!.shear, through > 0 ? yieldShear(angle)! : Infinity)
  const whole = { factor: 1, steps: [] }
  const shearFigure = (angle: number) => shear(angle) < screw.allowable!.shear
    ? lateralFigure(screw, joint!, angle)!
    : makersValue(screw, 'shear', whole)
  return {
    known: true,
    strength: {
      tension,
      shear,
      use: (t, v, angle) => t / tension + v / shear(angle),
      figures: angle => ({ tension: makersValue(screw, 'tension', whole), shear: shearFigure(angle) }),
      together: 'T ÷ Ta + V ÷ Va',
    },
  }
}

function sheetStrength(screw: Fastener, wall: Wall): Known {
  if (wall.structure.gauge === undefined) return unknown(words`the steel thickness of the stud is not known`)
  if (screw.allowable) return makersStrength(screw, wall)
  const covering = coveringOf(wall)
  if (covering > 0)
    return unknown(
      words`the AISI equations are for steel sheets in contact, and ${covering} of covering is in between; use
        toggles or blocking, rated by their maker`,
    )
  const [tension, shear] = [pullOut(screw, wall.structure), sheetShear(screw, wall.structure)]
  return {
    known: true,
    strength: {
      tension: tension.value,
      shear: () => shear.value,
      use: (t, v) => t / tension.value + v / shear.value,
      figures: () => ({ tension, shear }),
      together: 'T ÷ Ta + V ÷ Va',
    },
  }
}

/** How an anchor stands off its base where its plate does not bear on it; undefined where it does. */
function standOf({ base }: Fastener, wall: Wall, bearer: Bearer | undefined): StandOff | undefined {
  const standOff = standOffOf(wall)
  if (!structureKindOf({ kind: base }).masonry || !bearer || bearer.packed || standOff <= 0) return undefined
  return { standOff, plate: bearer.thickness, rigid: bearer.rigid === true }
}

/** An anchor that its maker has tested: the allowables of its sheet, less what edges and neighbours take. */
function makersStrength(anchor: Fastener, wall: Wall, bearer?: Bearer, around?: Surroundings): Known {
  const {
    structure: { kind },
  } = wall
  if (!anchor.allowable)
    return unknown(words`the data sheet of ${anchor.name ?? anchor.id} gives no allowable tension and shear`)
  const crowded = crowdingOf(anchor, around ?? { edges: [], neighbours: [] })
  if (!crowded.known) return crowded
  const allowable = {
    tension: anchor.allowable.tension * crowded.tension.factor,
    shear: anchor.allowable.shear * crowded.shear.factor,
  }
  const stand = standOf(anchor, wall, bearer)
  if (stand && !bendsKnown(anchor)) {
    return unknown(
      words`it stands off its base by ${stand.standOff}, and how far its steel may be bent is not known; enter its
        steel, or put packers or spacer sleeves under each fastener`,
    )
  }
  // What pulls on an anchor takes of what bends it.
  const shearAt = (tension: number) =>
    stand ? Math.min(allowable.shear, bentShear(anchor, stand, tension)) : allowable.shear
  const shearFigure = (tension: number) =>
    stand && bentShear(anchor, stand, tension) < allowable.shear
      ? bentShearFigure(anchor, stand, tension)
      : makersValue(anchor, 'shear', crowded.shear)
  return {
    known: true,
    strength: {
      tension: allowable.tension,
      shear: (_, tension = 0) => shearAt(tension),
      use: (t, v) => anchorUse(t, v, { tension: allowable.tension, shear: shearAt(t) }, kind),
      figures: (_, tension = 0) => ({
        tension: makersValue(anchor, 'tension', crowded.tension),
        shear: shearFigure(tension),
      }),
      together: anchorRule(kind),
    },
  }
}

/**
 * What a fastener may bear in a wall, or why that is not known.
 *
 * @param wind whether the load is wind, which lasts for moments only
 * @param around the edges and neighbours of an anchor
 */
export function strengthOf(
  fastener: Fastener,
  wall: Wall,
  bearer: Bearer | undefined,
  { rules, wind = false, around }: { rules: Rules, wind?: boolean, around?: Surroundings },
): Known {
  if (fastenerKindOf(fastener).opensInCavity) {
    const rule = rules.hollowWallAnchors ?? 'supplement'
    return rule === 'counted'
      ? makersStrength(fastener, wall)
      : unknown(
          words`by the house rule a hollow-wall anchor
            ${rule === 'never' ? 'is never used' : 'is only a supplement and carries no load in the calculation'}`,
        )
  }
  if (isSheet(wall.structure.kind) && isWoodScrew(fastener))
    return backingStrength(fastener, wall, bearer, rules, wind)
  if (isWoodScrew(fastener))
    return screwStrength(fastener, wall, bearer, rules, wind ? DURATION.wind : DURATION.permanent)
  if (fastener.base === 'wood-stud')
    return fastener.allowable
      ? makersStrength(fastener, wall)
      : unknown(words`there is no design rule for a “${fastener.kind}” fastener in wood`)
  if (fastenerKindOf(fastener).cutsSteel) return sheetStrength(fastener, wall)
  return makersStrength(fastener, wall, bearer, around)
}
