import type { Finding } from '../../finding'
import type { Rules, ScreenArray, Wall } from '../../job'
import { metAt, probeHeight, proofOf, referenceOf, standsAt, type Member } from '../../survey'
import { counted, words, type Text } from '../../units'
import { holeName, type Hole, type MountedCell } from '../position'

const landsIn = (hole: Hole, member: number) => hole.member === member && (hole.margin ?? -1) >= -1e-9

/** A stop for every hole at a height where its member was not met. */
export function heightFindings(cells: MountedCell[], members: Member[]): Finding[] {
  return cells.flatMap(cell =>
    cell.holes.flatMap((hole): Finding[] => {
      const member = hole.member === undefined ? undefined : members[hole.member]
      if (!member?.stretches || !landsIn(hole, hole.member!) || standsAt(member, hole.y)) return []
      return [{
        severity: 'stop',
        code: 'member-not-at-height',
        stage: 'mount',
        subject: { kind: 'hole', id: hole.id },
        message: words`${holeName(cell, hole)}: stud ${String(hole.member! + 1)} was not found ${hole.y} above
          floor, at this hole; it is assumed to run ${heights(member)}.`,
        remedy: words`Probe at ${member.centre}, ${hole.y} above floor, where the plate will hide the hole, or move
          the plate.`,
      }]
    }),
  )
}

/** The stretches of a member in words. */
function heights({ stretches = [] }: Member): Text {
  return stretches.reduce<Text>(
    (text, { from, to }, n) => [...text, ...(n > 0 ? words` and ` : []), ...words`from ${from} to ${to}`],
    [],
  )
}

/** A caution where holes that carry load rest on members that only one reference carried over, which nothing checks. */
export function referenceFindings(
  array: ScreenArray,
  cells: MountedCell[],
  { evidence = [], references = [] }: Wall,
  members: Member[],
  unchecked: string[],
): Finding[] {
  const holes = cells.flatMap(cell => cell.holes)
  return unchecked.flatMap((id): Finding[] => {
    const by = new Set(
      evidence
        .filter(reading => reading.side === 'back' && referenceOf(reading, references)?.id === id)
        .map(reading => reading.id),
    )
    const resting = holes.filter(
      ({ member, margin = -1 }) =>
        member !== undefined
        && margin >= -1e-9
        && members[member]!.evidence.length > 0
        && members[member]!.evidence.every(reading => by.has(reading)),
    )
    if (resting.length === 0) return []
    return [{
      severity: 'caution',
      code: 'reference-unchecked',
      stage: 'mount',
      subject: { kind: 'array', id: array.id },
      message: words`${resting.length === 1 ? 'A hole' : `${resting.length} holes`} of
        ${array.name} ${resting.length === 1 ? 'relies' : 'rely'} on studs that only reference ${id} locates from
        the rear; nothing checks it, and any error in it shifts them all.`,
      remedy: words`Measure a second reference from both sides, or find both edges of one of these studs from the
        front.`,
    }]
  })
}

/** A stop for every member that holes rest on and that the house rule does not take as proved. */
export function proofFindings(
  array: ScreenArray,
  cells: MountedCell[],
  wall: Wall,
  members: Member[],
  rules: Rules,
): Finding[] {
  const holes = cells.flatMap(cell => cell.holes)
  return members.flatMap((member, index): Finding[] => {
    if (member.proved) return []
    const own = holes.filter(hole => landsIn(hole, index))
    if (own.length === 0) return []
    const y = probeHeight(member, wall, own.reduce((sum, hole) => sum + hole.y, 0) / own.length)
    return [{
      severity: 'stop',
      code: 'framing-unproved',
      stage: 'mount',
      subject: { kind: 'member', id: member.id },
      message: words`${own.length === 1 ? 'A hole' : words`${counted(own.length)} holes`} of
        ${array.name} ${own.length === 1 ? 'relies' : 'rely'} on stud ${String(index + 1)}, which is unconfirmed:
        it is only known from ${proofOf(member, wall, rules).restsOn}.`,
      remedy: words`Probe at ${member.centre}, about ${y} above floor, where a plate will hide the
        hole${
          rules.proofOfFraming === 'one-sign'
            ? words``
            : words`, or take a reading of another
          kind`
        }.${metAt(member, wall).length > 0
          ? ' What was met may be blocking: rule it out in Survey, under Loads, or probe at this other height.'
          : ''}`,
    }]
  })
}
