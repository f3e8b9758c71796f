import Papa from 'papaparse'
import { CSV_OUT } from '../../core/csv'
import { drawHandover, handoverOf, packReadme, type HandoverOptions } from '../../core/close'
import { writeJob, type Job, type Wall } from '../../core/job'
import { drawWall } from '../../core/mark/sheet'
import { handedOverOf } from '../../core/revision'
import { element, rect, svgText } from '../../core/svg'
import { scheduleOf } from '../../core/wire'
import { wallAsDxf } from './dxf'
import { sheetAsPdf } from './pdf'
import { scheduleAsCsv } from './scheduleCsv'
import { screenLabel } from '../../core/job/screenLabel'

/** The files of a handover pack but its photographs, when it is of, and which photographs belong to it. */
export interface Pack { files: { name: string, content: Uint8Array }[], made: Date, photos: string[] }

function csv(rows: object[], columns: string[]): string {
  const data = rows.map(row => columns.map(column => (row as Record<string, unknown>)[column] ?? ''))
  return `\uFEFF${Papa.unparse({ fields: columns, data }, CSV_OUT)}`
}

/** A pack is of the moment of the wall's last entry: made again of the same, it is the same to the byte. */
function momentOf(job: Job, wall: string): Date {
  const times = job.log
    .filter(entry => entry.wall === wall)
    .map(({ receivedAt, at }) => Date.parse(receivedAt ?? at))
    .filter(time => !Number.isNaN(time))
  return new Date(Math.max(Date.parse('2020-01-01T00:00:00Z'), ...times))
}

/** The handover of a wall as PDF. */
export async function handoverPdf(job: Job, wallId: string, options: HandoverOptions): Promise<Uint8Array> {
  const wall = job.walls.find(({ id }) => id === wallId)!
  return new Uint8Array(
    await sheetAsPdf(
      drawHandover(handedOverOf(job, wall), options),
      `${job.site.name}, ${wall.name}: handover`,
      momentOf(job, wallId),
    ),
  )
}

/**
 * A job without what the firm keeps of its site: permits and the like are not the client's, and would be names without
 * files.
 */
function withoutFiles({ site: { files: _, ...site }, ...job }: Job): Job {
  return { ...job, site }
}

/** The wall as built, at 1:10. */
function asBuiltSvg(wall: Wall, plan: Parameters<typeof drawWall>[1]): string {
  const [width, height] = [wall.width / 10 + 10, wall.height / 10 + 10]
  const page = {
    xmlns: 'http://www.w3.org/2000/svg', width: `${width}mm`, height: `${height}mm`, viewBox: `0 0 ${width} ${height}`,
  }
  return svgText(element(
    'svg',
    page,
    rect(0, 0, width, height, { fill: '#ffffff' }),
    drawWall(wall, plan, { left: 5, foot: wall.height / 10 + 5, scale: 10 }),
  ))
}

/** Every hole as planned and as made. */
const holesCsv = (holes: ReturnType<typeof handoverOf>['compared']['holes']): string => csv(
  holes.map(({ id, label, planned, made, off }) => ({
    id,
    hole: label,
    planned_x: planned.x,
    planned_y: planned.y,
    made_x: made?.x,
    made_y: made?.y,
    off,
    result: made?.result,
    by: made?.by,
    at: made?.at,
  })),
  ['id', 'hole', 'planned_x', 'planned_y', 'made_x', 'made_y', 'off', 'result', 'by', 'at'],
)

/** Everything that is handed over with a wall, in open files. */
export async function packOf(job: Job, wallId: string, options: HandoverOptions): Promise<Pack> {
  const wall = job.walls.find(({ id }) => id === wallId)!
  const of = handedOverOf(job, wall)
  const { record, compared } = handoverOf(of)
  const made = momentOf(job, wallId)
  const screens = of.plan.arrays.flatMap(({ name, positions }) =>
    positions.map(({ id, row, column, model }) => ({
      array: name,
      screen: screenLabel({ row, column }),
      model: record.replaced.findLast(({ screen }) => screen === id)?.model ?? model,
      serial: record.serials.get(id)?.serial,
      locked: record.locked.get(id)?.at,
    })),
  )
  const steps = of.built.steps.flatMap(({ photo }) => photo === undefined ? [] : [photo])
  const files: { name: string, content: Uint8Array | string }[] = [
    { name: 'README.txt', content: packReadme(job.site.name, wall.name, made.toISOString()) },
    { name: 'handover.pdf', content: await handoverPdf(job, wallId, options) },
    { name: 'job.json', content: writeJob(withoutFiles(job)) },
    { name: 'drawings/as-built.svg', content: asBuiltSvg(wall, of.plan) },
    { name: 'drawings/as-built.dxf', content: wallAsDxf(wall, of.plan, 'AS BUILT') },
    { name: 'schedule/holes.csv', content: holesCsv(compared.holes) },
    {
      name: 'schedule/seams.csv',
      content: csv(compared.seams, ['array', 'label', 'reads', 'planned', 'made', 'off', 'closed']),
    },
    { name: 'schedule/cables.csv', content: `\uFEFF${scheduleAsCsv(scheduleOf(of.plan.wiring), options.units, {})}` },
    { name: 'schedule/screens.csv', content: csv(screens, ['array', 'screen', 'model', 'serial', 'locked']) },
    { name: 'log.json', content: `${JSON.stringify(job.log, null, 2)}\n` },
  ]
  return {
    made,
    photos: [...new Set([...record.photos.map(({ photo }) => photo), ...steps])].sort(),
    files: files.map(({ name, content }) => ({ name, content: Buffer.from(content) })),
  }
}
