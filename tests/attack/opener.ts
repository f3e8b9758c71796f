import { openDatabase } from '../../server/database/connection'

/* Opens a database file, which brings it up to date, and ends: `keeperKills.ts` kills it meanwhile. */
openDatabase(process.argv[2]!).close()
