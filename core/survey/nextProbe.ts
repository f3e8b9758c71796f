import type { Interval } from '../geometry'
import type { Wall } from '../job'
import { words, type Text, type UnitSystem } from '../units'
import { USUAL_PLACES } from './defaults'
import type { Member } from './framing'
import { APART } from './blocking'
import { normalCdf } from './normal'
import { isProvedByOne, probeHeight } from './proof'
import type { Run } from './runs'
import { plural } from '../units/plural'

/** A hole that is planned: where, and into which member, by index. */
export interface PlannedHole { x: number, y: number, member?: number, margin?: number }

/**
 * Where fasteners are wanted and nothing is known of the wall: from where to where, how high, how many, and for what.
 */
export interface Unsurveyed extends Interval { y: number, holes: number, of: string }

/** A plate that nothing holds yet: the stretch of wall in which it can reach members, and its height. */
export interface Unheld extends Interval { y: number, of: string }

/** Where one more reading tells most. `gain` is how many planned holes it is expected to settle. */
export interface NextProbe { x: number, y: number, why: Text, gain: number }

/** How likely a nail at a member's supposed centre meets it. */
export function hitChance({ width, sd, confidence }: Omit<Member, 'proved'>): number {
  return confidence * (sd === 0 ? 1 : 2 * normalCdf(width / 2 / sd) - 1)
}

/** Never quite certain: a nail may always meet a knot or a pipe. */
const percent = (share: number) => share > 0.99 ? 'over 99 %' : `${Math.round(100 * share)} %`

function forMember(wall: Wall, members: Member[], index: number, holes: PlannedHole[], units: UnitSystem): NextProbe {
  const member = members[index]!
  const chance = hitChance(member)
  const heights = holes.reduce((sum, hole) => sum + hole.y, 0)
  const wanted = holes.length > 0 ? heights / holes.length : USUAL_PLACES[units].height
  const y = probeHeight(member, wall, wanted)
  const proves = isProvedByOne(member, wall, y)
  const count = `${holes.length} planned ${holes.length === 1 ? 'hole' : 'holes'}`
  const confirms = proves
    ? ` and confirms ${holes.length === 1 ? 'it' : 'them all'}`
    : words`; as blocking is not ruled out, it takes a second one ${APART} higher or lower`
  const rely = holes.length === 1 ? 'relies' : 'rely'
  const rests = member.source === 'inferred' ? 'is only predicted from its neighbours' : 'is unconfirmed'
  return {
    x: member.centre,
    y,
    gain: holes.length * chance,
    why:
      holes.length > 0
        ? words`Stud ${String(index + 1)} ${rests} and ${count} ${rely} on it; a hit is
          ${percent(chance)} likely${confirms}.`
        : words`Stud ${String(index + 1)} ${rests}; a hit is ${percent(chance)} likely.`,
  }
}

/**
 * A member that is proved, but whose centre is not known well enough for the holes that want it: a nail at its face
 * tells most.
 */
function forFace(member: Member, index: number, holes: PlannedHole[]): NextProbe {
  return {
    x: member.centre - member.width / 2,
    y: holes.reduce((sum, hole) => sum + hole.y, 0) / holes.length,
    gain: holes.length / 2,
    why: words`Stud ${String(index + 1)} is confirmed, but its centre is only known to ± ${1.96 * member.sd}, not
      accurate enough for ${String(holes.length)} planned ${holes.length === 1 ? 'hole' : 'holes'}; a nail at its
      edge narrows this.`,
  }
}

/** A member that a plate could reach which nothing holds yet, if it were proved, or its centre known better. */
function forUnheld(member: Member, index: number, { y, of }: Unheld): NextProbe {
  const near = words`${of} is not fixed yet, and could reach stud ${String(index + 1)}, which`
  return member.proved
    ? {
        x: member.centre - member.width / 2,
        y,
        gain: 0,
        why: words`${near} is only known to ± ${1.96 * member.sd}; a nail at its edge narrows this.`,
      }
    : { x: member.centre, y, gain: 0, why: words`${near} is unconfirmed.` }
}

/**
 * Where to begin in a stretch that nobody has read: where a run nearby would have its next member, else in its middle.
 */
function beginIn({ from, to }: Interval, runs: Run[]): number {
  const expected = runs.flatMap(({ start, spacing, last }) => {
    const n = Math.round(((from + to) / 2 - start) / spacing)
    return n >= -3 && n <= last + 3 ? [start + n * spacing] : []
  })
  return expected.find(x => x >= from && x <= to) ?? (from + to) / 2
}

/**
 * The place whose answer is expected to settle most of the planned holes: first where an array wants fasteners
 * and nothing is known of the wall; then among the members that are not proved the one with most holes on it
 * times the chance that a nail there meets it; then among those that a plate could reach which nothing holds. With no
 * hole planned it is the member known least, of those near what is arranged; with no member
 * known, the first usual centre. Undefined where nothing is left to settle.
 *
 * @param near where along the wall plates are to go, that as yet have no hole
 */
export function nextProbe(
  wall: Wall,
  members: Member[],
  holes: PlannedHole[],
  {
    unsurveyed = [],
    unheld = [],
    runs = [],
    units = 'metric',
    near,
  }: { unsurveyed?: Unsurveyed[], unheld?: Unheld[], runs?: Run[], units?: UnitSystem, near?: Interval } = {},
): NextProbe | undefined {
  const [open] = [...unsurveyed].sort((a, b) => b.holes - a.holes)
  if (open) {
    return {
      x: beginIn(open, runs),
      y: open.y,
      gain: open.holes,
      why: words`The wall from ${open.from} to ${open.to} has not been surveyed, and ${open.of} requires
        ${plural(open.holes, 'fastener')} there.`,
    }
  }
  if (members.length === 0) {
    return {
      x: wall.structure.spacing ?? USUAL_PLACES[units].spacing,
      y: Math.min(USUAL_PLACES[units].height, wall.height / 2),
      gain: 0,
      why: words`No stud is known yet; the first one is usually one spacing from the corner or jamb.`,
    }
  }
  const candidates = members.flatMap((member, index) => {
    const own = holes.filter(hole => hole.member === index)
    if (member.proved) {
      const unsure = own.filter(({ margin = 0 }) => margin < -1e-9)
      return unsure.length > 0 && member.sd > 1 ? [{ member, probe: forFace(member, index, unsure) }] : []
    }
    if (holes.length === 0 && near && (member.centre < near.from || member.centre > near.to)) return []
    return holes.length > 0 && own.length === 0 ? [] : [{ member, probe: forMember(wall, members, index, own, units) }]
  })
  if (candidates.length === 0) {
    const reachable = unheld.flatMap(plate =>
      members.flatMap((member, index) =>
        (!member.proved || member.sd > 1) && member.centre > plate.from && member.centre < plate.to
          ? [{ member, probe: forUnheld(member, index, plate) }]
          : [],
      ),
    )
    // What is known least is likeliest to turn out to hold.
    return reachable.sort((a, b) => b.member.sd - a.member.sd)[0]?.probe
  }
  return candidates.sort((a, b) => b.probe.gain - a.probe.gain || hitChance(a.member) - hitChance(b.member))[0]?.probe
}
