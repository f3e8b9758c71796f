import { brokenLink } from '../../core/log'
import { jobIn } from '../input'
import type { Verb } from '../verb'

export const logVerify: Verb = {
  usage: 'log verify JOB.json', does: 'check that no log entry has been changed', files: ['JOB.json'],
  more: 'Exit 0 if every entry is valid, 1 at the first one that is not. Entries not yet sent to a server are not chained.',
  run: ([file]) => {
    const { log } = jobIn(file!)
    const broken = brokenLink(log)
    if (broken) return { printed: `Entry ${broken.index + 1}, ${broken.id}, ${broken.why}.\n`, code: 1 }
    const unchained = log.filter(({ hash }) => hash === undefined).length
    const chained = log.length - unchained
    return { printed: `${chained === 1 ? '1 entry is valid' : `${chained} entries are valid`}${unchained > 0 ? `; ${unchained} more are not chained, because no server has received them yet` : ''}.\n` }
  },
}
