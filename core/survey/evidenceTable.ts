import { evidenceFaults, same, type Evidence, type Reference } from '../job'
import { parseLength, type UnitSystem } from '../units'

/** The columns of a table of evidence, in order. */
export const EVIDENCE_COLUMNS = [
  'id',
  'method',
  'x',
  'y',
  'side',
  'reference',
  'edge',
  'hit',
  'dull',
  'direction',
  'by',
  'at',
  'note',
  'photo',
  'setAside',
] as const
type Column = typeof EVIDENCE_COLUMNS[number]

/** One row of a table as text, by column. */
export type EvidenceRow = Partial<Record<Column, string>>

/** What becomes of a row: added, put in the place of the reading of its id, left as it is, or refused, and why. */
export interface RowVerdict {
  /** Its number in the table, from 1. */
  row: number
  becomes: 'added' | 'changed' | 'same' | 'refused'
  reading?: Evidence
  message?: string
}

const FLAGS: Record<string, boolean> = {
  true: true,
  yes: true,
  hit: true,
  dull: true,
  1: true,
  false: false,
  no: false,
  miss: false,
  hollow: false,
  0: false,
}

/** Readings as rows of text; lengths in mm. */
export function evidenceToRows(evidence: Evidence[]): EvidenceRow[] {
  return evidence.map(reading =>
    Object.fromEntries(
      EVIDENCE_COLUMNS.map(column => [column, reading[column] === undefined ? '' : String(reading[column])]),
    ),
  )
}

/** A row's values as a reading would hold them; what cannot be read stays text, and is then refused by name. */
function valuesOf(row: EvidenceRow, system: UnitSystem): { values: Record<string, unknown>, faults: string[] } {
  const faults: string[] = []
  const values: Record<string, unknown> = {}
  for (const column of EVIDENCE_COLUMNS) {
    const text = row[column]?.trim() ?? ''
    if (text === '') continue
    if (column === 'x' || column === 'y') {
      const reading = parseLength(text, system)
      if (reading.ok) values[column] = reading.mm
      else faults.push(`${column}: ${reading.message}`)
    }
    else if (column === 'hit' || column === 'dull') {
      const flag = FLAGS[text.toLowerCase()]
      if (flag === undefined) faults.push(`${column} must be true or false, not “${text}”`)
      else values[column] = flag
    }
    else values[column] = text
  }
  return { values, faults }
}

/**
 * Says of each row of a table what it would do to a wall's evidence, before anything is done.
 *
 * @param freeId gives the n-th new id to a row that names none
 */
export function judgeRows(
  rows: EvidenceRow[],
  kept: Evidence[],
  references: Reference[],
  freeId: (n: number) => string,
  system: UnitSystem = 'metric',
): RowVerdict[] {
  const byId = new Map(kept.map(reading => [reading.id, reading]))
  const seen = new Set<string>()
  let unnamed = 0
  return rows.map((row, index): RowVerdict => {
    const { values, faults } = valuesOf(row, system)
    const reading = { id: freeId(unnamed), ...values } as Evidence
    if (!row.id?.trim()) unnamed++
    if (faults.length === 0)
      faults.push(
        ...evidenceFaults(reading).map(
          ({ path, message }) => `${path === '$' ? 'It' : path.replace(/^\$\./, '')} ${message}`,
        ),
      )
    if (reading.reference !== undefined && !references.some(({ id }) => id === reading.reference))
      faults.push(`reference “${reading.reference}” is not on this wall`)
    if (seen.has(reading.id)) faults.push(`id “${reading.id}” appears twice in this table`)
    seen.add(reading.id)
    if (faults.length > 0) return { row: index + 1, becomes: 'refused', message: `${faults.join('; ')}.` }
    const before = byId.get(reading.id)
    return { row: index + 1, becomes: !before ? 'added' : same(before, reading) ? 'same' : 'changed', reading }
  })
}

/** A wall's evidence with what was judged good put in; refused rows change nothing. */
export function mergeRows(kept: Evidence[], verdicts: RowVerdict[]): Evidence[] {
  const changed = new Map(
    verdicts.flatMap(({ becomes, reading }) =>
      becomes === 'changed' && reading ? [[reading.id, reading] as const] : [],
    ),
  )
  return [
    ...kept.map(reading => changed.get(reading.id) ?? reading),
    ...verdicts.flatMap(({ becomes, reading }) => becomes === 'added' && reading ? [reading] : []),
  ]
}
