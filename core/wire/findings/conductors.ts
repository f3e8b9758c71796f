import type { Finding } from '../../finding'
import { itemName, type BoxModel, type PlanContext, type Wall } from '../../job'
import { quantity, words } from '../../units'
import { isSignal, type BoxPlan } from '../boxes/boxes'
import { fillOf } from '../boxes/fill'
import { MOST_DROP } from '../circuits/drop'
import type { CircuitPlan, Wiring } from '../wiring'
import { about, aboutBox, some } from './about'

const REMEDY = words`Use a cable of a larger cross-section, or bring the circuit from a board that is nearer.`

/** Circuits that lose too much voltage on the way, and those of which that is not known. */
function dropFindings(wall: Wall, { circuits }: Wiring): Finding[] {
  const used = circuits.filter(({ chain }) => chain.length > 0)
  const unknown = used.filter(({ drop }) => !drop)
  const feeder = ({ id }: CircuitPlan) => wall.sources?.find(source => source.id === id)?.feederDrop
  return [
    ...used.flatMap((circuit): Finding[] => {
      if (!circuit.drop) return []
      const { share: { value }, volts } = circuit.drop
      const all = value + (feeder(circuit) ?? 0)
      const said = words`${circuit.name} loses ${quantity(volts, 'V')}, ${quantity(value, '%')} of its voltage, to its
        farthest box`
      if (all > 100 * MOST_DROP.all)
        return [{
          ...about(wall),
          severity: 'stop',
          code: 'voltage-drop-too-great',
          message: feeder(circuit) === undefined
            ? words`${said}: the maximum in all is ${quantity(100 * MOST_DROP.all, '%')}.`
            : words`${said}, and ${quantity(feeder(circuit)!, '%')} before its board: the maximum in all is
              ${quantity(100 * MOST_DROP.all, '%')}.`,
          remedy: REMEDY,
        }]
      return value > 100 * MOST_DROP.branch
        ? [{
            ...about(wall),
            severity: 'caution',
            code: 'voltage-drop',
            message: words`${said}: the recommended maximum is ${quantity(100 * MOST_DROP.branch, '%')}.`,
            remedy: REMEDY,
          }]
        : []
    }),
    ...unknown.length > 0
      ? [{
          ...about(wall),
          severity: 'note' as const,
          code: 'voltage-drop-not-known' as const,
          message: words`The voltage drop of ${some(unknown.map(({ name }) => name))} is not known.`,
          remedy: words`Enter the cross-section of the cable in the catalogue, and the distances in Wire.`,
        }]
      : [],
  ]
}

/** A power box of a circuit with its model, and how many power cables enter it, of which cross-section, mm². */
interface Entered { box: BoxPlan, model: BoxModel, cables: number, area: number | undefined }

function enteredBoxes({ boxes, routes, cables }: Wiring, models: BoxModel[]): Entered[] {
  return boxes.filter(({ kind, held }) => held && kind === 'power').flatMap((box) => {
    const model = models.find(({ id }) => id === box.model)
    const here = routes.filter(({ kind, from, to }) => kind === 'power' && (from === box.id || to === box.id))
    if (!model || here.length === 0) return []
    const areas = here.map(({ id }) => cables.find(({ route }) => route === id)?.model?.area)
    const area = areas.some(each => each === undefined) ? undefined : Math.max(...areas.map(each => each!))
    return [{ box, model, cables: here.length, area }]
  })
}

const named = (boxes: Entered[]) => some(boxes.map(({ box }) => `box ${itemName(box)}`))

/** Boxes with more in them than they have room for, and those of which that is not known. */
function fillFindings(wall: Wall, wiring: Wiring, models: BoxModel[]): Finding[] {
  const entered = enteredBoxes(wiring, models)
  const fills = entered.map(each => ({ ...each, fill: fillOf(each.model, each.cables, each.area) }))
  const unknown = fills.filter(({ fill, cables }) => !fill && cables > 1)
  const meeting = entered.filter(({ model: { perTerminal = 1 }, cables }) => cables > perTerminal)
  return [
    ...fills.flatMap(({ box, model, fill, cables }): Finding[] => fill && fill.value > 100 + 1e-9
      ? [{
          ...aboutBox(box.id),
          severity: 'stop',
          code: 'box-too-full',
          message: words`${`Box ${itemName(box)}`} (${model.name ?? model.id}) is too small for the ${String(cables)}
            ${cables === 1 ? 'cable that enters' : 'cables that enter'} it: ${quantity(fill.value, '%')} of its capacity
            (${fill.working.at(-1)!.source!}).`,
          remedy: words`Use a larger box, or end the chain there.`,
        }]
      : []),
    ...unknown.length > 0
      ? [{
          ...about(wall),
          severity: 'note' as const,
          code: 'box-fill-not-known' as const,
          message: words`It is not known whether ${named(unknown)} ${unknown.length === 1 ? 'has' : 'have'} room for the
            cables that go on to the next box.`,
          remedy: words`Enter the inside volume of the box and the cross-section of the cable in the catalogue.`,
        }]
      : [],
    ...meeting.length > 0
      ? [{
          ...about(wall),
          severity: 'note' as const,
          code: 'conductors-at-terminal' as const,
          message: words`More than one conductor comes to each terminal in ${named(meeting)}, and the terminals are not
            known to take more.`,
          remedy: words`Join the conductors in the box with a connector and one tail to the device.`,
        }]
      : [],
  ]
}

/** Boxes whose screens are fed by different circuits. */
function twiceFedFindings({ boxes, circuits }: Wiring): Finding[] {
  return boxes.filter(({ kind }) => !isSignal(kind)).flatMap((box): Finding[] => {
    const feeding = circuits.filter(({ screens }) => box.for.some(id => screens.includes(id)))
    return feeding.length < 2
      ? []
      : [{
          ...aboutBox(box.id),
          severity: 'stop',
          code: 'box-on-two-circuits',
          message: words`${`Box ${itemName(box)}`} serves screens that ${some(feeding.map(({ name }) => name))} feed:
            isolating one leaves it live.`,
          remedy: words`Give each screen its own box, or choose in each circuit which screens it feeds.`,
        }]
  })
}

/** What is wrong, doubtful or not known of conductors: voltage drop, box fill, and by which rules they are chosen. */
export function conductorFindings(wall: Wall, wiring: Wiring, { catalogue, site }: PlanContext): Finding[] {
  const isFed = wiring.circuits.some(({ screens }) => screens.length > 0)
  return [
    ...dropFindings(wall, wiring),
    ...fillFindings(wall, wiring, catalogue.boxes ?? []),
    ...twiceFedFindings(wiring),
    ...isFed && site?.electricalRules === undefined
      ? [{
          ...about(wall),
          severity: 'caution' as const,
          code: 'electrical-rules-not-known' as const,
          message: words`It is not known whether this site is wired by NEC or by IEC rules: the stricter of both is
            used.`,
          remedy: words`Choose the electrical rules under the site’s details.`,
        }]
      : [],
  ]
}
