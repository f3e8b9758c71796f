import { dateText } from '../dates'
import { flowed, PAPERS, type PaperName, type Sheet } from '../sheet'
import { formatLength, textToString, type UnitSystem } from '../units'
import { handoverOf, type HandedOver } from './handedOver'
import { frontBlocks } from './handoverFront'
import type { Printed } from './handoverPrinted'
import {
  builtBlocks, cableBlocks, circuitBlocks, fastenerBlocks, inspectionBlocks, loadBlocks, openBlocks, screenBlocks,
  seamBlocks,
} from './handoverSections'
import { screenLabel } from '../job/screenLabel'

/** How a wall's handover is drawn. */
export interface HandoverOptions { paper: PaperName, units: UnitSystem, address?: string }

/** What a handover is printed by. */
function printedOf(of: HandedOver, { paper, units, address }: HandoverOptions): Printed {
  const { arrays } = of.plan
  const screens = arrays.flatMap(({ id, name, positions }) => positions.map((position) => {
    const label = screenLabel(position)
    return { ...position, array: id, label: arrays.length > 1 ? `${name} ${label}` : label }
  }))
  return {
    of,
    handover: handoverOf(of),
    paper: PAPERS[paper],
    units,
    ...(address !== undefined && { address }),
    screens,
    labels: new Map(screens.map(({ id, label }) => [id, label])),
    show: mm => formatLength(mm, units, {}),
    fine: mm => formatLength(mm, units, { decimals: 1, denominator: 32 }),
    tell: text => textToString(text, units),
    day: at => dateText(at, of.site.zone ?? 'UTC'),
  }
}

/** The parts of a handover in the order in which they are printed. */
const SECTIONS = [
  frontBlocks, builtBlocks, seamBlocks, loadBlocks, fastenerBlocks, circuitBlocks, cableBlocks, screenBlocks,
  inspectionBlocks, openBlocks,
]

/**
 * The handover of a wall on paper: its picture and what is still open first, then how it was built, its seams, loads,
 * fasteners, circuits and cables, its screens, how one is got out, what is inspected and when, and who signed.
 */
export function drawHandover(of: HandedOver, options: HandoverOptions): Sheet {
  const printed = printedOf(of, options)
  const title = `${of.site.name} · ${of.wall.name}: handover`
  return flowed(title, SECTIONS.flatMap(section => section(printed)), printed.paper)
}
