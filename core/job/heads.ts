import { count, group, moment, must, name } from './fields'
import { LIMITS } from './limits'

/** The head of the site's log as a server signed it: how far it had grown, and its hash. */
export const signedHeadSchema = group({
  seq: must(count(LIMITS.log, 'How many entries the log had')),
  hash: name('Hash of the last of them'),
  at: must(moment('When it was signed')),
  key: name('Public key, Ed25519, base64url'),
  sig: name('Signature of wide-trellis-head;SITE;CODE;TIME, base64url'),
})
