import { itemName, type Base } from '../job'
import type { ArrayPlan, Hole, Position } from '../mount'
import { centreOf, type Rect } from '../geometry'
import type { Subject } from '../subject'
import type { Wiring } from '../wire'
import { roundLength, type Precision, type UnitSystem } from '../units'
import type { Datum, LevelLine } from './datum'
import { levelAt, turned, turnedMargin } from './level'
import { screenLabel } from '../job/screenLabel'

export type MarkKind
  = 'level-line' | 'centre-line' | 'corner' | 'plate-centre' | 'hole' | 'bolt' | 'cut-out' | 'opening' | 'bore'

/**
 * One thing to mark on the wall. Every figure is reckoned from the datum, the floor or the level
 * line by itself, never from another mark; mm, not rounded. A line has no place along itself.
 */
export interface Mark {
  id: string
  kind: MarkKind
  label: string
  /** Along the wall from the datum, + to the right. */
  running?: number
  /** Above finished floor. */
  height?: number
  /** Above (+) or below (−) the level line. */
  fromLevel?: number
  /** Holes: bit and depth, mm, the member behind, by index, and the wood to spare beside the fastener. */
  bit?: number
  depth?: number
  member?: number
  margin?: number
  /** The sheet behind the covering that a hole goes into. */
  into?: Base
  /** Cut-outs and openings: how wide and high they are, with the first of their corners. */
  size?: { width: number, height: number }
}

/** What a mark is of: a hole, or nothing but a mark. */
export const subjectOf = ({ id, kind }: Pick<Mark, 'id' | 'kind'>): Subject => ({
  kind: kind === 'hole' || kind === 'bolt' ? 'hole' : 'mark',
  id,
})

/**
 * How far a mark is above (+) or below (−) the level line as that is printed, mm, not rounded: anyone who draws the
 * line
 * draws it where the sheet says, so that a height taken from it is calculated from there.
 *
 * @example
 * // A line at 1938.4 is printed 1938: a hole at 2090.4 is 152.4 above it, not 152.0
 */
export function fromPrintedLevel(
  { height, fromLevel }: Pick<Mark, 'height' | 'fromLevel'>,
  units: UnitSystem,
  precision: Precision,
): number | undefined {
  return height === undefined || fromLevel === undefined
    ? undefined
    : height - roundLength(height - fromLevel, units, precision)
}

type Place = { x?: number, y?: number }

/** A mark where it comes on the wall; what is taken from the level line is square to it. */
function markAt(
  { id, kind, label }: { id: string, kind: MarkKind, label: string },
  { x, y }: Place,
  { datum, level }: { datum: Datum, level: LevelLine },
): Mark {
  const mark: Mark = { id, kind, label }
  const at = turned({ x: x ?? level.turn?.about.x ?? 0, y: y ?? level.y }, level.turn)
  if (x !== undefined) mark.running = at.x - datum.x
  if (y !== undefined) [mark.height, mark.fromLevel] = [at.y, y - level.y]
  return mark
}

/**
 * The level line where it is struck: one height, or, where it is not level, one at the datum and one at the far side of
 * what is marked.
 */
function levelMarks(arrays: ArrayPlan[], datum: Datum, level: LevelLine): Mark[] {
  if (!level.turn)
    return [markAt({ id: 'level-line', kind: 'level-line', label: 'Level line' }, { y: level.y }, { datum, level })]
  const far = arrays
    .flatMap(({ outline }) => [outline.x, outline.x + outline.width])
    .reduce((a, b) => (Math.abs(b - datum.x) > Math.abs(a - datum.x) ? b : a))
  const at = (id: string, where: string, x: number): Mark => ({
    id,
    kind: 'level-line',
    label: `Level line ${where}`,
    running: x - datum.x,
    height: levelAt(level, x),
    fromLevel: 0,
  })
  return [at('level-line', 'at the datum', datum.x), at('level-line-far', 'at the far end', far)]
}

function holeMark(hole: Hole, name: string, datum: Datum, level: LevelLine): Mark {
  const mark = markAt(
    { id: hole.id, kind: 'hole', label: `${name} ${hole.row} ${hole.rank}${hole.byHand ? ', manual' : ''}` },
    hole,
    { datum, level },
  )
  if (hole.bit !== undefined) [mark.bit, mark.depth] = [hole.bit, hole.depth]
  if (hole.member !== undefined) mark.member = hole.member
  if (hole.into !== undefined) mark.into = hole.into
  if (hole.margin !== undefined) mark.margin = turnedMargin({ ...hole, margin: hole.margin }, level.turn)
  return mark
}

function positionMarks(position: Position, datum: Datum, level: LevelLine): Mark[] {
  const name = screenLabel(position)
  const { plate, holes = [], bolts = [] } = position
  return [
    ...(plate
      ? [
          markAt(
            {
              id: `${position.id}-plate`,
              kind: 'plate-centre',
              label: `${name} plate centre${plate.byHand ? ', manual' : ''}`,
            },
            plate.centre,
            { datum, level },
          ),
        ]
      : []),
    ...holes.map(hole => holeMark(hole, name, datum, level)),
    ...bolts.map(bolt =>
      markAt({ id: bolt.id, kind: 'bolt', label: `${name} bolt ${bolt.rank}, ${bolt.row}` }, bolt, { datum, level }),
    ),
  ]
}

