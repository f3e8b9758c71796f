import type { Finding } from '../finding'
import type { Wall } from '../job'
import { words } from '../units'

/** A framing member as far as it is known; centre, width and one σ of the centre in mm. */
export interface Member {
  centre: number
  width: number
  sd: number
  kind: 'single' | 'double'
  source: 'observed' | 'inferred'
}

/** What the survey gives to later stages. */
export interface Survey { members: Member[], findings: Finding[] }

/** Over this share of the nominal width a member is a doubled one. */
const DOUBLE = 1.6

/** Whether a wall's load is carried by upright members, and not by its whole face. */
export const isFramed = (wall: Wall) => wall.structure.kind === 'wood-stud' || wall.structure.kind === 'steel-stud'

function knownMembers({ structure }: Wall): Member[] {
  return [...structure.members ?? []]
    .sort((a, b) => a.centre - b.centre)
    .map(({ centre, width }) => ({
      centre,
      width,
      sd: 0,
      kind: structure.memberWidth !== undefined && width > DOUBLE * structure.memberWidth ? 'double' : 'single',
      source: 'observed',
    }))
}

function surveyFindings(wall: Wall, members: Member[]): Finding[] {
  const findings: Finding[] = []
  if (isFramed(wall) && members.length === 0) {
    findings.push({
      severity: 'stop', code: 'framing-unknown', stage: 'survey', subject: wall.id,
      message: words`No framing member of this wall is known.`,
      remedy: words`Find the members and enter where their centres are.`,
    })
  }
  members.forEach((member, index) => {
    const [left, right] = [member.centre - member.width / 2, member.centre + member.width / 2]
    if (left < 0 || right > wall.width) findings.push({
      severity: 'caution', code: 'member-off-wall', stage: 'survey', subject: `member-${index}`,
      message: words`Member ${String(index + 1)} at ${member.centre} passes the wall’s ${left < 0 ? 'left' : 'right'} edge.`,
    })
    const next = members[index + 1]
    const overlap = next ? right - (next.centre - next.width / 2) : 0
    if (overlap > 0.01) findings.push({
      severity: 'caution', code: 'members-overlap', stage: 'survey', subject: `member-${index}`,
      message: words`Members ${String(index + 1)} and ${String(index + 2)} overlap by ${overlap}.`,
      remedy: words`Enter a doubled stud as one member of double width.`,
    })
  })
  return findings
}

/** Reads what was found out about a wall as members, from left to right. */
export function survey(wall: Wall): Survey {
  const members = knownMembers(wall)
  return { members, findings: surveyFindings(wall, members) }
}
