import { caseTitle } from '../fix'
import { mergedForPaper } from '../findings/merged'
import { authorText, RESULT_NAMES } from '../log'
import type { Block } from '../sheet'
import { quantityToString } from '../units'
import { drawOneLine, scheduleOf } from '../wire'
import { circuitTestBlocks } from './circuitTests'
import { checkBlocks } from './checkTable'
import { failedHoles } from './failedHoles'
import { getOutOf } from './getOut'
import type { HandedOver } from './handedOver'
import { SEVERITY, type Printed } from './handoverPrinted'
import { stillOpen } from './record'

/** What one of a list is called. */
const nameOf = (list: { id: string, name?: string | undefined }[], id: string | undefined) =>
  list.find(each => each.id === id)?.name ?? id ?? ''

/** Holes and screen centres, as built and as planned, and holes that failed. */
export function builtBlocks({ of, handover: { compared }, show, fine, day }: Printed): Block[] {
  const { hole, centre } = compared.worst
  const worst = `Largest deviation of a hole: ${fine(hole)}; of a screen centre, calculated from its holes: `
    + `${fine(centre)}.`
  const isRecorded = compared.holes.some(({ made }) => made)
  return [
    { heading: 'Holes, as built and as planned', newPage: true },
    { text: `Measured from the wall’s bottom left corner. ${isRecorded ? worst : 'No hole is recorded.'}` },
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
  ]
}

/** Seams, steps and levels as they were read last. */
export function seamBlocks({ handover: { compared }, units, fine }: Printed): Block[] {
  return [
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
  ]
}

/** The worst fastener of each load case, and the cautions. */
export function loadBlocks({ of: { plan }, screens, units }: Printed): Block[] {
  const worst = screens.flatMap(({ label, loads = [] }) => loads.map(load => ({ label, ...load })))
  const uses = [
    ...new Map(
      [...worst]
        .sort((a, b) => (a.utilisation ?? Infinity) - (b.utilisation ?? Infinity))
        .map(load => [load.case, load]),
    ).values(),
  ]
  const cautions = mergedForPaper(plan.findings.filter(({ severity }) => severity !== 'note'), plan.arrays, units)
  return [
    { heading: 'Loads and cautions', newPage: true },
    {
      text: 'For each load case, the fastener with the highest utilisation. This is a plan, not a certificate: the '
        + 'structure itself is not checked.',
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
    ...cautions.map(({ finding: { severity, overridden }, text }): Block => ({
      text: [`${SEVERITY[severity]}: ${text}`]
        .concat(overridden ? `Overridden by ${authorText(overridden)}: ${overridden.reason}` : [])
        .join(' '),
    })),
  ]
}

/** Fasteners with their bits and depths. */
export function fastenerBlocks({ of: { catalogue }, screens, fine, show }: Printed): Block[] {
  return [
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
  ]
}

/** Circuits with their screens and loads. */
export function circuitBlocks({ of: { plan }, handover: { circuits }, labels, paper, show, day }: Printed): Block[] {
  const width = paper.width - 2 * paper.margin
  return [
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
              fed.map(id => labels.get(id) ?? id).join(', '),
              amps.toFixed(1),
              `${Math.round(share.value)} %`,
            ]),
          },
          ...plan.wiring.circuits.flatMap((circuit): Block[] => {
            const { height } = drawOneLine(circuit, plan.wiring, { x: 0, y: 0, width }, show)
            return height === 0
              ? []
              : [{
                  height: height + 2,
                  drawing: (x, y) => drawOneLine(circuit, plan.wiring, { x, y, width }, show).shape,
                }]
          }),
        ]),
    ...circuitTestBlocks(circuits, day),
  ]
}

/** Cables with their routes and stock lengths. */
export function cableBlocks({ of: { plan }, show }: Printed): Block[] {
  const schedule = scheduleOf(plan.wiring)
  return [
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
  ]
}

/** Screens with serials and checks, and how one is taken out. */
export function screenBlocks(printed: Printed): Block[] {
  const { of, handover: { record, checks }, screens, labels, units, day, tell } = printed
  const { wall, plan, catalogue, built } = of
  return [
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
    ...firstOff(of, screens, labels),
  ]
}

/** What is inspected, and when. */
export function inspectionBlocks({ handover: { inspection }, day, tell }: Printed): Block[] {
  return [
    { heading: 'Inspections' },
    {
      text: inspection.due
        ? `Every ${inspection.every} months by the house rule; next due ${day(inspection.due)}. Local rules and `
        + 'makers’ instructions may require more.'
        : `Every ${inspection.every} months from sign-off.`,
    },
    {
      columns: [
        { title: 'Item', share: 0.22 },
        { title: 'Check', share: 0.78 },
      ],
      rows: inspection.inspected.map(({ what, how }) => [tell(what), tell(how)]),
    },
  ]
}

/** Snags, remarks and contacts. */
export function openBlocks({ of: { site }, handover: { record }, day }: Printed): Block[] {
  return [
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
      : record.remarks.map(({ note, at, name, ...who }): Block => ({
          text: `${day(at)}, ${authorText(who)}${name ? ` (“${name}”)` : ''}: ${note}`,
        }))),
    ...((site.contacts ?? []).length > 0
      ? [
          { heading: 'Contacts' },
          ...site.contacts!.map(({ name, for: what, phone }): Block => ({
            text: [name, what, phone].filter(Boolean).join(', '),
          })),
        ]
      : []),
  ]
}

/** Holes by fastener, bit and depth. */
function fastenersOf(
  screens: { holes?: { fastener?: string, bit?: number, depth?: number }[] }[],
): { fastener: string | undefined, count: number, bit?: number, depth?: number }[] {
  const found = new Map<string, { fastener: string | undefined, count: number, bit?: number, depth?: number }>()
  for (const { fastener, bit, depth } of screens.flatMap(({ holes = [] }) => holes)) {
    const key = `${fastener} ${bit} ${depth}`
    const known = found.get(key) ?? {
      fastener,
      count: 0,
      ...(bit !== undefined && { bit }),
      ...(depth !== undefined && { depth }),
    }
    known.count++
    found.set(key, known)
  }
  return [...found.values()]
}

/** Screens that others have to come off first for. */
function firstOff(
  { wall, plan, catalogue }: HandedOver,
  screens: { id: string, array: string }[],
  labels: Map<string, string>,
): Block[] {
  const rows = screens.flatMap(({ id, array }) => {
    const out = getOutOf(
      id,
      wall.arrays.find(each => each.id === array)!,
      plan.arrays.find(each => each.id === array)!,
      catalogue,
    )
    return out && out.first.length > 0 ? [[labels.get(id) ?? id, out.first.join(', ')]] : []
  })
  return rows.length === 0
    ? [{ text: 'Every screen can be taken out on its own.' }]
    : [
        {
          columns: [
            { title: 'To take out', share: 0.2 },
            { title: 'Take these off first, from the top down', share: 0.8 },
          ],
          rows,
        },
      ]
}
