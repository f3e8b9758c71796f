import type { HeadSigner } from '../guard/headKey'
import type { Database } from './perDatabase'

const signers = new WeakMap<Database, HeadSigner>()

/** Has the heads of a firm's logs signed, where there is a key. */
export function signFor(db: Database, signer: HeadSigner | undefined): void {
  if (signer) signers.set(db, signer)
}

/** What signs the heads of the logs of a database; undefined where nothing does. */
export const signerFor = (db: Database): HeadSigner | undefined => signers.get(db)
