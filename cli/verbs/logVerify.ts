import { brokenLink } from '../../core/log'
import { jobIn } from '../input'
import type { Verb } from '../verb'

export const logVerify: Verb = {
  usage: 'log verify JOB.json', does: 'check that nothing in its log was changed', files: ['JOB.json'],
  more: 'Exit 0 where every entry holds, 1 with the first that does not. Entries that no server has had yet are in no chain.',
  run: ([file]) => {
    const { log } = jobIn(file!)
    const broken = brokenLink(log)
    if (broken) return { printed: `Entry ${broken.index + 1}, ${broken.id}, ${broken.why}.\n`, code: 1 }
    const unchained = log.filter(({ hash }) => hash === undefined).length
    const chained = log.length - unchained
    return { printed: `${chained === 1 ? '1 entry holds' : `${chained} entries hold`}${unchained > 0 ? `; ${unchained} more are in no chain, as no server has had them yet` : ''}.\n` }
  },
}
