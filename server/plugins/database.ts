import { closeDatabase, database } from '../database/connection'
import { seedCatalogue, seedDemo } from '../demo'

/** Opens and migrates the database before the first request, and closes it with the server. */
export default defineNitroPlugin((nitro) => {
  const db = database()
  seedCatalogue(db)
  if (process.env.WT_DEMO === '1') seedDemo(db)
  nitro.hooks.hook('close', closeDatabase)
})