/** The four corners of what is cut, each from the datum and the level line; its size stands with the first. */
function cornersOf(
  { id, kind, name }: { id: string, kind: MarkKind, name: string },
  { x, y, width, height }: Rect,
  { datum, level }: { datum: Datum, level: LevelLine },
): Mark[] {
  const at = (corner: string, words: string, place: { x: number, y: number }) =>
    markAt({ id: `${id}-${corner}`, kind, label: `${name} ${words}` }, place, { datum, level })
  return [
    { ...at('tl', 'top left', { x, y: y + height }), size: { width, height } },
    at('tr', 'top right', { x: x + width, y: y + height }),
    at('bl', 'bottom left', { x, y }),
    at('br', 'bottom right', { x: x + width, y }),
  ]
}

/** What is cut and bored for cables: boxes in their places, openings, and holes through timber. */
function wiringMarks({ boxes, works, loads }: Wiring, datum: Datum, level: LevelLine): Mark[] {
  const labelOf = new Map(loads.map(({ screen, label }) => [screen, label]))
  return [
    ...boxes
      .filter(({ held, kind }) => held && kind !== 'floor')
      .flatMap(({ id, number, kind, for: screens, cutout }) => {
        const what = `${kind === 'pass-through' ? 'plate' : 'box'} ${itemName({ id, number })}`
        const name = `${labelOf.get(screens[0]!) ?? ''} ${what}`.trim()
        return cornersOf({ id: `${id}-box`, kind: 'cut-out', name }, cutout, { datum, level })
      },
      ),
    ...works.openings.flatMap(({ id, rect, at }, n) =>
      cornersOf({ id, kind: 'opening', name: `Opening ${n + 1} at ${at === 'stud' ? 'a stud' : 'blocking'}` }, rect, {
        datum,
        level,
      }),
    ),
    ...works.bores
      .filter(({ diameter }) => Number.isFinite(diameter))
      .map(({ id, x, y, diameter, through }): Mark => ({
        ...markAt({ id, kind: 'bore', label: `Bore ${BORED[through]}` }, { x, y }, { datum, level }),
        bit: diameter,
      })),
  ]
}
const BORED = { plate: 'through top or bottom plate', stud: 'through a stud', blocking: 'through blocking' }

function outlineMarks({ id, name, outline }: ArrayPlan, datum: Datum, level: LevelLine): Mark[] {
  const { x, y } = centreOf(outline)
  const [right, top] = [outline.x + outline.width, outline.y + outline.height]
  return [
    markAt(
      { id: `${id}-centre-x`, kind: 'centre-line', label: `${name} vertical centre line` },
      { x },
      { datum, level },
    ),
    markAt(
      { id: `${id}-centre-y`, kind: 'centre-line', label: `${name} horizontal centre line` },
      { y },
      { datum, level },
    ),
    markAt(
      { id: `${id}-corner-tl`, kind: 'corner', label: `${name} top left corner` },
      { x: outline.x, y: top },
      { datum, level },
    ),
    markAt(
      { id: `${id}-corner-tr`, kind: 'corner', label: `${name} top right corner` },
      { x: right, y: top },
      { datum, level },
    ),
    markAt(
      { id: `${id}-corner-bl`, kind: 'corner', label: `${name} bottom left corner` },
      { x: outline.x, y: outline.y },
      { datum, level },
    ),
    markAt(
      { id: `${id}-corner-br`, kind: 'corner', label: `${name} bottom right corner` },
      { x: right, y: outline.y },
      { datum, level },
    ),
  ]
}

/**
 * Every mark of a wall: the level line, each array's centre lines and corners, plates, holes, the bolts of plates on
 * rails or a board, and what is cut and bored for cables.
 */
export function marksOf(arrays: ArrayPlan[], wiring: Wiring, datum: Datum, level: LevelLine): Mark[] {
  return [
    ...levelMarks(arrays, datum, level),
    ...arrays.flatMap(array => [
      ...outlineMarks(array, datum, level),
      ...array.positions.flatMap(position => positionMarks(position, datum, level)),
    ]),
    ...wiringMarks(wiring, datum, level),
  ]
}

/** A row of hole marks at one height, left to right: what a tape is laid along once. */
export interface MarkRow { id: string, label: string, height: number, marks: (Mark & { running: number })[] }

/** Hole marks of like height, to a tenth of a millimetre, from the top row down. */
export function rowsOf(marks: Mark[]): MarkRow[] {
  const rows = new Map<string, MarkRow>()
  for (const mark of marks) {
    if (mark.kind !== 'hole' || mark.height === undefined || mark.running === undefined) continue
    const key = (mark.fromLevel ?? mark.height).toFixed(1)
    const row = rows.get(key) ?? { id: key, label: '', height: mark.height, marks: [] }
    row.marks.push({ ...mark, running: mark.running })
    rows.set(key, row)
  }
  const sorted = [...rows.values()].sort((a, b) => b.height - a.height)
  for (const row of sorted) {
    row.marks.sort((a, b) => a.running - b.running)
    const [grid, slots] = [row.marks[0]!.label.split(' ')[0], row.marks[0]!.label.split(' ')[2]]
    row.label = `${grid} ${slots}`
  }
  return sorted
}
