import { itemName } from '../../job'
import { INK, label } from '../../sheet'
import { group, line, rect, type Shape } from '../../svg'
import type { CablePlan } from '../cables/cables'
import type { CircuitPlan, Wiring } from '../wiring'

/** A box of a circuit as the diagram shows it: what feeds it, by which cable, and the screens on it. */
interface Node { id: string, name: string, from: string, cable: CablePlan | undefined, screens: string[] }

/** How the diagram is laid out, mm: a cell for each box, the board before the first, rows one under the other. */
const CELL = 27
const BOARD = 26
const TYPE = 3.2
const LINE = 4.2
const BOX = { width: 13, height: 6 }
const MIDDLE = { 'text-anchor': 'middle', 'font-weight': 600 }
const THIN = { 'stroke': INK, 'stroke-width': 0.3 }

/** The boxes of a circuit in the order in which they are fed: those of fixed wiring, or the ends of kits. */
function nodesOf(circuit: CircuitPlan, { boxes, routes, cables, loads }: Wiring): Node[] {
  const { id, screens } = circuit
  // What was frozen by an earlier version has no chain.
  const { chain = [] } = circuit as Partial<CircuitPlan>
  const watts = (screen: string) => {
    const load = loads.find(each => each.screen === screen)
    return `${load?.label ?? screen}: ${load?.power ? `${Math.round(load.power.max)} W` : 'not known'}`
  }
  const node = (box: string, from: string, cable: CablePlan | undefined, shown: boolean): Node[] => {
    const plan = boxes.find(each => each.id === box)
    return plan ? [{ id: box, name: itemName(plan), from, cable, screens: shown ? plan.for.map(watts) : [] }] : []
  }
  const cableTo = (box: string) => {
    const route = routes.find(({ to, kind }) => to === box && kind === 'power')
    return cables.find(each => route !== undefined && each.route === route.id)
  }
  const kits = routes.flatMap(({ from, to, kind }) => {
    const lower = boxes.find(box => box.id === from && box.kind === 'kit-lower')
    return kind === 'power' && lower?.for.some(screen => screens.includes(screen)) ? [{ from, to }] : []
  })
  return [
    ...chain.flatMap(({ box, from }) => node(box, from, cableTo(box), true)),
    ...kits.flatMap(({ from, to }) => [
      ...node(from, id, cables.find(each => each.id === `feed-${from}`), false),
      ...node(to, from, cableTo(to), true),
    ]),
  ]
}

/** The board with its breaker, or the outlet, at the left of the first row. */
const board = ({ breaker, volts }: Partial<CircuitPlan>, x: number, y: number): Shape => group(
  {},
  line(x + 1, y - 7, x + 1, y + 7, { 'stroke': INK, 'stroke-width': 1 }),
  line(x + 1, y, x + BOARD, y, THIN),
  rect(x + 6, y - 3, 14, 6, { ...THIN, fill: '#ffffff' }),
  label(breaker === undefined ? '?' : `${breaker} A`, x + 13, y + 1.1, TYPE, MIDDLE),
  label(volts === undefined ? '' : `${volts} V`, x + 13, y + 7.4, TYPE, { 'text-anchor': 'middle' }),
)

/** A box at its cell, with the length of the cable to it, and the screens that are plugged into it. */
function cell(node: Node, x: number, y: number, show: (mm: number) => string, branch: string | undefined): Shape {
  const middle = x + CELL - BOX.width / 2
  const { cable } = node
  const length = cable === undefined || cable.unknown !== undefined ? 'not known' : show(cable.needed.value)
  return group(
    {},
    line(branch === undefined ? x : x + 2, y, x + CELL - BOX.width, y, THIN),
    ...branch === undefined ? [] : [label(`from ${branch}`, x + 2, y + 4.4, TYPE)],
    label(length, x + (CELL - BOX.width) / 2, y - 1.2, TYPE, { 'text-anchor': 'middle' }),
    rect(x + CELL - BOX.width, y - BOX.height / 2, BOX.width, BOX.height, { ...THIN, fill: '#efe8d6' }),
    label(node.name, middle, y + 1.1, TYPE, MIDDLE),
    ...node.screens.length > 0 ? [line(middle, y + BOX.height / 2, middle, y + 6, THIN)] : [],
    ...node.screens.map((text, n) => label(text, x + CELL, y + 9 + n * LINE, TYPE, { 'text-anchor': 'end' })),
  )
}

/** What stands over a circuit's diagram: its name, how far it is used, and what it loses. */
function headOf(circuit: CircuitPlan, number: number, nodes: Node[]): string {
  const models = [...new Set(nodes.flatMap(({ cable }) => cable?.model ? [cable.model.name ?? cable.model.id] : []))]
  const drop = circuit.drop
    ? `voltage drop ${circuit.drop.volts.toFixed(1)} V, ${circuit.drop.share.value.toFixed(1)} %`
    : 'voltage drop not known'
  return [
    `${number}  ${circuit.name}: ${circuit.amps.toFixed(2)} A max, ${circuit.share.value.toFixed(0)} % of breaker`,
    drop,
    ...models.length > 0 ? [models.join(', ')] : [],
  ].join('; ')
}

/**
 * The one-line diagram of a circuit: its board and breaker, each box in the order in which it is fed with the length of
 * the cable to it, and the screens with what they draw. It goes on in another row where the width ends.
 *
 * @param at where its upper left corner is, and how wide it may be, mm
 * @returns the drawing, and how tall it is, mm; empty and 0 where the circuit feeds no box
 */
export function drawOneLine(
  circuit: CircuitPlan, wiring: Wiring, at: { x: number, y: number, width: number }, show: (mm: number) => string,
): { shape: Shape, height: number } {
  const nodes = nodesOf(circuit, wiring)
  if (nodes.length === 0) return { shape: group({}), height: 0 }
  const fit = Math.max(1, Math.floor((at.width - BOARD) / CELL))
  const rows = Array.from({ length: Math.ceil(nodes.length / fit) }, (_, n) => nodes.slice(n * fit, (n + 1) * fit))
  const number = wiring.circuits.findIndex(({ id }) => id === circuit.id) + 1
  const shapes = [label(headOf(circuit, number, nodes), at.x, at.y + 4, TYPE, { 'font-weight': 600 })]
  let y = at.y + 15
  for (const [n, row] of rows.entries()) {
    if (n === 0) shapes.push(board(circuit, at.x, y))
    shapes.push(...row.map((node, k) => {
      const before = nodes[n * fit + k - 1]
      const follows = before === undefined || (node.from === before.id && k > 0)
      const feeder = wiring.boxes.find(({ id }) => id === node.from)
      const branch = follows ? undefined : feeder ? itemName(feeder) : circuit.name
      return cell(node, at.x + BOARD + k * CELL, y, show, branch)
    }))
    y += 14 + LINE * Math.max(...row.map(({ screens }) => screens.length))
  }
  return { shape: group({}, ...shapes), height: y - at.y - 6 }
}
