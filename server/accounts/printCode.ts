import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../database/connection'
import { openAccounts } from './form'
import { codeForFirm } from './invitations'

/**
 * Prints a code by which one more firm is begun on this server: `npm run firm`, while the server runs or not. It works
 * once, within seven days.
 */
const file = join(dataFolder(), 'accounts.db')
if (!existsSync(file)) {
  console.error(`${file} does not exist. Start the server once, or set WT_DATA to its data folder.`)
  process.exit(1)
}
const { db, close } = openAccounts(file)
console.log(`Create a firm at /begin with this code, which works once: ${codeForFirm(db, new Date())}`)
close()
