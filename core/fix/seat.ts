import {
  baseThickness, breakout, fastenerKindOf, isWoodScrew, penetration, thinnestBase, threadInWood,
  WOOD_DIAMETERS,
} from '../fastening'
import type { CodeOf, Finding } from '../finding'
import {
  choiceName, coveringOf, isOpenUnit, isSheet, structureKindOf, unitsOf, type Fastener, type Mount, type Wall,
} from '../job'
import type { Position } from '../mount'
import { quantity, words } from '../units'
import type { Judging } from './judge'
import { backingCaution, backingFindings } from './backing'
import { steelFindings } from './sheet'
import type { Bearer } from './strength'
import { isInWind } from './wind'
import { screenLabel } from '../job/screenLabel'

/**
 * From strength to allowable: strength reduction of anchors that concrete governs, over a mean load factor (ACI 318
 * 17.5.3; IBC 1605).
 */
const ALLOWED_OF_STRENGTH = 0.65 / 1.6
/** Finishes that last outdoors or in the wet. */
const LASTING = ['stainless', 'galvanised', 'coated']

type About = Pick<Finding, 'stage' | 'subject'>

/** Everything in front of the base that an anchor must reach through, mm: covering, plate, washer and nut. */
export function overOf({ head = 0 }: Fastener, wall: Pick<Wall, 'covering'>, bearer: Bearer | undefined): number {
  return coveringOf(wall) + (bearer?.thickness ?? 0) + head
}

/** Whether a fastener lasts where the wall is outside or wet. */
function finishFindings(about: About, name: string, { finish }: Fastener, wall: Wall): Finding[] {
  const outside = isInWind(wall)
  if (!outside && !wall.wet) return []
  if (finish && LASTING.includes(finish)) return []
  return [
    finish === undefined
      ? {
          ...about,
          severity: 'stop',
          code: 'finish-not-known' as const,
          message: words`This wall is ${outside ? 'outside' : 'wet'}, and the finish of ${name} is not known.`,
          remedy: words`Enter the finish in the catalogue; stainless, galvanised or coated fasteners are suitable
            here.`,
        }
      : {
          ...about,
          severity: 'stop',
          code: 'fastener-corrodes' as const,
          message: words`This wall is ${outside ? 'outside' : 'wet'}, and ${name} is ${finish}: it corrodes here.`,
          remedy: words`Use a stainless, galvanised or coated fastener.`,
        },
  ]
}

/** Whether a screw reaches far enough into the wood, and not through it. */
function woodFindings(about: About, name: string, screw: Fastener, wall: Wall, bearer: Bearer | undefined): Finding[] {
  if (screw.thread === undefined) return []
  const stop = { ...about, severity: 'stop' as const }
  const { memberDepth } = wall.structure
  const joint = {
    plate: bearer?.thickness ?? 0,
    covering: coveringOf(wall),
    ...(memberDepth !== undefined && { depth: memberDepth }),
  }
  const over = joint.plate + joint.covering
  const through = memberDepth === undefined ? 0 : screw.length - over - memberDepth
  if (through > 1e-9)
    return [{
      ...stop,
      code: 'fastener-through-member' as const,
      message: words`${name} comes ${through} through the back of the stud, which is ${memberDepth!} deep.`,
      remedy: words`Use a shorter screw.`,
    }]
  const { of, diameters, rule } = fastenerKindOf(screw).wood!.seat
  const inWood = of === 'thread' ? threadInWood(screw, joint) : penetration(screw, joint)
  const least = diameters * screw.diameter
  return inWood < least - 1e-9
    ? [{
        ...stop,
        code: 'penetration-too-small' as const,
        message: words`${name} has ${inWood} ${of === 'thread' ? 'of thread ' : ''}in the wood, tip excluded; the
          minimum is ${least}, ${rule}.`,
        remedy: words`Use a longer screw.`,
      }]
    : []
}

/** What of a unit that is open inside holds an anchor, and what such a unit is called. */
const OPEN_UNITS = {
  block: ['face shell', 'hollow block'],
  brick: ['solid part behind the face', 'perforated brick'],
} as const

/** A caution where a data sheet allows more tension than breakout of this very concrete does. */
function breakoutCaution(
  about: About, name: string, anchor: Fastener, { kind, strength }: Wall['structure'],
): Finding[] {
  const { embedment, allowable } = anchor
  if (kind !== 'concrete' || strength === undefined || !allowable || embedment === undefined) return []
  const most = breakout(strength, embedment).value * ALLOWED_OF_STRENGTH
  if (allowable.tension <= most) return []
  return [{
    ...about,
    severity: 'caution',
    code: 'allowable-over-breakout',
    message: words`The data sheet of ${name} allows ${quantity(Math.round(allowable.tension), 'N')} tension; breakout of
      ${quantity(strength, 'MPa')} concrete allows only ${quantity(Math.round(most), 'N')} (ACI 318 17.6.2).`,
    remedy: words`Check the data sheet’s figure for this concrete and embedment.`,
  }]
}

