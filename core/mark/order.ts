import { rowsOf, type Mark, type MarkKind } from './marks'

/** Marks that are made together, with what they are called. */
export interface MarkGroup { id: string, title: string, marks: Mark[] }

const TITLES: Partial<Record<MarkKind, string>> = {
  'level-line': 'Level line first',
  'centre-line': 'Centre lines',
  'corner': 'Array corners',
  'plate-centre': 'Plate centres',
  'bolt': 'Bolts through rail or board',
  'cut-out': 'Box cut-outs',
  'opening': 'Cable openings',
  'bore': 'Bored holes',
}
const BEFORE: MarkKind[] = ['level-line', 'centre-line', 'corner']
const AFTER: MarkKind[] = ['bolt', 'cut-out', 'opening', 'bore']

const fromTheTop = (a: Mark, b: Mark) =>
  Math.round(10 * ((b.height ?? 0) - (a.height ?? 0))) || (a.running ?? 0) - (b.running ?? 0)

/**
 * The marks of a wall in the order in which a person makes them: the level line first, then what runs through the
 * whole, then row by row from the top what lies along one laying of the tape, and last what is cut and bored.
 */
export function inMarkingOrder(marks: Mark[]): MarkGroup[] {
  const ofKind = (kind: MarkKind): MarkGroup[] => {
    const found = marks.filter(mark => mark.kind === kind)
    return found.length > 0
      ? [
          {
            id: kind,
            title: TITLES[kind]!,
            marks:
              kind === 'level-line' || kind === 'centre-line' || kind === 'corner'
                ? found
                : found.sort(kind === 'cut-out' || kind === 'opening' ? () => 0 : fromTheTop),
          },
        ]
      : []
  }
  const plates = marks.filter(({ kind }) => kind === 'plate-centre').sort(fromTheTop)
  const rows: MarkGroup[] = rowsOf(marks).map(({ id, label, marks }) => ({
    id: `holes-${id}`,
    title: `Holes, ${label}`,
    marks,
  }))
  return [
    ...BEFORE.flatMap(ofKind),
    ...(plates.length > 0 ? [{ id: 'plate-centre', title: TITLES['plate-centre']!, marks: plates }] : []),
    ...rows,
    ...AFTER.flatMap(ofKind),
  ]
}
