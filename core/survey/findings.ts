import type { Finding } from '../finding'
import { hasBacking, type Wall } from '../job'
import { quantity, words, type Text } from '../units'
import { APART, meetsBlocking } from './blocking'
import { leanToMiss, plumbed } from './lean'
import { readingsOf, type FramingMap, type Member } from './framing'
import { ERROR_MODEL } from './errorModel'
import { METHOD_NAMES } from './proof'
import type { SharedError } from './shared'
import { everySign, signsOf, sourcesOf, type Sign } from './sign'
import { missesIn, missesOf, standsAt } from './stretches'
import type { CommonWidth } from './width'

const about = ({ id }: Member) => ({ stage: 'survey', subject: { kind: 'member', id } }) as const
const name = (index: number) => `Stud ${index + 1}`

function placeFindings(wall: Wall, members: Member[]): Finding[] {
  return members.flatMap((member, index): Finding[] => {
    const [left, right] = [member.centre - member.width / 2, member.centre + member.width / 2]
    const next = members[index + 1]
    const overlap = next ? right - (next.centre - next.width / 2) : 0
    return [
      ...(left < -2 * member.sd || right > wall.width + 2 * member.sd
        ? [{
            ...about(member),
            severity: 'caution' as const,
            code: 'member-off-wall' as const,
            message: words`${name(index)} at ${member.centre} extends past the wall’s
              ${left < 0 ? 'left' : 'right'} edge.`,
          }]
        : []),
      ...(overlap > 0.01
        ? [{
            ...about(member),
            severity: member.sd === 0 ? ('stop' as const) : ('caution' as const),
            code: 'members-overlap' as const,
            message: words`Studs ${String(index + 1)} and ${String(index + 2)} overlap by ${overlap}.`,
            remedy: words`Enter a double stud as one stud of double width.`,
          }]
        : []),
    ]
  })
}

function inferredFindings(members: Member[]): Finding[] {
  return members.flatMap((member, index): Finding[] => member.source === 'observed'
    ? []
    : [{
        ...about(member), severity: 'caution', code: 'member-inferred' as const,
        message: words`${name(index)} at ${member.centre} is only predicted from the spacing of its neighbours.`,
        remedy: words`Take a reading of it before hanging anything on it.`,
      }])
}

/**
 * A miss at another height than all that met a stud: it ends between, or it leans, and one reading does not tell which.
 */
function endsText(stud: string, member: Member, { x, reading: { method, y } }: Sign, met: Sign[]): Text {
  const found = words`${stud} at ${member.centre}: ${METHOD_NAMES[method]} at ${x} found nothing ${y} above floor.`
  const slope = leanToMiss({ x, y }, met, member)
  return slope === undefined
    ? words`${found} The stud ends between, or leans.`
    : words`${found} The stud ends between, or leans by at least ${quantity(1000 * slope, 'mm/m')}.`
}

/** Studs that lean by more than this are worth a word, mm for each mm of height. */
const LEANS = 0.003

function leanFindings(members: Member[]): Finding[] {
  return members.flatMap((member, index): Finding[] => {
    const { slope, sd } = member.lean ?? { slope: 0, sd: 0 }
    if (Math.abs(slope) < LEANS) return []
    return [{
      ...about(member),
      severity: 'caution',
      code: 'member-leans' as const,
      message: words`${name(index)} leans ${quantity(1000 * Math.abs(slope), 'mm/m')} to the
        ${slope < 0 ? 'left' : 'right'} going up (± ${quantity(1960 * sd, 'mm/m')}): readings at different heights
        are off by that.`,
      remedy: words`Holes are planned along the lean. Probe at the height of the holes to confirm it.`,
    }]
  })
}

