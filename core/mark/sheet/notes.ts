import { bitName, formatLength, textToString, type UnitSystem } from '../../units'
import type { Shown } from './drawing'
import type { SheetOptions } from './options'

/** Rails and boards to cut, and where each goes. */
export function stripsOf({ arrays, marking: { datum } }: Shown, { units, precision }: SheetOptions): string[] {
  const show = (mm: number) => formatLength(mm, units, precision)
  return arrays.flatMap(({ name, strips }) => strips.map(({ row, of, rect, supports }) =>
    `${name}, row ${row}: ${of === 'board' ? `board ${show(rect.width)} × ${show(rect.height)}` : `rail behind the ${of} slots, ${show(rect.width)} long`}, its ends at ${show(rect.x - datum.x)} and ${show(rect.x + rect.width - datum.x)}, its middle ${show(rect.y + rect.height / 2)} up, on members ${supports.map(({ member }) => member + 1).join(', ')}.`))
}

/** What is opened and bored for cables, and closed again; nothing where nothing is. */
export function cableWorkOf({ wiring: { works, boxes } }: Shown, { units, precision }: SheetOptions): string[] {
  const cut = boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0).length
  if (cut + works.bores.length + works.openings.length === 0) return []
  const sizes = [...new Set(works.bores.map(({ diameter }) => diameter).filter(Number.isFinite))].sort((a, b) => a - b).map(size => bitName(size, units))
  return [
    `For cables: boxes ${cut}, openings ${works.openings.length}, bored holes ${works.bores.length}${sizes.length > 0 ? ` (${sizes.join(', ')})` : ''}, seals ${works.seals}, patches ${works.patches}, steel plates ${works.guards}. Isolate, prove dead and detect live cables before anything is cut; never a rated wall without its approved seal.`,
    ...works.openings.length > 0 ? [`Openings are cut sloping so that their piece goes back, ${works.openings.map(({ rect }) => `${formatLength(rect.width, units, precision)} × ${formatLength(rect.height, units, precision)}`).join(', ')}: keep the piece, seal the hole, screw it to battens, tape, fill twice, dry by the filler’s own sheet before sanding.`] : [],
  ]
}

/** What people decided against what was worked out: each a line for the sheet. */
export function decisionsOf({ findings }: Shown, units: UnitSystem): string[] {
  return findings.flatMap(({ code, message, overridden }) => {
    const told = textToString(message, units)
    if (overridden) return [`Stop overridden by ${overridden.by}, ${overridden.at.slice(0, 10)}: “${overridden.reason}”. ${told}`]
    return code === 'plate-by-hand' || code === 'hole-by-hand' ? [told] : []
  })
}
