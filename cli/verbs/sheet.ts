import { writeFileSync } from 'node:fs'
import type { Job, Wall } from '../../core/job'
import { asBuilt } from '../../core/log'
import { drawSheet } from '../../core/mark/sheet'
import { contextOf, planWall } from '../../core/plan'
import { PAPERS, sheetAsSvg, type PaperName } from '../../core/sheet'
import { marksAsCsv } from '../../server/sheets/csv'
import { wallAsDxf } from '../../server/sheets/dxf'
import { sheetAsPdf } from '../../server/sheets/pdf'
import { jobIn } from '../input'
import { Refused, type Verb } from '../verb'

const KINDS = ['pdf', 'svg', 'dxf', 'csv', 'json'] as const

/** The wall that is asked for, or the only one. @throws Refused */
function wallOf({ walls }: Job, id: string | undefined): Wall {
  const named = walls.map(wall => wall.id).join(', ')
  const wall = id === undefined && walls.length === 1 ? walls[0] : walls.find(each => each.id === id)
  if (!wall) throw new Refused(id === undefined ? `The job has ${walls.length} walls: say which with --wall: ${named}` : `The job has no wall “${id}”; it has ${named}`)
  return wall
}

export const sheet: Verb = {
  usage: 'sheet JOB.json', does: 'draw the mark-out sheet of a wall', files: 1,
  more: 'As PDF unless --as says otherwise; on A3, or Letter on a site in inches. Printed to standard output unless --out names a file.',
  options: { wall: { what: 'id of the wall' }, as: { what: 'kind of file', choices: KINDS }, paper: { what: 'paper', choices: Object.keys(PAPERS) }, out: { what: 'file to write' } },
  async run([file], { wall: id, as = 'pdf', paper, out }) {
    const job = jobIn(file!)
    const wall = wallOf(job, id)
    const { units } = job.site
    const plan = planWall(wall, contextOf(job), asBuilt(job.log, wall))
    const options = { paper: (paper ?? (units === 'metric' ? 'a3' : 'letter')) as PaperName, units, precision: {} }
    const drawn = () => drawSheet(job, wall, plan, options)
    const made = {
      pdf: async () => new Uint8Array(await sheetAsPdf(drawn(), `${job.site.name}, ${wall.name}: mark-out`)),
      svg: () => sheetAsSvg(drawn()), dxf: () => wallAsDxf(wall, plan),
      csv: () => `\uFEFF${marksAsCsv(plan.marking.marks, options)}`, json: () => `${JSON.stringify(plan.marking, null, 2)}\n`,
    }
    const printed = await made[as as typeof KINDS[number]]()
    if (out === undefined) return { printed }
    try {
      writeFileSync(out, printed)
    }
    catch (error) {
      throw new Refused(`${out} cannot be written: ${(error as Error).message}`)
    }
    return { printed: '' }
  },
}
