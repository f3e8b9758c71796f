import { writeFileSync } from 'node:fs'
import type { Job, Wall } from '../core/job'
import type { SheetOptions } from '../core/mark/sheet'
import { missingRevisions, sheetSource, type SheetSource } from '../core/revision'
import { PAPERS, type PaperName } from '../core/sheet'
import { jobIn } from './input'
import { Refused, type Answer, type Option } from './verb'

/** What can be said of every sheet. */
export const SHEET_OPTIONS = {
  wall: { what: 'id of the wall' },
  revision: { what: 'A, B, …, or draft for the current plan' },
  paper: { what: 'paper', choices: Object.keys(PAPERS) },
} satisfies Record<string, Option>
export const OUT = { out: { what: 'file to write' } } satisfies Record<string, Option>

/** The job in a file, and the wall of it that is asked for, or the only one. @throws Refused */
export function wallIn(file: string, { wall: id }: { wall?: string }): { job: Job, wall: Wall } {
  const job = jobIn(file)
  const named = job.walls.map(wall => wall.id).join(', ')
  const wall = id === undefined && job.walls.length === 1 ? job.walls[0] : job.walls.find(each => each.id === id)
  if (!wall)
    throw new Refused(
      id === undefined
        ? `The job has ${job.walls.length} walls; choose one with --wall: ${named}`
        : `The job has no wall “${id}”; its walls are ${named}`,
    )
  return { job, wall }
}

/** What a sheet is made from. @throws Refused where the wall has no revision of these letters in the file */
export function sourceIn(job: Job, wall: Wall, revision: string | undefined): SheetSource {
  const source = sheetSource(job, wall, revision)
  if (source) return source
  const [missing] = missingRevisions(job.log, wall).filter(each => revision === undefined || each.revision === revision)
  if (missing) throw new Refused(`${missing.message}. Ask the person who issued it for the whole file`)
  const issued = (wall.revisions ?? []).length
  throw new Refused(
    `${wall.name} has no revision “${revision}” in this file${issued > 0 ? '' : '; none has been issued'}`,
  )
}

/** How a sheet is drawn: on the paper that is asked for, or one that suits the site's units. @throws Refused */
export function sheetOptions(
  { site: { units } }: Job,
  { paper, scale }: { paper?: string, scale?: string },
  metric: PaperName,
): SheetOptions {
  if (scale !== undefined && !/^[1-9]\d{0,2}$/.test(scale))
    throw new Refused(`--scale must be a whole number from 1 to 999 (25 for 1:25), not “${scale}”`)
  return {
    paper: (paper ?? (units === 'metric' ? metric : 'letter')) as PaperName,
    units,
    precision: {},
    ...(scale !== undefined && { scale: Number(scale) }),
  }
}

/** Writes what was made to a file, or gives it to be printed. @throws Refused */
export function toFile(made: string | Uint8Array, out: string | undefined): Answer {
  if (out === undefined) return { printed: made }
  try {
    writeFileSync(out, made)
  }
  catch (error) {
    throw new Refused(`${out} cannot be written: ${(error as Error).message}`)
  }
  return { printed: '' }
}
