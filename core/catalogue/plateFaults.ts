import type { Fault, Mount, Slot } from '../job'
import { textToString, words } from '../units'
import { mountKindOf } from '../mount/kinds'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** How near two fasteners in one slot may come, mm. */
const APART = 40

/** How many fasteners the slots of a row take: one in a round hole, more in a long slot. */
const roomIn = (slots: Slot[], row: string) =>
  slots.filter(slot => slot.row === row).reduce((sum, { x1, x2 }) => sum + 1 + Math.floor((x2 - x1) / APART), 0)

/** How far a slot extends past the edges of its plate. */
function slotFaults({ slots, width, height }: Mount['plate'], n: number): Fault[] {
  const { x1, x2, y, diameter } = slots[n]!
  const path = `$.plate.slots[${n}]`
  const aside = Math.max(-x1, x2) + diameter / 2 - width / 2
  const past = Math.abs(y) + diameter / 2 - height / 2
  return [
    ...aside > 1e-9 ? [{ path, message: `Slot ${n + 1} extends ${mm(aside)} past the side of the plate` }] : [],
    ...past > 1e-9 ? [{ path, message: `Slot ${n + 1} extends ${mm(past)} past the top or bottom of the plate` }] : [],
  ]
}

/** A fault where a plate has no row of a name. */
function unknownRow({ slots }: Mount['plate'], row: string, path: string): Fault[] {
  const rows = [...new Set(slots.map(({ row }) => row))]
  return rows.includes(row)
    ? []
    : [{ path, message: `The plate has no row “${row}”; its rows are ${rows.join(', ')}` }]
}

/** Rows that a mount requires, and that its plate has not, or has not the room in. */
const rowFaults = (plate: Mount['plate'], { rows, members }: Mount['needs']): Fault[] => rows.flatMap((row, n) => {
  const path = `$.needs.rows[${n}]`
  const unknown = unknownRow(plate, row, path)
  const room = roomIn(plate.slots, row)
  if (unknown.length > 0 || room >= members) return unknown
  return [{ path, message: `The ${row} row has room for ${room} fasteners; ${members} are required` }]
})

/**
 * What cannot be about a mount's figures: slots off its plate, rows without slots, a pull-out that does not come out.
 */
export function plateFaults({ kind, plate, needs, otherNeeds = [], depth }: Mount): Fault[] {
  return [
    ...plate.slots.flatMap((_, n) => slotFaults(plate, n)),
    ...rowFaults(plate, needs),
    ...plate.slots.every(({ y }) => y + plate.height / 2 <= 1e-9)
      ? [{
          path: '$.plate.slots',
          message: 'Every slot is at the bottom of the plate: nothing holds the top of the plate to the wall',
        }]
      : [],
    ...otherNeeds.flatMap(({ rows }, n) => rows.flatMap(row => unknownRow(plate, row, `$.otherNeeds[${n}].rows`))),
    ...mountKindOf({ kind }).pullsOut && depth.service <= depth.stowed
      ? [{
          path: '$.depth.service',
          message: `The pulled-out depth must be more than the stowed depth, ${mm(depth.stowed)}`,
        }]
      : [],
  ]
}
