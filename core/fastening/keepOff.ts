import { isSheet, structureKindOf, type Base, type Fastener } from '../job'

/** A new hole in timber or sheet steel stays from one that serves nothing by so many diameters of the fastener. */
const DIAMETERS = 3
/** The thickest screw that is usual, where none is chosen, mm. */
const USUAL = 10

const isMasonry = (base: Base) => structureKindOf({ kind: base }).masonry

/**
 * How far a new hole stays from one that serves nothing any more, mm: three diameters in timber and steel, the depth of
 * the hole in masonry, unless the maker asks for more between two of his.
 *
 * @example
 * keepOffOf({ diameter: 9.525, … }, 'wood-stud') // 28.575
 */
export function keepOffOf(fastener: Fastener | undefined, base: Base): number {
  const { diameter = USUAL, embedment, length, minSpacing = 0 } = fastener ?? {}
  return isMasonry(base) ? Math.max(embedment ?? length ?? DIAMETERS * diameter, minSpacing) : DIAMETERS * diameter
}

/** What fills a hole that serves nothing any more. */
export function fillFor(base: Base, metSteel = false): string {
  if (isMasonry(base))
    return 'blow the hole out and fill it to full depth with repair mortar; let the mortar set before tightening the '
      + 'anchor beside it'
  const board = 'fill the board with jointing compound'
  // Behind a plate that protects a cable or pipe nothing is glued in or driven.
  if (base === 'steel-stud' || base === 'steel-plate' || metSteel) return `leave the steel as it is and ${board}`
  return `glue in a wood dowel${isSheet(base) ? '' : ' where the hole is in a stud'}, and ${board}`
}
