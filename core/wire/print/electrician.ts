import type { Rect } from '../../geometry'
import { choiceName, featureParts, itemName, type Rules, type Wall } from '../../job'
import {
  drawGrid, footLine, gridHeight, INK, inLines, label, type GridColumn, type Paper, type Sheet,
} from '../../sheet'
import { group, line, rect, type Shape } from '../../svg'
import { isFramed } from '../../survey'
import { plural } from '../../units/plural'
import { formatLength, type Precision, type UnitSystem } from '../../units'
import { isSignal, type BoxPlan } from '../boxes/boxes'
import { isOutside } from '../boxes/fit'
import { isFeed, nameOfSource } from '../sources'
import { methodOf } from '../routes/powerMethods'
import type { Works } from '../works'
import { drawOneLine } from './oneLine'
import type { CircuitPlan, Wiring } from '../wiring'
import { byPlace } from '../circuits/byPlace'
import type { ElectricalRules } from '../circuits/conductors'

/** What the electrician's sheet is made of: the site and the wall, its displays' cases, and how it is wired. */
export interface ForElectrician {
  site: string
  wall: Wall
  cases: Rect[]
  wiring: Wiring
  electricalRules: ElectricalRules
  /** House rules by which the wall is planned. */
  rules: Rules
  units: UnitSystem
  precision?: Precision
}

const known = (figure: number | undefined, unit = '') =>
  figure === undefined ? 'not known' : `${Number(figure.toFixed(2))}${unit}`
const boxName = (kind: BoxPlan['kind']) => kind === 'power' ? 'power box' : choiceName(kind)

/** Live parts of which the wall is known to hold something: what is to be proved dead before it is cut. */
const LIVE = new Set(['outlet', 'switch', 'live-cable', 'cable-run'])

/** The size of type of the whole sheet, 9 pt, and how high a line of text is, mm. */
const [TYPE, LINE] = [3.2, 4.5]

/** The wall in outline with what is to be wired, as large as a space on paper. */
function outline(
  { wall, cases, wiring: { boxes, circuits, loads } }: ForElectrician,
  x: number,
  y: number,
  width: number,
  height: number,
): Shape {
  const scale = Math.min(width / wall.width, height / wall.height)
  const at = (r: { x: number, y: number, width: number, height: number }, paint: Record<string, string | number>) =>
    rect(x + r.x * scale, y + (wall.height - r.y - r.height) * scale, r.width * scale, r.height * scale, paint)
  const circuitOf = (screens: string[]) =>
    circuits.findIndex(circuit => circuit.screens.some(id => screens.includes(id))) + 1
  // A box is named with its screens in the table below.
  const isBare = ({ screen }: { screen: string }) => !boxes.some(box => box.for.includes(screen))
  const thin = { 'fill': 'none', 'stroke': INK, 'stroke-width': 0.2 }
  return group(
    {},
    at({ x: 0, y: 0, width: wall.width, height: wall.height }, { ...thin, 'stroke-width': 0.5 }),
    ...(wall.features ?? []).flatMap(featureParts).map(part => at(part, { ...thin, stroke: '#8a8576' })),
    ...cases.map(each => at(each, { ...thin, stroke: '#b9b4a6' })),
    ...loads.filter(isBare).map(({ label: name, x: cx, y: cy }) =>
      label(name, x + cx * scale, y + (wall.height - cy) * scale + 5.4, TYPE, {
        'text-anchor': 'middle',
        'fill': '#5b5748',
      }),
    ),
    ...boxes
      .filter(({ kind, held }) => held && !isSignal(kind))
      .flatMap(box => [
        at(box.cutout, { ...thin, fill: '#e9e2cf' }),
        label(
          `${itemName(box)}${circuitOf(box.for) > 0 ? ` (${circuitOf(box.for)})` : ''}`,
          x + (box.cutout.x + box.cutout.width) * scale + 1,
          y + (wall.height - box.y) * scale + 1.1,
          TYPE,
          { 'font-weight': 600 },
        ),
      ]),
  )
}

