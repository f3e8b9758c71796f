import type { FormatOf } from '../../core/formats'
import { arrange, pixelMap, testPicture } from '../../core/arrange'
import {
  arraysOf,
  LIMITS,
  soundJsonFault,
  tokenFault,
  writeJob,
  type Fault,
  type Job,
  type LogEntry,
  type StoredRevision,
} from '../../core/job'
import { chainState, type ChainState, type SignedHead } from '../../core/log'
import { frozenFaults, handedOverOf, sheetSource, type Frozen, type SheetSource } from '../../core/revision'
import { clientViewOf, type HandoverOptions } from '../../core/close'
import type { SheetOptions } from '../../core/mark/sheet'
import { planFile } from '../../core/plan/planFile'
import { wallState, type WallState } from '../../core/programme/wallState'
import { PAPERS, stamped } from '../../core/sheet'
import { rulesFor } from '../../core/rules'
import { drawElectrician, drawLabels, scheduleOf } from '../../core/wire'
import { differenceFile, kitFile, sheetFile, templatesFile } from '../sheets/files'
import { handoverPdf, packOf, type Pack } from '../sheets/pack'
import { sheetAsPdf } from '../sheets/pdf'
import { scheduleAsCsv } from '../sheets/scheduleCsv'

export type WiringSheet = 'electrician' | 'labels' | 'schedule'

/** A job as its file, and the photos of which it speaks. */
export interface JobFile { file: Uint8Array, photos: string[] }

/** A job with one wall, and which revision of it is wanted: the last one where none is named. */
interface OfRevision {
  job: string
  revision?: string
  options: SheetOptions
}

function sourceOf(text: string, revision?: string): SheetSource | undefined {
  const job = JSON.parse(text) as Job
  return sheetSource(job, job.walls[0]!, revision)
}

/** The pixel map of an array with what it was made of, or undefined where there is no such array with screens. */
function pixelsOf(job: Job, id: string | undefined) {
  const wall = job.walls[0]!
  const array = arraysOf(wall).find(array => id === undefined || array.id === id)
  const arrangement = array && arrange(array, job.catalogue.displays, wall)
  return array && arrangement && arrangement.cells.length > 0
    ? { array, map: pixelMap(arrangement.cells, arrangement.imageGap) }
    : undefined
}

