import { dateText } from '../../dates'
import { findingKind } from '../../findings'
import { mergedForPaper } from '../../findings/merged'
import { drillingCautions } from '../../survey'
import { bitName, formatLength, textToString, type UnitSystem } from '../../units'
import type { Shown } from './drawing'
import type { SheetOptions } from './options'

/** Rails and boards to cut, and where each goes. */
export function stripsOf(
  { arrays, marking: { datum }, piece = 'stud' }: Shown,
  { units, precision }: SheetOptions,
): string[] {
  const show = (mm: number) => formatLength(mm, units, precision)
  return arrays.flatMap(({ name, strips }) => strips.map(({ row, of, rect, supports }) => {
    const piecesOn = supports.map(({ member }) => member + 1).join(', ')
    const what = of === 'board'
      ? `board ${show(rect.width)} × ${show(rect.height)}`
      : `rail behind the ${of} slots, ${show(rect.width)} long`
    return `${name}, row ${row}: ${what}, ends at ${show(rect.x - datum.x)} and `
      + `${show(rect.x + rect.width - datum.x)}, centre ${show(rect.y + rect.height / 2)} above floor, on `
      + `${piece}s ${piecesOn}.`
  }))
}

/** What is opened and bored for cables, and closed again; nothing where nothing is. */
export function cableWorkOf({ wiring: { works, boxes } }: Shown, { units, precision }: SheetOptions): string[] {
  const cut = boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0).length
  if (cut + works.bores.length + works.openings.length === 0) return []
  const sizes = [...new Set(works.bores.map(({ diameter }) => diameter).filter(Number.isFinite))]
    .sort((a, b) => a - b)
    .map(size => bitName(size, units))
  const bits = sizes.length > 0 ? ` (${sizes.join(', ')})` : ''
  const show = (mm: number) => formatLength(mm, units, precision)
  const openings = works.openings.map(({ rect }) => `${show(rect.width)} × ${show(rect.height)}`).join(', ')
  return [
    `For cables: boxes ${cut}, openings ${works.openings.length}, bored holes ${works.bores.length}${bits}, seals `
    + `${works.seals}, patches ${works.patches}, nail plates ${works.guards}. Isolate, prove dead and detect live `
    + 'cables before cutting; never cut a fire-rated wall without its approved seal.',
    ...works.openings.length > 0
      ? [`Cut openings with bevelled edges so that the piece fits back, ${openings}: keep the piece, seal the bored `
        + 'hole, screw the piece to battens, tape and fill twice, and let the filler dry as its maker says before '
        + 'sanding.']
      : [],
  ]
}

/** What the build-up asks of the drill, each a line for the sheet. */
export const drillingOf = ({ findings }: Shown, units: UnitSystem): string[] =>
  drillingCautions(findings).map(text => textToString(text, units))

/** What people decided against what was calculated: each a line for the sheet. */
export function decisionsOf({ findings, arrays }: Shown, units: UnitSystem): string[] {
  const decided = findings.filter(({ code, overridden }) => overridden || findingKind(code)?.isDecision)
  return mergedForPaper(decided, arrays, units).map(({ finding: { overridden }, text }) =>
    overridden
      ? `Stop overridden by ${overridden.by}, ${dateText(overridden.at, 'UTC')}: “${overridden.reason}”. ${text}`
      : text)
}