/** Whether an anchor is long enough, and its base thick enough and known. */
function anchorFindings(
  about: About,
  name: string,
  anchor: Fastener,
  { structure, covering }: Wall,
  bearer: Bearer | undefined,
): Finding[] {
  const { masonry, units: unit = 'block' } = structureKindOf(structure)
  if (!masonry) return []
  const stop = { ...about, severity: 'stop' as const }
  const notKnown = (code: CodeOf<'stop'> & `${string}-not-known`, what: string, where: string): Finding => ({
    ...stop,
    code,
    message: words`The ${what} of ${where} is not known, so the capacity of ${name} is not known.`,
    remedy: words`Enter it ${where === name ? 'in the catalogue, from the maker’s data sheet' : 'in Survey'}.`,
  })
  const { embedment } = anchor
  const [over, base, least] = [overOf(anchor, { covering }, bearer), baseThickness(structure), thinnestBase(anchor)]
  const short = over + (embedment ?? 0) - anchor.length
  const [units, hollow] = [unitsOf(structure), isOpenUnit(unitsOf(structure))]
  const [shell, open] = OPEN_UNITS[unit]
  const baseNotKnown = () => {
    if (units && units.unit === undefined) return [notKnown('kind-of-unit-not-known', `${unit} type`, `the ${unit}`)]
    if (base !== undefined) return []
    if (!hollow) return [notKnown('thickness-not-known', 'thickness', 'the wall')]
    return [notKnown('face-shell-thickness-not-known', `thickness of the ${shell}`, `the ${open}`)]
  }
  return [
    ...(embedment === undefined ? [notKnown('embedment-not-known', 'embedment', name)] : []),
    ...(anchor.edgeDistance === undefined
      ? [notKnown('least-edge-distance-not-known', 'minimum edge distance', name)]
      : []),
    ...baseNotKnown(),
    ...(embedment !== undefined && short > 1e-9
      ? [{
          ...stop,
          code: 'anchor-too-short' as const,
          message: words`${name} is ${short} too short: covering, plate and nut take ${over}, embedment takes
            ${embedment}, together ${over + embedment}.`,
          remedy: words`Use a longer anchor.`,
        }]
      : []),
    ...(base !== undefined && embedment !== undefined && base < least - 1e-9
      ? [{
          ...stop,
          code: 'base-too-thin' as const,
          message: words`${hollow ? `The ${shell} of the ${open}` : 'The wall'} is ${base} thick; ${name} requires at
            least ${least}.`,
          remedy: words`Use an anchor with less embedment${hollow ? `, or one made for ${open}` : ''}.`,
        }]
      : []),
    ...breakoutCaution(about, name, anchor, structure),
  ]
}

