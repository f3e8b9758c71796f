import { differenceOf, differenceRows } from '../../core/revision'
import { EXPORTS, type FormatOf } from '../../core/formats'
import { differenceFile } from '../../server/sheets/files'
import { OUT, sheetOptions, SHEET_OPTIONS, sourceIn, toFile, wallIn } from '../sheets'
import type { Verb } from '../verb'

export const diff: Verb = {
  usage: 'diff JOB.json A B',
  does: 'list the differences between two revisions of a wall',
  files: ['JOB.json', 'A', 'B'],
  more: 'One line per mark: moved, new or removed, with its old and new position. “draft” is the current plan. With '
    + '--as, writes a file.',
  options: {
    wall: SHEET_OPTIONS.wall,
    paper: SHEET_OPTIONS.paper,
    as: { what: 'kind of file', choices: EXPORTS.difference },
    ...OUT,
  },
  async run([file, from, to], said) {
    const { job, wall } = wallIn(file!, said)
    const [before, after] = [sourceIn(job, wall, from), sourceIn(job, wall, to)]
    const options = sheetOptions(job, said, 'a3')
    if (said.as !== undefined)
      return toFile(await differenceFile(before, after, said.as as FormatOf<'difference'>, options), said.out)
    const rows = differenceRows(differenceOf(before.plan, after.plan), before, after, options.units, options.precision)
    const lines = rows.map(({ what, label, before, after, by }) =>
      [
        what,
        label,
        before && after ? `${before} → ${after}` : before || after,
        by && `by ${by}${options.units === 'metric' ? ' mm' : ''}`,
      ]
        .filter(Boolean)
        .join('\t'),
    )
    return toFile(
      `${[rows.length === 1 ? '1 mark differs.' : `${rows.length} marks differ.`, ...lines].join('\n')}\n`,
      said.out,
    )
  },
}
