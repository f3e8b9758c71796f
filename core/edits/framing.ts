import type { Framing, Wall } from '../job'
import { knownFraming, type Member } from '../survey'

/**
 * Changes the members of a wall whose place is known, and keeps them from left to right as the plan numbers them.
 * From then on each has its id in the wall, so that it lasts whatever is added before it.
 */
export function editFraming(wall: Wall, recipe: (members: Required<Framing>[]) => Required<Framing>[]): void {
  wall.structure.members = recipe(knownFraming(wall.structure)).sort((a, b) => a.centre - b.centre)
}

/** Changes one of the members whose place is known; one that is gone is left alone. */
export function editMember(wall: Wall, id: string, change: Partial<Framing>): void {
  editFraming(wall, members => members.map(member => member.id === id ? { ...member, ...change } : member))
}

/** Takes what the readings tell as known from now on, or goes back to the readings. */
export function setFramingKnown(wall: Wall, known: boolean, members: Pick<Member, 'id' | 'centre' | 'width'>[]): void {
  if (known)
    wall.structure.members = members.map(({ id, centre, width }) => ({
      id,
      centre: Math.round(centre * 10) / 10,
      width,
    }))
  else delete wall.structure.members
}
