import type { Finding } from '../finding'
import type { Carrier, ScreenArray } from '../job'
import { words } from '../units'
import type { Strip } from './carrier'

/** The longest board that comes in one piece, mm. */
const SHEET = 2440

/** What is to be said of the rails or boards that an array stands on. */
export function carrierFindings(array: ScreenArray, carrier: Carrier, strips: Strip[]): Finding[] {
  const about = { stage: 'mount', subject: array.id } as const
  return strips.flatMap(({ row, of, held, rect }): Finding[] => {
    const which = carrier.kind === 'rail' ? `The rail behind the ${of} slots of row ${row}` : `The board behind row ${row}`
    return [
      ...held ? [] : [{ ...about, severity: 'stop' as const, code: 'carrier-not-held', message: words`${which} has no member beyond its plates on one side that can take a fastener.`, remedy: words`Find a member there, or move the array.` }],
      ...carrier.kind === 'board' && rect.width > SHEET
        ? [{ ...about, severity: 'note' as const, code: 'board-jointed', message: words`${which} is ${rect.width} long; boards come up to ${SHEET}.`, remedy: words`Joint it on the middle of a member, each end with fasteners of its own.` }]
        : [],
    ]
  })
}