/** Where a person signs for the work. */
function signBlock(x: number, y: number, width: number): Shape {
  const fields = ['Name', 'Licence', 'Isolated and proved dead, time', 'Tested, date', 'Signature']
  const each = width / fields.length
  return group(
    {},
    ...fields.flatMap((name, n) => [
      line(x + n * each, y + 10, x + (n + 1) * each - 4, y + 10, { 'stroke': INK, 'stroke-width': 0.25 }),
      label(name, x + n * each, y + 13.6, TYPE),
    ]),
  )
}

/** A table of the sheet: its columns by title, share of the width, and whether they are figures; and its rows. */
interface Table { columns: [title: string, share: number, figures?: boolean][], rows: string[][] }

const circuitOf = ({ circuits }: Wiring, screens: string[]) =>
  circuits.find(circuit => circuit.screens.some(id => screens.includes(id)))

/** The circuits with what is on them. */
function circuitTable(of: ForElectrician): Table {
  const { wall, wiring } = of
  const rows = (wall.sources ?? []).filter(isFeed).map((source, n) => {
    const circuit = wiring.circuits.find(({ id }) => id === source.id)
    const fed = wiring.boxes.filter(box => !isSignal(box.kind) && circuit && circuitOf(wiring, box.for) === circuit)
    return [
      `${n + 1}  ${nameOfSource(source)}`,
      known(source.amps, ' A'),
      known(source.volts, ' V'),
      `${source.loaded ?? 0} A`,
      circuit ? `${Math.round(circuit.watts)} W` : 'not known',
      circuit ? `${circuit.amps.toFixed(2)} A` : 'not known',
      circuit ? `${circuit.share.value.toFixed(0)} %` : 'not known',
      source.protected === undefined ? 'not known' : source.protected ? 'yes' : 'no',
      String(fed.length),
    ]
  })
  return {
    columns: [
      ['Circuit', 0.28], ['Breaker', 0.08, true], ['Voltage', 0.08, true], ['Other load', 0.1, true],
      ['Max power', 0.1, true], ['Current', 0.08, true], ['Circuit load', 0.1, true],
      [of.electricalRules === 'nec' ? 'GFCI' : '30 mA RCD', 0.1, true], ['Boxes', 0.08, true],
    ],
    rows,
  }
}

/** The greatest power of some screens together, W. */
function wattsOf(screens: string[], { loads }: Wiring): string {
  const each = screens.map(id => loads.find(({ screen }) => screen === id)?.power?.max)
  return each.some(watts => watts === undefined)
    ? 'not known'
    : String(Math.round(each.reduce<number>((sum, watts) => sum + watts!, 0)))
}

/** The power boxes with their circuits, loads, places and cut-outs. */
function boxTable({ wiring }: ForElectrician, show: (mm: number) => string): Table {
  const labelOf = new Map(wiring.loads.map(({ screen, label: name }) => [screen, name]))
  const rows = wiring.boxes.filter(({ kind }) => !isSignal(kind)).map(box => [
    itemName(box),
    box.held ? boxName(box.kind) : `${boxName(box.kind)}: no position`,
    box.for.map(id => labelOf.get(id) ?? id).join(', '),
    circuitOf(wiring, box.for)?.name ?? 'none',
    wattsOf(box.for, wiring),
    ...(box.held
      ? [show(box.x), show(box.y), `${show(box.cutout.width)} × ${show(box.cutout.height)}`]
      : ['', '', '']),
  ])
  return {
    columns: [
      ['Box', 0.07], ['Type', 0.12], ['For', 0.13], ['Circuit', 0.2], ['Max power, W', 0.1, true],
      ['Centre, from left', 0.13, true], ['Above floor', 0.11, true], ['Cut-out', 0.14, true],
    ],
    rows,
  }
}

