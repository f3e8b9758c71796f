import { EXPORTS, type FormatOf } from '../../core/formats'
import { sheetFile } from '../../server/sheets/files'
import { OUT, sheetOptions, SHEET_OPTIONS, sourceIn, toFile, wallIn } from '../sheets'
import type { Verb } from '../verb'

export const sheet: Verb = {
  usage: 'sheet JOB.json',
  does: 'draw the mark-out sheet of a wall',
  files: ['JOB.json'],
  more: 'PDF unless --as says otherwise; A3, or Letter for a site in inches. Draws the latest issued revision, or a '
    + 'draft if none has been issued. Written to standard output unless --out names a file.',
  options: {
    ...SHEET_OPTIONS,
    as: { what: 'kind of file', choices: EXPORTS.sheet },
    scale: { what: 'scale of the drawing, 25 for 1:25, over as many pages as needed' },
    address: { what: 'web address of the wall, for the QR code on every page' },
    ...OUT,
  },
  async run([file], said) {
    const { job, wall } = wallIn(file!, said)
    const made = await sheetFile(sourceIn(job, wall, said.revision), (said.as ?? 'pdf') as FormatOf<'sheet'>, {
      ...sheetOptions(job, said, 'a3'),
      ...(said.address !== undefined && { address: said.address }),
    })
    return toFile(made, said.out)
  },
}
