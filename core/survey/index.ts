import type { Finding } from '../finding'
import { structureKindOf, type Rules, type Wall } from '../job'
import { buildUpFindings } from './buildUpFindings'
import { fitCoursing, coursingFindings, type Coursing } from './coursing'
import { framingFindings, liningFindings } from './findings'
import { mapFraming, nominalWidth, pliesIn, type FramingMap, type Member } from './framing'
import { DOUBLE_WIDTH } from './errorModel'
import { knownFraming } from './identity'
import { proofOf } from './proof'
import type { Run } from './runs'
import { reliefOf, type Relief } from './relief'
import type { SharedError } from './shared'
import { referenceFindings, uncheckedReferences } from './references'
import { twiceFindings } from './twice'

export { buildUpFindings, drillingCautions } from './buildUpFindings'
export { carryingWall, wallFor } from './carrying'
export * from './pieces'
export * from './coursing'
export * from './defaults'
export { handNameOn, knownFraming } from './identity'
export * from './names'
export * from './nextProbe'
export { unsurveyedIn } from './surveyed'
export * from './relief'
export * from './transfer'
export * from './quickLine'
export * from './figures'
export * from './evidenceTable'
export { isInBlocking } from './blocking'
export { metAt, probeHeight, proofOf, METHOD_NAMES, type Proof } from './proof'
export { nominalWidth, piecesOf, pliesIn, type Member } from './framing'
export { expectedAt, USUAL_SPACINGS, type Run } from './runs'
export { memberAt, type Lean } from './lean'
export { standsAt } from './stretches'
export type { SharedError } from './shared'
export { signsOf, pointsTo, belongs, sourcesOf, type Sign } from './sign'

/** What the survey gives to later stages. */
export interface Survey {
  members: Member[]
  /** Runs of even spacing that the members stand in. */
  runs: Run[]
  /** Ids of readings that no member explains. */
  unexplained: string[]
  /** What all readings of one instrument, or carried over by one reference, are taken to share. */
  shared: SharedError[]
  /** References by which readings came over from the far side and that nothing checks. */
  uncheckedReferences: string[]
  coursing?: Coursing
  relief?: Relief
  findings: Finding[]
}

/** Whether a wall's load is carried by upright members, and not by its whole face. */
export const isFramed = (wall: Wall) => structureKindOf(wall.structure).framed

function knownMembers(wall: Wall): Member[] {
  const { memberWidth = nominalWidth(wall) } = wall.structure
  return knownFraming(wall.structure)
    .sort((a, b) => a.centre - b.centre)
    .map(({ id, centre, width }) => ({
      id,
      centre,
      width,
      sd: 0,
      kind: width > DOUBLE_WIDTH * memberWidth ? 'double' : 'single',
      plies: pliesIn(width, memberWidth),
      source: 'observed',
      confidence: 1,
      proved: true,
      evidence: [],
    }))
}

/** A map of a wall whose framing is known, or that has none. */
const NOTHING_READ = (width: number): FramingMap => ({
  members: [],
  runs: [],
  unexplained: [],
  shared: [],
  width: { said: width, believed: width, sure: width, differs: false },
})

/**
 * Reads what was found out about a wall: its framing from all evidence, or as it was entered where
 * it is known; the coursing of block and brick; the relief of its face.
 */
export function survey(wall: Wall, rules: Rules = {}): Survey {
  const known = knownMembers(wall)
  const map = known.length > 0 || !isFramed(wall) ? NOTHING_READ(nominalWidth(wall)) : mapFraming(wall)
  const members
    = known.length > 0 ? known : map.members.map(member => ({ ...member, proved: proofOf(member, wall, rules).proved }))
  const coursing = fitCoursing(wall)
  const relief = reliefOf(wall.surface ?? [])
  return {
    members,
    runs: map.runs,
    unexplained: map.unexplained.map(({ reading }) => reading.id),
    shared: map.shared,
    uncheckedReferences: uncheckedReferences(wall, map.shared),
    ...coursing && { coursing },
    ...relief && { relief },
    findings: [
      ...framingFindings(wall, members, map, isFramed(wall)),
      ...coursingFindings(wall, coursing),
      ...referenceFindings(wall, map.shared),
      ...liningFindings(wall),
      ...buildUpFindings(wall),
      ...twiceFindings(wall),
    ],
  }
}