/** A nail that met nothing where a member is believed to be: it ends there, or is elsewhere. */
function againstFindings(wall: Wall, members: Member[]): Finding[] {
  const signs = signsOf(wall)
  const misses = missesOf(signs)
  const met = ({ evidence }: Member) =>
    signs.filter(({ reading, speaksFor }) => speaksFor && evidence.includes(reading.id))
  const plumb = ({ lean }: Member) => lean?.slope ? plumbed(misses, lean) : misses
  return members.flatMap((member, index) => member.source === 'inferred'
    ? []
    : missesIn(member, plumb(member)).map((sign): Finding => {
        const ends = !standsAt(member, sign.reading.y)
        return {
          stage: 'survey',
          subject: { kind: 'reading', id: sign.reading.id },
          severity: 'caution',
          code: ends ? 'member-ends' : 'reading-conflicts',
          message: ends
            ? endsText(name(index), member, sign, met(member))
            : words`${METHOD_NAMES[sign.reading.method].replace(/^a/, 'A')} at ${sign.x}, ${sign.reading.y} above
              floor, found nothing where stud ${String(index + 1)} should be.`,
          remedy: ends
            ? words`No hole near that height is planned into it. Probe to both sides of ${sign.x},
              ${sign.reading.y} above floor: a leaning stud is met there, one that ends is not.`
            : words`Probe again, or exclude the reading with a reason.`,
        }
      }))
}

/** A note for each reading that says nothing of a stud, as blocking runs at its height. */
function blockingFindings(wall: Wall): Finding[] {
  return everySign(wall).filter(sign => meetsBlocking(wall, sign)).map(({ reading, x }) => {
    const what = words`${METHOD_NAMES[reading.method].replace(/^a/, 'A')} at ${x}, ${reading.y} above floor,`
    return {
      stage: 'survey', subject: { kind: 'reading', id: reading.id }, severity: 'note', code: 'reading-in-blocking',
      message: words`${what} may have met the blocking there: it says nothing of a stud.`,
      remedy: words`Probe at least ${APART} above or below the blocking.`,
    }
  })
}

const unexplainedFindings = (signs: Sign[]): Finding[] =>
  signs
    .filter(({ kind }) => kind !== 'knock' && kind !== 'box')
    .map(({ reading, x }) => ({
      stage: 'survey',
      subject: { kind: 'reading', id: reading.id },
      severity: 'caution',
      code: 'reading-unexplained',
      message: words`${METHOD_NAMES[reading.method].replace(/^a/, 'A')} at ${x} fits no stud: it may be a pipe, a
        screw in blocking, or a stud that no other reading shows.`,
      remedy: words`Take a second reading there, or exclude this one with a reason.`,
    }))

/**
 * Readings of one kind stand off those of others by more than this along the wall, mm, and by so many σ, before it is
 * worth a word.
 */
const KINDS_APART = { mm: 3.5, sigmas: 2.5, members: 3 }

/** Findings about a detector that disagrees with everything else along the wall. */
function detectorFindings(wall: Wall, shared: SharedError[]): Finding[] {
  return shared.flatMap(({ source, shift, raw }): Finding[] => {
    if (!source.startsWith('detector') || !raw || raw.members < KINDS_APART.members) return []
    if (Math.abs(raw.off) < KINDS_APART.mm || Math.abs(raw.off) < KINDS_APART.sigmas * raw.sd) return []
    return [{
      severity: 'caution',
      code: 'kinds-disagree' as const,
      stage: 'survey',
      subject: { kind: 'wall', id: wall.id },
      message: words`The detector reads ${Math.abs(raw.off)} to the ${raw.off < 0 ? 'left' : 'right'} of the nails,
        magnets and sightings, at ${String(raw.members)} studs along the wall. Its readings are treated as
        ${Math.abs(shift)} too far to the ${shift < 0 ? 'left' : 'right'}.`,
      remedy: words`Test the detector on a stud with visible edges; if it is wrong, exclude its readings.`,
    }]
  })
}

/** A detector whose readings spread by more than this, as a multiple of the usual, is worth a word. */
const SPREADS = 1.6

