import { hasSafetyWire, type Mount, type Rules } from '../job'
import { words, type Text } from '../units'
import { handedOver, type ClosingRecord } from './record'
import { comesOut } from '../mount/kinds'

/** Something on a wall that is looked at again and again: what, how, and why. */
export interface Inspected { what: Text, how: Text }

/** When a wall is to be looked at next: counted from its last inspection, or from when it was handed over. */
export interface Inspection { every: number, last?: string, due?: string, inspected: Inspected[] }

/** A day so many months later; the last of a month where the later month is shorter. */
export function monthsLater(day: string, months: number): string {
  const from = new Date(`${day.slice(0, 10)}T00:00:00Z`)
  const month = from.getUTCMonth() + months
  const last = new Date(Date.UTC(from.getUTCFullYear(), month + 1, 0)).getUTCDate()
  return new Date(Date.UTC(from.getUTCFullYear(), month, Math.min(from.getUTCDate(), last))).toISOString().slice(0, 10)
}

/** What is inspected on a wall, by what hangs there. */
function inspectedOf(mounts: Mount[], outside: boolean): Inspected[] {
  return [
    {
      what: words`Locks and hooks`,
      how: words`Every screen is locked; lifted at its bottom edge, it does not come off.`,
    },
    {
      what: words`Fasteners`,
      how: words`No plate has moved or come away from the wall; no cracks, rust streaks or dust below holes.
        Retighten only as the maker instructs.`,
    },
    ...(mounts.some(comesOut)
      ? [
          {
            what: words`Arms and slides`,
            how: words`Two people pull each screen out and push it home once: nothing grates or sags, no cable is
              pinched.`,
          },
        ]
      : []),
    ...(mounts.some(mount => hasSafetyWire(mount) || (mount.secures ?? []).length > 0)
      ? [{ what: words`Safety wires and wind locks`, how: words`Clipped and tight.` }]
      : []),
    {
      what: words`Cables and openings`,
      how: words`Cable jackets undamaged, boxes closed, seals of fire-rated walls intact; RCD or GFCI tested.`,
    },
    { what: words`Ventilation`, how: words`Vents free of dust; nothing placed in front of or behind the screens.` },
    ...(outside
      ? [
          {
            what: words`Weather`,
            how: words`Covers shut, drip loops clear, seals intact. Check after every storm too.`,
          },
        ]
      : []),
    {
      what: words`Seams`,
      how: words`Read the seams at the same points as at handover: a change shows what has moved.`,
    },
  ]
}

const MONTHS = { 'half-yearly': 6, 'yearly': 12, 'two-yearly': 24 }

/** When a wall is to be inspected next, and what; not known while it was not handed over. */
export function inspectionOf(record: ClosingRecord, mounts: Mount[], outside: boolean, rules: Rules): Inspection {
  const every = MONTHS[rules.inspections ?? 'yearly']
  const last = record.visits.findLast(({ purpose }) => purpose === 'inspection')?.at ?? handedOver(record)?.at
  return {
    every,
    ...(last !== undefined && { last: last.slice(0, 10), due: monthsLater(last, every) }),
    inspected: inspectedOf(mounts, outside),
  }
}
