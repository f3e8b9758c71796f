import { closeDatabase, database } from '../database/connection'
import { DatabaseRefused } from '../database/migrate'
import { seedCatalogue, seedDemo } from '../demo'

/** The database, or the end of this server with the reason in words: nothing can be served without it. */
function opened() {
  try {
    return database()
  }
  catch (error) {
    if (!(error instanceof DatabaseRefused)) throw error
    console.error(error.message)
    process.exit(1)
  }
}

/** Opens and migrates the database before the first request, and closes it with the server. */
export default defineNitroPlugin((nitro) => {
  const db = opened()
  seedCatalogue(db)
  if (process.env.WT_DEMO === '1') seedDemo(db)
  nitro.hooks.hook('close', closeDatabase)
})
