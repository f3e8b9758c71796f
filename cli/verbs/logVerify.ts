import { createPublicKey, verify } from 'node:crypto'
import { brokenLink, givenHead, headFault, headsFault, type GivenHead } from '../../core/log'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { missingRevisions, photosNamed } from '../../core/revision'
import type { Job } from '../../core/job'
import { jobIn } from '../input'
import type { Verb } from '../verb'

/**
 * Photos that entries name and that are not in the folder of photos beside the file, where there is one; a line each.
 */
function photosMissing(file: string, { log }: Job): string {
  const folder = join(dirname(file), 'photos')
  if (file === '-' || !existsSync(folder)) return ''
  return photosNamed(log).filter(({ photo }) => !existsSync(join(folder, photo)))
    .map(({ entry, photo }) => `Entry ${entry} names photo ${photo}, which is not in ${folder}.\n`).join('')
}

/** Whether a line was signed by the private half of a public key, Ed25519, 32 bytes in base64url. */
function isSigned({ text = '', sig = '' }: GivenHead, key: string): boolean {
  try {
    const publicKey = createPublicKey({ key: { kty: 'OKP', crv: 'Ed25519', x: key.trim() }, format: 'jwk' })
    return verify(null, Buffer.from(text), publicKey, Buffer.from(sig, 'base64url'))
  }
  catch {
    return false
  }
}

/** What speaks against a head that was given being one of a job's log; and, where nothing does, what was checked. */
function headOf({ log, site }: Job, given: string, key: string | undefined): { fault?: string, checked?: string } {
  const head = givenHead(given)
  if (head.site !== undefined && head.site !== site.id)
    return { fault: `The head is of the log of ${head.site}, not of ${site.id}` }
  const fault = headFault(log, head.code)
  if (fault !== undefined) return { fault }
  if (head.sig === undefined) return { checked: 'It has the head of this code' }
  if (key === undefined)
    return { checked: 'It has this head; its signature was not checked, because no --key is given' }
  return isSigned(head, key)
    ? { checked: `It has this head, which was signed by this key on ${head.at}` }
    : { fault: 'The head was not signed by this key, or its time was changed' }
}

export const logVerify: Verb = {
  usage: 'log verify JOB.json',
  does: 'check that no log entry has been changed',
  files: ['JOB.json'],
  more: 'Exit 0 if every entry is valid, 1 at the first one that is not, or if an issued revision is missing in the '
    + 'file. Photos that are not in a folder photos beside the file are listed. Entries not yet sent to a server are '
    + 'not chained.',
  options: {
    head: { what: 'also check that the log has this head: the code on a sheet, or the line in its QR code' },
    key: { what: 'the server’s public key, by which the signature of a head is checked' },
  },
  run: ([file], { head, key }) => {
    const job = jobIn(file!)
    const { log } = job
    const broken = brokenLink(log)
    if (broken) return { printed: `Entry ${broken.index + 1}, ${broken.id}, ${broken.why}.\n`, code: 1 }
    const missing = job.walls.flatMap(wall => missingRevisions(log, wall))
    if (missing.length > 0) return { printed: missing.map(({ message }) => `${message}.\n`).join(''), code: 1 }
    const other = headsFault(log, job.heads ?? [])
    if (other) return { printed: `${other}.\n`, code: 1 }
    const { fault, checked } = head === undefined ? ({} as ReturnType<typeof headOf>) : headOf(job, head, key)
    if (fault) return { printed: `${fault}.\n`, code: 1 }
    const unchained = log.filter(({ hash }) => hash === undefined).length
    const chained = log.length - unchained
    const valid = chained === 1 ? '1 entry is valid' : `${chained} entries are valid`
    const more = unchained > 0 ? `; ${unchained} more are not chained, because no server has received them yet` : ''
    return { printed: `${valid}${more}.\n${checked ? `${checked}.\n` : ''}${photosMissing(file!, job)}` }
  },
}