/** Some holes by name: the first few, and how many more. */
function namesOf(names: string[]): string {
  return names.length > 3
    ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`
    : names.join(', ').replace(/, ([^,]*)$/, ' and $1')
}

interface Placed { name: string, x: number, y: number, piece: number, ply: number }

/** Whether anchors keep the least distance from edges and from one another. */
function anchorDistanceFindings(
  about: About,
  name: string,
  { edgeDistance, minSpacing }: Fastener,
  holes: Placed[],
  { around }: Judging,
): Finding[] {
  const near = holes.map(hole => ({ hole, ...around(hole) }))
  const atEdge = near.flatMap(({ hole, edges }) =>
    edges
      .filter(({ distance }) => edgeDistance !== undefined && distance < edgeDistance - 1e-9)
      .map(edge => ({ hole, edge })),
  )
  const together = near.flatMap(({ hole, neighbours }) =>
    neighbours
      .filter(({ distance }) => minSpacing !== undefined && distance < minSpacing - 1e-9)
      .map(({ distance }) => ({ hole, distance })),
  )
  return [
    ...(atEdge.length > 0
      ? [{
          ...about,
          severity: 'stop' as const,
          code: 'edge-too-near' as const,
          facts: [atEdge.length],
          message: words`${namesOf([...new Set(atEdge.map(({ hole }) => hole.name))])}:
            ${Math.min(...atEdge.map(({ edge }) => edge.distance))} from ${atEdge[0]!.edge.name}; ${name} requires
            at least ${edgeDistance!}.`,
          remedy: words`Move the array, or use an anchor with a smaller minimum edge distance.`,
        }]
      : []),
    ...(together.length > 0
      ? [{
          ...about,
          severity: 'stop' as const,
          code: 'spacing-too-near' as const,
          facts: [together.length],
          message: words`${namesOf([...new Set(together.map(({ hole }) => hole.name))])}:
            ${Math.min(...together.map(({ distance }) => distance))} apart; ${name} requires at least
            ${minSpacing!}.`,
          remedy: words`Move one hole within its slot, or use an anchor with a smaller minimum spacing.`,
        }]
      : []),
  ]
}

/** Whether screws in one piece of wood keep four diameters from one another, and seven from the piece's end. */
function woodDistanceFindings(
  about: About,
  name: string,
  { diameter }: Fastener,
  holes: Placed[],
  endsOf: (hole: Placed) => number,
): Finding[] {
  const [spacing, end] = [WOOD_DIAMETERS.spacing * diameter, WOOD_DIAMETERS.end * diameter]
  const sorted = [...holes].sort((a, b) => a.x - b.x)
  const near = sorted.flatMap((hole, n) => {
    const found: { names: string[], apart: number }[] = []
    for (let next = n + 1; next < sorted.length && sorted[next]!.x - hole.x < spacing; next++) {
      const other = sorted[next]!
      const apart = Math.hypot(other.x - hole.x, other.y - hole.y)
      if (other.piece === hole.piece && other.ply === hole.ply && apart < spacing - 1e-6)
        found.push({ names: [hole.name, other.name], apart })
    }
    return found
  })
  const atEnd = holes.map(hole => ({ hole, away: endsOf(hole) })).filter(({ away }) => away < end - 1e-9)
  return [
    ...(near.length > 0
      ? [{
          ...about,
          severity: 'stop' as const,
          code: 'fasteners-too-near' as const,
          facts: [near.length],
          message: words`${namesOf([...new Set(near.flatMap(({ names }) => names))])} are
            ${Math.min(...near.map(({ apart }) => apart))} apart in one piece of wood; ${name} requires ${spacing},
            four diameters (NDS table 12.5.1B).`,
          remedy: words`Shift one of the plates, or move a hole within its slot.`,
        }]
      : []),
    ...(atEnd.length > 0
      ? [{
          ...about,
          severity: 'stop' as const,
          code: 'end-too-near' as const,
          facts: [atEnd.length],
          message: words`${namesOf(atEnd.map(({ hole }) => hole.name))}:
            ${Math.min(...atEnd.map(({ away }) => away))} from the end of the stud; ${name} requires ${end}, seven
            diameters (NDS table 12.5.1B).`,
          remedy: words`Move the plate up or down the stud.`,
        }]
      : []),
  ]
}

/** Whether a fastener goes with its base, reaches far enough into it, keeps its distances and lasts. */
export function seatFindings(judging: Judging, fastener: Fastener, positions: Position[], mounts: Mount[]): Finding[] {
  const { array, wall, carrier, bearer, members } = judging
  const about = { stage: 'fix', subject: { kind: 'array', id: array.id } } as const
  const name = fastener.name ?? fastener.id
  const { kind } = wall.structure
  if (fastener.base !== kind) {
    return [{
      ...about,
      severity: 'stop',
      code: 'fastener-of-another-base' as const,
      message: words`${name} is for ${choiceName(fastener.base)}; this wall is ${choiceName(kind)}.`,
      remedy: words`Choose a fastener made for this wall.`,
    }]
  }
  const holes = positions.flatMap(({ row, column, holes = [] }) =>
    holes.map((hole): Placed => ({
      name: `${screenLabel({ row, column })} ${hole.row} ${hole.rank}`,
      x: hole.x,
      y: hole.y,
      piece: hole.member ?? -1,
      ply: hole.ply ?? 0,
    })),
  )
  // Plates of one thickness are asked about once.
  const bearing = (carrier ? mounts.slice(0, 1) : mounts).map(bearer)
  const bearers = [...new Map(bearing.map(each => [JSON.stringify(each ?? null), each])).values()]
  const endsOf = ({ y, piece }: Placed) => {
    const stretches = members[piece]?.stretches ?? [{ from: 0, to: wall.height }]
    return Math.max(...stretches.map(({ from, to }) => Math.min(y - from, to - y)))
  }
  const hollow = fastenerKindOf(fastener).opensInCavity
    ? holes.filter(({ x }) => members.some(({ centre, width }) => Math.abs(x - centre) < width / 2 + fastener.diameter))
    : []
  return [
    ...backingCaution(about, wall),
    ...bearers.flatMap(each =>
      isSheet(kind)
        ? backingFindings(about, name, fastener, wall, each)
        : isWoodScrew(fastener)
          ? woodFindings(about, name, fastener, wall, each)
          : kind === 'steel-stud'
            ? steelFindings(about, name, fastener, wall, each)
            : anchorFindings(about, name, fastener, wall, each),
    ),
    ...(isWoodScrew(fastener) ? woodDistanceFindings(about, name, fastener, holes, endsOf) : []),
    ...(structureKindOf(wall.structure).masonry ? anchorDistanceFindings(about, name, fastener, holes, judging) : []),
    ...(hollow.length > 0
      ? [{
          ...about,
          severity: 'stop' as const,
          code: 'hollow-anchor-in-member' as const,
          facts: [hollow.length],
          message: words`${namesOf(hollow.map(({ name }) => name))}: there is a stud behind the hole, and ${name} only
            opens in a cavity.`,
          remedy: words`Move the hole clear of the stud, or use a screw there.`,
        }]
      : []),
    ...finishFindings(about, name, fastener, wall),
  ]
}
