import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { signAudit } from '../accounts/audit'
import { howToComeIn, seedPeople } from '../accounts/demo'
import { listFirms } from '../accounts/firms'
import { listPeople } from '../accounts/people'
import { accounts, closeDatabases, databaseOfFirm, folderOfFirm, startDatabases } from '../accounts/open'
import { dataFolder } from '../database/connection'
import type { Database } from '../database/perDatabase'
import { DatabaseRefused } from '../database/refusal'
import { signAllHeads, sitesCut } from '../repositories/heads'
import { endHearing } from '../events/hub'
import { endWork } from '../work/pool'
import { seedCatalogue, seedDemo, seedFiles, seedProgramme } from '../demo'

/** The key by which cookies are sealed: `NUXT_SESSION_PASSWORD`, or one made here and kept in the data folder. */
function sealingKey(): string {
  const file = join(dataFolder(), 'session.key')
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

/** So often the heads of logs that did not grow are signed, ms. */
const SIGNS = 60 * 60 * 1_000

/** Says of which logs entries are missing that were signed for. */
function checkHeads(db: Database): void {
  for (const { site, head: { seq, at } } of sitesCut(db)) {
    console.error(
      `The log of ${site} does not go on from its ${seq} entries that were signed for on ${at}: entries were removed `
      + 'or replaced, or an older backup was restored. Compare it with the sheets and with other backups.',
    )
  }
}

/** Signs what is due of every firm’s logs and audit. */
function signEverything(): void {
  for (const firm of listFirms(accounts())) {
    signAllHeads(databaseOfFirm(firm))
    signAudit(accounts(), firm.key, new Date().toISOString())
  }
}

/**
 * Opens and migrates the databases before the first request, and closes them with the server. Without them nothing can
 * be served: the server ends with the reason in words.
 */
export default defineNitroPlugin((nitro) => {
  // What is kept is for this user alone: databases, pictures, the key of the cookies.
  process.umask(0o077)
  try {
    startDatabases(seedCatalogue, !import.meta.dev)
    if (process.env.WT_DEMO === '1') {
      seedPeople(accounts(), new Date().toISOString())
      const [firm] = listFirms(accounts())
      const db = databaseOfFirm(firm!)
      const [isNew, now] = [seedDemo(db), new Date()]
      const people = listPeople(accounts(), firm!.key)
      // Worked out of the demo's own plans, so that it takes a moment; nobody waits for it.
      const idOf = (name: string) => people.find(person => person.name === name)?.id
      void (isNew ? seedFiles(db, folderOfFirm(firm!), now.toISOString()) : Promise.resolve())
        .then(() => seedProgramme(db, idOf, now))
        .catch(error =>
          console.error(`The demo’s files and programme could not be created: ${(error as Error).message}`),
        )
    }
    // Each is brought up to date now, not when a person waits for it.
    for (const firm of listFirms(accounts())) checkHeads(databaseOfFirm(firm))
    signEverything()
    setInterval(signEverything, SIGNS).unref()
    process.env.NUXT_SESSION_PASSWORD ||= sealingKey()
  }
  catch (error) {
    if (!(error instanceof DatabaseRefused)) throw error
    console.error(error.message)
    process.exit(1)
  }
  const said = howToComeIn(
    accounts(),
    `http://${process.env.HOST === '0.0.0.0' ? 'this-machine' : 'localhost'}:${process.env.PORT || '3000'}`,
    new Date(),
  )
  if (said) console.log(said)
  // Anyone who listens would keep the server from ending.
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, endHearing)
  nitro.hooks.hook('close', async () => {
    await endWork()
    closeDatabases()
  })
})
