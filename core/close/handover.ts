import { dateText } from '../dates'
import type { Finding } from '../finding'
import type { PlateUse } from '../mount'
import { caseTitle } from '../fix'
import type { Catalogue, Rules, Site, Wall } from '../job'
import { authorText, RESULT_NAMES, type AsBuilt, type LogEntry } from '../log'
import { drawWall } from '../mark/sheet'
import type { Shown } from '../mark/sheet/drawing'
import { chosenFigure } from '../rules'
import { flowed, INK, PAPERS, qrCode, scaleFor, type Block, type PaperName, type Sheet } from '../sheet'
import { group, line, type Shape } from '../svg'
import { formatLength, quantityToString, textToString, type Text, type UnitSystem } from '../units'
import { isOutside, scheduleOf } from '../wire'
import { checkBlocks } from './checkTable'
import { checksOf, type Check } from './checks'
import { comparedWith, type Compared } from './compared'
import { failedHoles } from './failedHoles'
import { getOutOf } from './getOut'
import { inspectionOf, type Inspection } from './inspections'
import { missingFor, type Missing } from './missing'
import { recordOf, stillOpen, type ClosingRecord } from './record'

/** What a handover is made of: the wall as it is planned with what was made, what was issued, and the log. */
export interface HandedOver {
  site: Pick<Site, 'id' | 'name' | 'units' | 'contacts' | 'zone'>
  wall: Wall
  /** The plan with what was made in its place. */
  plan: Shown
  /** Arrays as they were issued last, against which it was built; as planned where nothing was. */
  issued: Shown['arrays']
  revision?: string
  built: AsBuilt
  catalogue: Catalogue
  rules: Rules
  log: LogEntry[]
}

/** What follows of a wall for its handover. */
export interface Handover {
  record: ClosingRecord
  compared: Compared
  checks: Check[]
  missing: Missing[]
  inspection: Inspection
}

/** What follows of a wall for its handover. */
export function handoverOf({ wall, plan, issued, built, catalogue, rules, log }: HandedOver): Handover {
  const record = recordOf(log, wall)
  const compared = comparedWith(issued, built, record, new Map(wall.arrays.map(({ id, gap }) => [id, gap])), chosenFigure('seamTolerance', rules, 'metric'))
  const checks = checksOf(plan.arrays, wall, catalogue, record)
  const models = new Set(wall.arrays.flatMap(({ mount, cells = [] }) => [mount, ...cells.map(cell => cell.mount)]))
  const mounts = catalogue.mounts.filter(({ id }) => models.has(id))
  return {
    record,
    compared,
    checks,
    missing: missingFor(plan.arrays, built, { record, compared, checks }, plan.findings),
    inspection: inspectionOf(record, mounts, isOutside(wall), rules),
  }
}

/** A signature as it was written, in a field of a width; its strokes lie in 1000 by 400. */
export function drawInk(ink: number[][], left: number, top: number, width: number): Shape {
  const scale = width / 1000
  return group({}, ...ink.flatMap(stroke => Array.from({ length: Math.max(0, Math.floor(stroke.length / 2) - 1) }, (_, n) => {
    const [x1, y1, x2, y2] = stroke.slice(2 * n, 2 * n + 4) as [number, number, number, number]
    return line(left + x1 * scale, top + y1 * scale, left + x2 * scale, top + y2 * scale, { 'stroke': INK, 'stroke-width': 0.5 })
  })))
}

const SEVERITY = { stop: 'STOP', caution: 'Caution', note: 'Note' }

/** How a wall's handover is drawn. */
export interface HandoverOptions { paper: PaperName, units: UnitSystem, address?: string }

/**
 * The handover of a wall on paper: its picture and what is still open first, then how it was built, its seams, loads,
 * fasteners, circuits and cables, its screens, how one is got out, what is inspected and when, and who signed.
 */
