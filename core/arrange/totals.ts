import type { Catalogue, Display, ScreenArray } from '../job'
import { figure, MM_PER_INCH, words, type Figure, type Text, type UnitSystem } from '../units'
import type { Cell } from './cell'
import { pictureOf } from './viewing'

type Hanging = Pick<Cell, 'model' | 'mount'>

/** How many screens of an array are alike in model and mount. */
function groupsOf(
  cells: Hanging[],
  array: Pick<ScreenArray, 'mount'>,
  { displays, mounts }: Pick<Catalogue, 'displays' | 'mounts'>,
) {
  const groups = new Map<string, { count: number, display: Display, mount: Catalogue['mounts'][number] | undefined }>()
  for (const { model, mount: own } of cells) {
    const mountId = own ?? array.mount
    const key = `${model} ${mountId}`
    const known = groups.get(key)
    if (known) known.count++
    else
      groups.set(key, {
        count: 1,
        display: displays.find(({ id }) => id === model)!,
        mount: mounts.find(({ id }) => id === mountId),
      })
  }
  return [...groups.values()]
}

const sumOf = (terms: Text[]): Text => terms.reduce((text, term, n) => n === 0 ? term : words`${text} + ${term}`, [])

/** Mass of all displays and mounts of an array. */
export function massOf(
  cells: Hanging[],
  array: Pick<ScreenArray, 'mount'>,
  catalogue: Pick<Catalogue, 'displays' | 'mounts'>,
): Figure {
  const groups = groupsOf(cells, array, catalogue)
  return figure([
    {
      label: 'Mass',
      expression: words`${sumOf(groups.map(({ count, display, mount }) => words`${String(count)} × (display
        ${String(display.mass)} + mount ${mount ? String(mount.mass) : 'not chosen'})`))} kg`,
      value: groups.reduce((sum, { count, display, mount }) => sum + count * (display.mass + (mount?.mass ?? 0)), 0),
      unit: 'kg',
    },
  ])
}

/** Power of all displays, typical or most; undefined where a sheet does not give it. */
export function powerOf(
  cells: Hanging[],
  catalogue: Pick<Catalogue, 'displays' | 'mounts'>,
  which: 'typical' | 'max',
): Figure | undefined {
  const groups = groupsOf(cells, {}, catalogue)
  if (groups.some(({ display }) => !display.power)) return undefined
  return figure([
    {
      label: which === 'max' ? 'Max power' : 'Typical power',
      expression: words`${sumOf(groups.map(({ count, display }) => words`${String(count)} ×
        ${String(display.power![which])}`))} W`,
      value: groups.reduce((sum, { count, display }) => sum + count * display.power![which], 0),
      unit: 'W',
    },
  ])
}

/** What gaps are rounded up to, mm. */
const GAP_STEP: Record<UnitSystem, number> = { metric: 0.5, imperial: MM_PER_INCH / 32 }

/**
 * The gap that a new grid begins with: the smallest round one that cases as large as their data sheet allows leave
 * open; mm.
 *
 * @example leastGap({ sizeTolerance: 0.4 }, 'metric') // 0.5
 */
export function leastGap({ sizeTolerance = 0 }: Pick<Display, 'sizeTolerance'>, units: UnitSystem): number {
  return Math.max(0, Math.ceil(sizeTolerance / GAP_STEP[units] - 1e-9)) * GAP_STEP[units]
}

/** Share of the whole picture's area, edge to edge, that no screen lights. */
export function lostToSeams(cells: Pick<Cell, 'picture'>[]): Figure {
  const { width, height } = pictureOf(cells)
  const lit = cells.reduce((sum, { picture }) => sum + picture.width * picture.height, 0)
  return figure([
    {
      label: 'Picture area lost to seams',
      expression: words`1 − lit area ${(lit / 1e6).toFixed(4)} m² ÷ (${width} × ${height})`,
      value: 100 * (1 - lit / (width * height)),
      unit: '%',
    },
  ])
}

/**
 * How far a seam may come out from its gap because cases differ in size, with every plate where it should be: the
 * worst, and what is usual.
 */
export function seamTolerance(display: Display): { worst: Figure, usual: Figure } | undefined {
  const each = display.sizeTolerance
  if (each === undefined) return undefined
  return {
    worst: figure([
      { label: 'Seam tolerance, worst case', expression: words`${each} ÷ 2 + ${each} ÷ 2`, value: each, unit: 'mm' },
    ]),
    usual: figure([
      {
        label: 'Seam tolerance, root sum square',
        expression: words`√((${each} ÷ 2)² + (${each} ÷ 2)²)`,
        value: each / Math.SQRT2,
        unit: 'mm',
      },
    ]),
  }
}
