import type { Fault, Mount } from '../job'
import { textToString, words } from '../units'

const mm = (length: number) => textToString(words`${length}`, 'metric')

/** What cannot be about a mount's figures: slots off its plate, rows without slots, a pull-out that does not come out. */
export function plateFaults({ kind, plate, needs, otherNeeds = [], depth }: Mount): Fault[] {
  const rows = new Set(plate.slots.map(({ row }) => row))
  return [
    ...plate.slots.flatMap(({ x1, x2, y, diameter }, n) => {
      const aside = Math.max(-x1, x2) + diameter / 2 - plate.width / 2
      const past = Math.abs(y) + diameter / 2 - plate.height / 2
      return [
        ...aside > 1e-9 ? [{ path: `$.plate.slots[${n}]`, message: `Slot ${n + 1} passes the side of the plate by ${mm(aside)} mm` }] : [],
        ...past > 1e-9 ? [{ path: `$.plate.slots[${n}]`, message: `Slot ${n + 1} passes the plate above or below by ${mm(past)} mm` }] : [],
      ]
    }),
    ...needs.rows.flatMap((row, n) => rows.has(row) ? [] : [{ path: `$.needs.rows[${n}]`, message: `The plate has no row “${row}”; it has ${[...rows].join(', ')}` }]),
    ...otherNeeds.flatMap((use, n) => use.rows.filter(row => !rows.has(row)).map(row => ({ path: `$.otherNeeds[${n}].rows`, message: `The plate has no row “${row}”; it has ${[...rows].join(', ')}` }))),
    ...kind === 'pull-out' && depth.service <= depth.stowed
      ? [{ path: '$.depth.service', message: `A pull-out mount comes out farther than it is stowed, ${mm(depth.stowed)} mm` }]
      : [],
  ]
}