export function drawHandover(of: HandedOver, { paper: name, units, address }: HandoverOptions): Sheet {
  const { site, wall, plan, catalogue, revision, built } = of
  const { record, compared, checks, missing, inspection } = handoverOf(of)
  const paper = PAPERS[name]
  const [show, fine, tell, day] = [
    (mm: number) => formatLength(mm, units, {}),
    (mm: number) => formatLength(mm, units, { decimals: 1, denominator: 32 }),
    (text: Text) => textToString(text, units),
    (at: string) => dateText(at, site.zone ?? 'UTC'),
  ]
  const screens = plan.arrays.flatMap(({ id, name, positions }) => positions.map(position => ({ ...position, array: id, label: plan.arrays.length > 1 ? `${name} R${position.row} C${position.column}` : `R${position.row} C${position.column}` })))
  const screenLabel = new Map(screens.map(({ id, label }) => [id, label]))
  const nameOf = (list: { id: string, name?: string | undefined }[], id: string | undefined) => list.find(each => each.id === id)?.name ?? id ?? ''
  const tall = 0.52 * (paper.height - 2 * paper.margin)
  const scale = scaleFor(wall, { width: paper.width - 2 * paper.margin - 10, height: tall - 4 }, units)
  const picture: Block = { height: wall.height / scale + 4, drawing: (left, top) => group({}, drawWall(wall, plan, { left: left + 5, foot: top + wall.height / scale + 1, scale }), address === undefined ? '' : qrCode(address, paper.width - paper.margin - 17, paper.margin - 1, 17)) }
  const worst = screens.flatMap(({ label, loads = [] }) => loads.map(load => ({ label, ...load })))
  const uses = [...new Map([...worst].sort((a, b) => (a.utilisation ?? Infinity) - (b.utilisation ?? Infinity)).map(load => [load.case, load])).values()] as (PlateUse & { label: string })[]
  const cautions = plan.findings.filter(({ severity }: Finding) => severity !== 'note')
  const schedule = scheduleOf(plan.wiring)
  const signature = (entry: ClosingRecord['signatures'][number]): Block[] => [
    { text: `${entry.name}${entry.role ? `, ${entry.role}` : ''}, ${day(entry.at)}${entry.link ? ', through the client link' : ''}`, bold: true },
    ...entry.ink?.length ? [{ height: 26, drawing: (left: number, top: number) => group({}, drawInk(entry.ink!, left, top, 60), line(left, top + 24.5, left + 60, top + 24.5, { 'stroke': INK, 'stroke-width': 0.2 })) }] : [],
  ]
  return flowed(
    `${site.name} · ${wall.name}: handover`,
    [
      picture,
      {
        text: `${revision ? `Built to revision ${revision}` : 'No revision was issued: built to the current plan'}. ${screens.length} screens. Drawn 1:${scale} at 100 %.`,
      },
      ...(missing.length > 0
        ? [
            { heading: 'Open items' },
            {
              columns: [
                { title: '', share: 0.1 },
                { title: 'Item', share: 0.9 },
              ],
              rows: missing.map(({ severity, what }) => [SEVERITY[severity], tell(what)]),
            },
          ]
        : []),
      ...(record.signatures.length > 0
        ? [{ heading: 'Sign-off' }, ...record.signatures.flatMap(signature)]
        : [{ heading: 'Sign-off' }, { text: 'Not signed yet.' }]),

      { heading: 'Holes, as built and as planned', newPage: true },
      {
        text: `Measured from the wall’s bottom left corner. ${compared.holes.some(({ made }) => made) ? `Largest deviation of a hole: ${fine(compared.worst.hole)}; of a screen centre, calculated from its holes: ${fine(compared.worst.centre)}.` : 'No hole is recorded.'}`,
      },
      {
        columns: [
          { title: 'Hole', share: 0.3 },
          { title: 'Planned from wall left', share: 0.12, figures: true },
          { title: 'above floor', share: 0.1, figures: true },
          { title: 'Built from wall left', share: 0.12, figures: true },
          { title: 'above floor', share: 0.1, figures: true },
          { title: 'Deviation', share: 0.08, figures: true },
          { title: 'Result', share: 0.08 },
          { title: 'By', share: 0.1 },
        ],
        rows: compared.holes.map(({ label, planned, made, off }) => [
          label,
          show(planned.x),
          show(planned.y),
          made ? show(made.x) : 'not recorded',
          made ? show(made.y) : '',
          off === undefined ? '' : fine(off),
          made ? RESULT_NAMES[made.result] : '',
          made?.by ?? '',
        ]),
      },
      {
        columns: [
          { title: 'Screen centre', share: 0.3 },
          { title: 'Planned from wall left', share: 0.14, figures: true },
          { title: 'above floor', share: 0.14, figures: true },
          { title: 'Built from wall left', share: 0.14, figures: true },
          { title: 'above floor', share: 0.14, figures: true },
          { title: 'Deviation', share: 0.14, figures: true },
        ],
        rows: compared.centres.map(({ label, planned, made, off }) => [
          label,
          show(planned.x),
          show(planned.y),
          made ? show(made.x) : 'not known',
          made ? show(made.y) : '',
          off === undefined ? '' : fine(off),
        ]),
      },
      ...failedHoles(of, { show, day }),

      { heading: 'Seams, steps and levels' },
      ...(compared.seams.length === 0
        ? [{ text: 'Not read.' }]
        : [
            {
              columns: [
                { title: 'Seam', share: 0.34 },
                { title: 'Type', share: 0.14 },
                { title: 'Target', share: 0.14, figures: true },
                { title: 'Reading', share: 0.14, figures: true },
                { title: 'Deviation', share: 0.14, figures: true },
                { title: '', share: 0.1 },
              ],
              rows: compared.seams.map(({ label, reads, planned, made, off, closed }) => [
                label,
                reads,
                ...(reads === 'level'
                  ? [planned, made, off].map(value => quantityToString({ value, unit: 'mm/m' }, units))
                  : [planned, made, off].map(fine)),
                closed ? '' : 'out of tolerance',
              ]),
            },
          ]),

      { heading: 'Loads and cautions', newPage: true },
      {
        text: 'For each load case, the fastener with the highest utilisation. This is a plan, not a certificate: the structure itself is not checked.',
      },
      {
        columns: [
          { title: 'Load case', share: 0.26 },
          { title: 'Screen', share: 0.2 },
          { title: 'Shear, N', share: 0.14, figures: true },
          { title: 'Tension, N', share: 0.14, figures: true },
          { title: 'Utilisation', share: 0.16, figures: true },
        ],
        rows: uses.map(({ case: id, label, shear, tension, utilisation }) => [
          caseTitle(id),
          label,
          shear.toFixed(0),
          tension.toFixed(0),
          utilisation === undefined ? 'not known' : `${Math.round(100 * utilisation)} %`,
        ]),
      },
      ...cautions.map(({ severity, message, overridden }): Block => ({
        text: [`${SEVERITY[severity]}: ${tell(message)}`]
          .concat(overridden ? `Overridden by ${authorText(overridden)}: ${overridden.reason}` : []).join(' '),
      })),

      { heading: 'Fasteners' },
      {
        columns: [
          { title: 'Fastener', share: 0.5 },
          { title: 'Holes', share: 0.12, figures: true },
          { title: 'Bit', share: 0.14, figures: true },
          { title: 'Depth', share: 0.14, figures: true },
        ],
        rows: fastenersOf(screens).map(({ fastener, count, bit, depth }) => [
          nameOf(catalogue.fasteners, fastener),
          String(count),
          bit === undefined ? 'not known' : fine(bit),
          depth === undefined ? 'not known' : show(depth),
        ]),
      },

      { heading: 'Circuits' },
      ...(plan.wiring.circuits.length === 0
        ? [{ text: 'None entered.' }]
        : [
            {
              columns: [
                { title: 'Circuit', share: 0.34 },
                { title: 'Screens', share: 0.36 },
                { title: 'Current, A', share: 0.1, figures: true },
                { title: 'Circuit load', share: 0.14, figures: true },
              ],
              rows: plan.wiring.circuits.map(({ name, screens: fed, amps, share }) => [
                name,
                fed.map(id => screenLabel.get(id) ?? id).join(', '),
                amps.toFixed(1),
                `${Math.round(share.value)} %`,
              ]),
            },
          ]),
      { heading: 'Cable schedule' },
      ...(schedule.length === 0
        ? [{ text: 'None planned.' }]
        : [
            {
              columns: [
                { title: 'No.', share: 0.05, figures: true },
                { title: 'Kind', share: 0.08 },
                { title: 'Cable', share: 0.25 },
                { title: 'From', share: 0.2 },
                { title: 'To', share: 0.2 },
                { title: 'Route', share: 0.12 },
                { title: 'Stock length', share: 0.1, figures: true },
              ],
              rows: schedule.map(({ number, kind, model, from, to, way, taken }) => [
                String(number),
                kind,
                model,
                from,
                to,
                way,
                taken === undefined ? 'not known' : show(taken),
              ]),
            },
          ]),

      { heading: 'Screens', newPage: true },
      {
        columns: [
          { title: 'Screen', share: 0.2 },
          { title: 'Model', share: 0.35 },
          { title: 'Serial number', share: 0.25 },
          { title: 'Hung', share: 0.08 },
          { title: 'Locked', share: 0.12 },
        ],
        rows: screens.map(({ id, label, model }) => [
          label,
          nameOf(catalogue.displays, record.replaced.findLast(({ screen }) => screen === id)?.model ?? model),
          record.serials.get(id)?.serial ?? 'not recorded',
          built.hung.includes(id) ? 'yes' : '',
          record.locked.has(id) ? day(record.locked.get(id)!.at) : 'no',
        ]),
      },
      ...checkBlocks(checks, record, units, day),
      { heading: 'Removal steps' },
      ...screens.slice(0, 1).flatMap(({ id, array, label }): Block[] =>
        (
          getOutOf(
            id,
            wall.arrays.find(each => each.id === array)!,
            plan.arrays.find(each => each.id === array)!,
            catalogue,
          )?.steps ?? []
        ).map((step, n) => ({ text: `${n === 0 ? `${label} and others like it: ` : ''}${n + 1}. ${tell(step)}` })),
      ),
      ...firstOff(of, screens, screenLabel),

      { heading: 'Inspections' },
      {
        text: inspection.due
          ? `Every ${inspection.every} months by the house rule; next due ${day(inspection.due)}. Local rules and makers’ instructions may require more.`
          : `Every ${inspection.every} months from sign-off.`,
      },
      {
        columns: [
          { title: 'Item', share: 0.22 },
          { title: 'Check', share: 0.78 },
        ],
        rows: inspection.inspected.map(({ what, how }) => [tell(what), tell(how)]),
      },

      { heading: 'Snags' },
      ...(stillOpen(record).length === 0
        ? [{ text: 'None.' }]
        : [
            {
              columns: [
                { title: 'Snag', share: 0.6 },
                { title: 'Owner', share: 0.2 },
                { title: 'Due', share: 0.15 },
              ],
              rows: stillOpen(record).map(({ what, owner, due }) => [what, owner, day(due)]),
            },
          ]),
      { heading: 'Remarks' },
      ...(record.remarks.length === 0
        ? [{ text: 'None.' }]
        : record.remarks.map(({ note, at, name, ...who }): Block =>
            ({ text: `${day(at)}, ${authorText(who)}${name ? ` (“${name}”)` : ''}: ${note}` }))),
      ...((site.contacts ?? []).length > 0
        ? [
            { heading: 'Contacts' },
            ...site.contacts!.map(({ name, for: what, phone }): Block => ({
              text: [name, what, phone].filter(Boolean).join(', '),
            })),
          ]
        : []),
    ],
    paper,
  )
}

