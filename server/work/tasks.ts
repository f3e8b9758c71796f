import { arrange, pixelMap, testPicture } from '../../core/arrange'
import { arraysOf, InvalidJob, validateJob, type Fault, type Job } from '../../core/job'
import { asBuilt } from '../../core/log'
import { drawSheet, type SheetOptions } from '../../core/mark/sheet'
import { contextOf, planWall } from '../../core/plan'
import { planFile } from '../../core/plan/planFile'
import { PAPERS, sheetAsSvg } from '../../core/sheet'
import { drawElectrician, drawLabels, scheduleOf } from '../../core/wire'
import { marksAsCsv } from '../sheets/csv'
import { wallAsDxf } from '../sheets/dxf'
import { sheetAsPdf } from '../sheets/pdf'
import { scheduleAsCsv } from '../sheets/scheduleCsv'

export type SheetFormat = 'pdf' | 'svg' | 'csv' | 'dxf' | 'json'
export type WiringSheet = 'electrician' | 'labels' | 'schedule'

/** The pixel map of an array with what it was made of, or undefined where there is no such array with screens. */
function pixelsOf(job: Job, id: string | undefined) {
  const wall = job.walls[0]!
  const array = arraysOf(wall).find(array => id === undefined || array.id === id)
  const arrangement = array && arrange(array, job.catalogue.displays, wall)
  return array && arrangement && arrangement.cells.length > 0 ? { array, map: pixelMap(arrangement.cells, arrangement.imageGap) } : undefined
}

/** What takes long enough to keep others waiting. Each takes the job as text, as that is handed over fastest. */
export const TASKS = {
  /** The plan of a job, as JSON. */
  plan: ({ job }: { job: string }): string => JSON.stringify(planFile(JSON.parse(job) as Job)),

  /** The mark-out sheet of a job's one wall as a file. */
  async sheet({ job: text, format, options }: { job: string, format: SheetFormat, options: SheetOptions }): Promise<Uint8Array | string> {
    const job = JSON.parse(text) as Job
    const wall = job.walls[0]!
    const plan = planWall(wall, contextOf(job), asBuilt(job.log, wall))
    if (format === 'csv') return `\uFEFF${marksAsCsv(plan.marking.marks, options)}`
    if (format === 'dxf') return wallAsDxf(wall, plan)
    if (format === 'json') return `${JSON.stringify(plan.marking, null, 2)}\n`
    const sheet = drawSheet(job, wall, plan, options)
    return format === 'svg' ? sheetAsSvg(sheet) : sheetAsPdf(sheet, `${job.site.name}, ${wall.name}: mark-out`)
  },

  /** What is printed of the wiring of a job's one wall: the electrician's sheet and the labels as PDF, the schedule as CSV. */
  async wiring({ job: text, as, options: { paper, units, precision } }: { job: string, as: WiringSheet, options: SheetOptions }): Promise<Uint8Array | string> {
    const job = JSON.parse(text) as Job
    const wall = job.walls[0]!
    const { wiring, arrays } = planWall(wall, contextOf(job), asBuilt(job.log, wall))
    if (as === 'schedule') return `\uFEFF${scheduleAsCsv(scheduleOf(wiring), units, precision)}`
    const title = `${job.site.name}, ${wall.name}: ${as === 'labels' ? 'cable labels' : 'electrician’s sheet'}`
    return sheetAsPdf(as === 'labels' ? drawLabels(scheduleOf(wiring), PAPERS[paper], units, precision) : drawElectrician({ site: job.site.name, wall, cases: arrays.flatMap(({ positions }) => positions.map(({ outer }) => outer)), wiring, units, precision }, PAPERS[paper]), title)
  },

  /** The pixel map of an array, by its id or the first, and the labelled test picture. */
  pixels({ job: text, array: id, drawn }: { job: string, array?: string, drawn: boolean }) {
    const job = JSON.parse(text) as Job
    const found = pixelsOf(job, id)
    return found && { array: found.array.id, map: found.map, picture: drawn ? testPicture(found.map, `${job.site.name}, ${job.walls[0]!.name}, ${found.array.name}`) : '' }
  },

  /** A job file that came in: the job, or what is wrong with it. */
  job({ text }: { text: string }): { job: Job } | { faults: Fault[] } | { notJson: string } {
    try {
      return { job: validateJob(JSON.parse(text)) }
    }
    catch (error) {
      if (error instanceof InvalidJob) return { faults: error.faults }
      if (error instanceof SyntaxError) return { notJson: error.message }
      throw error
    }
  },
}

export type TaskName = keyof typeof TASKS
export type InputOf<Name extends TaskName> = Parameters<typeof TASKS[Name]>[0]
export type AnswerOf<Name extends TaskName> = Awaited<ReturnType<typeof TASKS[Name]>>
