import type { Fault, Mount, Slot } from '../job'
import { textToString, words } from '../units'
import { mountKindOf } from '../mount/kinds'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** How near two fasteners in one slot may come, mm. */
const APART = 40

/** How many fasteners the slots of a row take: one in a round hole, more in a long slot. */
const roomIn = (slots: Slot[], row: string) =>
  slots.filter(slot => slot.row === row).reduce((sum, { x1, x2 }) => sum + 1 + Math.floor((x2 - x1) / APART), 0)

/**
 * What cannot be about a mount's figures: slots off its plate, rows without slots, a pull-out that does not come out.
 */
export function plateFaults({ kind, plate, needs, otherNeeds = [], depth }: Mount): Fault[] {
  const rows = new Set(plate.slots.map(({ row }) => row))
  return [
    ...plate.slots.flatMap(({ x1, x2, y, diameter }, n) => {
      const aside = Math.max(-x1, x2) + diameter / 2 - plate.width / 2
      const past = Math.abs(y) + diameter / 2 - plate.height / 2
      return [
        ...aside > 1e-9 ? [{ path: `$.plate.slots[${n}]`, message: `Slot ${n + 1} extends ${mm(aside)} past the side of the plate` }] : [],
        ...past > 1e-9 ? [{ path: `$.plate.slots[${n}]`, message: `Slot ${n + 1} extends ${mm(past)} past the top or bottom of the plate` }] : [],
      ]
    }),
    ...needs.rows.flatMap((row, n) => rows.has(row) ? [] : [{ path: `$.needs.rows[${n}]`, message: `The plate has no row “${row}”; its rows are ${[...rows].join(', ')}` }]),
    ...needs.rows.flatMap((row, n) => rows.has(row) && roomIn(plate.slots, row) < needs.members ? [{ path: `$.needs.rows[${n}]`, message: `The ${row} row has room for ${roomIn(plate.slots, row)} fasteners; ${needs.members} are required` }] : []),
    ...plate.slots.every(({ y }) => y + plate.height / 2 <= 1e-9) ? [{ path: '$.plate.slots', message: 'Every slot is at the bottom of the plate: nothing holds the top of the plate to the wall' }] : [],
    ...otherNeeds.flatMap((use, n) => use.rows.filter(row => !rows.has(row)).map(row => ({ path: `$.otherNeeds[${n}].rows`, message: `The plate has no row “${row}”; its rows are ${[...rows].join(', ')}` }))),
    ...mountKindOf({ kind }).pullsOut && depth.service <= depth.stowed
      ? [{ path: '$.depth.service', message: `The pulled-out depth must be more than the stowed depth, ${mm(depth.stowed)}` }]
      : [],
  ]
}
