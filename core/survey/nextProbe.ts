import type { Wall } from '../job'
import { words, type Text } from '../units'
import type { Member } from './framing'
import { below } from './sign'

/** A hole that is planned: where, and into which member, by index. */
export interface PlannedHole { x: number, y: number, member?: number }

/** Where one more reading tells most. `gain` is how many planned holes it is expected to settle. */
export interface NextProbe { x: number, y: number, why: Text, gain: number }

const USUAL_HEIGHT = 1500
const FIRST_SPACING = 400

/** How likely a nail at a member's supposed centre meets it. */
export function hitChance({ width, sd, confidence }: Omit<Member, 'proved'>): number {
  return confidence * (sd === 0 ? 1 : 2 * below(width / 2 / sd) - 1)
}

/** Never quite certain: a nail may always meet a knot or a pipe. */
const percent = (share: number) => share > 0.99 ? 'over 99 %' : `${Math.round(100 * share)} %`

function forMember(members: Member[], index: number, holes: PlannedHole[]): NextProbe {
  const member = members[index]!
  const chance = hitChance(member)
  const y = holes.length > 0 ? holes.reduce((sum, hole) => sum + hole.y, 0) / holes.length : USUAL_HEIGHT
  const count = `${holes.length} planned ${holes.length === 1 ? 'hole' : 'holes'}`
  const rests = member.source === 'inferred' ? 'is only expected from its neighbours' : 'is not proved yet'
  return {
    x: member.centre, y, gain: holes.length * chance,
    why: holes.length > 0
      ? words`Member ${String(index + 1)} ${rests} and ${count} ${holes.length === 1 ? 'rests' : 'rest'} on it; a hit is ${percent(chance)} likely and settles ${holes.length === 1 ? 'it' : 'them all'}.`
      : words`Member ${String(index + 1)} ${rests}; a hit is ${percent(chance)} likely.`,
  }
}

/**
 * The place whose answer is expected to settle most of the planned holes: among the members that
 * are not proved, the one with most holes on it times the chance that a nail there meets it. With no
 * hole planned it is the member known least; with no member known, the first usual centre.
 * Undefined where nothing is left to settle.
 */
export function nextProbe(wall: Wall, members: Member[], holes: PlannedHole[]): NextProbe | undefined {
  if (members.length === 0) {
    return { x: wall.structure.spacing ?? FIRST_SPACING, y: Math.min(USUAL_HEIGHT, wall.height / 2), gain: 0, why: words`Nothing is known yet; a first member usually stands one spacing from the corner or jamb.` }
  }
  const open = members.flatMap((member, index) => {
    if (member.proved) return []
    const own = holes.filter(hole => hole.member === index)
    return holes.length > 0 && own.length === 0 ? [] : [{ index, own }]
  })
  return open
    .map(({ index, own }) => forMember(members, index, own))
    .sort((a, b) => b.gain - a.gain || hitChance(members.find(({ centre }) => centre === a.x)!) - hitChance(members.find(({ centre }) => centre === b.x)!))[0]
}
