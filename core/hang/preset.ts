import type { Catalogue, Rules, ScreenArray } from '../job'
import { mountModels, type ArrayPlan } from '../mount'
import { chosenFigure } from '../rules'
import { figure, words, type Figure } from '../units'

/** Rows of an array as they are set before anything is hung. */
export interface Presets {
  /** How far each row is set above or below its place, mm, the top row first. */
  rows: { row: number, by: number }[]
  /** How much farther apart than they will be two rows should stand. */
  apart: Figure
  /** How much of that the height adjusters do not give, mm; 0 where they give all of it. */
  short: number
}

/** What stays open between two rows that came out nearer than planned, mm: a screen is let down past it manually. */
const CLEAR = 1
/** Heights are set by a rule held to the plate, to this, mm. */
const SET_TO = 0.5

/**
 * How much nearer than planned two rows may come out, two σ, by how they are marked, drilled and fixed and by their
 * cases; and so how far apart they are set.
 */
function apartOf(gap: number, size: number, rules: Rules): Figure {
  const of = (key: Parameters<typeof chosenFigure>[0]) => chosenFigure(key, rules, 'metric')
  const [mark, drill, slack] = [of('markingSigma'), of('drillWander'), of('plateSlack')]
  const nearer = 2 * Math.sqrt(2 * (mark ** 2 + drill ** 2 + slack ** 2 / 12) + size ** 2 / 6)
  const apart = Math.max(0, Math.ceil((nearer + CLEAR - gap) / SET_TO - 1e-9)) * SET_TO
  return figure([
    {
      label: 'Closer than planned, two standard deviations',
      expression: words`2 × √(2 × (${mark}² + ${drill}² + ${slack}²/12) + ${size}²/6)`,
      value: nearer,
      unit: 'mm',
      source: 'marks and holes normally distributed; plate play and case sizes uniformly, half of each case at a seam',
    },
    {
      label: 'Preset spacing',
      expression: words`${nearer} + ${CLEAR} to pass − ${gap} gap, at least 0, rounded up to ${SET_TO}`,
      value: apart,
      unit: 'mm',
    },
  ])
}

/**
 * How far upper rows are raised and lower rows lowered before anything is hung, so that nothing touches while one
 * screen is lifted past another, and every row can still be brought back to its place: the middle stays, and no row
 * goes
 * farther than the travel that its plates have left.
 *
 * @example
 * // Three rows, gap 0.6 mm, marks and drill true to 1 mm, plates loose by 1 mm, travel 12 mm:
 * presetsOf(array, plan, catalogue, {}).rows.map(({ by }) => by) // [4.5, 0, -4.5]
 */
export function presetsOf(
  array: ScreenArray,
  { positions }: Pick<ArrayPlan, 'positions'>,
  catalogue: Catalogue,
  rules: Rules,
): Presets {
  const mountOf = mountModels(array, catalogue)
  const rows = [...new Set(positions.map(({ row }) => row))].sort((a, b) => a - b)
  const size = Math.max(
    0,
    ...catalogue.displays
      .filter(({ id }) => positions.some(({ model }) => model === id))
      .map(({ sizeTolerance = 0 }) => sizeTolerance),
  )
  const apart = apartOf(array.gap.y, size, rules)
  const middle = (rows.length - 1) / 2
  // A plate that stands high leaves its screen so much more way up, and less down.
  const wayOf = (row: number, up: boolean) =>
    Math.min(
      ...positions
        .filter(position => position.row === row)
        .map((position) => {
          const { height = 0 } = mountOf(position)?.adjust ?? {}
          const shift = position.plate?.heightShift ?? 0
          return Math.max(0, up ? height + shift : height - shift)
        }),
    )
  const wanted = rows.map((row, n) => ({ row, by: (middle - n) * apart.value || 0 }))
  const share = Math.min(
    1,
    ...wanted.filter(({ by }) => by !== 0).map(({ row, by }) => wayOf(row, by > 0) / Math.abs(by)),
  )
  return {
    rows: wanted.map(({ row, by }) => ({ row, by: by * share || 0 })),
    apart,
    short: rows.length > 1 ? apart.value * (1 - share) : 0,
  }
}