/** The power cables in the wall with their lengths. */
function cableTable({ wiring: { cables } }: ForElectrician, show: (mm: number) => string): Table {
  const rows = cables.filter(({ kind }) => kind === 'power')
    .map(({ id, from, to, model, needed, taken, unknown }) => [
      id,
      from,
      to,
      model ? (model.name ?? model.id) : 'none suitable',
      unknown ? `${show(needed.value)} in the wall` : show(needed.value),
      taken === undefined ? 'not known' : show(taken),
    ])
  return {
    columns: [
      ['Cable', 0.17], ['From', 0.22], ['To', 0.12], ['Model', 0.27], ['Required', 0.1, true],
      ['Stock length', 0.12, true],
    ],
    rows,
  }
}

/** What is said beside the drawing: what to isolate, and what this wall asks for. */
function notesOf(of: ForElectrician): string[] {
  const { wall, wiring: { works, heat }, electricalRules, rules, units, precision = {} } = of
  const { name, colours, heights, cords, protection, cover } = byPlace(electricalRules)
  const show = (mm: number) => formatLength(mm, units, precision)
  const high = heights
    ? `between ${show(heights.from)} and ${show(heights.to)} above floor (${heights.source})`
    : 'at the heights of local code'
  const live = (wall.features ?? []).filter(({ kind }) => LIVE.has(kind))
  const isolate = [
    ...(wall.sources ?? []).filter(isFeed).map(nameOfSource),
    ...live.map(feature => `${feature.kind.replaceAll('-', ' ')} ${itemName(feature)} and its supply`),
  ]
  const isolated = isolate.length > 0 ? isolate.join('; ') : 'no source is entered for this wall'
  return [
    `Isolate, lock off and prove dead before opening anything: ${isolated}.`,
    'Detect live cables at every cut-out before cutting. The electrician who signs below selects conductors, breakers '
    + 'and protection, and tests the whole, under local code.',
    `Electrical rules: ${name}. Conductors: ${colours}. Outlets that people use ${high}; ${cords}.`,
    ...(works.bores.length + works.openings.length > 0
      ? [
          `In the wall: openings ${works.openings.length}; bored holes to seal ${works.bores.length}; nail plates `
          + `over cables close to a face ${works.guards}.`,
        ]
      : []),
    ...methodNotes(works, rules),
    ...(isOutside(wall)
      ? [`Outside or wet: ${protection}, ${cover}, a drip loop in every cable, openings sealed.`]
      : []),
    ...((wall.fireRating ?? 0) > 0
      ? [`The wall has a fire rating of ${wall.fireRating} min: open nothing without the approved seal on both faces.`]
      : []),
    ...(isFramed(wall) ? [] : ['Solid wall: use surface boxes and surface raceway.']),
    `Start the displays one after another. Total heat load ${Math.round(heat.value)} ${heat.unit}.`,
  ]
}

/** How power runs, and what that takes beside the cable. */
function methodNotes(works: Works, rules: Rules): string[] {
  // A revision of an earlier version has not counted them.
  const { grommets = 0, connectors = 0, pullBoxes = 0, raceways = [] }: Partial<Works> = works
  const { title, construction } = methodOf('power', rules)
  const counts = [
    grommets > 0 ? `${grommets} grommets in sheet steel` : '',
    connectors > 0 ? `${connectors} connectors` : '',
    pullBoxes > 0 ? `${pullBoxes} pull boxes that stay accessible` : '',
    ...raceways.map(({ kind, corners }) => `raceway for ${kind} with ${plural(corners, 'corner')}`),
  ].filter(Boolean)
  return construction === 'sheathed' && counts.length === 0
    ? []
    : [`Power runs by the house rule in ${title}${counts.length > 0 ? `: ${counts.join(', ')}` : ''}.`]
}

/** The head of each page. */
function headOf({ site, wall, units }: ForElectrician, { margin, width }: Paper): Shape {
  const read = units === 'metric' ? 'millimetres' : 'feet and inches'
  const about = `Electrician’s sheet · ${read} · from wall left and from the finished floor`
  return group(
    {},
    label(`${site} · ${wall.name}`, margin, margin + 4.5, 5, { 'font-weight': 600 }),
    label(about, width - margin, margin + 4.5, 3.2, { 'text-anchor': 'end' }),
    line(margin, margin + 7.5, width - margin, margin + 7.5, { 'stroke': INK, 'stroke-width': 0.4 }),
  )
}