/** A caution for each detector whose readings agree badly with one another. */
function spreadFindings(wall: Wall, shared: SharedError[]): Finding[] {
  const signs = shared.length > 0 ? readingsOf(wall) : []
  return shared.flatMap(({ source }): Finding[] => {
    const { spread = 1 } = signs.find(sign => sign.kind === 'detector' && sourcesOf(sign).includes(source)) ?? {}
    if (!source.startsWith('detector') || spread < SPREADS) return []
    const [found, usual] = [spread * ERROR_MODEL.detectorEdge, ERROR_MODEL.detectorEdge]
    const edges = `Edges read with the detector from the ${source.endsWith('behind') ? 'rear' : 'front'}`
    const effect = 'Every stud that rests on them is known less well.'
    return [{
      severity: 'caution',
      code: 'detector-spreads',
      stage: 'survey',
      subject: { kind: 'wall', id: wall.id },
      message: words`${edges} agree badly: their standard deviation is about ${found}, not ${usual}. ${effect}`,
      remedy: words`Sweep slowly, the detector flat on the wall. Read the edges again, or probe them.`,
    }]
  })
}

/** Findings where edges measured apart disagree with the width that was said. */
function widthFindings(wall: Wall, { said, believed, sure, differs }: CommonWidth): Finding[] {
  if (!differs) return []
  return [{
    severity: 'caution',
    code: 'member-width-differs' as const,
    stage: 'survey',
    subject: { kind: 'wall', id: wall.id },
    message: words`The edges read show studs ${believed} wide; ${said} was entered. Studs are taken as
      ${believed} wide, and holes keep to ${sure} of that.`,
    remedy: words`Find both edges of one stud with a nail, and correct the stud width.`,
  }]
}

/** Linings up to this year may hold asbestos, and paint on them lead. */
const OLD_LINING = 1990

/** What has to be known of a wall before it is opened. */
export function liningFindings({ id, linedIn, fireRating }: Wall): Finding[] {
  return [
    ...(linedIn !== undefined && linedIn < OLD_LINING
      ? [{
          severity: 'caution' as const,
          code: 'lining-old' as const,
          stage: 'survey' as const,
          subject: { kind: 'wall' as const, id },
          message: words`The lining dates from ${String(linedIn)}: it may contain asbestos, and its paint may
            contain lead.`,
          remedy: words`Have it tested before cutting or drilling.`,
        }]
      : []),
    ...(fireRating
      ? [{
          severity: 'caution' as const,
          code: 'wall-fire-rated' as const,
          stage: 'survey' as const,
          subject: { kind: 'wall' as const, id },
          message: words`The wall has a fire rating of ${String(fireRating)} minutes.`,
          remedy: words`Open it only with its approved seal; local code takes precedence.`,
        }]
      : []),
  ]
}

/** No stud is known: nothing is fixed to one then. What hangs on a backing asks only that that is fixed to them. */
function framingUnknown(wall: Wall): Finding {
  const about = {
    code: 'framing-unknown', stage: 'survey', subject: { kind: 'wall', id: wall.id },
    message: words`No stud of this wall is known.`,
  } as const
  return hasBacking(wall)
    ? { ...about, severity: 'caution', remedy: words`Find them to check that the backing is fixed to every stud.` }
    : {
        ...about,
        severity: 'stop',
        remedy: words`Survey the wall with a detector, magnet or nail, and enter the readings.`,
      }
}

/** What is wrong or doubtful about the framing. */
export function framingFindings(
  wall: Wall,
  members: Member[],
  { unexplained, shared, width }: Pick<FramingMap, 'unexplained' | 'shared' | 'width'>,
  framed: boolean,
): Finding[] {
  const unknown = framed && members.length === 0 ? [framingUnknown(wall)] : []
  return [
    ...unknown,
    ...widthFindings(wall, width),
    ...detectorFindings(wall, shared),
    ...spreadFindings(wall, shared),
    ...againstFindings(wall, members),
    ...unexplainedFindings(unexplained),
    ...blockingFindings(wall),
    ...placeFindings(wall, members),
    ...leanFindings(members),
    ...inferredFindings(members),
  ]
}
