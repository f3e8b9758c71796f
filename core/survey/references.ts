import type { Finding } from '../finding'
import { itemName, type Reference, type Wall } from '../job'
import { words } from '../units'
import type { SharedError } from './shared'
import { CARRIED_SIGMA, referenceOf } from './transfer'

/** How far two references may carry one position apart, mm: 3σ of reading both from either side. */
const AGREE = 3 * Math.SQRT2 * CARRIED_SIGMA

/** Whether two references carry a position over to the same place, as well as they can be read. */
const agree = (a: Reference, b: Reference) => Math.abs(a.front + a.back - b.front - b.back) <= AGREE

/**
 * A member read from both sides checks a reference where it would show an error of a member's width: known so well, one
 * σ, mm.
 */
const CHECKS = 10

/**
 * References by which readings came over and that nothing checks: no other reference agrees, and no member was
 * read from both sides well enough to show that it is wrong.
 */
export function uncheckedReferences(wall: Wall, shared: SharedError[]): string[] {
  const references = wall.references ?? []
  const used = new Set(
    (wall.evidence ?? [])
      .filter(({ side, setAside }) => side === 'back' && setAside === undefined)
      .map(reading => referenceOf(reading, references)?.id),
  )
  return references
    .filter(
      reference =>
        used.has(reference.id)
        && !references.some(other => other !== reference && agree(reference, other))
        && !shared.some(
          ({ source, raw }) => source === `reference ${reference.id}` && raw !== undefined && raw.sd < CHECKS,
        ),
    )
    .map(({ id }) => id)
}

/** A caution for each reference by which the far side contradicts what was read on the front, by more than 3σ. */
function sideFindings(shared: SharedError[], references: Reference[]): Finding[] {
  return references.flatMap((reference): Finding[] => {
    const { id } = reference
    const raw = shared.find(({ source }) => source === `reference ${id}`)?.raw
    if (!raw || Math.abs(raw.off) <= 3 * Math.hypot(raw.sd, CARRIED_SIGMA)) return []
    return [
      {
        severity: 'caution',
        code: 'sides-disagree',
        stage: 'survey',
        subject: { kind: 'reference', id },
        message: words`Positions that reference ${itemName(reference)} transfers from the rear are
          ${Math.abs(raw.off)} to the ${raw.off < 0 ? 'left' : 'right'} of the readings on the front, at
          ${raw.members === 1 ? 'one stud' : `${raw.members} studs`}.`,
        remedy: words`Measure ${itemName(reference)} again from both sides. Until then, the studs that it locates are
          treated as less accurate.`,
      },
    ]
  })
}

/**
 * Cautions of references that contradict each other or the front by more than 3σ, and of readings that none carries
 * over.
 */
export function referenceFindings(wall: Wall, shared: SharedError[] = []): Finding[] {
  const references = wall.references ?? []
  const disagreeing = references.flatMap((a, index) => references.slice(index + 1).flatMap((b): Finding[] => {
    const apart = Math.abs(a.front + a.back - b.front - b.back)
    if (agree(a, b)) return []
    return [
      {
        severity: 'caution',
        code: 'references-disagree',
        stage: 'survey',
        subject: { kind: 'reference', id: b.id },
        message: words`References ${itemName(a)} and ${itemName(b)} transfer the same position ${apart} apart;
          measuring error explains up to ${AGREE}.`,
        remedy: words`Measure both again from both sides.`,
      },
    ]
  }))
  const stranded = (wall.evidence ?? []).filter(reading => reading.side === 'back' && !referenceOf(reading, references))
  return [
    ...disagreeing,
    ...sideFindings(shared, references),
    ...stranded.map((reading): Finding => ({
      severity: 'caution', code: 'reading-not-carried', stage: 'survey', subject: { kind: 'reading', id: reading.id },
      message: words`The reading at ${reading.x} on the rear has no reference, so it cannot be transferred.`,
      remedy: words`Choose a reference visible from both sides: a jamb, window edge or through hole.`,
    })),
  ]
}
