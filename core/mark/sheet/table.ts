import { choiceName } from '../../job'
import { bitName, formatLength, type Precision, type UnitSystem } from '../../units'
import type { Piece } from '../../survey'
import { fromPrintedLevel, type Mark } from '../marks'

/** One printed line of the mark-out table: every figure already rounded, once, for its unit. */
export interface TableRow {
  id: string
  kind: Mark['kind']
  label: string
  running: string
  height: string
  fromLevel: string
  drill: string
  into: string
  /** Whether the hole would miss its member: not to be drilled. */
  misses: boolean
}

export const TABLE_HEADS = {
  label: 'Mark',
  running: 'From datum',
  height: 'Above floor',
  fromLevel: 'From level',
  drill: 'Bit × depth',
  into: 'Into',
}

/** The mark-out table in one unit. A figure that a mark does not have, or that is not known, is an empty string. */
export function tableOf(marks: Mark[], units: UnitSystem, precision: Precision, piece: Piece = 'stud'): TableRow[] {
  const show = (mm: number | undefined) => mm === undefined ? '' : formatLength(mm, units, precision)
  const signed = (mm: number | undefined) =>
    mm === undefined ? '' : `${mm > 0 && !/^0"?$/.test(show(mm)) ? '+' : ''}${show(mm)}`
  const misses = ({ margin }: { margin?: number | undefined }) => margin !== undefined && margin < -1e-9
  const intoOf = ({ member, into, margin }: Mark) => {
    if (member !== undefined) return `${misses({ margin }) ? 'misses' : piece} ${member + 1}`
    return into === undefined ? '' : choiceName(into)
  }
  return marks.map(mark => ({
    id: mark.id,
    kind: mark.kind,
    label: mark.label,
    running: show(mark.running),
    height: show(mark.height),
    fromLevel: mark.kind === 'level-line' ? '' : signed(fromPrintedLevel(mark, units, precision)),
    drill: mark.size
      ? `cut ${show(mark.size.width)} × ${show(mark.size.height)}`
      : mark.kind === 'bore'
        ? `${bitName(mark.bit!, units)} through`
        : mark.kind === 'bolt'
          ? 'maker’s bolt'
          : mark.kind !== 'hole'
            ? ''
            : mark.bit === undefined
              ? 'not known'
              : `${bitName(mark.bit, units)} × ${show(mark.depth)}${units === 'metric' ? ' mm' : ''}`,
    into: intoOf(mark),
    misses: misses(mark),
  }))
}
