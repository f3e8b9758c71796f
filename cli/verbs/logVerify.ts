import { brokenLink, headFault } from '../../core/log'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { missingRevisions, photosNamed } from '../../core/revision'
import type { Job } from '../../core/job'
import { jobIn } from '../input'
import type { Verb } from '../verb'

/** Photos that entries name and that are not in the folder of photos beside the file, where there is one; a line each. */
function photosMissing(file: string, { log }: Job): string {
  const folder = join(dirname(file), 'photos')
  if (file === '-' || !existsSync(folder)) return ''
  return photosNamed(log).filter(({ photo }) => !existsSync(join(folder, photo)))
    .map(({ entry, photo }) => `Entry ${entry} names photo ${photo}, which is not in ${folder}.\n`).join('')
}

export const logVerify: Verb = {
  usage: 'log verify JOB.json', does: 'check that no log entry has been changed', files: ['JOB.json'],
  more: 'Exit 0 if every entry is valid, 1 at the first one that is not, or if an issued revision is missing in the file. Photos that are not in a folder photos beside the file are listed. Entries not yet sent to a server are not chained.',
  options: { head: { what: 'also check that the log has the head of this code, as printed on a sheet' } },
  run: ([file], { head }) => {
    const job = jobIn(file!)
    const { log } = job
    const broken = brokenLink(log)
    if (broken) return { printed: `Entry ${broken.index + 1}, ${broken.id}, ${broken.why}.\n`, code: 1 }
    const missing = job.walls.flatMap(wall => missingRevisions(log, wall))
    if (missing.length > 0) return { printed: missing.map(({ message }) => `${message}.\n`).join(''), code: 1 }
    const other = head === undefined ? undefined : headFault(log, head)
    if (other) return { printed: `${other}.\n`, code: 1 }
    const unchained = log.filter(({ hash }) => hash === undefined).length
    const chained = log.length - unchained
    const valid = chained === 1 ? '1 entry is valid' : `${chained} entries are valid`
    const more = unchained > 0 ? `; ${unchained} more are not chained, because no server has received them yet` : ''
    return { printed: `${valid}${more}.\n${photosMissing(file!, job)}` }
  },
}
