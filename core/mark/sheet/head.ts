import { isSimulated, type Rules, type Site, type Wall } from '../../job'
import { HOUSE_RULES, chosenFigure, chosenOption } from '../../rules'
import { inLines, INK, issueLine, label, qrCode, STOP, type Paper } from '../../sheet'
import { group, line, type Shape } from '../../svg'
import { formatLength, quantityToString, stepOf, toleranceToString, type UnitSystem } from '../../units'
import { accuracyOf, howTrue } from '../accuracy'
import type { Shown } from './drawing'
import type { SheetOptions } from './options'
import { plural } from '../../units/plural'

/** What a sheet takes of the job beside the wall. */
export interface SheetJob { site: Pick<Site, 'name' | 'units'>, rules: Rules }

/** The code by which a telephone finds the wall is so large, mm. */
const CODE = 17
const RULES = 2.5
/**
 * Rules that every sheet prints, because drilling depends on them. The others are printed where the firm, site or wall
 * set them.
 */
const ALWAYS_TOLD = new Set<string>([
  'proofOfFraming',
  'coveringCountsAsGap',
  'hollowWallAnchors',
  'blockJoints',
  'furring',
  'heightDatum',
])

/**
 * The house rules that concern this wall, as lines of the head: as short as they can be, because each line makes the
 * drawing smaller.
 */
function houseRules({ rules, site }: SheetJob, wall: Wall, paper: Paper): string[] {
  const told = HOUSE_RULES
    .filter(({ key, concerns }) => (ALWAYS_TOLD.has(key) || rules[key] !== undefined) && (concerns?.(wall) ?? true))
    .map(rule => `${rule.title.toLowerCase().replace(/ \(.*\)$/, '')}: ${chosenOption(rule, rules).name}`)
  const tape = toleranceToString(chosenFigure('markingSigma', rules, site.units), site.units)
  return inLines(`House rules: ${[...told, `tape accurate to ± ${tape}`].join('; ')}.`, paper, RULES)
}
/** How deep the block at the top of every page is. */
export const headOf = (job: SheetJob, wall: Wall, paper: Paper) => 17.4 + 3.3 * houseRules(job, wall, paper).length

/** Where dimensions run from, and how high the level line is. */
function datumLine({ datum, levelLine }: Shown['marking'], show: (mm: number) => string, units: UnitSystem): string {
  const from = `Datum: ${datum.label}. All dimensions run from the datum; never measure from mark to mark.`
  if (!levelLine) return from
  const level = `Level line ${show(levelLine.y)} above finished floor: ${levelLine.label}.`
  if (!levelLine.turn) return `${from} ${level}`
  const slope = quantityToString({ value: levelLine.turn.slope, unit: 'mm/m' }, units)
  return `${from} ${level} It is not level: it follows a building line, ${slope} up to the right; snap it through its `
    + 'two heights and measure square to it.'
}

/**
 * What stands at the head of every page: what it is of, where its figures run from, how true they are, and the house
 * rules.
 */
export function titleBlock(
  job: SheetJob,
  { wall, plan }: { wall: Wall, plan: Shown },
  { scale, paper }: { scale: number, paper: Paper },
  { units, precision, issue, address }: SheetOptions,
): Shape {
  const { width, margin, title } = paper
  const head = headOf(job, wall, paper)
  const right = width - margin - (address === undefined ? 0 : CODE + 2)
  const show = (mm: number) => formatLength(mm, units, precision)
  const { marks } = plan.marking
  const accuracy = accuracyOf(marks, units, precision, chosenFigure('markingSigma', job.rules, units))
  const stops = plan.findings.filter(({ severity }) => severity === 'stop').length
  const tolerance = (mm: number) => toleranceToString(mm, units)
  return group(
    {},
    label(`${job.site.name} · ${wall.name}`, margin, margin + 4.5, 5, { 'font-weight': 600 }),
    label(
      `${isSimulated(wall) ? 'SIMULATED · ' : ''}${issueLine(issue)} · Mark-out, drawn `
      + `1:${scale} on ${title} · ${units === 'metric' ? 'millimetres' : 'feet and inches'}`,
      right,
      margin + 4.5,
      3.4,
      { 'text-anchor': 'end', 'font-weight': issue ? undefined : 600 },
    ),
    stops > 0
      ? label(
          `Do not drill from this sheet: ${plural(stops, 'stop is', 'stops are')} open in this plan.`,
          right,
          margin + 9.5,
          3.4,
          { 'text-anchor': 'end', 'font-weight': 600, 'fill': STOP },
        )
      : '',
    label(
      datumLine(plan.marking, show, units),
      margin,
      margin + 9.5,
      2.9,
    ),
    label(
      `Rounded once to `
      + `${units === 'metric' ? `${stepOf(units, precision)} mm` : `1/${precision.denominator ?? 16} in`}, max `
      + `rounding error ${tolerance(accuracy.rounding)}, level line included. `
      + `${howTrue(accuracy, job.rules, units)}`,
      margin,
      margin + 13.5,
      2.9,
    ),
    ...houseRules(job, wall, paper).map((text, n) => label(text, margin, margin + 17 + 3.3 * n, RULES)),
    address === undefined ? '' : qrCode(address, width - margin - CODE, margin - 1, CODE),
    line(margin, margin + head - 2, width - margin, margin + head - 2, { 'stroke': INK, 'stroke-width': 0.4 }),
  )
}
