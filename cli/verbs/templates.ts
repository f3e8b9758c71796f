import { EXPORTS, type FormatOf } from '../../core/formats'
import { templatesFile } from '../../server/sheets/files'
import { OUT, sheetOptions, SHEET_OPTIONS, sourceIn, toFile, wallIn } from '../sheets'
import { Refused, type Verb } from '../verb'

export const templates: Verb = {
  usage: 'templates JOB.json',
  does: 'draw plates and cut-outs full size, 1:1',
  files: ['JOB.json'],
  more: 'Over as many pages as each needs, with alignment crosses where pages overlap. PDF on A4, or Letter for a '
    + 'site in inches. Written to standard output unless --out names a file.',
  options: {
    ...SHEET_OPTIONS,
    of: { what: 'id of one screen or box; default all' },
    as: { what: 'kind of file', choices: EXPORTS.templates },
    ...OUT,
  },
  async run([file], said) {
    const { job, wall } = wallIn(file!, said)
    const made = await templatesFile(
      sourceIn(job, wall, said.revision),
      (said.as ?? 'pdf') as FormatOf<'templates'>,
      said.of,
      sheetOptions(job, said, 'a4'),
    )
    if (made === undefined)
      throw new Refused(
        said.of === undefined
          ? 'This wall has no plate or cut-out to draw a template for'
          : `This wall has no plate or cut-out “${said.of}”`,
      )
    return toFile(made, said.out)
  },
}
