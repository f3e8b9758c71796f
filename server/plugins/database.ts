import { closeDatabase, startDatabase } from '../database/connection'
import { DatabaseRefused } from '../database/refusal'
import { endHearing } from '../events/hub'
import { endWork } from '../work/pool'
import { seedCatalogue, seedDemo } from '../demo'

/** Opens and migrates the database before the first request, and closes it with the server. Without it nothing can be served: the server ends with the reason in words. */
export default defineNitroPlugin((nitro) => {
  try {
    startDatabase((db) => {
      seedCatalogue(db)
      if (process.env.WT_DEMO === '1') seedDemo(db)
    }, !import.meta.dev)
  }
  catch (error) {
    if (!(error instanceof DatabaseRefused)) throw error
    console.error(error.message)
    process.exit(1)
  }
  // Whoever listens would keep the server from ending.
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, endHearing)
  nitro.hooks.hook('close', async () => {
    await endWork()
    closeDatabase()
  })
})