/** Pages that are filled from the top down. */
class Pages {
  readonly shapes: Shape[][] = [[]]
  private readonly top: number
  private readonly end: number
  at: number

  constructor(private readonly paper: Paper) {
    [this.top, this.end] = [paper.margin + 10, paper.height - paper.margin - 10]
    this.at = this.top
  }

  /** Begins another page where what comes next has no room on this one. */
  room(needed: number): void {
    if (this.at + needed <= this.end) return
    this.shapes.push([])
    this.at = this.top
  }

  put(shape: Shape, tall: number): void {
    this.shapes.at(-1)!.push(shape)
    this.at += tall
  }

  /** The one-line diagram of a circuit, whole on a page. */
  diagram(circuit: CircuitPlan, wiring: Wiring, show: (mm: number) => string): void {
    const at = { x: this.paper.margin, y: 0, width: this.paper.width - 2 * this.paper.margin }
    const { height } = drawOneLine(circuit, wiring, at, show)
    if (height === 0) return
    this.room(height + 4)
    this.put(drawOneLine(circuit, wiring, { ...at, y: this.at }, show).shape, height + 4)
  }

  table({ columns, rows }: Table): void {
    const wide = this.paper.width - 2 * this.paper.margin
    const grid = columns.map(([title, share, figures]): GridColumn =>
      ({ title, width: share * wide, ...(figures && { figures }) }))
    for (let done = 0; done < rows.length;) {
      this.room(gridHeight(3, TYPE))
      const part = rows.slice(done, done + Math.max(1, Math.floor((this.end - this.at) / gridHeight(0, TYPE)) - 1))
      this.put(drawGrid(grid, part, this.paper.margin, this.at + 2, TYPE), gridHeight(part.length, TYPE) + 4)
      done += part.length
    }
  }
}

/** The wall in outline with the notes beside it, and those that have no room there below. */
function putFront(of: ForElectrician, { margin, width, height }: Paper, pages: Pages): void {
  const { wall } = of
  const wide = width - 2 * margin
  const drawn = Math.min((height - 2 * margin) * 0.3, 0.6 * wide * wall.height / wall.width)
  const beside = drawn * wall.width / wall.height + 6
  const lines = notesOf(of).flatMap(text => inLines(text, { width: wide - beside, margin: 0 }, TYPE))
  const fits = Math.floor(drawn / LINE)
  const { at } = pages
  const said = lines.slice(0, fits).map((text, n) => label(text, margin + beside, at + 5 + LINE * n, TYPE))
  pages.put(group({}, outline(of, margin, at + 2, 0.6 * wide, drawn), ...said), drawn + 5)
  for (const text of lines.slice(fits)) pages.put(label(text, margin, pages.at + 3, TYPE), LINE)
}

/**
 * The sheet for who does the fixed wiring: circuits with what is on them, boxes with their heights and loads, the
 * cables to them, what has to be isolated, and room for name and licence.
 */
export function drawElectrician(of: ForElectrician, paper: Paper): Sheet {
  const { units, precision = {} } = of
  const show = (mm: number) => formatLength(mm, units, precision)
  const pages = new Pages(paper)
  putFront(of, paper, pages)
  pages.table(circuitTable(of))
  for (const circuit of of.wiring.circuits) pages.diagram(circuit, of.wiring, show)
  for (const table of [boxTable(of, show), cableTable(of, show)]) pages.table(table)
  pages.room(18)
  pages.put(signBlock(paper.margin, pages.at, paper.width - 2 * paper.margin), 18)
  const head = headOf(of, paper)
  const all = pages.shapes
  return { pages: all.map((shapes, n) => group({}, head, ...shapes, footLine(paper, n + 1, all.length, TYPE))), paper }
}