/** Holes by fastener, bit and depth. */
function fastenersOf(screens: { holes?: { fastener?: string, bit?: number, depth?: number }[] }[]): { fastener: string | undefined, count: number, bit?: number, depth?: number }[] {
  const found = new Map<string, { fastener: string | undefined, count: number, bit?: number, depth?: number }>()
  for (const { fastener, bit, depth } of screens.flatMap(({ holes = [] }) => holes)) {
    const key = `${fastener} ${bit} ${depth}`
    const known = found.get(key) ?? { fastener, count: 0, ...bit !== undefined && { bit }, ...depth !== undefined && { depth } }
    known.count++
    found.set(key, known)
  }
  return [...found.values()]
}

/** Screens that others have to come off first for. */
function firstOff({ wall, plan, catalogue }: HandedOver, screens: { id: string, array: string }[], labels: Map<string, string>): Block[] {
  const rows = screens.flatMap(({ id, array }) => {
    const out = getOutOf(id, wall.arrays.find(each => each.id === array)!, plan.arrays.find(each => each.id === array)!, catalogue)
    return out && out.first.length > 0 ? [[labels.get(id) ?? id, out.first.join(', ')]] : []
  })
  return rows.length === 0 ? [{ text: 'Every screen can be taken out on its own.' }] : [{ columns: [{ title: 'To take out', share: 0.2 }, { title: 'Take these off first, from the top down', share: 0.8 }], rows }]
}