/** What takes long enough to keep others waiting. Each takes the job as text, as that is handed over fastest. */
export const TASKS = {
  /** The plan of a job, as JSON. */
  plan: ({ job }: { job: string }): string => JSON.stringify(planFile(JSON.parse(job) as Job)),

  /** The state of a job's one wall, as lists over all walls show it. */
  state: ({ job }: { job: string }): WallState => wallState(JSON.parse(job) as Job),

  /** The mark-out sheet of a job's one wall as a file; undefined where it has no such revision. */
  async sheet({
    job,
    format,
    revision,
    options,
  }: OfRevision & { format: FormatOf<'sheet'> }): Promise<Uint8Array | string | undefined> {
    const source = sourceOf(job, revision)
    return source && sheetFile(source, format, options)
  },

  /**
   * Templates of plates and cut-outs of a job's one wall; undefined where it has no such revision or nothing of this
   * id.
   */
  async templates({
    job,
    format,
    of,
    revision,
    options,
  }: OfRevision & { format: FormatOf<'templates'>, of?: string }): Promise<Uint8Array | string | undefined> {
    const source = sourceOf(job, revision)
    return source && templatesFile(source, format, of, options)
  },

  /** Parts and tools that a revision of a job's one wall needs; undefined where it has no such revision. */
  async kit({
    job,
    format,
    revision,
    options,
  }: OfRevision & { format: FormatOf<'kit'> }): Promise<Uint8Array | string | undefined> {
    const source = sourceOf(job, revision)
    return source && kitFile(source, format, options)
  },

  /** What differs between two revisions of a job's one wall; undefined where it lacks one of them. */
  async difference({
    job,
    format,
    from,
    to,
    options,
  }: Omit<OfRevision, 'revision'> & { format: FormatOf<'difference'>, from: string, to: string }): Promise<
    Uint8Array | string | undefined
  > {
    const [before, after] = [sourceOf(job, from), sourceOf(job, to)]
    return before && after && differenceFile(before, after, format, options)
  },

  /**
   * What is printed of the wiring of a job's one wall: the electrician's sheet and the labels as PDF, the schedule as
   * CSV; undefined where it has no such revision.
   */
  async wiring({
    job,
    as,
    revision,
    options: { paper, units, precision },
  }: OfRevision & { as: WiringSheet }): Promise<Uint8Array | string | undefined> {
    const source = sourceOf(job, revision)
    if (!source) return undefined
    const {
      site,
      wall,
      plan: { wiring, arrays },
      issue,
    } = source
    if (as === 'schedule') return `\uFEFF${scheduleAsCsv(scheduleOf(wiring), units, precision)}`
    const title = `${site.name}, ${wall.name}: ${as === 'labels' ? 'cable labels' : 'electrician’s sheet'}`
    const sheet
      = as === 'labels'
        ? drawLabels(scheduleOf(wiring), PAPERS[paper], units, precision)
        : drawElectrician(
            {
              site: site.name,
              wall,
              cases: arrays.flatMap(({ positions }) => positions.map(({ outer }) => outer)),
              wiring,
              electricalRules: site.electricalRules,
              rules: rulesFor(source, wall),
              units,
              precision,
            },
            PAPERS[paper],
          )
    return sheetAsPdf(as === 'labels' ? sheet : stamped(sheet, issue), title)
  },

  /** The handover of a wall: as PDF, or all that is handed over in open files. The job has all walls of its site. */
  handover: ({ job, wall, options }: { job: string, wall: string, options: HandoverOptions }): Promise<Uint8Array> =>
    handoverPdf(JSON.parse(job) as Job, wall, options),
  pack: ({ job, wall, options }: { job: string, wall: string, options: HandoverOptions }): Promise<Pack> =>
    packOf(JSON.parse(job) as Job, wall, options),

  /** A job as its file. An empty list of heads is none, and the firm's part is one where it chose something. */
  jobFile({ job: text }: { job: string }): JobFile {
    const { heads = [], firm, ...job } = JSON.parse(text) as Job
    const chosen = firm?.rules && Object.keys(firm.rules).length > 0
    const file = { ...job, ...(chosen && { firm }), ...(heads.length > 0 && { heads }) } as Job
    const photos = [...text.matchAll(/"([0-9a-f]{32}\.(?:jpg|png|webp))"/g)].map(([, name]) => name!)
    return { file: new TextEncoder().encode(writeJob(file)), photos: [...new Set(photos)] }
  },

  /** Whether a site's log is whole. */
  chain: ({ log, site, heads }: { log: string, site: string, heads: SignedHead[] }): ChainState =>
    chainState(JSON.parse(log) as LogEntry[], site, heads),

  /** What a client is shown of a job's one wall. */
  clientView({ job: text }: { job: string }) {
    const job = JSON.parse(text) as Job
    return clientViewOf(handedOverOf(job, job.walls[0]!))
  },

  /** The pixel map of an array, by its id or the first, and the labelled test picture. */
  pixels({ job: text, array: id, drawn }: { job: string, array?: string, drawn: boolean }) {
    const job = JSON.parse(text) as Job
    const found = pixelsOf(job, id)
    return (
      found && {
        array: found.array.id,
        map: found.map,
        picture: drawn ? testPicture(found.map, `${job.site.name}, ${job.walls[0]!.name}, ${found.array.name}`) : '',
      }
    )
  },

  /** What was frozen on a device: what it is, or what speaks against issuing it. */
  revision({
    text,
    previous,
  }: {
    text: string
    previous?: string
  }): { frozen: StoredRevision } | { faults: Fault[] } | { notJson: string } {
    const heavy = tokenFault(Buffer.from(text), LIMITS.frozenValues, LIMITS.deepest)
    if (heavy) return { faults: [{ path: '$', message: heavy }] }
    try {
      const given = JSON.parse(text) as unknown
      const unsound = soundJsonFault(given)
      const faults = unsound
        ? [unsound]
        : frozenFaults(given, previous === undefined ? undefined : (JSON.parse(previous) as Frozen))
      return faults.length > 0 ? { faults: faults.slice(0, LIMITS.faults) } : { frozen: given as StoredRevision }
    }
    catch (error) {
      if (error instanceof SyntaxError) return { notJson: error.message }
      throw error
    }
  },
}

export type TaskName = keyof typeof TASKS
export type InputOf<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0]
export type AnswerOf<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>
