import type { Finding } from '../finding'
import type { Wall } from '../job'
import { words } from '../units'
import type { FramingMap, Member } from './framing'
import { METHOD_NAMES } from './proof'
import type { SharedError } from './shared'
import { signsOf, type Sign } from './sign'
import { missesIn, missesOf, standsAt } from './stretches'
import type { CommonWidth } from './width'

const about = ({ id }: Member) => ({ stage: 'survey', subject: { kind: 'member', id } }) as const
const name = (index: number) => `Member ${index + 1}`

function placeFindings(wall: Wall, members: Member[]): Finding[] {
  return members.flatMap((member, index): Finding[] => {
    const [left, right] = [member.centre - member.width / 2, member.centre + member.width / 2]
    const next = members[index + 1]
    const overlap = next ? right - (next.centre - next.width / 2) : 0
    return [
      ...left < -2 * member.sd || right > wall.width + 2 * member.sd
        ? [{
            ...about(member), severity: 'caution' as const, code: 'member-off-wall',
            message: words`${name(index)} at ${member.centre} passes the wall’s ${left < 0 ? 'left' : 'right'} edge.`,
          }]
        : [],
      ...overlap > 0.01
        ? [{
            ...about(member), severity: member.sd === 0 ? 'stop' as const : 'caution' as const, code: 'members-overlap',
            message: words`Members ${String(index + 1)} and ${String(index + 2)} overlap by ${overlap}.`,
            remedy: words`Enter a doubled stud as one member of double width.`,
          }]
        : [],
    ]
  })
}

function inferredFindings(members: Member[]): Finding[] {
  return members.flatMap((member, index): Finding[] => member.source === 'observed'
    ? []
    : [{
        ...about(member), severity: 'caution', code: 'member-inferred',
        message: words`${name(index)} at ${member.centre} is only expected from the spacing of its neighbours.`,
        remedy: words`Find it before anything is hung on it.`,
      }])
}

/** A nail that met nothing where a member is believed to be: it ends there, or is elsewhere. */
function againstFindings(wall: Wall, members: Member[]): Finding[] {
  const misses = missesOf(signsOf(wall))
  return members.flatMap((member, index) => member.source === 'inferred'
    ? []
    : missesIn(member, misses).map((sign): Finding => {
        const ends = !standsAt(member, sign.reading.y)
        return {
          stage: 'survey', subject: { kind: 'reading', id: sign.reading.id }, severity: 'caution', code: ends ? 'member-ends' : 'reading-conflicts',
          message: ends
            ? words`${name(index)} at ${member.centre} does not run the wall’s whole height: ${METHOD_NAMES[sign.reading.method]} met nothing ${sign.reading.y} up.`
            : words`${METHOD_NAMES[sign.reading.method].replace(/^a/, 'A')} at ${sign.x}, ${sign.reading.y} up, met nothing where member ${String(index + 1)} is believed to be.`,
          remedy: ends ? words`No hole near that height is taken to rest on it. Probe between the heights to learn where it ends.` : words`Probe again, or set the reading aside with the reason.`,
        }
      }))
}

const unexplainedFindings = (signs: Sign[]): Finding[] => signs.filter(({ kind }) => kind !== 'knock' && kind !== 'box').map(({ reading, x }) => ({
  stage: 'survey', subject: { kind: 'reading', id: reading.id }, severity: 'caution', code: 'reading-unexplained',
  message: words`${METHOD_NAMES[reading.method].replace(/^a/, 'A')} at ${x} fits no member: a pipe, a screw in blocking, or a member that nothing else shows.`,
  remedy: words`Take a second reading there, or set it aside with the reason.`,
}))

/** Readings of one kind stand off those of others by more than this along the wall, mm, and by so many σ, before it is worth a word. */
const KINDS_APART = { mm: 3.5, sigmas: 2.5, members: 3 }

/** What is to be said of a detector that disagrees with everything else along the wall. */
function detectorFindings(wall: Wall, shared: SharedError[]): Finding[] {
  return shared.flatMap(({ source, shift, raw }): Finding[] => {
    if (!source.startsWith('detector') || !raw || raw.members < KINDS_APART.members) return []
    if (Math.abs(raw.off) < KINDS_APART.mm || Math.abs(raw.off) < KINDS_APART.sigmas * raw.sd) return []
    return [{
      severity: 'caution', code: 'kinds-disagree', stage: 'survey', subject: { kind: 'wall', id: wall.id },
      message: words`The detector’s readings stand ${Math.abs(raw.off)} to the ${raw.off < 0 ? 'left' : 'right'} of what nails, magnets and sight tell, at ${String(raw.members)} members all along the wall. They are taken as ${Math.abs(shift)} too far to the ${shift < 0 ? 'left' : 'right'}.`,
      remedy: words`Try the detector on a stud whose edges you can see; if it is out, set its readings aside.`,
    }]
  })
}

/** What is to be said where edges measured apart disagree with the width that was said. */
function widthFindings(wall: Wall, { said, believed, sure, differs }: CommonWidth): Finding[] {
  if (!differs) return []
  return [{
    severity: 'caution', code: 'member-width-differs', stage: 'survey', subject: { kind: 'wall', id: wall.id },
    message: words`The edges read stand as those of members ${believed} wide; ${said} was said. Members are taken as ${believed} wide, and holes keep to ${sure} of it.`,
    remedy: words`Find both faces of one member with a nail, and set its width right.`,
  }]
}

/** Linings up to this year may hold asbestos, and paint on them lead. */
const OLD_LINING = 1990

/** What has to be known of a wall before it is opened. */
export function liningFindings({ id, linedIn, fireRating }: Wall): Finding[] {
  return [
    ...linedIn !== undefined && linedIn < OLD_LINING
      ? [{
          severity: 'caution' as const, code: 'lining-old', stage: 'survey' as const, subject: { kind: 'wall' as const, id },
          message: words`The lining is of ${String(linedIn)}: it may hold asbestos, and its paint lead.`,
          remedy: words`Have it tested before it is cut or drilled.`,
        }]
      : [],
    ...fireRating
      ? [{
          severity: 'caution' as const, code: 'wall-fire-rated', stage: 'survey' as const, subject: { kind: 'wall' as const, id },
          message: words`The wall is rated for ${String(fireRating)} minutes of fire.`,
          remedy: words`Open it only with the seal approved for it; local code comes first.`,
        }]
      : [],
  ]
}

/** What is wrong or doubtful about the framing. */
export function framingFindings(wall: Wall, members: Member[], { unexplained, shared, width }: Pick<FramingMap, 'unexplained' | 'shared' | 'width'>, framed: boolean): Finding[] {
  const unknown: Finding[] = framed && members.length === 0
    ? [{
        severity: 'stop', code: 'framing-unknown', stage: 'survey', subject: { kind: 'wall', id: wall.id },
        message: words`No framing member of this wall is known.`,
        remedy: words`Read the wall with detector, magnet or nail, and enter what they tell.`,
      }]
    : []
  return [...unknown, ...widthFindings(wall, width), ...detectorFindings(wall, shared), ...againstFindings(wall, members), ...unexplainedFindings(unexplained), ...placeFindings(wall, members), ...inferredFindings(members)]
}
