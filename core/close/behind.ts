import { choiceName, type Site } from '../job'
import { RESULT_NAMES, type AsBuilt } from '../log'
import type { Position } from '../mount'
import { words, type Text } from '../units'
import { scheduleOf, type Wiring } from '../wire'

/** What is behind a screen, a line each under what it is. */
export interface Behind { holes: Text[], boxes: Text[], cables: Text[], circuit: Text[], call: string[] }

/**
 * What is behind a screen, for the technician who takes it off: holes and fasteners, boxes, cables, the circuit, and
 * who to call.
 */
export function behindOf(
  { id, holes = [], outer }: Position,
  built: Pick<AsBuilt, 'holes'>,
  wiring: Wiring,
  fasteners: { id: string, name?: string | undefined }[],
  { contacts = [] }: Pick<Site, 'contacts'>,
): Behind {
  const nameOf = (fastener?: string) =>
    fasteners.find(each => each.id === fastener)?.name ?? fastener ?? 'no fastener chosen'
  const circuits = wiring.circuits.filter(({ screens }) => screens.includes(id))
  const dead = built.holes.filter(
    ({ x, y, result }) =>
      result !== 'hit' && x >= outer.x && x <= outer.x + outer.width && y >= outer.y && y <= outer.y + outer.height,
  )
  return {
    holes: [
      ...holes.map(({ id: hole, x, y, row, fastener, depth }) => {
        const made = built.holes.findLast(each => each.hole === hole)
        return words`${row}: ${made?.x ?? x} from wall left, ${made?.y ?? y} above floor:
          ${nameOf(fastener)}${
            depth === undefined
              ? []
              : words`, drilled
            ${depth} deep`
          }${made ? (made.result === 'hit' ? '' : `, ${RESULT_NAMES[made.result]}`) : ', not recorded as drilled'}`
      }),
      ...dead.map(
        ({ x, y, result, note }) =>
          words`Dead hole: ${x} from wall left, ${y} above floor, ${RESULT_NAMES[result]}${note ? `: ${note}` : ''}`,
      ),
    ],
    boxes: wiring.boxes
      .filter(box => box.for.includes(id))
      .map(({ id: box, kind, x, y }) => words`${choiceName(kind)} ${box}: ${x} from wall left, ${y} above floor`),
    cables: scheduleOf(wiring)
      .filter(({ id: cable }) => wiring.cables.find(each => each.id === cable)?.screen === id)
      .map(
        ({ number, kind, model, from, to, port }) =>
          words`No. ${String(number)}, ${kind}: ${model}, ${from} to
            ${to}${port === undefined ? '' : `, port ${port}`}`,
      ),
    circuit: circuits.map(
      ({ name, amps, share }) =>
        words`${name}: ${amps.toFixed(1)} A from this wall, circuit load ${String(Math.round(share.value))} % of the
          breaker. Isolate and prove dead before opening a box.`,
    ),
    call: contacts.map(({ name, for: what, phone }) => [name, what, phone].filter(Boolean).join(', ')),
  }
}
