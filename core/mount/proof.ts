import type { Finding } from '../finding'
import type { Rules, ScreenArray, Wall } from '../job'
import { proofOf, type Member } from '../survey'
import { words } from '../units'
import type { MountedCell } from './position'

/** A stop for every member that holes rest on and that the house rule does not take as proved. */
export function proofFindings(array: ScreenArray, cells: MountedCell[], wall: Wall, members: Member[], rules: Rules): Finding[] {
  const holes = cells.flatMap(cell => cell.holes)
  return members.flatMap((member, index): Finding[] => {
    if (member.proved) return []
    const own = holes.filter(hole => hole.member === index && (hole.margin ?? -1) >= -1e-9)
    if (own.length === 0) return []
    const y = own.reduce((sum, hole) => sum + hole.y, 0) / own.length
    return [{
      severity: 'stop', code: 'framing-unproved', stage: 'mount', subject: `member-${index}`,
      message: words`${own.length === 1 ? 'A hole' : `${own.length} holes`} of ${array.name} ${own.length === 1 ? 'rests' : 'rest'} on member ${String(index + 1)}, which is not proved: it is known from ${proofOf(member, wall, rules).restsOn}.`,
      remedy: words`Probe at ${member.centre}, about ${y} up, where a plate will hide the hole${rules.proofOfFraming === 'one-sign' ? words`` : words`, or find a sign of another kind`}.`,
    }]
  })
}
